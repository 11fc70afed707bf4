import { View } from '@tamagui/core';
import { Link } from 'expo-router';
import { useMemo, useState } from 'react';
import { FindingsTabs, Screen, ShopHeader, Skeleton, Unreachable } from '@/client/features/piece-frame';
import { useGetExperienceQuery, useListReadingsQuery } from '@/client/store';
import {
  Body,
  Card,
  Choices,
  Column,
  Heading,
  Notice,
  Row,
  Small,
  StateMark,
  Strong,
  useIsWide,
  useTones,
} from '@/client/ui';
import type { Experience } from '@/core/dossier';
import { FINISH_FACTS, FACED_BOARDS, SUBSTRATE_FACTS, TEST_KIND_FACTS, type PrepGroup } from '@/core/knowledge';
import { buildFindings, listViews, type Cell, type FindingsRow, type FindingsView } from '@/core/learning';
import { definedOnly, lowerFirst } from '@/core/shared';
import { CellMark } from './cell-mark';
import { NotKnownYet } from './not-known-yet';
import { PatternList } from './pattern-list';
import { nameLayers, sayComparison, sayCounts } from './words';
import { FINDINGS_SCREEN_WORDS, describeShare, describeTreatment } from '@/words';

const PREPS: Record<PrepGroup, string> = {
  none: FINDINGS_SCREEN_WORDS.notDulled,
  liquid_degloss: FINDINGS_SCREEN_WORDS.deglosser,
  scuff: FINDINGS_SCREEN_WORDS.scuffed,
  bare: FINDINGS_SCREEN_WORDS.sandedBareOrStripped,
};
const MODES = { adhesion: FINDINGS_SCREEN_WORDS.grip, bleed: FINDINGS_SCREEN_WORDS.bleed } as const;

/** Findings: which primer can be trusted on which surface, by the shop's own tests. */
export function FindingsScreen() {
  const { data, error, refetch } = useGetExperienceQuery(undefined, { refetchOnMountOrArgChange: true });
  return (
    <Screen title={FINDINGS_SCREEN_WORDS.findings} header={<ShopHeader title={FINDINGS_SCREEN_WORDS.findings} />}>
      <FindingsTabs />
      {data ? (
        <Column gap="$l">
          <Findings experience={data} />
          <NotKnownYet />
          <PatternList />
        </Column>
      ) : error ? (
        <Unreachable retry={() => void refetch()} />
      ) : (
        <Skeleton />
      )}
    </Screen>
  );
}

function Findings({ experience }: { experience: readonly Experience[] }) {
  const views = useMemo(() => listViews(experience), [experience]);
  const [picked, setPicked] = useState<FindingsView | null>(null);
  const view = picked ?? views[0];
  const rows = useMemo(() => (view ? buildFindings(experience, view) : []), [experience, view]);
  if (!view) {
    return (
      <Notice tone="wait" title={FINDINGS_SCREEN_WORDS.nothingTestedYet}>
        {FINDINGS_SCREEN_WORDS.everyPatchYouScratchOrWatch}
      </Notice>
    );
  }
  return (
    <Column gap="$l">
      <Body>{FINDINGS_SCREEN_WORDS.whatYourOwnTestsSayThe}</Body>
      <Choices
        label={FINDINGS_SCREEN_WORDS.whatWasTested}
        options={views.map(({ mode, prep, tests }) => ({
          code: `${mode}/${prep}`,
          label: `${MODES[mode]}, ${PREPS[prep]} (${tests})`,
        }))}
        value={`${view.mode}/${view.prep}`}
        onPick={(code) => setPicked(views.find(({ mode, prep }) => `${mode}/${prep}` === code) ?? null)}
      />
      {rows.map((row) => (
        <SurfaceCard key={`${row.substrate}/${row.finish}`} row={row} view={view} />
      ))}
    </Column>
  );
}

const nameSurface = ({ substrate, finish }: Pick<FindingsRow, 'substrate' | 'finish'>): string =>
  finish === 'factory_film' && (FACED_BOARDS as readonly string[]).includes(substrate)
    ? SUBSTRATE_FACTS[substrate].label
    : `${SUBSTRATE_FACTS[substrate].label}, ${FINISH_FACTS[finish].label}`;

const keyOf = ({ primer, clear }: Cell): string => `${primer}/${clear ?? ''}`;

function SurfaceCard({ row, view }: { row: FindingsRow; view: FindingsView }) {
  const wide = useIsWide();
  const [open, setOpen] = useState<string | null>(null);
  const cell = row.cells.find((own) => keyOf(own) === open);
  return (
    <Card gap="$m" render="section" aria-label={nameSurface(row)}>
      <Heading>{nameSurface(row)}</Heading>
      {row.leaders ? <Small>{sayComparison(row.leaders)}</Small> : null}
      <View
        flexDirection="row"
        flexWrap="wrap"
        gap="$s"
        role="list"
        aria-label={FINDINGS_SCREEN_WORDS.primersOn(nameSurface(row))}
      >
        {row.cells.map((own) => (
          <View key={keyOf(own)} role="listitem" width={wide ? '24%' : '48%'}>
            <CellButton
              cell={own}
              on={keyOf(own) === open}
              onPress={() => setOpen(keyOf(own) === open ? null : keyOf(own))}
            />
          </View>
        ))}
      </View>
      {cell ? <Readings row={row} cell={cell} view={view} /> : null}
    </Card>
  );
}

function CellButton({ cell, on, onPress }: { cell: Cell; on: boolean; onPress: () => void }) {
  return (
    <View
      render="button"
      width="100%"
      minHeight={96}
      padding="$s"
      gap={4}
      borderWidth={on ? 2 : 1}
      borderColor={on ? '$act' : '$line'}
      borderRadius="$corner"
      backgroundColor="$card"
      alignItems="flex-start"
      cursor="pointer"
      aria-pressed={on}
      aria-label={FINDINGS_SCREEN_WORDS.holdsOfAll(nameLayers(cell), describeShare(cell.mean), sayCounts(cell))}
      onPress={onPress}
      {...{ type: 'button' }}
    >
      <Small color="$ink" textAlign="left">
        {nameLayers(cell)}
      </Small>
      <CellMark cell={cell} />
      <Row width={120} justifyContent="space-between">
        <Small fontSize={11}>{FINDINGS_SCREEN_WORDS.never}</Small>
        <Small fontSize={11}>{FINDINGS_SCREEN_WORDS.always}</Small>
      </Row>
      <Small color="$ink" textAlign="left">
        {FINDINGS_SCREEN_WORDS.holds(describeShare(cell.mean))}
      </Small>
      <Small textAlign="left">{sayCounts(cell)}</Small>
    </View>
  );
}

/** The readings behind a figure, each leading to its piece. */
function Readings({ row, cell, view }: { row: FindingsRow; cell: Cell; view: FindingsView }) {
  const tones = useTones();
  const { substrate, finish } = row;
  const { data: readings } = useListReadingsQuery({
    substrate,
    finish,
    primer: cell.primer,
    ...definedOnly({ clear: cell.clear }),
    ...view,
  });
  return (
    <Column gap="$s" role="group" aria-label={FINDINGS_SCREEN_WORDS.readingsOf(nameLayers(cell))}>
      <Strong>
        {FINDINGS_SCREEN_WORDS.holdsNineChancesInTenThat(
          describeShare(cell.mean),
          Math.round(cell.lo * 100),
          Math.round(cell.hi * 100),
        )}
      </Strong>
      {readings?.length === 0 ? <Small>{FINDINGS_SCREEN_WORDS.noTestOfItOnThis}</Small> : null}
      {readings?.map(({ piece, pieceName, zone, kind, treatment, held }, i) => (
        <Row
          key={i}
          gap="$s"
          alignItems="center"
          justifyContent="space-between"
          borderTopWidth={1}
          borderColor="$line"
          paddingTop="$s"
        >
          <Column flex={1}>
            <Body>{`${TEST_KIND_FACTS[kind].label}, ${lowerFirst(describeTreatment(treatment))}`}</Body>
            <Link
              href={`/piece/${piece}/prove`}
              style={{ color: tones.act, minHeight: 48, display: 'flex', alignItems: 'center' }}
            >
              {`${pieceName ?? FINDINGS_SCREEN_WORDS.aPiece}, ${lowerFirst(zone)}`}
            </Link>
          </Column>
          <StateMark tone={held ? 'go' : 'stop'}>
            {held ? FINDINGS_SCREEN_WORDS.held : FINDINGS_SCREEN_WORDS.failed}
          </StateMark>
        </Row>
      ))}
    </Column>
  );
}

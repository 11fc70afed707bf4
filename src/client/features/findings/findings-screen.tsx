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
import { describeShare, lowerFirst } from '@/core/shared';
import { CellMark } from './cell-mark';
import { PatternList } from './pattern-list';
import { namePrimer, sayComparison, sayCounts } from './words';
import { describeTreatment } from '@/words';

const PREPS: Record<PrepGroup, string> = {
  none: 'not dulled',
  liquid_degloss: 'deglosser',
  scuff: 'scuffed',
  bare: 'sanded bare or stripped',
};
const MODES = { adhesion: 'Grip', bleed: 'Bleed' } as const;

/** Findings: which primer can be trusted on which surface, by the shop's own tests. */
export function FindingsScreen() {
  const { data, error, refetch } = useGetExperienceQuery(undefined, { refetchOnMountOrArgChange: true });
  return (
    <Screen title="Findings" header={<ShopHeader title="Findings" />}>
      <FindingsTabs />
      {data ? (
        <Column gap="$l">
          <Findings experience={data} />
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
      <Notice tone="wait" title="Nothing tested yet">
        Every patch you scratch or watch in Prove counts here, and in the next plan. Until then plans go by common
        practice.
      </Notice>
    );
  }
  return (
    <Column gap="$l">
      <Body>
        What your own tests say. The mark is the chance to hold, its bar how sure that is. Patches count: several
        readings of one patch stand or fall together.
      </Body>
      <Choices
        label="What was tested"
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

function SurfaceCard({ row, view }: { row: FindingsRow; view: FindingsView }) {
  const wide = useIsWide();
  const [open, setOpen] = useState<string | null>(null);
  const cell = row.cells.find(({ primer }) => primer === open);
  return (
    <Card gap="$m" render="section" aria-label={nameSurface(row)}>
      <Heading>{nameSurface(row)}</Heading>
      {row.leaders ? <Small>{sayComparison(row.leaders)}</Small> : null}
      <View flexDirection="row" flexWrap="wrap" gap="$s" role="list" aria-label={`Primers on ${nameSurface(row)}`}>
        {row.cells.map((own) => (
          <View key={own.primer} role="listitem" width={wide ? '24%' : '48%'}>
            <CellButton
              cell={own}
              on={own.primer === open}
              onPress={() => setOpen(own.primer === open ? null : own.primer)}
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
      aria-label={`${namePrimer(cell.primer)}: holds ${describeShare(cell.mean)}, ${sayCounts(cell)}`}
      onPress={onPress}
      {...{ type: 'button' }}
    >
      <Small color="$ink" textAlign="left">
        {namePrimer(cell.primer)}
      </Small>
      <CellMark cell={cell} />
      <Row width={120} justifyContent="space-between">
        <Small fontSize={11}>never</Small>
        <Small fontSize={11}>half</Small>
        <Small fontSize={11}>always</Small>
      </Row>
      <Small color="$ink" textAlign="left">{`Holds ${describeShare(cell.mean)}`}</Small>
      <Small textAlign="left">{sayCounts(cell)}</Small>
    </View>
  );
}

/** The readings behind a figure, each leading to its piece. */
function Readings({ row, cell, view }: { row: FindingsRow; cell: Cell; view: FindingsView }) {
  const tones = useTones();
  const { substrate, finish } = row;
  const { data: readings } = useListReadingsQuery({ substrate, finish, primer: cell.primer, ...view });
  return (
    <Column gap="$s" role="group" aria-label={`Readings of ${namePrimer(cell.primer)}`}>
      <Strong>{`Holds ${describeShare(cell.mean)}; nine chances in ten that it lies between ${Math.round(cell.lo * 100)} and ${Math.round(cell.hi * 100)} in 100.`}</Strong>
      {readings?.length === 0 ? (
        <Small>No test of it on this surface: what is shown comes from common practice and from its neighbours.</Small>
      ) : null}
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
              {`${pieceName ?? 'A piece'}, ${lowerFirst(zone)}`}
            </Link>
          </Column>
          <StateMark tone={held ? 'go' : 'stop'}>{held ? 'Held' : 'Failed'}</StateMark>
        </Row>
      ))}
    </Column>
  );
}

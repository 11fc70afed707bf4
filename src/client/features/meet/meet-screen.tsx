import { View } from '@tamagui/core';
import { router } from 'expo-router';
import type { ReactNode } from 'react';
import { useMoney } from '@/client/features/money';
import { PieceScreen, type PieceParts } from '@/client/features/piece-frame';
import { PhotoStrip } from '@/client/features/photos';
import { PutAwayCard } from '@/client/features/put-away';
import { timeNow, useSetup, useWorkshop } from '@/client/store';
import {
  Body,
  Button,
  Choices,
  Column,
  Disclosure,
  FileLink,
  KeptField,
  Notice,
  PieceDrawing,
  Row,
  Strong,
  Toggle,
  useIsWide,
} from '@/client/ui';
import { askingOf, listTreated } from '@/core/dossier';
import { assignShapes, KIND_TEMPLATES, templateOf } from '@/core/templates';
import { Counts } from './counts';
import { FIRST_FACTS, HistoryFields, OTHER_FACTS } from './history-fields';
import { Kerb } from './kerb';
import { REGIONS } from './regions';
import { SizeFields } from './size-fields';
import { ZoneEditor } from './zone-editor';
import { MEET_SCREEN_WORDS } from '@/words';

/** Meet: at the kerb, what it is and what it may cost; at home its zones and areas, and what is known of it. Every tap is stored. */
export function MeetScreen() {
  return (
    <PieceScreen stage={MEET_SCREEN_WORDS.meet} action={(parts) => <MeetAction {...parts} />}>
      {(parts) => <Meet {...parts} />}
    </PieceScreen>
  );
}

/** Bought, left, or on to reading it. */
function MeetAction({ dossier, change }: PieceParts) {
  const { money, set } = useMoney(dossier, change);
  const asking = askingOf(dossier);
  const read = (): void => router.replace(`/piece/${dossier.piece.id ?? ''}/read`);
  const open = money.bought === undefined && dossier.chosen === undefined && asking !== undefined;
  return (
    <>
      {open ? (
        <Button grow onPress={() => set({ bought: { amount: asking, at: timeNow() } })}>
          {MEET_SCREEN_WORDS.iBoughtIt}
        </Button>
      ) : null}
      <Button look="main" grow onPress={read}>
        {MEET_SCREEN_WORDS.readItsSurfaces}
      </Button>
    </>
  );
}

function Meet(parts: PieceParts) {
  const wide = useIsWide();
  const { dossier, change } = parts;
  const { piece } = dossier;
  const { id: _id, ...facts } = piece;
  const history = (only: readonly string[]) => (
    <HistoryFields
      only={only}
      value={piece.history ?? {}}
      onChange={(own) => change({ type: 'piece_facts_set', piece: { ...facts, history: own } })}
    />
  );
  const first = dossier.money?.bought === undefined && dossier.chosen === undefined;
  const kerb = <Kerb {...parts} />;
  return (
    <View flexDirection={wide ? 'row' : 'column'} gap="$xl" alignItems="stretch">
      <Column flex={wide ? 1 : undefined} gap="$l">
        <Drawn {...parts} />
        {first ? kerb : null}
        {history(FIRST_FACTS)}
        <FirstSurface {...parts} />
        {first ? null : <Disclosure label={MEET_SCREEN_WORDS.whatItMayCost}>{() => kerb}</Disclosure>}
      </Column>
      <Column flex={wide ? 1 : undefined} gap="$l">
        <Pictures {...parts} />
        <Folded label={MEET_SCREEN_WORDS.moreThatIsKnownOfIt} open={wide}>
          {() => <More {...parts}>{history(OTHER_FACTS)}</More>}
        </Folded>
        <Folded label={MEET_SCREEN_WORDS.zonesAreasAndSize} open={wide}>
          {() => (
            <Column gap="$m">
              <SizeFields {...parts} />
              <ZoneEditor dossier={dossier} change={change} />
            </Column>
          )}
        </Folded>
        <Body>
          <FileLink href={`/api/pieces/${piece.id ?? ''}/dossier`}>
            {MEET_SCREEN_WORDS.saveTheDossierOfThisPiece}
          </FileLink>
        </Body>
        <PutAwayCard dossier={dossier} change={change} />
      </Column>
    </View>
  );
}

/** Of what is old: whether its first surface is on. It is told here, before a rag comes near it. */
function FirstSurface({ dossier, change }: PieceParts) {
  const { id: _id, ...facts } = dossier.piece;
  const known = facts.value === 'antique_first_surface';
  if (facts.history?.era !== 'before_1940' && !known) return null;
  return (
    <Column gap="$s">
      <Row>
        <Toggle
          label={MEET_SCREEN_WORDS.firstSurface}
          on={known}
          onPress={() =>
            change({
              type: 'piece_facts_set',
              piece: { ...facts, value: known ? 'ordinary' : 'antique_first_surface' },
            })
          }
        />
      </Row>
      {known ? (
        <Notice tone="stop" title={MEET_SCREEN_WORDS.askSomebody}>
          {MEET_SCREEN_WORDS.beforeTheRag}
        </Notice>
      ) : null}
    </Column>
  );
}

/** Folded up on a phone; where there is room it lies open. */
function Folded({ label, open, children }: { label: string; open: boolean; children: () => ReactNode }) {
  return open ? children() : <Disclosure label={label}>{children}</Disclosure>;
}

/** The piece as it is drawn, with what can be counted on it. */
function Drawn(parts: PieceParts) {
  const { piece, zones = [] } = parts.dossier;
  const counted = Object.keys(KIND_TEMPLATES[piece.kind].counted).length > 0;
  return (
    <Row gap="$m" alignItems="center" flexWrap="wrap">
      <View flexGrow={1} alignItems="center">
        <PieceDrawing shapes={assignShapes(templateOf(piece).shapes, zones)} width={counted ? 132 : 240} height={112} />
      </View>
      {counted ? (
        <View flexBasis={200} flexGrow={1}>
          <Counts {...parts} />
        </View>
      ) : null}
    </Row>
  );
}

function Pictures(parts: PieceParts) {
  const [zone] = listTreated(parts.dossier);
  return zone ? <PhotoStrip dossier={parts.dossier} zone={zone} change={parts.change} /> : null;
}

function More({ dossier, change, children }: PieceParts & { children: ReactNode }) {
  const { workshop } = useWorkshop();
  const setUp = useSetup(workshop);
  const { id: _id, ...facts } = dossier.piece;
  return (
    <Column gap="$l">
      <KeptField
        label={MEET_SCREEN_WORDS.name}
        value={facts.name}
        most={80}
        needed={MEET_SCREEN_WORDS.giveItANameYouWill}
        onSet={(name) => name && change({ type: 'piece_facts_set', piece: { ...facts, name } })}
      />
      {children}
      <Column gap="$s">
        <Strong>{MEET_SCREEN_WORDS.whereInTheWorldItSets}</Strong>
        <Choices
          label={MEET_SCREEN_WORDS.region}
          options={REGIONS}
          value={REGIONS.find(({ code }) => code === facts.region)?.code}
          onPick={(region) => {
            // Said once, it is so for the shop.
            if (workshop.setup.region !== region) setUp({ region });
            change({ type: 'piece_facts_set', piece: { ...facts, region } });
          }}
        />
      </Column>
    </Column>
  );
}

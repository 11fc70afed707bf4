import { View } from '@tamagui/core';
import { router } from 'expo-router';
import { useMemo, useState } from 'react';
import { useDispatch, useSelector } from 'react-redux';
import { diagnosesOf, placePicked, type AppDispatch, type RootState } from '@/client/store';
import { PhotoStrip } from '@/client/features/photos';
import { PieceScreen, useRouteParam, type PieceParts } from '@/client/features/piece-frame';
import {
  Button,
  Choices,
  Column,
  Notice,
  PieceDrawing,
  ReadingSwatch,
  Row,
  Small,
  useIsWide,
  useKeys,
  type Place,
} from '@/client/ui';
import { listTreated, zoneName, type Dossier, type Zone } from '@/core/dossier';
import { judgeReadingState, type ReadingState } from '@/core/piece';
import { assignShapes, templateOf } from '@/core/templates';
import { AlikeZones } from './alike-zones';
import { DefectList } from './defect-list';
import { Question } from './question';
import { StatedFacts } from './stated-facts';
import { Verdict } from './verdict';
import { READING_STATES, READ_SCREEN_WORDS } from '@/words';

/** Read: what is this surface? One check at a time, the one worth most now. */
export function ReadScreen() {
  return (
    <PieceScreen stage={READ_SCREEN_WORDS.read} note={countSettled} action={(parts) => <ReadAction {...parts} />}>
      {(parts) => <Reading {...parts} />}
    </PieceScreen>
  );
}

function countSettled(dossier: Dossier): string {
  const ids = new Set(listTreated(dossier).map(({ id }) => id));
  const settled = diagnosesOf(dossier).filter(({ id, settled: done }) => done && ids.has(id)).length;
  return READ_SCREEN_WORDS.ofSettled(settled, ids.size);
}

function ReadAction({ dossier }: PieceParts) {
  const ids = new Set(listTreated(dossier).map(({ id }) => id));
  const open = diagnosesOf(dossier).filter(({ id, settled }) => !settled && ids.has(id));
  const to = `/piece/${dossier.piece.id ?? ''}/choose` as const;
  return (
    <Button look={open.length === 0 ? 'main' : 'plain'} grow onPress={() => router.replace(to)}>
      {open.length === 0 ? READ_SCREEN_WORDS.chooseASystem : READ_SCREEN_WORDS.chooseWithWhatIsKnownSo}
    </Button>
  );
}

function Reading({ dossier, change }: PieceParts) {
  const wide = useIsWide();
  const asked = useRouteParam('zone');
  const [placing, setPlacing] = useState<number | null>(null);
  const zones = listTreated(dossier);
  const dispatch = useDispatch<AppDispatch>();
  const place = useSelector((state: RootState) => state.settings.place);
  const diagnoses = diagnosesOf(dossier, place);
  const shapes = useMemo(() => assignShapes(templateOf(dossier.piece).shapes, dossier.zones ?? []), [dossier]);
  const states = new Map(diagnoses.map((diagnosis) => [diagnosis.id, judgeReadingState(diagnosis)]));
  const unsettled = diagnoses.find(({ id, settled }) => !settled && zones.some((zone) => zone.id === id));
  const zone = zones.find(({ id }) => id === asked) ?? zones.find(({ id }) => id === unsettled?.id) ?? zones[0];
  const diagnosis = diagnoses.find(({ id }) => id === zone?.id);
  const pick = (id: string): void => {
    setPlacing(null);
    router.setParams({ zone: id });
  };
  const step = (by: number): void => {
    const at = zones.findIndex(({ id }) => id === zone?.id);
    const next = zones[(at + by + zones.length) % zones.length];
    if (next) pick(next.id);
  };
  useKeys({ ArrowRight: () => step(1), ArrowLeft: () => step(-1) });

  if (!zone || !diagnosis) {
    return (
      <Notice tone="wait" title={READ_SCREEN_WORDS.noZoneToRead}>
        {READ_SCREEN_WORDS.everyZoneIsLeftAsIt}
      </Notice>
    );
  }
  const parts = { zone, diagnosis, dossier, change };
  const defects = zone.defects ?? [];
  const put = (place: Place): void => {
    change({
      type: 'defects_set',
      zoneId: zone.id,
      defects: defects.map((defect, i) => (i === placing ? { ...defect, place: { ...place } } : defect)),
    });
    setPlacing(null);
  };
  const shown = [...new Set(zones.map(({ id }) => states.get(id) ?? 'open'))];
  const side = (
    <>
      <Verdict {...parts} />
      <StatedFacts {...parts} />
      <AlikeZones {...parts} others={zones.filter(({ id }) => id !== zone.id)} />
    </>
  );
  return (
    <View flexDirection={wide ? 'row' : 'column'} gap={wide ? '$xxl' : '$l'}>
      <Column width={wide ? 400 : '100%'} gap="$m">
        <Column alignItems="center" gap="$xs">
          <PieceDrawing
            shapes={shapes}
            width={wide ? 400 : 330}
            height={wide ? 250 : placing === null ? 118 : 240}
            current={zone.id}
            states={states}
            marks={defects.flatMap(({ place }, i) => (place ? [{ ...place, label: String(i + 1) }] : []))}
            onPick={(id) => zones.some((other) => other.id === id) && pick(id)}
            {...(placing === null ? {} : { onPlace: put })}
          />
          {placing === null ? null : <Small role="status">{READ_SCREEN_WORDS.tapThePlaceOnTheDrawing}</Small>}
          <Legend states={shown} />
        </Column>
        <Choices
          label={READ_SCREEN_WORDS.zone}
          options={zones.map((entry) => ({ code: entry.id, label: nameWithState(entry, states) }))}
          value={zone.id}
          onPick={pick}
        />
        {wide ? side : null}
      </Column>
      <Column flex={1} gap="$l">
        <Question
          key={zone.id}
          {...parts}
          place={place}
          onPlace={(picked) => dispatch(placePicked(picked))}
          onNextZone={() => unsettled && pick(unsettled.id)}
          leadZones={diagnoses
            .filter(({ hazards }) => hazards.some(({ gate }) => gate === 'lead_test'))
            .map(({ id }) => id)
            .filter((id) => zones.some((own) => own.id === id && own.like === undefined))}
          more={unsettled !== undefined && unsettled.id !== zone.id}
        />
        {wide ? null : side}
        <DefectList key={`defects-${zone.id}`} {...parts} shapes={shapes} placing={placing} onPlacing={setPlacing} />
        <PhotoStrip dossier={dossier} zone={zone} change={change} />
      </Column>
    </View>
  );
}

const SIGNS: Readonly<Record<ReadingState, string>> = {
  settled: ' ✓',
  conflict: ' ?',
  stopped: ' ✕',
  part: '',
  open: '',
};
const nameWithState = (zone: Zone, states: ReadonlyMap<string, ReadingState>): string =>
  `${zoneName(zone)}${SIGNS[states.get(zone.id) ?? 'open']}`;

function Legend({ states }: { states: readonly ReadingState[] }) {
  return (
    <Row gap="$m" flexWrap="wrap" justifyContent="center">
      {states.map((state) => (
        <Row key={state} gap="$xs" alignItems="center">
          <ReadingSwatch state={state} />
          <Small>{READING_STATES[state]}</Small>
        </Row>
      ))}
    </Row>
  );
}

import { router } from 'expo-router';
import { useMemo } from 'react';
import type { PieceParts } from '@/client/features/piece-frame';
import { timeNow } from '@/client/store';
import { Button, Notice } from '@/client/ui';
import { nameZone, type Dossier } from '@/core/dossier';
import { AS_LOGGED, listDepartures, planOn, type Departure } from '@/core/systems';
import { DEPARTURE_WORDS, describeTreatment, listWords, PHRASES, sayRuledOut } from '@/words';

/** That the log has left the plan: what was put on instead, and how the work goes on from it. */
export function DepartureNotice({ dossier, change }: PieceParts) {
  const departures = useMemo(() => listDepartures(dossier), [dossier]);
  const on = useMemo(
    () => (departures.length === 0 ? null : planOn(dossier, timeNow(), PHRASES)),
    [departures.length, dossier],
  );
  if (on) {
    const [broken] = on.broken;
    const lines = sayDepartures(dossier, on.departures);
    return broken ? (
      <Notice
        tone="stop"
        title={DEPARTURE_WORDS.cannotGoOver}
        action={
          <Button onPress={() => router.replace(`/piece/${dossier.piece.id ?? ''}/mend`)}>
            {DEPARTURE_WORDS.lookInMend}
          </Button>
        }
      >
        {`${lines} ${sayRuledOut(broken.finding)}`}
      </Notice>
    ) : (
      <Notice
        tone="wait"
        title={DEPARTURE_WORDS.otherThanPlanned}
        action={
          <Button onPress={() => change({ type: 'choice_taken', choice: on.choice })}>{DEPARTURE_WORDS.planOn}</Button>
        }
      >
        {lines}
      </Notice>
    );
  }
  const before = dossier.earlier_choices?.at(-1);
  if (dossier.chosen?.system !== AS_LOGGED || !before) return null;
  const changed = dossier.chosen.zones.flatMap(({ id, treatment }): Departure[] => {
    const was = before.zones.find((own) => own.id === id)?.treatment;
    return was && describeTreatment(was) !== describeTreatment(treatment) ? [{ zone: id, is: treatment, was }] : [];
  });
  if (changed.length === 0) return null;
  return (
    <Notice tone="act" title={DEPARTURE_WORDS.otherThanPlanned}>
      {`${sayDepartures(dossier, changed)} ${DEPARTURE_WORDS.planGoesOn}`}
    </Notice>
  );
}

/** What is on instead, zones with the same told together. */
function sayDepartures(dossier: Dossier, departures: readonly Departure[]): string {
  const groups = new Map<string, string[]>();
  for (const { zone, is, was } of departures) {
    const key = JSON.stringify([describeTreatment(is), describeTreatment(was)]);
    groups.set(key, [...(groups.get(key) ?? []), nameZone(dossier, zone)]);
  }
  return [...groups]
    .map(([key, zones]) => {
      const [is, was] = JSON.parse(key) as [string, string];
      return DEPARTURE_WORDS.wasInstead(listWords(zones), is, was);
    })
    .join(' ');
}

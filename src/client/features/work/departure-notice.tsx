import { router } from 'expo-router';
import { useMemo } from 'react';
import type { PieceParts } from '@/client/features/piece-frame';
import { timeNow } from '@/client/store';
import { Button, Notice } from '@/client/ui';
import { nameZone, type Treatment } from '@/core/dossier';
import { AS_LOGGED, listDepartures, planOn } from '@/core/systems';
import { DEPARTURE_WORDS, describeTreatment, listWords, PHRASES, sayRuledOut } from '@/words';

/** That the log has left the plan: what was put on instead, and how the work goes on from it. */
export function DepartureNotice({ dossier, change }: PieceParts) {
  const departures = useMemo(() => listDepartures(dossier), [dossier]);
  const on = useMemo(
    () => (departures.length === 0 ? null : planOn(dossier, timeNow(), PHRASES)),
    [departures.length, dossier],
  );
  const say = (zone: string, is: Treatment, was: Treatment): string =>
    DEPARTURE_WORDS.wasInstead(nameZone(dossier, zone), describeTreatment(is), describeTreatment(was));
  if (on) {
    const [broken] = on.broken;
    const lines = on.departures.map(({ zone, is, was }) => say(zone, is, was)).join(' ');
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
  const changed = dossier.chosen.zones.flatMap(({ id, treatment }) => {
    const was = before.zones.find((own) => own.id === id)?.treatment;
    return was && describeTreatment(was) !== describeTreatment(treatment) ? [{ id, treatment, was }] : [];
  });
  const [first] = changed;
  if (!first) return null;
  const zones = listWords(changed.map(({ id }) => nameZone(dossier, id)));
  return (
    <Notice tone="act" title={DEPARTURE_WORDS.otherThanPlanned}>
      {`${DEPARTURE_WORDS.wasInstead(zones, describeTreatment(first.treatment), describeTreatment(first.was))} ${DEPARTURE_WORDS.planGoesOn}`}
    </Notice>
  );
}

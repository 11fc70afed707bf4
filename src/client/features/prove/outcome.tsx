import { useState } from 'react';
import { Body, Button, Choices, Column, Disclosure, Row, Small } from '@/client/ui';
import { sayDate } from '@/client/features/shop-plan';
import { makeId, useToday, timeNow } from '@/client/store';
import { nameZone, zoneName, type Dossier, type Outcome } from '@/core/dossier';
import { OUTCOME_WORDS } from '@/words';

/** How the piece fared in use: what came back teaches more than a patch. */
export function ServiceOutcome({ dossier, onRecord }: { dossier: Dossier; onRecord: (outcome: Outcome) => void }) {
  const [zone, setZone] = useState('');
  const now = useToday();
  const outcomes = dossier.outcomes ?? [];
  const record = (outcome: Pick<Outcome, 'outcome' | 'mode'>): void =>
    onRecord({ id: makeId(), at: timeNow(), ...outcome, ...(zone === '' ? {} : { zone }) });
  return (
    <Disclosure label={outcomes.length > 0 ? OUTCOME_WORDS.inUse(outcomes.length) : OUTCOME_WORDS.howDidItFareInUse}>
      {() => (
        <Column gap="$m">
          <Body>{OUTCOME_WORDS.threeMonthsInAHouseSay}</Body>
          {outcomes.map((outcome) => (
            <Small
              key={outcome.id}
            >{`${outcome.at ? sayDate(outcome.at, now) : ''} ${outcome.zone ? nameZone(dossier, outcome.zone) : OUTCOME_WORDS.wholePiece}: ${sayOutcome(outcome)}`}</Small>
          ))}
          <Choices
            label={OUTCOME_WORDS.whichPart}
            options={[
              { code: '', label: OUTCOME_WORDS.theWholePiece },
              ...(dossier.zones ?? []).map((own) => ({ code: own.id, label: zoneName(own) })),
            ]}
            value={zone}
            onPick={setZone}
          />
          <Row gap="$s" flexWrap="wrap">
            <Button onPress={() => record({ outcome: 'fine' })}>{OUTCOME_WORDS.fineAfter3Months}</Button>
            <Button onPress={() => record({ outcome: 'came_back', mode: 'adhesion' })}>
              {OUTCOME_WORDS.cameBackItPeels}
            </Button>
            <Button onPress={() => record({ outcome: 'came_back', mode: 'bleed' })}>
              {OUTCOME_WORDS.cameBackColourCameThrough}
            </Button>
          </Row>
        </Column>
      )}
    </Disclosure>
  );
}

const sayOutcome = ({ outcome, mode }: Outcome): string =>
  outcome === 'fine'
    ? OUTCOME_WORDS.fineInUse
    : mode === 'bleed'
      ? OUTCOME_WORDS.colourCameThrough
      : OUTCOME_WORDS.itPeels;

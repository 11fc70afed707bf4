import { useState } from 'react';
import { Body, Button, Choices, Column, Disclosure, Row, Small } from '@/client/ui';
import { sayDate } from '@/client/features/shop-plan';
import { makeId, useToday, timeNow } from '@/client/store';
import { nameZone, zoneName, type Dossier, type Outcome } from '@/core/dossier';

/** How the piece fared in use: what came back teaches more than a patch. */
export function ServiceOutcome({ dossier, onRecord }: { dossier: Dossier; onRecord: (outcome: Outcome) => void }) {
  const [zone, setZone] = useState('');
  const now = useToday();
  const outcomes = dossier.outcomes ?? [];
  const record = (outcome: Pick<Outcome, 'outcome' | 'mode'>): void =>
    onRecord({ id: makeId(), at: timeNow(), ...outcome, ...(zone === '' ? {} : { zone }) });
  return (
    <Disclosure
      label={
        outcomes.length > 0
          ? `In use: ${outcomes.length} ${outcomes.length === 1 ? 'report' : 'reports'}`
          : 'How did it fare in use?'
      }
    >
      {() => (
        <Column gap="$m">
          <Body>
            Three months in a house say as much about a system as two patches. It counts in Findings and in the next
            plan.
          </Body>
          {outcomes.map((outcome) => (
            <Small
              key={outcome.id}
            >{`${outcome.at ? sayDate(outcome.at, now) : ''} ${outcome.zone ? nameZone(dossier, outcome.zone) : 'Whole piece'}: ${sayOutcome(outcome)}`}</Small>
          ))}
          <Choices
            label="Which part"
            options={[
              { code: '', label: 'The whole piece' },
              ...(dossier.zones ?? []).map((own) => ({ code: own.id, label: zoneName(own) })),
            ]}
            value={zone}
            onPick={setZone}
          />
          <Row gap="$s" flexWrap="wrap">
            <Button onPress={() => record({ outcome: 'fine' })}>Fine after 3 months</Button>
            <Button onPress={() => record({ outcome: 'came_back', mode: 'adhesion' })}>Came back: it peels</Button>
            <Button onPress={() => record({ outcome: 'came_back', mode: 'bleed' })}>
              Came back: colour came through
            </Button>
          </Row>
        </Column>
      )}
    </Disclosure>
  );
}

const sayOutcome = ({ outcome, mode }: Outcome): string =>
  outcome === 'fine' ? 'fine in use' : mode === 'bleed' ? 'colour came through' : 'it peels';

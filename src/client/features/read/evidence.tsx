import { Body, Button, Card, Column, Disclosure, Notice, Row, Small, StateMark, Subheading } from '@/client/ui';
import { resultOf, type Observation, type PieceChange, type Zone } from '@/core/dossier';
import { findAnswer, findCheck } from '@/core/knowledge';
import type { Contradiction, EvidenceItem } from '@/core/survey';
import { sayClash } from '@/words';

interface Parts {
  zone: Zone;
  change: (change: PieceChange) => void;
}

const STRENGTH_WORDS: Readonly<Record<string, string>> = {
  '+++': 'Very strong',
  '++': 'Strong',
  '+': 'Some',
  '-': 'Some',
  '--': 'Strong',
  '---': 'Very strong',
};
const BASIS_WORDS = { published: 'published', practice: 'common practice', estimate: 'our estimate' } as const;

/** Marks an answer as doubtful or as made twice, or plain again. */
function setCertainty({ zone, change }: Parts, id: string, certainty: Observation['certainty']): void {
  const observation = zone.observations?.find((entry) => entry.id === id);
  if (!observation) return;
  const { certainty: _old, ...rest } = observation;
  change({
    type: 'observation_recorded',
    zoneId: zone.id,
    observation: { ...rest, id, ...(certainty === undefined ? {} : { certainty }) },
  });
}

/** The owner looked too after all, and it is as the photograph had it. */
function confirmLook({ zone, change }: Parts, id: string): void {
  const observation = zone.observations?.find((entry) => entry.id === id);
  const proposed = observation && resultOf(observation);
  if (!observation || proposed === undefined) return;
  const { by: _camera, ...rest } = observation;
  change({ type: 'observation_recorded', zoneId: zone.id, observation: { ...rest, id, proposed } });
}

/** Answers that do not fit together: which one to make again, and what to do with it then. */
export function Clash({ zone, contradiction, change }: Parts & { contradiction: Contradiction }) {
  const { observationId: id } = contradiction;
  const own = zone.observations?.find((entry) => entry.id !== undefined && entry.id === id);
  return (
    <Notice
      tone="wait"
      title={
        contradiction.check === 'stated'
          ? 'The checks speak against what you said'
          : contradiction.defect
            ? 'Can this be here?'
            : 'These answers do not fit together'
      }
      action={
        own && id ? (
          <Row gap="$s" flexWrap="wrap">
            <Button onPress={() => change({ type: 'observation_withdrawn', zoneId: zone.id, observationId: id })}>
              Take it back and ask again
            </Button>
            <Button onPress={() => setCertainty({ zone, change }, id, 'confirmed')}>I made it twice: it stands</Button>
            {own.certainty === 'doubtful' ? null : (
              <Button onPress={() => setCertainty({ zone, change }, id, 'doubtful')}>I am not sure of it</Button>
            )}
          </Row>
        ) : null
      }
    >
      {sayClash(contradiction.because)}
    </Notice>
  );
}

/** Every answer with what it says, how strongly and on what basis; each open to correction. */
export function Evidence({ zone, evidence, change }: Parts & { evidence: readonly EvidenceItem[] }) {
  if (evidence.length === 0)
    return <Small>No check made yet: this is what the kind, the age and the room suggest.</Small>;
  return (
    <Disclosure label={`Why? ${evidence.length === 1 ? 'One answer' : `${evidence.length} answers`} so far`}>
      {() => (
        <Column gap="$s">
          {evidence.map((item, i) => (
            <EvidenceCard key={item.observationId ?? i} item={item} zone={zone} change={change} />
          ))}
        </Column>
      )}
    </Disclosure>
  );
}

function EvidenceCard({ item, zone, change }: Parts & { item: EvidenceItem }) {
  const { observationId: id } = item;
  const byCamera = zone.observations?.some((own) => own.id === id && own.by === 'camera') === true;
  return (
    <Card gap="$xs">
      <Subheading>{findAnswer(item.check, item.result)?.label ?? item.result}</Subheading>
      <Small>{findCheck(item.check)?.title ?? item.check}</Small>
      <Body>{`${STRENGTH_WORDS[item.strength] ?? ''} evidence ${item.speaks} ${item.aboutLabel} (${BASIS_WORDS[item.basis]})`}</Body>
      {item.certainty === 'doubtful' ? <StateMark tone="wait">Doubtful: counts for less</StateMark> : null}
      {item.certainty === 'confirmed' ? <StateMark tone="go">Made twice</StateMark> : null}
      {byCamera ? <Small>By a photograph: it counts as such looks do.</Small> : null}
      {item.lent ? <Small>From the zone this one is like.</Small> : null}
      {id && !item.lent ? (
        <Row gap="$s" flexWrap="wrap">
          <Button
            onPress={() => setCertainty({ zone, change }, id, item.certainty === 'doubtful' ? undefined : 'doubtful')}
          >
            {item.certainty === 'doubtful' ? 'I am sure of it' : 'I am not sure of it'}
          </Button>
          {byCamera ? (
            <Button onPress={() => confirmLook({ zone, change }, id)}>I looked myself: it is so</Button>
          ) : null}
          <Button onPress={() => change({ type: 'observation_withdrawn', zoneId: zone.id, observationId: id })}>
            Take this answer back
          </Button>
        </Row>
      ) : null}
    </Card>
  );
}

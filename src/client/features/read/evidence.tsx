import { Body, Button, Card, Column, Disclosure, Notice, Row, Small, StateMark, Subheading } from '@/client/ui';
import { resultOf, type Observation, type PieceChange, type Zone } from '@/core/dossier';
import { findAnswer, findCheck } from '@/core/knowledge';
import type { Contradiction, EvidenceItem } from '@/core/survey';
import { EVIDENCE_WORDS, sayClash } from '@/words';

interface Parts {
  zone: Zone;
  change: (change: PieceChange) => void;
}

const STRENGTH_WORDS: Readonly<Record<string, string>> = {
  '+++': EVIDENCE_WORDS.veryStrong,
  '++': EVIDENCE_WORDS.strong,
  '+': EVIDENCE_WORDS.some,
  '-': EVIDENCE_WORDS.some,
  '--': EVIDENCE_WORDS.strong,
  '---': EVIDENCE_WORDS.veryStrong,
};
const BASIS_WORDS = {
  published: EVIDENCE_WORDS.published,
  practice: EVIDENCE_WORDS.commonPractice,
  estimate: EVIDENCE_WORDS.ourEstimate,
} as const;

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
          ? EVIDENCE_WORDS.theChecksSpeakAgainstWhatYou
          : contradiction.defect
            ? EVIDENCE_WORDS.canThisBeHere
            : EVIDENCE_WORDS.theseAnswersDoNotFitTogether
      }
      action={
        own && id ? (
          <Row gap="$s" flexWrap="wrap">
            <Button onPress={() => change({ type: 'observation_withdrawn', zoneId: zone.id, observationId: id })}>
              {EVIDENCE_WORDS.takeItBackAndAskAgain}
            </Button>
            <Button onPress={() => setCertainty({ zone, change }, id, 'confirmed')}>
              {EVIDENCE_WORDS.iMadeItTwiceItStands}
            </Button>
            {own.certainty === 'doubtful' ? null : (
              <Button onPress={() => setCertainty({ zone, change }, id, 'doubtful')}>
                {EVIDENCE_WORDS.iAmNotSureOfIt}
              </Button>
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
  if (evidence.length === 0) return <Small>{EVIDENCE_WORDS.noCheckMadeYetThisIs}</Small>;
  return (
    <Disclosure label={EVIDENCE_WORDS.whySoFar(evidence.length)}>
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
      <Body>
        {EVIDENCE_WORDS.evidence(
          STRENGTH_WORDS[item.strength] ?? '',
          item.speaks,
          item.aboutLabel,
          BASIS_WORDS[item.basis],
        )}
      </Body>
      {item.certainty === 'doubtful' ? <StateMark tone="wait">{EVIDENCE_WORDS.doubtfulCountsForLess}</StateMark> : null}
      {item.certainty === 'confirmed' ? <StateMark tone="go">{EVIDENCE_WORDS.madeTwice}</StateMark> : null}
      {byCamera ? <Small>{EVIDENCE_WORDS.byAPhotographItCountsAs}</Small> : null}
      {item.lent ? <Small>{EVIDENCE_WORDS.fromTheZoneThisOneIs}</Small> : null}
      {id && !item.lent ? (
        <Row gap="$s" flexWrap="wrap">
          <Button
            onPress={() => setCertainty({ zone, change }, id, item.certainty === 'doubtful' ? undefined : 'doubtful')}
          >
            {item.certainty === 'doubtful' ? EVIDENCE_WORDS.iAmSureOfIt : EVIDENCE_WORDS.iAmNotSureOfIt}
          </Button>
          {byCamera ? (
            <Button onPress={() => confirmLook({ zone, change }, id)}>{EVIDENCE_WORDS.iLookedMyselfItIsSo}</Button>
          ) : null}
          <Button onPress={() => change({ type: 'observation_withdrawn', zoneId: zone.id, observationId: id })}>
            {EVIDENCE_WORDS.takeThisAnswerBack}
          </Button>
        </Row>
      ) : null}
    </Card>
  );
}

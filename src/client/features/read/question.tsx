import { useState } from 'react';
import { makeId, timeNow } from '@/client/store';
import {
  Body,
  Button,
  Card,
  Choices,
  Column,
  Heading,
  Notice,
  Row,
  Small,
  useIsWide,
  type ChoiceOption,
  Sheet,
  Toggle,
} from '@/client/ui';
import { zoneName, type Observation, type Zone } from '@/core/dossier';
import { CHECKS, findCheck, NUMBER_CHECKS } from '@/core/knowledge';
import { isStoppedByLead, mayCheck, nextQuestion, type Circumstance } from '@/core/survey';
import { CheckCard } from './check-card';
import { Clash } from './evidence';
import { MoistureCard } from './moisture-card';
import type { ReadingParts } from './reading-words';
import { BeliefLine } from './verdict';
import { lowerFirst } from '@/core/shared';
import { QUESTION_WORDS, nameHazard, sayHazard, sayHold } from '@/words';

interface QuestionProps extends ReadingParts {
  place: Circumstance;
  onPlace: (place: Circumstance) => void;
  onNextZone: () => void;
  more: boolean;
  /** Zones whose old coat may hold lead, as long as no test has told. */
  leadZones: readonly string[];
}

/** The check that matters most now, or any other the owner picks; hazards stand above it. */
export function Question({
  zone,
  diagnosis,
  dossier,
  change,
  place,
  onPlace,
  onNextZone,
  more,
  leadZones,
}: QuestionProps) {
  const wide = useIsWide();
  const [other, setOther] = useState<string | null>(null);
  const [sameCoat, setSameCoat] = useState(false);
  const stopped = isStoppedByLead(diagnosis.hazards);
  const code = other ?? nextQuestion(diagnosis) ?? undefined;
  const check = code ? findCheck(code) : undefined;
  const record = (observation: Omit<Observation, 'check'>): void => {
    setOther(null);
    const at = timeNow();
    const others = code === 'lead_test' && sameCoat ? leadZones.filter((id) => id !== zone.id) : [];
    for (const zoneId of [zone.id, ...others])
      change({ type: 'observation_recorded', zoneId, observation: { ...observation, id: makeId(), check: code!, at } });
  };
  const skip = (): void => {
    setOther(null);
    change({ type: 'skips_set', zoneId: zone.id, checks: [...new Set([...(zone.skipped_checks ?? []), code!])] });
  };
  const noAir = (): void => change({ type: 'goal_set', goal: { ...dossier.goal, ventilation: 'none' } });
  return (
    <Column gap="$m">
      {wide ? null : <BeliefLine diagnosis={diagnosis} />}
      {diagnosis.hazards.map((hazard) => (
        <Notice
          key={hazard.code}
          tone={hazard.gate || hazard.hold ? 'stop' : 'wait'}
          title={nameHazard(hazard)}
          action={
            hazard.gate === 'lead_test' && code !== 'lead_test' ? (
              <Button onPress={() => setOther('lead_test')}>{QUESTION_WORDS.testForLead}</Button>
            ) : undefined
          }
        >
          {[sayHazard(hazard), hazard.hold ? sayHold(hazard.hold) : ''].join(' ').trim()}
        </Notice>
      ))}
      {diagnosis.contradictions.map((contradiction) => (
        <Clash key={contradiction.check} zone={zone} contradiction={contradiction} change={change} />
      ))}
      {code === 'lead_test' && leadZones.length > 1 && !stopped ? (
        <Row>
          <Toggle
            label={QUESTION_WORDS.sameOldCoat(leadZones.length)}
            on={sameCoat}
            onPress={() => setSameCoat(!sameCoat)}
          />
        </Row>
      ) : null}
      {check && !stopped ? (
        <CheckCard
          key={check.code}
          check={check}
          worth={diagnosis.nextChecks.find((next) => next.check === code)}
          canSkip={check.code !== 'lead_test'}
          {...(dossier.misreadings ? { misreadings: dossier.misreadings } : {})}
          onAnswer={(result, test) => record({ result, ...test })}
          onSkip={skip}
          {...(check.care === 'solvent' ? { onNoAir: noAir } : {})}
        />
      ) : null}
      {code === 'moisture_meter' && !stopped ? (
        <MoistureCard dossier={dossier} change={change} onRead={record} />
      ) : null}
      {code === undefined && !stopped ? (
        <Settled
          zone={zone}
          place={place}
          clash={diagnosis.contradictions.length > 0}
          more={more}
          onNextZone={onNextZone}
        />
      ) : null}
      <TakeBackLast zone={zone} change={change} />
      {stopped ? null : (
        <Choices
          label={QUESTION_WORDS.whereItStands}
          options={PLACES}
          value={place}
          onPick={(picked) => {
            setOther(null);
            onPlace(picked);
          }}
        />
      )}
      {stopped ? null : (
        <OtherChecks zone={zone} diagnosis={diagnosis} place={place} current={code} onPick={setOther} />
      )}
    </Column>
  );
}

const PLACES: readonly ChoiceOption<Circumstance>[] = [
  { code: 'bench', label: QUESTION_WORDS.inTheWorkshop },
  { code: 'kerb', label: QUESTION_WORDS.atTheKerb, hint: QUESTION_WORDS.looksOnly },
];

function TakeBackLast({ zone, change }: Pick<QuestionProps, 'zone' | 'change'>) {
  const last = zone.observations?.at(-1);
  const id = last?.id;
  if (id === undefined) return null;
  const answer = findCheck(last?.check ?? '')?.answers.find(({ code }) => code === last?.result)?.label;
  return (
    <Row>
      <Button
        look="quiet"
        onPress={() => change({ type: 'observation_withdrawn', zoneId: zone.id, observationId: id })}
      >
        {answer ? QUESTION_WORDS.takeBack(answer) : QUESTION_WORDS.takeBackTheLastAnswer}
      </Button>
    </Row>
  );
}

interface SettledProps {
  zone: Zone;
  place: Circumstance;
  clash: boolean;
  more: boolean;
  onNextZone: () => void;
}

function Settled({ zone, place, clash, more, onNextZone }: SettledProps) {
  return (
    <Card gap="$m">
      <Heading>
        {place === 'kerb' ? QUESTION_WORDS.nothingMoreToBeSeenHere : QUESTION_WORDS.nothingLeftToAskWouldChange}
      </Heading>
      <Body>
        {clash
          ? QUESTION_WORDS.butAnswersClashSettleThatFirst
          : place === 'kerb'
            ? QUESTION_WORDS.whatHasToBeWettedRubbed
            : zone.observations?.length || zone.like
              ? QUESTION_WORDS.theIsRead(lowerFirst(zoneName(zone)))
              : QUESTION_WORDS.whatIsKnownOfThePiece}
      </Body>
      {more ? (
        <Button look="main" onPress={onNextZone}>
          {QUESTION_WORDS.nextZone}
        </Button>
      ) : null}
    </Card>
  );
}

interface OtherChecksProps {
  zone: Zone;
  diagnosis: ReadingParts['diagnosis'];
  place: Circumstance;
  current: string | undefined;
  onPick: (code: string) => void;
}

/** Any check can be made at any time, but for what lead or the kerb forbids. One that was made may be made again. */
function OtherChecks({ zone, diagnosis, place, current, onPick }: OtherChecksProps) {
  const leadOpen = diagnosis.hazards.some(({ gate }) => gate === 'lead_test');
  const done = new Set(zone.observations?.map(({ check }) => check));
  const free = [
    ...CHECKS.filter((check) => (!done.has(check.code) || check.measures) && mayCheck(check, { leadOpen, at: place })),
    ...Object.entries(NUMBER_CHECKS).map(([code, { title }]) => ({ code, title })),
  ].filter(({ code }) => code !== current);
  return (
    <Sheet label={QUESTION_WORDS.makeAnotherCheck}>
      {(close) => (
        <Column gap="$s">
          {leadOpen ? <Small>{QUESTION_WORDS.checksThatRaiseDustAreNot}</Small> : null}
          <Choices
            label={QUESTION_WORDS.otherChecks}
            options={free.map(({ code, title }) => ({ code, label: title }))}
            onPick={(code) => {
              close();
              onPick(code);
            }}
          />
        </Column>
      )}
    </Sheet>
  );
}

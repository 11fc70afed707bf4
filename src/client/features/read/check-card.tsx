import { useMemo, useState } from 'react';
import {
  AnswerGlyph,
  Button,
  Choices,
  Column,
  Disclosure,
  Heading,
  Row,
  Small,
  StateMark,
  Strong,
  useKeys,
} from '@/client/ui';
import type { Observation } from '@/core/dossier';
import { CAMERA_LOOKS, LEAD_KIT_FACTS, LEAD_KITS, type Check, type LeadKit } from '@/core/knowledge';
import type { Misreadings, NextCheck } from '@/core/survey';
import { CHECK_CARD_WORDS, formatChance, sayForesight, sayWorth } from '@/words';
import { CameraLook } from './camera-look';

interface CheckCardProps {
  check: Check;
  worth: NextCheck | undefined;
  canSkip: boolean;
  misreadings?: Misreadings;
  onAnswer: (result: string, test?: Pick<Observation, 'kit' | 'by' | 'proposed'>) => void;
  onSkip: () => void;
  /** Given for solvent checks: there is no fresh air here. */
  onNoAir?: () => void;
}

const CARE_WORDS = {
  solvent: CHECK_CARD_WORDS.solventDoorOpenGlovesNoFlames,
  abrasion: CHECK_CARD_WORDS.dustMaskOn,
} as const;

const MARKS = [
  CHECK_CARD_WORDS.leavesNoMark,
  CHECK_CARD_WORDS.leavesASmallHiddenMark,
  CHECK_CARD_WORDS.leavesAVisibleMark,
] as const;

/** One question: what to do, where, what it costs, and its answers as big tiles. Keys 1 to 9 answer, 0 cannot tell. */
export function CheckCard({ check, worth, canSkip, misreadings = {}, onAnswer, onSkip, onNoAir }: CheckCardProps) {
  const [kit, setKit] = useState<LeadKit>('home_swab');
  const [proposed, setProposed] = useState<string | null>(null);
  const answer = useMemo(
    () => (code: string) => {
      if (check.code === 'lead_test') onAnswer(code, { kit });
      else if (proposed !== null) onAnswer(code, { proposed });
      else onAnswer(code);
    },
    [check.code, kit, proposed, onAnswer],
  );
  useKeys(
    useMemo(() => {
      const keys = check.answers.map(({ code }, i) => [String(i + 1), () => answer(code)] as const);
      return Object.fromEntries(canSkip ? [...keys, ['0', onSkip] as const] : keys);
    }, [check, canSkip, answer, onSkip]),
  );
  return (
    <Column gap="$m" render="section" aria-label={CHECK_CARD_WORDS.check}>
      <Column gap="$xs">
        <Heading>{check.title}</Heading>
        <Small>
          {`${check.where}. ${sayMinutes(check)}, ${MARKS[check.mark]}.`}
          {worth ? CHECK_CARD_WORDS.worthAboutMinOfWork(Math.max(1, Math.round(worth.worthMinutes))) : ''}
        </Small>
      </Column>
      {check.care ? <StateMark tone="wait">{CARE_WORDS[check.care]}</StateMark> : null}
      {check.code === 'lead_test' ? (
        <Column gap="$s">
          <Strong>{CHECK_CARD_WORDS.whichKindOfTest}</Strong>
          <Choices
            label={CHECK_CARD_WORDS.kindOfLeadTest}
            options={LEAD_KITS.map((code) => ({ code, label: LEAD_KIT_FACTS[code].label }))}
            value={kit}
            onPick={setKit}
          />
        </Column>
      ) : null}
      <Choices
        label={check.title}
        tileWidth={98}
        options={check.answers.map(({ code, label, hint }) => ({
          code,
          label,
          ...(hint ? { hint } : {}),
          drawing: <AnswerGlyph check={check.code} answer={code} />,
        }))}
        onPick={answer}
      />
      <Row gap="$s" flexWrap="wrap">
        {canSkip ? <Button onPress={onSkip}>{CHECK_CARD_WORDS.cantTell}</Button> : null}
        {onNoAir ? (
          <Button look="quiet" onPress={onNoAir}>
            {CHECK_CARD_WORDS.noFreshAirHere}
          </Button>
        ) : null}
      </Row>
      {check.code in CAMERA_LOOKS ? (
        <CameraLook
          check={check}
          misreadings={misreadings}
          onPropose={setProposed}
          onTake={(code) => onAnswer(code, { by: 'camera' })}
        />
      ) : null}
      {worth ? <Foresight check={check} worth={worth} /> : null}
    </Column>
  );
}

/** What each answer would bring into the plan or take out of it. */
function Foresight({ check, worth }: { check: Check; worth: NextCheck }) {
  return (
    <Column gap="$s">
      <Small>{sayWorth(worth)}</Small>
      <Disclosure label={CHECK_CARD_WORDS.whatWouldEachAnswerChange}>
        {() => (
          <Column role="list" gap="$xs">
            {worth.answers.map(({ code, p, changes }) => (
              <Small key={code} role="listitem">
                {`${check.answers.find((answer) => answer.code === code)?.label ?? code} (${formatChance(p)}): ${sayForesight(changes)}.`}
              </Small>
            ))}
          </Column>
        )}
      </Disclosure>
    </Column>
  );
}

function sayMinutes({ minutes, waitHours }: Check): string {
  if (waitHours > 0) return CHECK_CARD_WORDS.minThenLookAfterH(minutes, waitHours);
  return minutes < 1 ? CHECK_CARD_WORDS.halfAMinute : CHECK_CARD_WORDS.min(minutes);
}

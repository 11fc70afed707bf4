import { useMemo } from 'react';
import { AnswerGlyph, hasGlyph, Button, Choices, Column, Heading, Small, StateMark, useKeys } from '@/client/ui';
import type { Check } from '@/core/knowledge';
import type { NextCheck } from '@/core/survey';

interface CheckCardProps {
  check: Check;
  worth: NextCheck | undefined;
  canSkip: boolean;
  onAnswer: (result: string) => void;
  onSkip: () => void;
}

const CARE_WORDS = {
  solvent: 'Solvent: door open, gloves, no flames; the rag goes into a lidded can.',
  abrasion: 'Dust: mask on.',
} as const;

const MARKS = ['leaves no mark', 'leaves a small hidden mark', 'leaves a visible mark'] as const;

/** One question: what to do, where, what it costs, and its answers as big tiles. Keys 1 to 9 answer, 0 cannot tell. */
export function CheckCard({ check, worth, canSkip, onAnswer, onSkip }: CheckCardProps) {
  useKeys(
    useMemo(() => {
      const answers = check.answers.map((answer, i) => [String(i + 1), () => onAnswer(answer.code)] as const);
      return Object.fromEntries(canSkip ? [...answers, ['0', onSkip] as const] : answers);
    }, [check, canSkip, onAnswer, onSkip]),
  );
  return (
    <Column gap="$m" render="section" aria-label="Check">
      <Column gap="$xs">
        <Heading>{check.title}</Heading>
        <Small>
          {`${check.where}. ${sayMinutes(check)}, ${MARKS[check.mark]}.`}
          {worth ? ` Worth about ${Math.max(1, Math.round(worth.worthMinutes))} min of work.` : ''}
        </Small>
      </Column>
      {check.care ? <StateMark tone="wait">{CARE_WORDS[check.care]}</StateMark> : null}
      <Choices
        label={check.title}
        tileWidth={98}
        options={check.answers.map((answer) => ({
          code: answer.code,
          label: answer.label,
          ...(answer.hint ? { hint: answer.hint } : {}),
          ...(hasGlyph(check.code, answer.code)
            ? { drawing: <AnswerGlyph check={check.code} answer={answer.code} /> }
            : {}),
        }))}
        onPick={onAnswer}
      />
      {canSkip ? <Button onPress={onSkip}>Can’t tell</Button> : null}
      {worth ? <Small>{worth.why}</Small> : null}
    </Column>
  );
}

function sayMinutes({ minutes, waitHours }: Check): string {
  if (waitHours > 0) return `${minutes} min, then look after ${waitHours} h`;
  return minutes < 1 ? 'Half a minute' : `${minutes} min`;
}

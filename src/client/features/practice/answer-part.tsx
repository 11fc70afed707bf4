import { useMemo, useState } from 'react';
import { Button, Choices, Column, Row, Strong, useKeys } from '@/client/ui';
import type { Exercise } from '@/core/practice';
import { CONFIDENCES, type Confidence } from '@/core/workshop';
import { ANSWER_PART_WORDS, nameConfidence, nameOption } from '@/words';
import { AtThumb } from './at-thumb';

interface AnswerPartProps {
  exercise: Exercise;
  label: string;
  onAnswer: (said: string, confidence: Confidence) => void;
  /** Keys 1 to 9 pick an answer; off while something else has them. */
  keys?: boolean;
}

/** What is offered, then how sure one is: the second tap gives the answer. Keys: a number, then s, f or g. */
export function AnswerPart({ exercise, label, onAnswer, keys = true }: AnswerPartProps) {
  const [picked, setPicked] = useState<string | null>(null);
  const options = useMemo(
    () => exercise.options.map((code) => ({ code: code as string, ...nameOption(exercise, code) })),
    [exercise],
  );
  useKeys(
    useMemo(() => {
      const numbers = keys ? options.map(({ code }, i) => [String(i + 1), () => setPicked(code)] as const) : [];
      const sure = CONFIDENCES.map((own) => [own[0]!, () => picked !== null && onAnswer(picked, own)] as const);
      return Object.fromEntries([...numbers, ...sure]) as Record<string, () => void>;
    }, [keys, options, picked, onAnswer]),
  );
  return (
    <Column gap="$m">
      <Choices label={label} tileWidth={140} options={options} value={picked ?? undefined} onPick={setPicked} />
      {picked === null ? null : (
        <AtThumb label={ANSWER_PART_WORDS.howSureAreYou}>
          <Strong>{ANSWER_PART_WORDS.howSureAreYou}</Strong>
          <Row gap="$s" flexWrap="wrap" justifyContent="center">
            {CONFIDENCES.map((own) => (
              <Button key={own} onPress={() => onAnswer(picked, own)}>
                {nameConfidence(own)}
              </Button>
            ))}
          </Row>
        </AtThumb>
      )}
    </Column>
  );
}

import { useEffect, useId, useMemo, useState } from 'react';
import { Skeleton } from '@/client/features/piece-frame';
import { Body, Button, Card, Column, Heading, Notice, Small, useKeys } from '@/client/ui';
import { nameConfidence, explainExercise, askExercise, nameExercise, nameOption, nameAnswer } from '@/words';
import { pictureOf, type Exercise, type SurfaceExercise, type SurfaceTold } from '@/core/practice';
import { findCheck } from '@/core/knowledge';
import { formatChance, lowerFirst } from '@/core/shared';
import type { Confidence, PracticeLook } from '@/core/workshop';
import { AtThumb } from './at-thumb';
import { AnswerPart } from './answer-part';
import { CaseFacts } from './case-facts';
import { MadePicture } from './made-picture';
import { practiceLine } from './practice-line';
import { SurfaceLooks } from './surface-looks';
import type { Given } from './use-exercise';

interface ExerciseViewProps {
  exercise: Exercise;
  given: Given | null;
  onAnswer: (said: string, confidence: Confidence, looks?: readonly PracticeLook[]) => void;
  onNext: () => void;
}

/** One question, then how it truly is and why. */
export function ExerciseView({ exercise, given, onAnswer, onNext }: ExerciseViewProps) {
  const [looks, setLooks] = useState<readonly PracticeLook[]>([]);
  const [reading, setReading] = useState<string | null>(null);
  const picture = useMemo(() => pictureOf(exercise), [exercise]);
  return (
    <Column gap="$l" render="section" aria-label={nameExercise(exercise.kind)}>
      <Column gap="$xs">
        <Small>{nameExercise(exercise.kind)}</Small>
        <Heading>{askExercise(exercise)}</Heading>
      </Column>
      {picture ? <MadePicture spec={picture} label="What is to be seen" /> : null}
      <CaseFacts exercise={exercise} />
      {exercise.kind === 'surface' && !given ? (
        <SurfaceLooks
          exercise={exercise}
          looks={looks}
          onLook={(look) => {
            setReading(null);
            setLooks([...looks, look]);
          }}
          reading={reading}
          onRead={setReading}
        />
      ) : null}
      {given ? (
        <Result exercise={exercise} given={given} looks={looks} onNext={onNext} />
      ) : reading ? null : (
        <AnswerPart
          exercise={exercise}
          label={askExercise(exercise)}
          onAnswer={(said, confidence) => onAnswer(said, confidence, looks)}
        />
      )}
    </Column>
  );
}

interface ResultProps {
  exercise: Exercise;
  given: Given;
  looks: readonly PracticeLook[];
  onNext: () => void;
}

function Result({ exercise, given, looks, onNext }: ResultProps) {
  useKeys(useMemo(() => ({ Enter: onNext }), [onNext]));
  const said = nameOption(exercise, given.said).label;
  return (
    <Column gap="$m">
      <Notice live tone={given.right ? 'go' : 'stop'} title={given.right ? 'Right' : 'Not so'}>
        {`You said: ${lowerFirst(said)} (${lowerFirst(nameConfidence(given.confidence))}).`}
      </Notice>
      <Column gap="$s">
        {explainExercise(exercise).map((line) => (
          <Body key={line}>{line}</Body>
        ))}
      </Column>
      {exercise.kind === 'surface' ? <BestOrder exercise={exercise} looks={looks} /> : null}
      <AtThumb>
        <Button look="main" onPress={onNext}>
          Next exercise
        </Button>
      </AtThumb>
    </Column>
  );
}

/** What the diagnosis would have looked at, beside what was looked at. */
function BestOrder({ exercise, looks }: { exercise: SurfaceExercise; looks: readonly PracticeLook[] }) {
  const asker = useId();
  const [told, setTold] = useState<SurfaceTold | null>(null);
  useEffect(() => {
    let left = false;
    const own = looks.map(({ check, said }) => ({ check, said }));
    void practiceLine
      .ask(asker, (api) => api.tell(exercise, own))
      .then((reply) => {
        if (!left && reply.ok) setTold(reply.answer);
      });
    return () => void (left = true);
  }, [asker, exercise, looks]);
  if (!told) return <Skeleton />;
  const { best } = told;
  const misread = looks.filter(({ showed, said }) => showed !== said);
  return (
    <Card gap="$s">
      <Heading>The shortest way</Heading>
      <Body>
        {`Your ${looks.length} ${looks.length === 1 ? 'look' : 'looks'} took ${round(told.minutes)} min and made this ${formatChance(told.believed)} likely. The diagnosis would have looked ${best.checks.length} times in ${round(best.minutes)} min, to ${formatChance(best.believed)}:`}
      </Body>
      <Column role="list" aria-label="Looks of the diagnosis" gap="$xs">
        {best.checks.map((check) => (
          <Small key={check} role="listitem" color="$ink">
            {`${findCheck(check)!.title}: ${lowerFirst(nameAnswer(check, exercise.shows.get(check)!))}`}
          </Small>
        ))}
      </Column>
      {misread.map(({ check, showed, said }) => (
        <Small key={check}>
          {`${findCheck(check)!.title}: it showed “${nameAnswer(check, showed)}”, you read “${nameAnswer(check, said)}”.`}
        </Small>
      ))}
    </Card>
  );
}

const round = (minutes: number): number => Math.round(minutes * 10) / 10;

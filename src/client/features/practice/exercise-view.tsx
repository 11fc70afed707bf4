import { useEffect, useId, useMemo, useState } from 'react';
import { Skeleton } from '@/client/features/piece-frame';
import { Body, Button, Card, Column, Heading, Notice, Small, useKeys } from '@/client/ui';
import {
  EXERCISE_VIEW_WORDS,
  askExercise,
  explainExercise,
  formatChance,
  nameAnswer,
  nameConfidence,
  nameExercise,
  nameOption,
} from '@/words';
import { pictureOf, type Exercise, type SurfaceExercise, type SurfaceTold } from '@/core/practice';
import { findCheck } from '@/core/knowledge';
import { lowerFirst } from '@/core/shared';
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
      {picture ? <MadePicture spec={picture} label={EXERCISE_VIEW_WORDS.whatIsToBeSeen} /> : null}
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
      <Notice
        live
        tone={given.right ? 'go' : 'stop'}
        title={given.right ? EXERCISE_VIEW_WORDS.right : EXERCISE_VIEW_WORDS.notSo}
      >
        {EXERCISE_VIEW_WORDS.youSaid(lowerFirst(said), lowerFirst(nameConfidence(given.confidence)))}
      </Notice>
      <Column gap="$s">
        {explainExercise(exercise).map((line) => (
          <Body key={line}>{line}</Body>
        ))}
      </Column>
      {exercise.kind === 'surface' ? <BestOrder exercise={exercise} looks={looks} /> : null}
      <AtThumb>
        <Button look="main" onPress={onNext}>
          {EXERCISE_VIEW_WORDS.nextExercise}
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
      <Heading>{EXERCISE_VIEW_WORDS.theShortestWay}</Heading>
      <Body>
        {EXERCISE_VIEW_WORDS.yourTookMinAndMadeThis(
          looks.length,
          round(told.minutes),
          formatChance(told.believed),
          best.checks.length,
          round(best.minutes),
          formatChance(best.believed),
        )}
      </Body>
      <Column role="list" aria-label={EXERCISE_VIEW_WORDS.looksOfTheDiagnosis} gap="$xs">
        {best.checks.map((check) => (
          <Small key={check} role="listitem" color="$ink">
            {`${findCheck(check)!.title}: ${lowerFirst(nameAnswer(check, exercise.shows.get(check)!))}`}
          </Small>
        ))}
      </Column>
      {misread.map(({ check, showed, said }) => (
        <Small key={check}>
          {EXERCISE_VIEW_WORDS.itShowedYouRead(
            findCheck(check)!.title,
            nameAnswer(check, showed),
            nameAnswer(check, said),
          )}
        </Small>
      ))}
    </Card>
  );
}

const round = (minutes: number): number => Math.round(minutes * 10) / 10;

import { useCallback, useMemo, useState } from 'react';
import { FindingsTabs, Screen, ShopHeader, Skeleton } from '@/client/features/piece-frame';
import { timeNow, useWorkshop } from '@/client/store';
import { Body, Button, Card, Choices, Column, Heading, Notice, Row, Small, useIsWide, useKeys } from '@/client/ui';
import { countDue, SKILLS } from '@/core/practice';
import { EXERCISE_KINDS, type ExerciseKind } from '@/core/workshop';
import { PRACTICE_SCREEN_WORDS, nameExercise, sayTeaches } from '@/words';
import { AtThumb } from './at-thumb';
import { ExerciseView } from './exercise-view';
import { OwnFigures } from './own-figures';
import { useExercise } from './use-exercise';

type Chosen = ExerciseKind | 'mixed';
const ROUND_MIN = 10;

/** Made-up pieces to train the eye, ten minutes a go. */
export function PracticeScreen() {
  const { known } = useWorkshop();
  const [chosen, setChosen] = useState<Chosen>('mixed');
  const [startedAt, setStartedAt] = useState<string | null>(null);
  const stop = useCallback(() => setStartedAt(null), []);
  return (
    <Screen title={PRACTICE_SCREEN_WORDS.practice} header={<ShopHeader title={PRACTICE_SCREEN_WORDS.practice} />}>
      <FindingsTabs />
      {!known ? (
        <Skeleton />
      ) : startedAt ? (
        <PracticeRound chosen={chosen} startedAt={startedAt} onStop={stop} />
      ) : (
        <PracticeHome chosen={chosen} onChoose={setChosen} onStart={() => setStartedAt(timeNow())} />
      )}
    </Screen>
  );
}

interface PracticeHomeProps {
  chosen: Chosen;
  onChoose: (chosen: Chosen) => void;
  onStart: () => void;
}

function PracticeHome({ chosen, onChoose, onStart }: PracticeHomeProps) {
  const { workshop } = useWorkshop();
  const wide = useIsWide();
  const { due, fresh } = countDue(workshop.practice, timeNow());
  useKeys(useMemo(() => ({ Enter: onStart }), [onStart]));
  return (
    <Column gap="$l">
      <Row gap="$l" flexDirection={wide ? 'row' : 'column'} alignItems={wide ? 'flex-start' : 'stretch'}>
        <Column gap="$m" flex={wide ? 1 : undefined}>
          <Heading>{PRACTICE_SCREEN_WORDS.tenMinutesOfPiecesThatDo}</Heading>
          <Body>{PRACTICE_SCREEN_WORDS.theyAreMadeUpByThe}</Body>
          <Small>
            {workshop.practice.length === 0
              ? PRACTICE_SCREEN_WORDS.thingsToLearn(fresh)
              : PRACTICE_SCREEN_WORDS.dueNowNeverAskedAnsweredSo(due, fresh, workshop.practice.length)}
          </Small>
          <Choices
            label={PRACTICE_SCREEN_WORDS.whatToPractise}
            tileWidth={150}
            options={[
              {
                code: 'mixed' as Chosen,
                label: PRACTICE_SCREEN_WORDS.allOfIt,
                hint: PRACTICE_SCREEN_WORDS.whatIsDueFirst,
              },
              ...EXERCISE_KINDS.map((kind) => ({
                code: kind as Chosen,
                label: nameExercise(kind),
                hint: sayTeaches(kind),
              })),
            ]}
            value={chosen}
            onPick={onChoose}
          />
          <AtThumb>
            <Button look="main" onPress={onStart}>
              {PRACTICE_SCREEN_WORDS.startTenMinutes}
            </Button>
          </AtThumb>
        </Column>
        <Column flex={wide ? 1 : undefined}>
          <OwnFigures workshop={workshop} />
        </Column>
      </Row>
    </Column>
  );
}

interface PracticeRoundProps {
  chosen: Chosen;
  startedAt: string;
  onStop: () => void;
}

function PracticeRound({ chosen, startedAt, onStop }: PracticeRoundProps) {
  const { workshop } = useWorkshop();
  const skills = useMemo(() => SKILLS.filter(({ kind }) => chosen === 'mixed' || kind === chosen), [chosen]);
  const { exercise, failed, given, answer, next } = useExercise(skills);
  const own = workshop.practice.filter(({ at }) => Date.parse(at) >= Date.parse(startedAt));
  const right = own.filter((one) => one.right).length;
  const minutes = Math.floor((Date.parse(timeNow()) - Date.parse(startedAt)) / 60_000);
  useKeys(useMemo(() => ({ Escape: onStop }), [onStop]));
  return (
    <Column gap="$l" width="100%" maxWidth={640} alignSelf="center">
      <Row alignItems="center" justifyContent="space-between" gap="$s">
        <Small>{PRACTICE_SCREEN_WORDS.answeredRightMin(own.length, right, minutes)}</Small>
        <Button look="quiet" onPress={onStop}>
          {PRACTICE_SCREEN_WORDS.stopHere}
        </Button>
      </Row>
      {minutes >= ROUND_MIN && given ? (
        <Notice tone="go" title={PRACTICE_SCREEN_WORDS.tenMinutesAreOver}>
          {PRACTICE_SCREEN_WORDS.shortAndOftenTeachesMoreThan}
        </Notice>
      ) : null}
      {failed ? (
        <Card>
          <Body>{PRACTICE_SCREEN_WORDS.thisExerciseCouldNotBeDrawn}</Body>
          <Button onPress={next}>{PRACTICE_SCREEN_WORDS.takeAnother}</Button>
        </Card>
      ) : exercise ? (
        <ExerciseView
          key={`${exercise.kind}/${exercise.skill}/${exercise.seed}`}
          exercise={exercise}
          given={given}
          onAnswer={answer}
          onNext={next}
        />
      ) : (
        <Skeleton />
      )}
    </Column>
  );
}

import { View } from '@tamagui/core';
import { router } from 'expo-router';
import { useDispatch } from 'react-redux';
import { MainAction } from '@/client/features/piece-frame';
import { saySpan } from '@/client/features/shop-plan';
import { cautionSeen, taskLaidDown, taskStarted, type AppDispatch } from '@/client/store';
import { Button, Row, useKeys } from '@/client/ui';
import { lowerFirst } from '@/core/shared';
import type { Step } from './use-step';
import type { WorkView } from './use-work';
import { STEP_ACTION_WORDS, nameTask } from '@/words';

/** The main button of a step, by what it means now, with its clock beside it. */
export function StepAction({ view, step, onDone }: { view: WorkView; step: Step; onDone: () => void }) {
  const { piece, now } = view;
  const { task, act, unseen, running } = step;
  const dispatch = useDispatch<AppDispatch>();
  const isDone = act === 'done' || act === 'done_early';
  useKeys({ d: () => (isDone ? onDone() : undefined) });
  if (act === null) return null;
  const press = (): void => {
    if (act === 'read') router.replace(`/piece/${piece.id}/prove`);
    else if (act === 'see_caution') dispatch(cautionSeen({ code: unseen!.code, at: now }));
    else onDone();
  };
  const labels = {
    read: STEP_ACTION_WORDS.readItInProve,
    see_caution: STEP_ACTION_WORDS.seen(lowerFirst(unseen?.title ?? '')),
    done: STEP_ACTION_WORDS.done(nameTask(task)),
    done_early: STEP_ACTION_WORDS.doneAllTheSame(nameTask(task)),
  } as const;
  return (
    <MainAction>
      <View padding="$m" borderTopWidth={1} borderColor="$line" backgroundColor="$ground">
        <Row gap="$s" width="100%" maxWidth={560} alignSelf="center">
          <Button look={act === 'done_early' ? 'plain' : 'main'} grow onPress={press}>
            {labels[act]}
          </Button>
          {!isDone ? null : running ? (
            <Button onPress={() => dispatch(taskLaidDown())} label={STEP_ACTION_WORDS.stopTheClockWithoutLogging}>
              {saySpan((Date.parse(now) - Date.parse(running)) / 60_000)}
            </Button>
          ) : (
            <Button onPress={() => dispatch(taskStarted({ task: task.id, at: now }))}>
              {STEP_ACTION_WORDS.startTheClock}
            </Button>
          )}
        </Row>
      </View>
    </MainAction>
  );
}

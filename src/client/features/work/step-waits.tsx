import { sayUntil } from '@/client/features/shop-plan';
import { Notice } from '@/client/ui';
import { lowerFirst } from '@/core/shared';
import { STEP_WAITS_WORDS, nameTask, sayClosing } from '@/words';
import type { Step } from './use-step';
import type { WorkView } from './use-work';

/** What has to dry or be done first, and until when a coat may still go on. */
export function StepWaits({ view, step }: { view: WorkView; step: Step }) {
  const { now, times } = view;
  const { task, wait, waiting, undone } = step;
  return (
    <>
      {waiting && wait ? (
        <Notice
          tone="wait"
          title={STEP_WAITS_WORDS.notBefore(times.moment(wait.readyAt, now), sayUntil(wait.readyAt, now))}
        >
          {STEP_WAITS_WORDS.hasToDryFirstDryTo(nameTask(wait.on))}
        </Notice>
      ) : null}
      {wait?.closesAt && !waiting && wait.closesAt > now ? (
        <Notice
          tone="wait"
          title={STEP_WAITS_WORDS.untilOnly(times.clock(wait.closesAt), sayUntil(wait.closesAt, now))}
        >
          {sayClosing(task, wait.againAt ? times.moment(wait.againAt, now) : null)}
        </Notice>
      ) : null}
      {undone.length > 0 && task.state === 'open' ? (
        <Notice
          tone="wait"
          title={STEP_WAITS_WORDS.first(undone.map((task) => lowerFirst(nameTask(task))).join(', '))}
        />
      ) : null}
    </>
  );
}

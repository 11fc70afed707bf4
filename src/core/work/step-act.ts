import { findWait, listUndone } from './log';
import { isReadingTask } from './reading-task';
import type { Task } from './tasks';

/** What the main button of a step means: to read the patch, to have seen a caution, or done, be it too soon. */
export type StepAct = 'read' | 'see_caution' | 'done' | 'done_early';

/**
 * What a step asks for next; `null` where there is nothing to press. `tasks`: all of the piece; `held`: something holds
 * it back; `unseen`: a caution that stops it has not been seen in this sitting; `against`: something would be found
 * against it; `now`: ISO instant.
 */
export function judgeStep(
  task: Task,
  tasks: readonly Task[],
  { held, unseen, against, now }: { held: boolean; unseen: boolean; against: boolean; now: string },
): StepAct | null {
  if (task.state !== 'open' || held) return null;
  if (isReadingTask(task)) return 'read';
  if (unseen) return 'see_caution';
  const wait = findWait(task, tasks, now);
  const early = against || (wait !== null && wait.readyAt > now) || listUndone(task, tasks).length > 0;
  return early ? 'done_early' : 'done';
}

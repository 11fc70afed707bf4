import { LABEL_CLIMATE } from '../climate';
import { handedOverAt, nameZone, openTroubles, waitsForPickUp, type Dossier } from '../dossier';
import { summariseProgress, type NextStep, type PieceState, type Progress } from '../piece';
import { listBlocks, listHeld } from './blocks';
import { findWait } from './log';
import { nextTask } from './next-task';
import { isReadingTask } from './reading-task';
import { listTasks, pickName } from './tasks';

/** Where a piece stands and what comes next; it hangs on the piece alone, not on the time of day. */
export interface Standing extends Pick<Progress, 'tone'> {
  state: PieceState;
  next: NextStep;
  /** The screen that is about it. */
  stage: 'read' | 'choose' | 'prove' | 'work' | 'mend' | 'let-go';
  /** What comes next may not be done before: a coat dries. ISO instant. */
  until?: string;
}

/**
 * Where a piece stands, from the last to the first: something is wrong with it, it has left, it is sold, all is done; it is
 * held back, wants a patch, dries, or is worked on; or it is still being read and chosen for. Every list, card and report
 * asks here.
 */
export function judgeStanding(dossier: Dossier): Standing {
  const [trouble] = openTroubles(dossier);
  if (trouble)
    return {
      state: { code: 'in_trouble', symptom: trouble.symptom, zoneName: nameZone(dossier, trouble.zone) },
      next: { code: 'mend' },
      stage: 'mend',
      tone: 'stop',
    };
  const left = handedOverAt(dossier);
  if (left !== null)
    return { state: { code: 'handed_over' }, next: { code: 'tell_how_it_holds' }, stage: 'let-go', tone: 'go' };
  const standing = judgeWork(dossier);
  if (!waitsForPickUp(dossier) || standing.tone === 'stop') return standing;
  // Sold, with something left to do on it or to wait for, or ready to be fetched.
  const ready = standing.state.code === 'done' || !dossier.chosen;
  return ready
    ? { state: { code: 'sold' }, next: { code: 'hand_over' }, stage: 'let-go', tone: 'act' }
    : { ...standing, state: { code: 'sold' } };
}

/** Where it stands with its reading, its proof and its work. */
function judgeWork(dossier: Dossier): Standing {
  const progress = summariseProgress(dossier);
  const before = {
    state: progress.state,
    next: progress.next,
    tone: progress.tone,
    stage:
      progress.stage === 'stopped'
        ? ('read' as const)
        : progress.stage === 'paint'
          ? ('work' as const)
          : progress.stage,
  };
  if (!dossier.chosen || progress.tone === 'stop') return before;
  const tasks = listTasks(dossier, dossier.shelf ?? [], LABEL_CLIMATE);
  const open = tasks.filter(({ state, op }) => state === 'open' && op !== 'cure' && op !== 'handover');
  if (tasks.length === 0) return before;
  if (open.length === 0) return { state: { code: 'done' }, next: { code: 'cure' }, stage: 'work', tone: 'go' };
  const held = listHeld(tasks, listBlocks(dossier, tasks));
  const first = nextTask({ tasks, held }, null);
  const counts = { done: tasks.filter(({ state }) => state !== 'open').length, jobs: tasks.length };
  if (!first) return { state: { code: 'held_back' }, next: { code: 'held_back' }, stage: 'work', tone: 'stop' };
  // The patch is what it waits for: painted next, or read.
  if (first.op === 'proof' && progress.stage === 'prove') return { ...before, ...untilOf(first, tasks) };
  const tone = progress.stage === 'prove' ? 'act' : before.tone;
  return {
    state: { code: 'working', ...counts },
    next: isReadingTask(first) ? before.next : { code: 'job', task: pickName(first) },
    stage: 'work',
    tone,
    ...untilOf(first, tasks),
  };
}

/** When what comes next may be done, as far as the log tells: whoever shows it compares that with the clock. */
function untilOf(task: Parameters<typeof findWait>[0], tasks: Parameters<typeof findWait>[1]): Pick<Standing, 'until'> {
  const wait = findWait(task, tasks, EARLIEST);
  return wait ? { until: wait.againAt ?? wait.readyAt } : {};
}
const EARLIEST = new Date(0).toISOString();

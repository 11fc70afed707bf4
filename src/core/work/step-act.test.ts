import { applyChange } from '../dossier';
import { makePiece, NOW } from '../../../tests/properties/shop-data';
import { judgeStep, listTasks, logTask, type Task } from './index';

const CLIMATE = { temperature_c: 21, humidity_pct: 50 };
const piece = makePiece('desk', ['top']);
const read = (dossier = piece): Task[] => listTasks(dossier, [], CLIMATE);
const judge = (
  tasks: readonly Task[],
  task: Task,
  more: { held?: boolean; unseen?: boolean; against?: boolean; now?: string } = {},
) => judgeStep(task, tasks, { held: false, unseen: false, against: false, now: NOW, ...more });

describe('what the main button of a step means', () => {
  const tasks = read();
  const [first, ...later] = tasks as [Task, ...Task[]];

  it('is Done for what nothing stands before or against', () => {
    expect(judge(tasks, first)).toBe('done');
    expect(judge(tasks, first, { against: true })).toBe('done_early');
  });

  it('is a caution until that was seen, and nothing while the step is held back', () => {
    expect(judge(tasks, first, { unseen: true })).toBe('see_caution');
    expect(judge(tasks, first, { unseen: true, held: true })).toBeNull();
  });

  it('is too early where something before it is not done, or has not dried', () => {
    expect(judge(tasks, later.at(-1)!)).toBe('done_early');
    const primes = tasks.filter(({ op }) => op === 'prime');
    let dossier = piece;
    for (const task of tasks.slice(0, tasks.indexOf(primes.at(-1)!) + 1))
      dossier = applyChange(dossier, { type: 'work_logged', work: task.key, entries: logTask(task, { at: NOW }) })!;
    const after = read(dossier);
    const next = after.find(({ state }) => state === 'open')!;
    const soon = new Date(Date.parse(NOW) + 60_000).toISOString();
    const nextWeek = new Date(Date.parse(NOW) + 7 * 86_400_000).toISOString();
    expect(judge(after, next, { now: soon })).toBe('done_early');
    expect(judge(after, next, { now: nextWeek })).toBe('done');
    expect(judge(after, after[0]!, { now: soon })).toBeNull();
  });
});

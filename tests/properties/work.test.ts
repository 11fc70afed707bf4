import { applyChange, type Dossier, type PlannedStep } from '@/core/dossier';
import { makeRandom } from '@/core/shared';
import { listTasks, logTask, type Task } from '@/core/work';
import { makePiece } from './shop-data';
import { share } from './share';

const MILD = { temperature_c: 21, humidity_pct: 50 };
const read = (dossier: Dossier): Task[] => listTasks(dossier, [], MILD);

// prettier-ignore
const CHOICES: readonly PlannedStep[] = [
  { op: 'hardware_off', label: 'Take off', minutes: 4, wait_h: 0, stage: 0, why: '' },
  { op: 'degrease', label: 'Degrease', class: 'degreaser', minutes: 8, wait_h: 1, stage: 0, why: '' },
  { op: 'dewax', label: 'Wash off the wax', class: 'mineral_spirits', minutes: 9, wait_h: 0.5, stage: 1, why: '' },
  { op: 'fill', label: 'Fill dents', class: 'wood_filler_wb', minutes: 6, wait_h: 2, stage: 3, why: '' },
  { op: 'fill', label: 'Fill holes', class: 'wood_filler_wb', minutes: 5, wait_h: 2, stage: 3, why: '' },
  { op: 'scuff', label: 'Scuff 150', grit: 150, minutes: 10, wait_h: 0, stage: 4, why: '' },
  { op: 'scuff', label: 'Scuff 220, soft pad', grit: 220, minutes: 10, wait_h: 0, stage: 4, why: '' },
  { op: 'dust', label: 'Vacuum and wipe', minutes: 3, wait_h: 0.5, stage: 4, why: '' },
  { op: 'spot_seal', label: 'Seal knots', class: 'shellac_primer', coats: 1, minutes: 3, wait_h: 1, stage: 7, why: '', ml: 15 },
  { op: 'prime', label: 'Shellac primer ×2', class: 'shellac_primer', coats: 2, minutes: 14, wait_h: 2, stage: 8, why: '', ml: 120 },
  { op: 'prime', label: 'Waterborne bonding primer', class: 'bonding_primer_wb', coats: 1, minutes: 8, wait_h: 12, stage: 8, why: '', ml: 80 },
  { op: 'denib', label: 'Sand smooth, 220', grit: 220, minutes: 5, wait_h: 0, stage: 10, why: '' },
  { op: 'paint', label: 'Cabinet enamel ×3', class: 'wb_alkyd_enamel', coats: 3, minutes: 30, wait_h: 48, stage: 12, why: '', ml: 330 },
  { op: 'topcoat', label: 'Wax', class: 'wax', coats: 1, minutes: 8, wait_h: 24, stage: 13, why: '', ml: 20 },
];

/** A piece of several zones, each with steps of its own in the order of work; in a stage the order may differ from zone to zone. */
function drawPiece(seed: number): Dossier {
  const random = makeRandom(seed);
  const zones = ['top', 'sides', 'doors', 'legs'].slice(0, 2 + Math.floor(random() * 3));
  const piece = makePiece(`p${seed}`, zones, []);
  const chosen = piece.chosen!.zones.map((zone) => {
    const steps = CHOICES.filter(() => random() < 0.6);
    const shuffled = steps
      .map((step) => ({ step, at: step.stage + (random() < 0.2 ? 0.9 * random() : 0) }))
      .sort((a, b) => a.at - b.at)
      .map(({ step }) => step);
    return { ...zone, steps: shuffled };
  });
  return { ...piece, chosen: { ...piece.chosen!, zones: chosen } };
}

const SEEDS = Array.from({ length: share(80) }, (_, seed) => seed);

describe('tasks of random pieces', () => {
  it('hold all the work, once, and in the order of each zone', () => {
    let shared = 0;
    for (const seed of SEEDS) {
      const piece = drawPiece(seed);
      const tasks = read(piece);
      const place = new Map(tasks.map(({ key }, i) => [key, i]));
      expect(new Set(tasks.map(({ id }) => id)).size).toBe(tasks.length);
      for (const { id, steps = [] } of piece.chosen!.zones) {
        const own = tasks.flatMap(({ shares }) => shares.filter(({ zone }) => zone === id));
        const sum = (list: readonly { minutes: number }[]): number =>
          list.reduce((total, { minutes }) => total + minutes, 0);
        expect({ seed, minutes: Math.round(sum(own)) }).toEqual({ seed, minutes: Math.round(sum(steps)) });
        expect(own).toHaveLength(steps.reduce((count, { coats = 1 }) => count + coats, 0));
      }
      for (const task of tasks) {
        for (const { key } of task.after)
          expect({ seed, before: place.get(key)! < place.get(task.key)! }).toEqual({ seed, before: true });
        shared += task.zones.length > 1 ? 1 : 0;
      }
    }
    expect(shared).toBeGreaterThan(share(300));
  });

  it('wait for everything that stands right before them on any of their zones', () => {
    for (const seed of SEEDS) {
      const piece = drawPiece(seed);
      const tasks = read(piece);
      for (const { id } of piece.chosen!.zones) {
        const chain = tasks.filter(({ zones }) => zones.includes(id));
        const reach = (task: Task, goal: string): boolean =>
          task.after.some(
            ({ key }) =>
              key === goal ||
              reach(
                tasks.find((own) => own.key === key)!,
                goal,
              ),
          );
        chain
          .slice(1)
          .forEach((task, i) =>
            expect({ seed, id, waits: reach(task, chain[i]!.key) }).toEqual({ seed, id, waits: true }),
          );
      }
    }
  });

  it('are done one by one by their own log, and undone by taking it back, in any order', () => {
    for (const seed of SEEDS.slice(0, share(40))) {
      const random = makeRandom(seed + 999);
      let piece = drawPiece(seed);
      const logged: { work: string; key: string }[] = [];
      const count = read(piece).length;
      for (let step = 0; step < count * 2; step += 1) {
        const open = read(piece).filter(({ state }) => state === 'open');
        if (open.length > 0 && (logged.length === 0 || random() < 0.7)) {
          const task = open[Math.floor(random() * open.length)]!;
          const at = new Date(Date.UTC(2026, 10, 1, 0, step)).toISOString();
          const work = `w${step}`;
          piece = applyChange(piece, { type: 'work_logged', work, entries: logTask(task, { at }) })!;
          logged.push({ work, key: task.key });
        } else if (logged.length > 0) {
          const [gone] = logged.splice(Math.floor(random() * logged.length), 1);
          piece = applyChange(piece, { type: 'work_withdrawn', work: gone!.work })!;
        }
        const done = read(piece)
          .filter(({ state }) => state === 'done')
          .map(({ key }) => key);
        expect({ seed, step, done: done.sort() }).toEqual({ seed, step, done: logged.map(({ key }) => key).sort() });
      }
    }
  });

  it('come out the same when a tap is sent twice', () => {
    for (const seed of SEEDS.slice(0, share(20))) {
      const piece = drawPiece(seed);
      const [task] = read(piece);
      const tap = {
        type: 'work_logged' as const,
        work: 'w',
        entries: logTask(task!, { at: '2026-11-01T10:00:00Z', minutes: 7 }),
      };
      const once = applyChange(piece, tap)!;
      expect(applyChange(once, tap)).toEqual(once);
    }
  });
});

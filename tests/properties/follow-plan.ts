import type { Dossier, LogEntry, Test } from '@/core/dossier';
import { judgeHandovers } from '@/core/piece';
import { freezeSystem, type CoatingSystem } from '@/core/systems';
import { listTasks, logTask, type Task } from '@/core/work';
import { PHRASES } from '@/words';

export const FIT = { temperature_c: 20, humidity_pct: 50 };
const START = Date.parse('2026-03-02T08:00:00Z');
const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
const iso = (ms: number): string => new Date(ms).toISOString();

/** Tests that open every gate of a zone: a week old, without a fault. */
const proofOf = (dossier: Dossier, zone: string, atMs: number): Test[] => {
  const treatment = dossier.chosen?.zones.find(({ id }) => id === zone)?.treatment;
  const of = (kind: Test['kind'], reading: Test['reading']): Test => ({
    id: `${zone}-${kind}`,
    zone,
    kind,
    reading,
    age_h: 24 * 8,
    at: iso(atMs),
    ...(treatment ? { treatment } : {}),
  });
  return [
    of('nail', { score: 0 }),
    of('cross_cut', { iso_class: 0 }),
    of('bleed_watch', { at: '7d', de_mean: 0.1, de_worst: 0.2 }),
  ];
};

/** A piece whose owner took this system and has done nothing yet. */
export const takeSystem = (piece: Dossier, system: CoatingSystem): Dossier => ({
  ...piece,
  chosen: freezeSystem(system, iso(START), PHRASES),
  log: [],
  tests: [],
  overrides: [],
});

/** The work of the system that was taken, each task as soon as its waits allow, in fit air, with every test passed. */
export function followPlan(taken: Dossier): Dossier {
  const tasks = listTasks(taken, taken.shelf ?? [], FIT);
  const done = new Map<string, number>();
  const log: LogEntry[] = [];
  let tests: Test[] = [];
  let clock = START;
  const ready = ({ after }: Task): number =>
    after.reduce((latest, { key, lags }) => {
      const from = done.get(key);
      if (from === undefined) return latest;
      const lag = lags.find(({ untilH = Infinity }) => latest <= from + untilH * HOUR_MS) ?? lags.at(-1)!;
      return Math.max(latest, from + lag.fromH * HOUR_MS);
    }, clock);
  for (const task of tasks) {
    let start = ready(task);
    // A piece leaves when its gate says so.
    const stays = (): boolean =>
      judgeHandovers({ ...taken, log, tests }, iso(start)).some(
        ({ state }) => state === 'closed' || state === 'waiting',
      );
    if (task.op === 'handover') for (let days = 0; days < 60 && stays(); days += 1) start += DAY_MS;
    if (task.op === 'proof') {
      clock = start + 8 * DAY_MS;
      tests = [
        ...tests.filter(({ zone }) => !task.zones.includes(zone)),
        ...task.zones.flatMap((zone) => proofOf(taken, zone, clock)),
      ];
    } else {
      clock = start + Math.max(1, task.minutes) * 60_000;
      log.push(...logTask(task, { at: iso(clock), startedAt: iso(start), minutes: task.minutes, climate: FIT }));
    }
    done.set(task.key, clock);
    if (task.op === 'cure') clock += task.waitH * HOUR_MS;
  }
  return { ...taken, log, tests };
}

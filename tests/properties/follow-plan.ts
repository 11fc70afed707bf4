import type { Dossier, LogEntry, Test } from '@/core/dossier';
import { TEST_KIND_FACTS } from '@/core/knowledge';
import { judgeHandovers } from '@/core/piece';
import { bleedMomentAt, requirementsFor } from '@/core/proof';
import { freezeSystem, type CoatingSystem } from '@/core/systems';
import { isReadingTask, listTasks, logTask, type Task } from '@/core/work';
import { PHRASES } from '@/words';

export const FIT = { temperature_c: 20, humidity_pct: 50 };
const START = Date.parse('2026-03-02T08:00:00Z');
const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
const iso = (ms: number): string => new Date(ms).toISOString();

/** What is still wanted of the patch of a zone, read without a fault. */
const readPatch = (dossier: Dossier, zoneId: string, ageH: number, atMs: number): Test[] => {
  const zone = dossier.zones!.find(({ id }) => id === zoneId)!;
  const wanted = dossier.chosen!.zones.find(({ id }) => id === zoneId)!;
  return requirementsFor(dossier, zone, wanted)
    .filter(({ state }) => state !== 'met')
    .map(({ kinds: [kind], treatment }): Test => {
      const { reads, shows } = TEST_KIND_FACTS[kind!];
      const held = reads === 'lattice' ? { iso_class: 0 } : { score: 0 };
      return {
        id: `${zoneId}-${kind}-${atMs}`,
        zone: zoneId,
        kind: kind!,
        treatment,
        reading: shows === 'bleed' ? { at: bleedMomentAt(ageH), score: 0 } : held,
        age_h: ageH,
        at: iso(atMs),
      };
    });
};

/** A piece whose owner took this system and has done nothing yet. */
export const takeSystem = (piece: Dossier, system: CoatingSystem): Dossier => ({
  ...piece,
  chosen: freezeSystem(system, iso(START), PHRASES),
  log: [],
  tests: [],
  overrides: [],
});

/** The work of the system that was taken, each task as soon as its waits allow, in fit air, with the tests that the plan asks for read when it asks for them, all of them held. */
export function followPlan(taken: Dossier): Dossier {
  const tasks = listTasks(taken, taken.shelf ?? [], FIT);
  const done = new Map<string, number>();
  const log: LogEntry[] = [];
  let tests: Test[] = [];
  let clock = START;
  /** When the patch of each zone was painted: the piece is worked on while it dries. */
  const coated = new Map<string, number>();
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
    if (isReadingTask(task)) {
      // One patch where it is shared: the zones that have it are those it takes minutes on.
      const patched = task.shares.filter(({ minutes }) => minutes > 0).map(({ zone }) => zone);
      for (const zone of patched) {
        const ageH = (start - (coated.get(zone) ?? START)) / HOUR_MS;
        tests = [...tests, ...readPatch({ ...taken, log, tests }, zone, ageH, start)];
      }
      clock = start + Math.max(1, task.minutes) * 60_000;
    } else if (task.op === 'proof') {
      clock = start + Math.max(1, task.minutes) * 60_000;
      for (const zone of task.zones) coated.set(zone, clock);
    } else {
      clock = start + Math.max(1, task.minutes) * 60_000;
      log.push(...logTask(task, { at: iso(clock), startedAt: iso(start), minutes: task.minutes, climate: FIT }));
    }
    done.set(task.key, clock);
    if (task.op === 'cure') clock += task.waitH * HOUR_MS;
  }
  return { ...taken, log, tests };
}

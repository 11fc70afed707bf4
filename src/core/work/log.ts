import type { Climate } from '../climate';
import { isCoat } from '../knowledge';
import type { LogEntry, ShelfItem } from '../dossier';
import type { Task } from './tasks';

/** What a tap on Done knows besides the task. */
export interface Doing {
  /** ISO instant of the tap. */
  at: string;
  /** When the clock of the task was started, if it was. */
  startedAt?: string;
  /** Hands-on minutes, if the owner says so; else those of the clock. */
  minutes?: number;
  climate?: Climate;
  /** The tin it was taken from. */
  tin?: ShelfItem;
  thinnedPct?: number;
  cautions?: readonly string[];
  skipped?: boolean;
  note?: string;
}

/** A clock nobody stopped is no time of work, minutes. */
const LONGEST_MIN = 8 * 60;

/**
 * The entries of one tap: for each zone still open, what was done to it, with its share of time and paint. Time is only
 * written down where a clock ran or the owner says it.
 */
export function logTask(task: Task, doing: Doing): LogEntry[] {
  const { at, startedAt, climate, tin, thinnedPct, cautions = [], skipped, note } = doing;
  const open = task.shares.filter(({ zone }) => task.openZones.includes(zone));
  const total = open.reduce((sum, { minutes }) => sum + minutes, 0);
  const clocked = startedAt === undefined ? undefined : (Date.parse(at) - Date.parse(startedAt)) / 60_000;
  const spent = doing.minutes ?? (clocked !== undefined && clocked > 0 && clocked <= LONGEST_MIN ? clocked : undefined);
  return open.map(({ zone, minutes, ml }) => ({
    zone,
    op: task.op,
    task: task.key,
    at,
    ...(startedAt && spent !== undefined ? { started_at: startedAt } : {}),
    ...(task.class ? { class: tin?.class ?? task.class } : {}),
    ...(task.method ? { method: task.method } : {}),
    ...(task.colour ? { colour: task.colour } : {}),
    ...(tin ? { product: tin.id } : task.product ? { product: task.product } : {}),
    ...(isCoat(task.op) && !skipped ? { coats: 1 } : {}),
    ...(ml > 0 && !skipped ? { ml: Math.round(ml) } : {}),
    ...(spent !== undefined && !skipped && total > 0 ? { minutes: round((spent * minutes) / total) } : {}),
    ...(skipped ? {} : { foreseen_min: round(minutes) }),
    ...(climate ? { temperature_c: climate.temperature_c, humidity_pct: climate.humidity_pct } : {}),
    ...(thinnedPct ? { thinned_pct: thinnedPct } : {}),
    ...(cautions.length > 0 ? { cautions: [...cautions] } : {}),
    ...(skipped ? { skipped } : {}),
    ...(note ? { note } : {}),
  }));
}

const round = (value: number): number => Math.round(value * 10) / 10;

/** Millilitres that a tap took from each tin. */
export function listTaken(entries: readonly LogEntry[]): Map<string, number> {
  const taken = new Map<string, number>();
  for (const { product, ml = 0 } of entries)
    if (product !== undefined && ml > 0) taken.set(product, (taken.get(product) ?? 0) + ml);
  return taken;
}

/** What a task waits for: from when it may be done; where that closes, until when, and from when again. All ISO instants. */
export interface Wait {
  on: Task;
  readyAt: string;
  closesAt?: string;
  againAt?: string;
}

/** What still has to be waited for before a task: the latest of what comes before it, or nothing. `now`: ISO instant. */
export function findWait(task: Task, tasks: readonly Task[], now: string): Wait | null {
  let latest: Wait | null = null;
  for (const { key, lags } of task.after) {
    const on = tasks.find((own) => own.key === key);
    if (!on?.doneAt || on.state === 'skipped') continue;
    const done = Date.parse(on.doneAt);
    const hours = (Date.parse(now) - done) / 3_600_000;
    const lag = lags.find(({ untilH }) => hours <= (untilH ?? Infinity)) ?? lags[lags.length - 1]!;
    const readyAt = new Date(done + lag.fromH * 3_600_000).toISOString();
    if (latest && readyAt <= latest.readyAt) continue;
    const at = (ownH: number): string => new Date(done + ownH * 3_600_000).toISOString();
    const again = lags[lags.indexOf(lag) + 1];
    latest = {
      on,
      readyAt,
      ...(lag.untilH === undefined ? {} : { closesAt: at(lag.untilH) }),
      ...(again ? { againAt: at(again.fromH) } : {}),
    };
  }
  return latest;
}

/** What must be done before a task and is not. */
export const listUndone = (task: Task, tasks: readonly Task[]): Task[] =>
  task.after.flatMap(({ key }) => tasks.filter((own) => own.key === key && own.state === 'open'));

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
  /** When it is written down, where that is not when it was done. */
  loggedAt?: string;
  /** Hands-on minutes, if the owner says so; else those of the clock, else as many as are planned. */
  minutes?: number;
  /** The owner's pace for this kind of work, where it is known: what is planned is so many times the class table's. */
  pace?: number;
  /** Only some of its zones. */
  zones?: readonly string[];
  /** Another class than the plan's, where it comes from no tin that tells. */
  class?: string;
  /** How many coats at once. */
  coats?: number;
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
 * The entries of one tap: for each zone that is meant and still open, what was done to it, with its share of time and paint.
 * Where no clock ran and the owner says nothing the planned minutes are written down, as an estimate.
 */
export function logTask(task: Task, doing: Doing): LogEntry[] {
  const { at, loggedAt, startedAt, climate, tin, thinnedPct, cautions = [], skipped, note, coats = 1 } = doing;
  const open = task.shares.filter(
    ({ zone }) => task.openZones.includes(zone) && (!doing.zones || doing.zones.includes(zone)),
  );
  const work = open.reduce((sum, { minutes }) => sum + minutes, 0);
  // Getting out and putting away is of the whole tap, each zone's part of it as its part of the work.
  const whole = work > 0 ? (work + task.sittingMin / coats) / work : 1;
  const total = work * whole;
  const clocked = startedAt === undefined ? undefined : (Date.parse(at) - Date.parse(startedAt)) / 60_000;
  const spent = doing.minutes ?? (clocked !== undefined && clocked > 0 && clocked <= LONGEST_MIN ? clocked : undefined);
  const code = doing.class ?? tin?.class ?? task.class;
  // What was put on instead, or so many coats at once, stands for what it is and not for the job it took the place of.
  const otherwise = isCoat(task.op) && !skipped && (code !== task.class || coats !== 1);
  const timeOf = (minutes: number): Pick<LogEntry, 'minutes' | 'minutes_estimated'> => {
    if (total === 0) return {};
    if (spent !== undefined) return { minutes: round((spent * minutes) / total) };
    return { minutes: round(minutes * coats * (doing.pace ?? 1)), minutes_estimated: true };
  };
  return open
    .map(({ zone, minutes: own, ml }) => ({ zone, minutes: own * whole, ml }))
    .map(({ zone, minutes, ml }) => ({
      zone,
      op: task.op,
      ...(otherwise ? { instead_of: task.key } : { task: task.key }),
      at,
      ...(loggedAt === undefined || loggedAt === at ? {} : { logged_at: loggedAt }),
      ...(startedAt && spent !== undefined ? { started_at: startedAt } : {}),
      ...(code ? { class: code } : {}),
      ...(task.method ? { method: task.method } : {}),
      ...(task.colour ? { colour: task.colour } : {}),
      ...(tin ? { product: tin.id } : task.product && code === task.class ? { product: task.product } : {}),
      ...(isCoat(task.op) && !skipped ? { coats } : {}),
      ...(ml > 0 && !skipped ? { ml: Math.round(ml * coats) } : {}),
      ...(skipped ? {} : { ...timeOf(minutes), foreseen_min: round(minutes * coats) }),
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

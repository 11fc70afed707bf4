import type { LogEntry } from './schema';

/** Hands-on minutes of an entry, and whether nobody timed them. */
export interface Spent {
  minutes: number;
  estimated: boolean;
}

/**
 * The minutes an entry of the log counts with: as they were timed or said, else as they were planned, marked as an estimate;
 * none for what was left out, or where neither is known.
 */
export function spentOn(
  entry: Pick<LogEntry, 'minutes' | 'minutes_estimated' | 'foreseen_min' | 'skipped'>,
): Spent | null {
  if (entry.skipped) return null;
  if (entry.minutes !== undefined) return { minutes: entry.minutes, estimated: entry.minutes_estimated === true };
  return entry.foreseen_min === undefined ? null : { minutes: entry.foreseen_min, estimated: true };
}

/** The same of several entries together: an estimate as soon as one of them is. */
export function addSpent(entries: readonly LogEntry[]): Spent {
  const known = entries.flatMap((entry) => spentOn(entry) ?? []);
  return {
    minutes: known.reduce((sum, { minutes }) => sum + minutes, 0),
    estimated: known.some(({ estimated }) => estimated),
  };
}

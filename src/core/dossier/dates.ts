import { fail, type Problem } from '../shared';

/** Fields that say when something happened; what is planned (`due`, pins) has other names or other doors. */
const HAPPENED: ReadonlySet<string> = new Set([
  'at',
  'started_at',
  'logged_at',
  'coated_at',
  'mixed_at',
  'removed_at',
  'seen_at',
]);

/** Clocks of phones differ, and shops lie in other zones: a day ahead is let pass and set to now, more is a slip. */
const MOST_AHEAD_MS = 86_400_000;

const isInstant = (value: unknown): value is string =>
  typeof value === 'string' && /^\d{4}-\d{2}-\d{2}T/.test(value) && !Number.isNaN(Date.parse(value));

/** What a field is called: the value of a fact goes by the end of its path. */
const nameOf = (record: object, key: string): string =>
  key === 'value' && 'path' in record && Array.isArray(record.path) ? String(record.path.at(-1)) : key;

/**
 * The first moment in a record that lies more than a day after `now` (an ISO instant), with its path; null where there is
 * none. One entry dated next year would move every clock and the plan of the whole shop.
 */
export function findFuture(value: unknown, now: string, path = ''): Problem | null {
  if (typeof value !== 'object' || value === null) return null;
  const latest = Date.parse(now) + MOST_AHEAD_MS;
  for (const [key, own] of Object.entries(value)) {
    const name = nameOf(value, key);
    const here = Array.isArray(value) ? `${path}[${key}]` : path === '' ? key : `${path}.${key}`;
    if (HAPPENED.has(name) && isInstant(own) && Date.parse(own) > latest)
      return fail('in_future', here, { found: own, now }).problem;
    const deeper = findFuture(own, now, here);
    if (deeper) return deeper;
  }
  return null;
}

/** A record with moments that lie a little after `now` set to it; the same object where there are none. */
export function clampToNow<T>(value: T, now: string): T {
  if (typeof value !== 'object' || value === null) return value;
  let changed = false;
  const entries = Object.entries(value).map(([key, own]): [string, unknown] => {
    const next =
      HAPPENED.has(nameOf(value, key)) && isInstant(own) && Date.parse(own) > Date.parse(now)
        ? now
        : clampToNow(own, now);
    changed ||= next !== own;
    return [key, next];
  });
  if (!changed) return value;
  return (Array.isArray(value) ? entries.map(([, own]) => own) : Object.fromEntries(entries)) as T;
}

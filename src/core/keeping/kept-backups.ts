/** How many days, and how many weeks beyond them, a copy is kept of. */
const DAYS = 7;
const WEEKS = 4;
const DAY_MS = 86_400_000;

/**
 * The copies that are kept: the latest of each of the last seven days that have one, and the latest of each of the last
 * four weeks (Monday to Sunday, UTC) that have one. The newest is always among them.
 * @param moments when each copy was made, ISO instants in any order
 * @returns those to keep, newest first
 */
export function listKept(moments: readonly string[]): string[] {
  const newestFirst = [...moments].sort().reverse();
  const kept = new Set([...latestOfEach(newestFirst, dayOf, DAYS), ...latestOfEach(newestFirst, weekOf, WEEKS)]);
  return newestFirst.filter((moment) => kept.has(moment));
}

function latestOfEach(newestFirst: readonly string[], spanOf: (moment: string) => number, most: number): string[] {
  const latest = new Map<number, string>();
  for (const moment of newestFirst) {
    const span = spanOf(moment);
    if (!latest.has(span) && latest.size < most) latest.set(span, moment);
  }
  return [...latest.values()];
}

const dayOf = (moment: string): number => Math.floor(Date.parse(moment) / DAY_MS);
/** The first day of 1970 was a Thursday. */
const weekOf = (moment: string): number => Math.floor((dayOf(moment) + 3) / 7);

import type { Hours } from '@/core/schedule';

/** A stretch of a day, on the clock: "19:00" to "21:00"; "24:00" is midnight. */
export type Stretch = Pick<Hours, 'from' | 'to'>;

export const writeHours = (stretches: readonly Stretch[]): string =>
  stretches.map(({ from, to }) => `${from}–${to}`).join(', ');

/** A field for times knows no 24:00: the midnight a day ends with is the one it begins with. */
export const toStretch = (clock: string): string => (clock === '00:00' ? '24:00' : clock);
export const toClock = (end: string): string => (end === '24:00' ? '00:00' : end);

/** What is wrong with the hours of a day; null where nothing is. */
export function findHoursFault(hours: readonly Stretch[]): 'missing' | 'ends_first' | 'overlap' | null {
  if (hours.some(({ from, to }) => from === '' || to === '')) return 'missing';
  if (hours.some(({ from, to }) => from >= to)) return 'ends_first';
  const sorted = [...hours].sort((a, b) => (a.from < b.from ? -1 : 1));
  return sorted.some(({ from }, i) => i > 0 && from < sorted[i - 1]!.to) ? 'overlap' : null;
}

const EVENING: Stretch = { from: '19:00', to: '21:00' };

/** One more stretch: an evening, or what is open after the last. */
export function addStretch(hours: readonly Stretch[]): Stretch[] {
  const last = hours
    .map(({ to }) => to)
    .sort()
    .at(-1);
  return [...hours, last === undefined || last <= EVENING.from ? EVENING : { from: toClock(last), to: '' }];
}

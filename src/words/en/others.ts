/* What others did, and how clocks differ. */

const MINUTE_MS = 60_000;

/** A stretch of time in the words of a clock: "12 min", "3 h 5 min", "2 days 4 h". */
function sayStretch(ms: number): string {
  const minutes = Math.round(ms / MINUTE_MS);
  if (minutes < 60) return `${minutes} min`;
  const hours = Math.floor(minutes / 60);
  const [days, left] = [Math.floor(hours / 24), hours % 24];
  const dayWord = days === 1 ? '1 day' : `${days} days`;
  if (days > 0) return left === 0 ? dayWord : `${dayWord} ${left} h`;
  return minutes % 60 === 0 ? `${hours} h` : `${hours} h ${minutes % 60} min`;
}

/** How far this device's clock is from the computer's, ms; negative where it is behind. */
export const sayClockOff = (aheadMs: number): string =>
  `This device's clock is ${sayStretch(Math.abs(aheadMs))} ${aheadMs > 0 ? 'ahead of' : 'behind'} the workshop's computer`;

const sayValue = (value: unknown): string => {
  if (value === undefined) return 'nothing';
  if (typeof value === 'string') return value.replaceAll('_', ' ');
  return typeof value === 'number' || typeof value === 'boolean' ? String(value) : 'another';
};

/** A field as it was set here and as it is now. */
export const sayReplaced = ({ name, mine, now }: { name: string; mine: unknown; now: unknown }): string =>
  `${name.replaceAll('_', ' ')}: yours ${sayValue(mine)}, now ${sayValue(now)}`;

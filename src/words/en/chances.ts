/**
 * A probability (0–1) as a natural frequency for people: 0.04 → "about 1 in 25", 0.9 → "about 9 in 10".
 * Rounded so that no more precision is claimed than the estimate has.
 */
export function describeChance(p: number): string {
  const odds = formatChance(p);
  return isOutside(p) ? odds : `about ${odds}`;
}

/** Too near to never or to always to be told by a number. */
const isOutside = (p: number): boolean => p < 0.0005 || p > 0.985;

/** As `describeChance`, without "about", for figures and tables. */
export function formatChance(p: number): string {
  if (isOutside(p)) return p < 0.5 ? 'never seen' : 'nearly always';
  if (p <= 0.4) return `1 in ${roundToTwoFigures(1 / p)}`;
  const tenths = Math.min(9, Math.round(p * 10));
  return tenths === 5 ? '1 in 2' : `${tenths} in 10`;
}

/** Shares that are easily said, in order. */
const SHARES: readonly (readonly [number, string])[] = [
  [0.02, 'almost never'],
  [0.1, 'about 1 in 10'],
  [0.2, 'about 1 in 5'],
  [0.25, 'about 1 in 4'],
  [1 / 3, 'about 1 in 3'],
  [0.5, 'about 1 in 2'],
  [2 / 3, 'about 2 in 3'],
  [0.75, 'about 3 in 4'],
  [0.8, 'about 4 in 5'],
  [0.9, 'about 9 in 10'],
  [0.95, 'about 19 in 20'],
  [1, 'nearly always'],
];

/** A share (0–1) in the words that come nearest: 0.65 → "about 2 in 3". */
export const describeShare = (p: number): string =>
  SHARES.reduce((best, own) => (Math.abs(own[0] - p) < Math.abs(best[0] - p) ? own : best))[1];

/** Own patches from which a chance is said as one figure. */
const ENOUGH_PATCHES = 10;
/** How far a chance that rests on the class table alone may lie off either way, as a factor (estimate). */
const TABLE_FACTOR = 1.8;

/**
 * A chance of failing (0–1) only as fine as what it rests on: from class tables and few patches as a range, 0.06 →
 * "1 in 10 to 1 in 29"; with ten patches of one's own or more as one figure.
 */
export function formatChanceRange(p: number, patches: number): string {
  const factor = TABLE_FACTOR ** Math.sqrt(1 / (1 + Math.max(0, patches) / 2));
  const odds = p / (1 - p);
  const [most, least] = [(odds * factor) / (1 + odds * factor), odds / factor / (1 + odds / factor)].map(formatChance);
  return patches >= ENOUGH_PATCHES || most === least ? formatChance(p) : `${most} to ${least}`;
}

function roundToTwoFigures(n: number): number {
  if (n < 10) return Math.round(n);
  const step = 10 ** (Math.floor(Math.log10(n)) - 1);
  const rounded = Math.round(n / step) * step;
  return rounded;
}

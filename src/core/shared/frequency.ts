/**
 * A probability (0–1) as a natural frequency for people: 0.04 → "about 1 in 25", 0.9 → "about 9 in 10".
 * Rounded so that no more precision is claimed than the estimate has.
 */
export function describeChance(p: number): string {
  const odds = formatChance(p);
  return odds === 'never seen' || odds === 'nearly always' ? odds : `about ${odds}`;
}

/** As `describeChance`, without "about", for figures and tables. */
export function formatChance(p: number): string {
  if (p < 0.0005) return 'never seen';
  if (p > 0.985) return 'nearly always';
  if (p <= 0.4) return `1 in ${roundToTwoFigures(1 / p)}`;
  const tenths = Math.min(9, Math.round(p * 10));
  return tenths === 5 ? '1 in 2' : `${tenths} in 10`;
}

function roundToTwoFigures(n: number): number {
  if (n < 10) return Math.round(n);
  const step = 10 ** (Math.floor(Math.log10(n)) - 1);
  const rounded = Math.round(n / step) * step;
  return rounded;
}

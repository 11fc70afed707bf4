import { readNumber } from '@/core/shared';

/**
 * What stands in a field after a press: the next round number on that side, within its limits. What is no number starts
 * from the least. Example: 13 by 5 → 15.
 */
export function stepBy(text: string, step: number, least = 0, most = Infinity): string {
  const value = readNumber(text) ?? (step > 0 ? least - step : least);
  const size = Math.abs(step);
  // A hair of tolerance, so that what stands on a step already goes a whole one.
  const next = step > 0 ? Math.floor(value / size + 1e-9) + 1 : Math.ceil(value / size - 1e-9) - 1;
  const round = Number((next * size).toFixed(6));
  return String(Math.min(most, Math.max(least, round)));
}

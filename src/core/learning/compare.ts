import { chanceAbove, type BetaCounts } from './beta';

/** Two treatments are ranked only when one is better this surely. */
const SURE = 0.9;
/** More strips than this nobody paints to tell two primers apart. */
const MOST_STRIPS = 30;

export type Comparison =
  | { verdict: 'first' | 'second'; chance: number }
  /** `strips`: so many more of each would tell, if they go on as they have; null when they are too much alike. */
  | { verdict: 'unknown'; chance: number; strips: number | null };

/** Which of two holds better, as far as one can say. */
export function comparePosteriors(first: BetaCounts, second: BetaCounts): Comparison {
  const chance = chanceAbove(first, second);
  if (chance > SURE) return { verdict: 'first', chance };
  if (chance < 1 - SURE) return { verdict: 'second', chance: 1 - chance };
  return { verdict: 'unknown', chance: Math.max(chance, 1 - chance), strips: countStripsToTell(first, second) };
}

function countStripsToTell(first: BetaCounts, second: BetaCounts): number | null {
  const after = (counts: BetaCounts, strips: number): BetaCounts => {
    const mean = counts.a / (counts.a + counts.b);
    return { a: counts.a + strips * mean, b: counts.b + strips * (1 - mean) };
  };
  const tells = (strips: number): boolean => {
    const chance = chanceAbove(after(first, strips), after(second, strips));
    return chance > SURE || chance < 1 - SURE;
  };
  if (!tells(MOST_STRIPS)) return null;
  let [low, high] = [1, MOST_STRIPS];
  while (low < high) {
    const middle = Math.floor((low + high) / 2);
    if (tells(middle)) high = middle;
    else low = middle + 1;
  }
  return low;
}

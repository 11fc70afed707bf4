import type { CoatingSystem } from '@/core/systems';
import { DIFFERENCE_WORDS, formatChance } from '@/words';

/** What another system would change against the one now, in words: "25 min less, 1 in 40 more go wrong". */
export function sayDifference(
  now: CoatingSystem | undefined,
  other: CoatingSystem | undefined,
  sayMoney: (sum: number) => string,
): string {
  if (!other) return DIFFERENCE_WORDS.leavesNoSystem;
  if (!now) return DIFFERENCE_WORDS.givesASystem;
  const parts = [
    say(other.handsOnMin - now.handsOnMin, 5, (n) => DIFFERENCE_WORDS.min(Math.round(n))),
    say(other.elapsedH - now.elapsedH, 2, (n) => DIFFERENCE_WORDS.hOfWaiting(Math.round(n))),
    say(other.materialsCost - now.materialsCost, 1, (n) => DIFFERENCE_WORDS.materials(sayMoney(n))),
    sayRisk(other.risk.overall - now.risk.overall),
  ].filter((part) => part !== '');
  return parts.length > 0 ? parts.join(', ') : DIFFERENCE_WORDS.noDifferenceHere;
}

function say(difference: number, least: number, words: (amount: number) => string): string {
  if (Math.abs(difference) < least) return '';
  return `${words(Math.abs(difference))} ${difference < 0 ? DIFFERENCE_WORDS.less : DIFFERENCE_WORDS.more}`;
}

/** Chances closer than one in two hundred are not told apart. */
function sayRisk(difference: number): string {
  if (Math.abs(difference) < 0.005) return '';
  return DIFFERENCE_WORDS.goWrong(formatChance(Math.abs(difference)), difference);
}

import { formatChance } from '@/core/shared';
import type { CoatingSystem } from '@/core/systems';

/** What another system would change against the one now, in words: "25 min less, 1 in 40 more go wrong". */
export function sayDifference(
  now: CoatingSystem | undefined,
  other: CoatingSystem | undefined,
  sayMoney: (sum: number) => string,
): string {
  if (!other) return 'leaves no system';
  if (!now) return 'gives a system';
  const parts = [
    say(other.handsOnMin - now.handsOnMin, 5, (n) => `${Math.round(n)} min`),
    say(other.elapsedH - now.elapsedH, 2, (n) => `${Math.round(n)} h of waiting`),
    say(other.materialsCost - now.materialsCost, 1, (n) => `materials ${sayMoney(n)}`),
    sayRisk(other.risk.overall - now.risk.overall),
  ].filter((part) => part !== '');
  return parts.length > 0 ? parts.join(', ') : 'no difference here';
}

function say(difference: number, least: number, words: (amount: number) => string): string {
  if (Math.abs(difference) < least) return '';
  return `${words(Math.abs(difference))} ${difference < 0 ? 'less' : 'more'}`;
}

/** Chances closer than one in two hundred are not told apart. */
function sayRisk(difference: number): string {
  if (Math.abs(difference) < 0.005) return '';
  return `${formatChance(Math.abs(difference))} ${difference < 0 ? 'fewer' : 'more'} go wrong`;
}

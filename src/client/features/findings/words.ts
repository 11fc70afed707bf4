import { PRIMER_FACTS, type PrimerCode } from '@/core/knowledge';
import type { Cell, FindingsRow } from '@/core/learning';
import { lowerFirst } from '@/core/shared';

export const namePrimer = (primer: PrimerCode | 'none'): string =>
  primer === 'none' ? 'No primer' : PRIMER_FACTS[primer].label;

const count = (n: number, one: string, more: string): string => `${n} ${n === 1 ? one : more}`;

/** What stands behind a figure: patches, for they are what counts, and the readings made on them. */
export function sayCounts({ patches, patchesHeld, tests }: Pick<Cell, 'patches' | 'patchesHeld' | 'tests'>): string {
  if (patches === 0) return 'by common practice';
  return `${Math.round(patchesHeld)} of ${count(Math.round(patches), 'patch', 'patches')} held, ${count(tests, 'reading', 'readings')}`;
}

/** Which of the two that lead is better, or what it would take to say. */
export function sayComparison({ first, second, comparison }: NonNullable<FindingsRow['leaders']>): string {
  const [one, two] = [namePrimer(first.primer), lowerFirst(namePrimer(second.primer))];
  if (comparison.verdict === 'unknown') {
    if (comparison.strips === null) return `${one} and ${two} hold alike here, as far as strips could ever tell.`;
    const strips = comparison.strips === 1 ? '1 more strip' : `${comparison.strips} more strips`;
    return `${one} and ${two} cannot be told apart yet: ${strips} of each would.`;
  }
  if (comparison.verdict === 'first') return `${one} holds better than ${two} here.`;
  return `${namePrimer(second.primer)} holds better than ${lowerFirst(one)} here.`;
}

import { PRIMER_FACTS, type PrimerCode } from '@/core/knowledge';
import type { Cell, FindingsRow } from '@/core/learning';
import { lowerFirst } from '@/core/shared';
import { FINDINGS_WORDS } from '@/words';

export const namePrimer = (primer: PrimerCode | 'none'): string =>
  primer === 'none' ? FINDINGS_WORDS.noPrimer : PRIMER_FACTS[primer].label;

/** What stands behind a figure: patches, for they are what counts, and the readings made on them. */
export function sayCounts({ patches, patchesHeld, tests }: Pick<Cell, 'patches' | 'patchesHeld' | 'tests'>): string {
  if (patches === 0) return FINDINGS_WORDS.byCommonPractice;
  return FINDINGS_WORDS.ofHeld(
    Math.round(patchesHeld),
    FINDINGS_WORDS.patches(Math.round(patches)),
    FINDINGS_WORDS.readings(tests),
  );
}

/** Which of the two that lead is better, or what it would take to say. */
export function sayComparison({ first, second, comparison }: NonNullable<FindingsRow['leaders']>): string {
  const [one, two] = [namePrimer(first.primer), lowerFirst(namePrimer(second.primer))];
  if (comparison.verdict === 'unknown') {
    if (comparison.strips === null) return FINDINGS_WORDS.andHoldAlikeHereAsFar(one, two);
    const strips = comparison.strips === 1 ? FINDINGS_WORDS.n1MoreStrip : FINDINGS_WORDS.moreStrips(comparison.strips);
    return FINDINGS_WORDS.andCannotBeToldApartYet(one, two, strips);
  }
  if (comparison.verdict === 'first') return FINDINGS_WORDS.holdsBetterThanHere(one, two);
  return FINDINGS_WORDS.primerHoldsBetterThanHere(namePrimer(second.primer), lowerFirst(one));
}

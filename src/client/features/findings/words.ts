import { PRIMER_FACTS, TOPCOAT_FACTS } from '@/core/knowledge';
import type { Cell, FindingsRow } from '@/core/learning';
import { lowerFirst } from '@/core/shared';
import { FINDINGS_WORDS } from '@/words';

/** The primer, the clear finish, or one over the other. */
export function nameLayers({ primer, clear }: Pick<Cell, 'primer' | 'clear'>): string {
  const names = [
    ...(primer === 'none' ? [] : [PRIMER_FACTS[primer].label]),
    ...(clear ? [TOPCOAT_FACTS[clear].label] : []),
  ];
  return names.map((name, i) => (i === 0 ? name : lowerFirst(name))).join(', ') || FINDINGS_WORDS.noPrimer;
}

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
  const [one, two] = [nameLayers(first), lowerFirst(nameLayers(second))];
  if (comparison.verdict === 'unknown') {
    if (comparison.strips === null) return FINDINGS_WORDS.andHoldAlikeHereAsFar(one, two);
    const strips = comparison.strips === 1 ? FINDINGS_WORDS.n1MoreStrip : FINDINGS_WORDS.moreStrips(comparison.strips);
    return FINDINGS_WORDS.andCannotBeToldApartYet(one, two, strips);
  }
  if (comparison.verdict === 'first') return FINDINGS_WORDS.holdsBetterThanHere(one, two);
  return FINDINGS_WORDS.primerHoldsBetterThanHere(nameLayers(second), lowerFirst(one));
}

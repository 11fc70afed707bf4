import type { Dossier, Test } from '@/core/dossier';
import { PRIMER_FACTS, type PrimerCode } from '@/core/knowledge';
import { groupPrep, modeOf, type Cell, type FindingsRow, type FindingsView } from '@/core/learning';
import { judgeTest } from '@/core/proof';
import { computeBelief, mostLikelyState } from '@/core/survey';

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
  const [one, two] = [namePrimer(first.primer), namePrimer(second.primer).toLowerCase()];
  if (comparison.verdict === 'unknown') {
    if (comparison.strips === null) return `${one} and ${two} hold alike here, as far as strips could ever tell.`;
    const strips = comparison.strips === 1 ? '1 more strip' : `${comparison.strips} more strips`;
    return `${one} and ${two} cannot be told apart yet: ${strips} of each would.`;
  }
  if (comparison.verdict === 'first') return `${one} holds better than ${two} here.`;
  return `${namePrimer(second.primer)} holds better than ${one.toLowerCase()} here.`;
}

/** The tests of all pieces that are about one primer on one surface, and count. */
export function findReadings(
  pieces: readonly Dossier[],
  surface: Pick<FindingsRow, 'substrate' | 'finish'>,
  primer: PrimerCode | 'none',
  { mode, prep }: FindingsView,
): { dossier: Dossier; test: Test }[] {
  return pieces.flatMap((dossier) => {
    const here = new Set(
      (dossier.zones ?? [])
        .filter((zone) => (dossier.tests ?? []).some((test) => test.zone === zone.id))
        .filter((zone) => {
          const state = mostLikelyState(computeBelief(dossier, zone));
          return state.substrate === surface.substrate && state.finish === surface.finish;
        })
        .map(({ id }) => id),
    );
    return (dossier.tests ?? [])
      .filter(
        (test) => here.has(test.zone) && modeOf(test.kind) === mode && (test.treatment?.primer ?? 'none') === primer,
      )
      .filter((test) => test.treatment && groupPrep(test.treatment.prep ?? 'none') === prep)
      .filter((test) => ['pass', 'fail'].includes(judgeTest(test, dossier).verdict))
      .map((test) => ({ dossier, test }));
  });
}

import type { Experience } from '../dossier';
import type { ClearCode, PrepCode, PrimerCode } from '../knowledge';
import { betaQuantile, type BetaCounts } from './beta';
import { compareSurfaces, DISCOUNTS, groupPrep, PRIOR_COUNT, type Nearness, type Surface } from './discounts';

/** What is asked about: will this treatment hold on this surface? `product`: the owner's own tin, if it is about one. */
export interface Question extends Surface {
  mode: Experience['mode'];
  prep: PrepCode;
  primer: PrimerCode | 'none';
  /** The clear finish, where the wood is shown. */
  clear?: ClearCode | undefined;
  product?: string | undefined;
}

/** Readings that bear on a question, each near or far, as counts that held and that failed. */
export interface Pooled {
  held: number;
  failed: number;
  /** Readings of this very treatment on this very surface, and those that held; the patches they were made on. */
  own: { tests: number; held: number; patches: number; patchesHeld: number };
  /** All readings that count in some measure. */
  tests: number;
}

/** Gathers what the shop has seen that bears on a question; what is farther counts less, and no more than its cap. */
export function poolExperience(question: Question, experience: readonly Experience[]): Pooled {
  const sums: Record<Nearness, { held: number; failed: number }> = {
    same: { held: 0, failed: 0 },
    sameClass: { held: 0, failed: 0 },
    neighbour: { held: 0, failed: 0 },
  };
  const pooled: Pooled = { held: 0, failed: 0, own: { tests: 0, held: 0, patches: 0, patchesHeld: 0 }, tests: 0 };
  for (const row of experience) {
    const near = compareQuestion(question, row);
    if (!near) continue;
    sums[near].held += row.held;
    sums[near].failed += row.failed;
    pooled.tests += row.tests;
    if (near !== 'same') continue;
    pooled.own.tests += row.tests;
    pooled.own.held += row.tests_held;
    pooled.own.patches += row.held + row.failed;
    pooled.own.patchesHeld += row.held;
  }
  for (const near of Object.keys(sums) as Nearness[]) {
    const { share, cap } = DISCOUNTS[near];
    const { held, failed } = sums[near];
    const count = (held + failed) * share;
    if (count === 0) continue;
    // Rises with each reading and never over the cap.
    const scale = (cap === Infinity ? 1 : cap / (cap + count)) * share;
    pooled.held += held * scale;
    pooled.failed += failed * scale;
  }
  return pooled;
}

function compareQuestion(question: Question, row: Experience): Nearness | null {
  const { mode, primer, prep, clear } = question;
  if (row.mode !== mode || row.primer !== primer || row.clear !== clear || groupPrep(row.prep) !== groupPrep(prep))
    return null;
  const surface = compareSurfaces(mode, question, row);
  if (surface !== 'same') return surface;
  // A question about the class takes every reading of it in full; one about a tin, only that tin's.
  return question.product === undefined || row.product === question.product ? 'same' : 'sameClass';
}

/** What is believed of a treatment's chance to hold, after all that bears on it. */
export interface Posterior extends BetaCounts {
  mean: number;
  /** Between these the true chance lies nine times in ten. */
  lo: number;
  hi: number;
}

/** Beta counts after pooling: what the class table expects, as `PRIOR_COUNT` readings, and the shop's own on top. */
export const updateCounts = (
  expectedFailure: number,
  { held, failed }: Pick<Pooled, 'held' | 'failed'>,
): BetaCounts => ({
  a: PRIOR_COUNT * (1 - expectedFailure) + held,
  b: PRIOR_COUNT * expectedFailure + failed,
});

/** Counts around a chance of failure that already has the readings in it. */
export function spreadOf(failure: number, { held, failed }: Pick<Pooled, 'held' | 'failed'>): BetaCounts {
  const count = PRIOR_COUNT + held + failed;
  const inside = Math.min(0.999, Math.max(0.001, failure));
  return { a: count * (1 - inside), b: count * inside };
}

/**
 * Mean and the interval of nine chances in ten. Where the density climbs to the very end (nothing has failed, or nothing
 * held) the interval reaches that end, and all of the tenth lies on the other side.
 */
export function describePosterior(counts: BetaCounts): Posterior {
  const { a, b } = counts;
  const lo = a < 1 ? 0 : betaQuantile(b < 1 ? 0.1 : 0.05, a, b);
  const hi = b < 1 ? 1 : betaQuantile(a < 1 ? 0.9 : 0.95, a, b);
  return { a, b, mean: a / (a + b), lo, hi };
}

import { PRIMER_FACTS, type PrepCode, type PrimerCode, type Rating } from '../knowledge';
import type { Choice } from './choice';
import type { Ground } from './ground';
import type { PrimerCoats, SurfaceState } from './surface-state';
import { updateByTests } from './test-evidence';

export const FAILURE_MODES = ['adhesion', 'bleed', 'grain_show', 'haze_or_yellow', 'blocking'] as const;
export type FailureMode = (typeof FAILURE_MODES)[number];
export type Risk = Record<FailureMode, number> & { overall: number };
export type Chances = Partial<Record<FailureMode, number>>;

/*
 * Chances of failure by ground, prep and primer. All figures are estimates in the order of what common practice
 * reports (on a slick face a scuff does more than a primer, and both together are surest); the shop's own tests are
 * to replace them.
 */
const LOSS_UNPREPARED = [0.02, 0.25, 0.5] as const;
const AFTER_PREP: Record<PrepCode, readonly [number, number, number]> = {
  none: [1, 1, 1],
  scuff_120: [0.6, 0.15, 0.12],
  scuff_150: [0.6, 0.15, 0.12],
  scuff_180: [0.6, 0.15, 0.16],
  scuff_220: [0.7, 0.16, 0.2],
  liquid_degloss: [1, 0.22, 1],
  strip: [0.5, 0.04, 0.1],
  sand_bare: [0.5, 0.04, 0.1],
};
const AFTER_PRIMER: Record<Rating, readonly [number, number, number]> = {
  none: [1, 1, 1],
  poor: [0.5, 0.5, 0.8],
  fair: [0.4, 0.35, 0.5],
  good: [0.35, 0.2, 0.22],
  very_good: [0.35, 0.2, 0.18],
  best: [0.35, 0.18, 0.1],
};
const BLEED_LEAK: Record<Rating, readonly [number, number]> = {
  none: [0.97, 0.95],
  poor: [0.8, 0.7],
  fair: [0.5, 0.35],
  good: [0.25, 0.1],
  very_good: [0.1, 0.04],
  best: [0.06, 0.02],
};
/** Knots sealed by themselves first leak half as much under a whole coat (estimate). */
const SPOT_SEALED = 0.5;

/** Chances of failure that a coat brings, from what it lies on. Other ways bring only what they say themselves. */
export function assessCoat(choice: Choice, before: SurfaceState, ground: Ground): Chances {
  const first = before.primers.length === 0 && before.paint === null;
  const chances: Chances = {};
  if (first && (choice.op === 'prime' || choice.op === 'paint' || choice.op === 'topcoat')) {
    chances.adhesion = estimateAdhesion(before.prep, choice.sets.primers?.[0]?.code ?? null, ground);
  }
  if (choice.closesGround) {
    chances.bleed = estimateBleed(before, ground);
    if (ground.goal.grain === 'hide' && before.grainFilled) {
      const rewets = before.primers.some(({ code }) => PRIMER_FACTS[code].overWaterborneFiller === 'rewets');
      chances.grain_show = (ground.needs.get('grain_fill') ?? 0) * (rewets ? 0.3 : 0.06);
    }
  }
  return chances;
}

/** Chance that the first coat lets go of a ground prepared like this, after the shop's own tests. */
export function estimateAdhesion(prep: PrepCode, primer: PrimerCode | null, ground: Ground): number {
  const rating = primer ? PRIMER_FACTS[primer].slick : 'none';
  const loss = ground.slickness.reduce(
    (sum, p, level) => sum + p * LOSS_UNPREPARED[level]! * AFTER_PREP[prep][level]! * AFTER_PRIMER[rating][level]!,
    0,
  );
  const oldCoat = prep === 'strip' || prep === 'sand_bare' ? 0 : 0.6 * ground.pFailing + 0.06 * ground.pMarginal;
  return updateByTests(1 - (1 - loss) * (1 - oldCoat), 'adhesion', { prep, primer: primer ?? 'none' }, ground.evidence);
}

/** Chance that colour comes through the paint, over what has been put on so far. */
export function estimateBleed(state: SurfaceState, ground: Ground): number {
  const estimate = ground.pBleed * computeLeak(state, ground) * (ground.pale ? 1 : 0.1);
  const treatment = { prep: state.prep, primer: state.primers[0]?.code ?? ('none' as const) };
  return updateByTests(estimate, 'bleed', treatment, ground.evidence);
}

/** Share of what bleeds that comes through the primers and spot seals. */
function computeLeak({ primers, spotSeal }: Pick<SurfaceState, 'primers' | 'spotSeal'>, ground: Ground): number {
  const whole = leakThrough(primers);
  if (!spotSeal) return whole;
  const spots = BLEED_LEAK[PRIMER_FACTS[spotSeal].block][0];
  return ground.bleedsInSpots ? Math.min(whole, spots) : whole * SPOT_SEALED;
}

const leakThrough = (primers: readonly PrimerCoats[]): number =>
  Math.min(
    BLEED_LEAK.none[0],
    ...primers.map(({ code, coats }) => BLEED_LEAK[PRIMER_FACTS[code].block][coats > 1 ? 1 : 0]),
  );

/** A primer that counts as a stain block. */
export const blocksStain = (code: PrimerCode): boolean => {
  const { block } = PRIMER_FACTS[code];
  return block === 'good' || block === 'very_good' || block === 'best';
};

export function withOverall(modes: Record<FailureMode, number>): Risk {
  return { ...modes, overall: 1 - FAILURE_MODES.reduce((held, mode) => held * (1 - modes[mode]), 1) };
}

import {
  CLEAR_FACTS,
  CLEAR_LOSS,
  leavesBare,
  OLD_COAT_LOSS,
  PRIMER_FACTS,
  type ClearCode,
  type GripGround,
  type PaintCode,
  type PrimerCode,
} from '../knowledge';
import { BLEED_LEAK, expectClearLoss, expectLoss, updateCounts, type FirstCoat, type Pooled } from '../learning';
import type { Choice } from './choice';
import { CREDIBLE } from '../survey';
import { bleedsAfter, showsWood, type Ground } from './ground';
import type { PrimerCoats, SurfaceState } from './surface-state';

export const FAILURE_MODES = ['adhesion', 'bleed', 'grain_show', 'haze_or_yellow', 'blocking'] as const;
export type FailureMode = (typeof FAILURE_MODES)[number];
export type Risk = Record<FailureMode, number> & { overall: number };
export type Chances = Partial<Record<FailureMode, number>>;

/** Knots sealed by themselves first leak half as much under a whole coat (estimate). */
const SPOT_SEALED = 0.5;

/** Old stains that come through what seals them, as a share (estimate). */
const STAIN_SEALED = 0.05;
const RAW_BOARD: ReadonlyMap<GripGround, number> = new Map([['raw_board', 1]]);

/** Single old stains are held by a seal of their own or by a primer that holds old stains. */
export const sealsStains = ({ primers, spotSeal }: Pick<SurfaceState, 'primers' | 'spotSeal'>): boolean =>
  spotSeal !== null || primers.some(({ code }) => PRIMER_FACTS[code].oldStains);

/** Chances of failure that a coat brings, from what it lies on. Other ways bring only what they say themselves. */
export function assessCoat(choice: Choice, before: SurfaceState, ground: Ground): Chances {
  const first = before.primers.length === 0 && before.paint === null;
  const chances: Chances = {};
  if (choice.op === 'reamalgamate') chances.adhesion = inUse(CLEAR_LOSS.reamalgamate, ground);
  else if (first && showsWood(ground) && (choice.op === 'refresh' || choice.op === 'topcoat' || choice.op === 'prime'))
    chances.adhesion = estimateClear(choice.product!.class as ClearCode, before, ground);
  else if (first && (choice.op === 'prime' || choice.op === 'paint' || choice.op === 'topcoat')) {
    const coat: FirstCoat = {
      prep: before.prep,
      primer: choice.sets.primers?.[0]?.code ?? null,
      paint: choice.op === 'paint' ? (choice.product!.class as PaintCode) : null,
    };
    chances.adhesion = before.bared ? inUse(expectLoss(RAW_BOARD, coat), ground) : estimateAdhesion(coat, ground);
  }
  if (choice.closesGround) {
    const stained = ground.stains.p * (ground.pale ? 1 : 0.1) * (sealsStains(before) ? STAIN_SEALED : 1);
    chances.bleed = 1 - (1 - estimateBleed(before, ground)) * (1 - stained);
    if (ground.goal.grain === 'hide' && before.grainFilled) {
      const rewets = before.primers.some(({ code }) => PRIMER_FACTS[code].overWaterborneFiller === 'rewets');
      chances.grain_show = (ground.needs.get('grain_fill') ?? 0) * (rewets ? 0.3 : 0.06);
    }
  }
  return chances;
}

/** Chance that the first coat lets go of a ground prepared like this, after the shop's own tests. */
export function estimateAdhesion(coat: FirstCoat, ground: Ground): number {
  const { prep, primer } = coat;
  const { failing, marginal } = OLD_COAT_LOSS;
  const oldCoat = leavesBare(prep) ? 0 : failing * ground.pFailing + marginal * ground.pMarginal;
  const loss = 1 - (1 - expectLoss(ground.grips, coat)) * (1 - oldCoat);
  return inUse(updateByOwnTests(loss, ground.pool('adhesion', prep, primer ?? 'none')), ground);
}

/**
 * Chance that a clear way disappoints: on bare wood, over the old coat where that takes it, waxed over or melted. What has
 * failed lets go whatever lies on it, but for what is melted again.
 */
function estimateClear(code: ClearCode, { prep, renewed, primers }: SurfaceState, ground: Ground): number {
  // Counted with the melting.
  if (renewed === 'reamalgamate') return 0;
  const own = ground.pool('adhesion', prep, primers[0]?.code ?? 'none', code);
  if (leavesBare(prep)) return inUse(updateByOwnTests(CLEAR_FACTS[code].bareLoss, own), ground);
  const { failing, marginal } = OLD_COAT_LOSS;
  const oldCoat = failing * ground.pFailing + marginal * ground.pMarginal;
  if (renewed === 'refresh') return inUse(1 - (1 - CLEAR_LOSS.refresh) * (1 - oldCoat), ground);
  const dewaxed = (ground.needs.get('dewax') ?? 0) >= CREDIBLE;
  const over = ground.states.reduce(
    (sum, { finish, p }) => sum + p * expectClearLoss(finish, code, { dewaxed, barred: primers.length > 0 }),
    0,
  );
  return inUse(updateByOwnTests(1 - (1 - over) * (1 - oldCoat), own), ground);
}

/** Hard use multiplies what lets go: as a hazard, so that it never goes over one. */
const inUse = (p: number, { use }: Pick<Ground, 'use'>): number => 1 - (1 - p) ** use;

/** Chance that colour comes through the paint, over what has been put on so far. */
export function estimateBleed(state: SurfaceState, ground: Ground): number {
  const estimate = bleedsAfter(ground, state.prep) * computeLeak(state, ground) * (ground.pale ? 1 : 0.1);
  return updateByOwnTests(estimate, ground.pool('bleed', state.prep, state.primers[0]?.code ?? 'none'));
}

/** The mean of what is believed after the shop's own tests. Example: 0.12 expected and four that held → 0.04. */
export function updateByOwnTests(estimate: number, pooled: Pick<Pooled, 'held' | 'failed'>): number {
  const { a, b } = updateCounts(estimate, pooled);
  return b / (a + b);
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

/** A class that counts as a stain block, if there is enough of it. */
export const blocksStain = (code: PrimerCode): boolean => {
  const { block } = PRIMER_FACTS[code];
  return block === 'good' || block === 'very_good' || block === 'best';
};

/** Coats of a blocker that hold colour back: fewer count as none (some classes want two and a night between). */
export const holdsColour = ({ code, coats }: PrimerCoats): boolean =>
  blocksStain(code) && coats >= (PRIMER_FACTS[code].blocksFrom?.coats ?? 1);

/** Above this a plan says what would lower it (common practice: 1 in 8). */
const HIGH_RISK = 1 / 8;
/** A way of failing that makes this little of it is not worth lowering (estimate). */
const SMALL_PART = 0.03;

/** The ways of failing that would have to be worked on, likeliest first, where more than one in eight go wrong. */
export const listLowering = (risk: Risk): FailureMode[] =>
  risk.overall <= HIGH_RISK
    ? []
    : FAILURE_MODES.filter((mode) => risk[mode] >= SMALL_PART).sort((a, b) => risk[b] - risk[a]);

export function withOverall(modes: Record<FailureMode, number>): Risk {
  return { ...modes, overall: 1 - FAILURE_MODES.reduce((held, mode) => held * (1 - modes[mode]), 1) };
}

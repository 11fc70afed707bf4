import { FINISH_FACTS, PRIMER_FACTS, type PrepCode, type PrimerCode, type Rating } from '../knowledge';
import type { Surface } from './discounts';

/*
 * Chances of failure by ground, prep and primer before the shop has tested anything. All figures are estimates in the
 * order of what common practice reports, which `expect.test` walks through (on a slick face a scuff does more than a
 * primer, and both together are surest); the shop's own tests move them.
 */
const LOSS_UNPREPARED = [0.02, 0.25, 0.5] as const;
const AFTER_PREP: Record<PrepCode, readonly [number, number, number]> = {
  none: [1, 1, 1],
  scuff_120: [0.6, 0.15, 0.12],
  scuff_150: [0.6, 0.15, 0.12],
  scuff_180: [0.6, 0.15, 0.16],
  scuff_220: [0.6, 0.16, 0.2],
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
  best: [0.35, 0.13, 0.1],
};
/** Share of what bleeds that comes through one coat and through two. */
export const BLEED_LEAK: Record<Rating, readonly [number, number]> = {
  none: [0.97, 0.95],
  poor: [0.8, 0.7],
  fair: [0.5, 0.35],
  good: [0.25, 0.1],
  very_good: [0.1, 0.04],
  best: [0.06, 0.02],
};

/** Chance that the first coat lets go of a sound ground, from the chances that it is porous, coated or slick. */
export function expectLoss(slickness: readonly number[], prep: PrepCode, primer: PrimerCode | null): number {
  const rating = primer ? PRIMER_FACTS[primer].slick : 'none';
  return slickness.reduce(
    (sum, p, level) => sum + p * LOSS_UNPREPARED[level]! * AFTER_PREP[prep][level]! * AFTER_PRIMER[rating][level]!,
    0,
  );
}

/** What a treatment would be expected to do on a surface that is known: chance of failure, 0–1. */
export function expectFailure(
  mode: 'adhesion' | 'bleed',
  surface: Surface,
  prep: PrepCode,
  primer: PrimerCode | 'none',
): number {
  return Math.min(
    1 - LEAST_DOUBT,
    Math.max(LEAST_DOUBT, lookUp(mode, surface, prep, primer === 'none' ? null : primer)),
  );
}

/** A table of estimates that claims to be surer than this claims too much. */
const LEAST_DOUBT = 0.02;

function lookUp(mode: 'adhesion' | 'bleed', surface: Surface, prep: PrepCode, code: PrimerCode | null): number {
  if (mode === 'bleed') return BLEED_LEAK[code ? PRIMER_FACTS[code].block : 'none'][0];
  const slickness = [0, 0, 0];
  slickness[FINISH_FACTS[surface.finish].slickness] = 1;
  return expectLoss(slickness, prep, code);
}

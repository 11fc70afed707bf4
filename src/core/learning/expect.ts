import {
  CLEAR_BARRIER,
  CLEAR_FACTS,
  CLEAR_LOSS,
  GRIP_LOSS,
  gripGroundOf,
  leavesBare,
  PAINT_FACTS,
  PRIMER_FACTS,
  PREP_FACTS,
  RECOAT_OVER,
  SOFT_PAD_FACTOR,
  type ClearCode,
  type FinishCode,
  type GripGround,
  type PaintCode,
  type PrepCode,
  type PrimerCode,
  type Rating,
} from '../knowledge';
import type { Surface } from './discounts';

/** Share of what bleeds that comes through one coat and through two. */
export const BLEED_LEAK: Record<Rating, readonly [number, number]> = {
  none: [0.97, 0.95],
  poor: [0.8, 0.7],
  fair: [0.5, 0.35],
  good: [0.25, 0.1],
  very_good: [0.1, 0.04],
  best: [0.06, 0.02],
};

/** What is put on a ground first. */
export interface FirstCoat {
  prep: PrepCode;
  primer: PrimerCode | null;
  /** Without a primer: the paint that goes straight on. */
  paint?: PaintCode | null;
}

/** Chance that the first coat lets go of a sound, clean ground, 0–1. `grips`: the chance of each kind of ground. */
export function expectLoss(grips: ReadonlyMap<GripGround, number>, coat: FirstCoat): number {
  let sum = 0;
  for (const [ground, p] of grips) sum += p * expectLossOn(ground, coat);
  return sum;
}

/** The same on a ground that is known. Example: two-part primer on a scuffed film → 0.015. */
export function expectLossOn(ground: GripGround, { prep, primer, paint = null }: FirstCoat): number {
  const row = primer ? PRIMER_FACTS[primer] : null;
  const rating = (ground === 'metal' ? row?.metal : undefined) ?? row?.slick ?? 'none';
  const loss = GRIP_LOSS[ground][PREP_FACTS[prep].group][rating];
  const soft = ground === 'film' && PREP_FACTS[prep].soft ? SOFT_PAD_FACTOR : 1;
  // Straight on, it is the paint that has to hold: some do more than others.
  const straight = primer === null && paint ? PAINT_FACTS[paint].straight : 1;
  return Math.min(0.95, loss * soft * straight);
}

/**
 * Chance that a coat of clear disappoints over one old coat that is sound, 0–1; a barrier takes what the old coat would not.
 * Example: waterborne over oil → 0.5.
 */
export function expectClearLoss(
  finish: FinishCode,
  clear: ClearCode,
  { dewaxed, barred }: { dewaxed: boolean; barred: boolean },
): number {
  const met = finish === 'wax' && dewaxed ? 'bare' : finish;
  if (met === 'bare') return CLEAR_FACTS[clear].bareLoss;
  if (RECOAT_OVER[met].includes(barred ? CLEAR_BARRIER : clear)) return CLEAR_LOSS.recoat;
  if (met === 'oil' || met === 'hardwax_oil') return CLEAR_LOSS.over_oil;
  return met === 'wax' ? CLEAR_LOSS.over_wax : CLEAR_LOSS.over_other;
}

/** What a treatment would be expected to do on a surface that is known: chance of failure, 0–1. */
export function expectFailure(
  mode: 'adhesion' | 'bleed',
  surface: Surface,
  treatment: { prep: PrepCode; primer: PrimerCode | 'none'; clear?: ClearCode | undefined },
): number {
  return Math.min(1 - LEAST_DOUBT, Math.max(LEAST_DOUBT, lookUp(mode, surface, treatment)));
}

/** A table of estimates that claims to be surer than this claims too much. */
const LEAST_DOUBT = 0.01;

function lookUp(
  mode: 'adhesion' | 'bleed',
  { substrate, finish }: Surface,
  { prep, primer: coat, clear }: Parameters<typeof expectFailure>[2],
): number {
  const primer = coat === 'none' ? null : coat;
  if (clear)
    return expectClearLoss(leavesBare(prep) ? 'bare' : finish, clear, { dewaxed: false, barred: primer !== null });
  if (mode === 'bleed') return BLEED_LEAK[primer ? PRIMER_FACTS[primer].block : 'none'][0];
  return expectLossOn(gripGroundOf(substrate, finish), { prep, primer });
}

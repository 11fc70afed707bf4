/**
 * Failures of one treatment on one ground have causes in common: the batch, the cleaning, the ground itself. This share of
 * a zone's hazard is common to all zones with the same cause, the rest is its own (estimate: with it five faces of one
 * board, each 6 in 100, come to 12 in 100; as if they were independent it would be 27. `npm run bench` holds it to shops
 * drawn with a common quality for each treatment on each ground).
 */
export const SHARED_SHARE = 0.75;

export interface ZoneChance {
  /** What the zones that fail together have in common. */
  cause: string;
  /** Chance that the zone fails, 0–1. */
  p: number;
}

/**
 * Chance that at least one of some zones fails. Hazards −ln(1 − p) are split: of the common part the largest counts once
 * for each cause, for the worst zone fails with the others; own parts add up. One zone alone keeps its chance exactly,
 * and zones with nothing in common multiply as independent ones do.
 */
export function combineChances(zones: readonly ZoneChance[]): number {
  const common = new Map<string, number>();
  let hazard = 0;
  for (const { cause, p } of zones) {
    const own = -Math.log1p(-Math.min(0.999_999, p));
    common.set(cause, Math.max(common.get(cause) ?? 0, SHARED_SHARE * own));
    hazard += (1 - SHARED_SHARE) * own;
  }
  for (const shared of common.values()) hazard += shared;
  return -Math.expm1(-hazard);
}

import { CLASS_LIMITS, toIsoClass } from '../scales';
import type { LatticeReading } from './lattice';

/**
 * How sure the class is, 0–1: the share of a normal error around the reading that lies within its class, less where not
 * all cuts were found; 0 when the picture is not to be used.
 */
export function rateConfidence({ removedPct, errorPct, faults, found }: LatticeReading): number {
  if (faults.length > 0) return 0;
  const severity = toIsoClass(removedPct);
  const low = severity === 0 ? -Infinity : CLASS_LIMITS[severity - 1]!;
  const high = severity === CLASS_LIMITS.length ? Infinity : severity === 0 ? CLEAN_PCT : CLASS_LIMITS[severity]!;
  const inside = normalShare((high - removedPct) / errorPct) - normalShare((low - removedPct) / errorPct);
  return Math.round(inside * Math.min(1, 0.4 + 0.6 * found) * 100) / 100;
}

/** A clean lattice is sure while its error stays below the least flake that is seen, %. */
const CLEAN_PCT = 0.8;

/** Share of a normal distribution below z (Abramowitz and Stegun 26.2.17, error under 7.5e-8). */
function normalShare(z: number): number {
  if (z === Infinity) return 1;
  if (z === -Infinity) return 0;
  const t = 1 / (1 + 0.2316419 * Math.abs(z));
  const tail =
    (Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI)) *
    t *
    (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  return z > 0 ? 1 - tail : tail;
}

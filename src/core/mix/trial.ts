import { computeDeltaE00, convertHexToLinearRgb, convertLinearRgbToLab } from '../colour';
import { absorptionOf, defaultStrength, mixSpectra } from './mix-spectra';
import type { MixTin } from './request';
import { convertHexToSpectrum, convertSpectrumToLab } from './spectrum';

/** A mix that was made, and what it came out as. */
export interface Trial {
  parts: readonly { tin: string; share: number }[];
  /** Measured beside white paper, sRGB. */
  colour: string;
}

/** No tin tints so much more or less than another of its kind (estimate). */
const MOST_TIMES = 20;
const STEPS = 40;
const ROUNDS = 8;

/**
 * Tinting strengths that explain what trial mixes came out as: the tin with the largest share of a trial stays as it is, the
 * others are moved in turn until the trials are met best (sum of squared ΔE00, coordinate descent over log strength). Tins
 * that were in no trial keep theirs. Returns strengths by tin.
 */
export function refitStrengths(tins: readonly MixTin[], trials: readonly Trial[]): Map<string, number> {
  const strengths = new Map(tins.map(({ id, colour, strength = defaultStrength(colour) }) => [id, strength]));
  const spectra = new Map(tins.map(({ id, colour }) => [id, absorptionOf(convertHexToSpectrum(colour))]));
  const known = trials.filter(({ parts }) => parts.every(({ tin }) => spectra.has(tin)) && parts.length > 1);
  const measured = known.map(({ colour }) => convertLinearRgbToLab(convertHexToLinearRgb(colour)));
  const error = (): number =>
    known.reduce((sum, { parts }, i) => {
      const mixed = mixSpectra(
        parts.map(({ tin, share }) => ({ absorption: spectra.get(tin)!, strength: strengths.get(tin)!, share })),
      );
      return sum + computeDeltaE00(measured[i]!, convertSpectrumToLab(mixed)) ** 2;
    }, 0);
  const fixed = new Set(
    known.map(({ parts }) => parts.reduce((most, own) => (own.share > most.share ? own : most)).tin),
  );
  const moved = [...new Set(known.flatMap(({ parts }) => parts.map(({ tin }) => tin)))].filter(
    (tin) => !fixed.has(tin),
  );
  let width = Math.log(MOST_TIMES);
  for (let round = 0; round < ROUNDS; round += 1) {
    for (const tin of moved) {
      const start = Math.log(strengths.get(tin)!);
      let best = { at: start, error: error() };
      for (let step = 0; step <= STEPS; step += 1) {
        const at = start + width * ((2 * step) / STEPS - 1);
        strengths.set(tin, Math.exp(at));
        const own = error();
        if (own < best.error) best = { at, error: own };
      }
      strengths.set(tin, Math.exp(best.at));
    }
    width /= 4;
  }
  return strengths;
}

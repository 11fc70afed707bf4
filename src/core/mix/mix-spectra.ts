import { convertKSToReflectance, convertReflectanceToKS } from '../film';
import { convertHexToSpectrum, type Spectrum } from './spectrum';

/** A paint in a mix: its absorption band by band, how strongly it tints, and its share by volume. */
export interface Part {
  absorption: Float64Array;
  strength: number;
  share: number;
}

/** A black that reflects so much makes a white of 0.9 a 0.36 at one part in twenty (common practice). */
const DARKEST_THAT_COUNTS = 0.04;

/**
 * How strongly a paint tints where no trial has told: 1, but of what is darker than a usual black only as much as that does,
 * for what a tin shows when it is dry says little of how much black is in it. `hex`: what it dries to. Example: #1C1C1C → 0.27.
 */
export function defaultStrength(hex: string): number {
  const absorption = absorptionOf(convertHexToSpectrum(hex));
  const own = absorption.reduce((sum, band) => sum + band, 0) / absorption.length;
  return Math.min(1, convertReflectanceToKS(DARKEST_THAT_COUNTS) / own);
}

export const absorptionOf = (spectrum: Spectrum): Float64Array => spectrum.map(convertReflectanceToKS);

/**
 * The reflectance of a mix (written `into` where it is given), with one constant a band: absorptions weighted by volume and
 * tinting strength. Source: Duncan, The colour of pigment mixtures, Proceedings of the Physical Society 52 (1940). Shares
 * need not add up to one.
 */
export function mixSpectra(parts: readonly Part[], into = new Float64Array(parts[0]!.absorption.length)): Spectrum {
  let whole = 0;
  for (const { share, strength } of parts) whole += share * strength;
  into.fill(0);
  for (const { share, strength, absorption: own } of parts) {
    const weight = (share * strength) / whole;
    if (weight === 0) continue;
    for (let i = 0; i < into.length; i += 1) into[i]! += weight * own[i]!;
  }
  for (let i = 0; i < into.length; i += 1) into[i] = convertKSToReflectance(into[i]!);
  return into;
}

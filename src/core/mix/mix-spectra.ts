import { convertKSToReflectance, convertReflectanceToKS } from '../film';
import type { Spectrum } from './spectrum';

/** A paint in a mix: its absorption band by band, how strongly it tints, and its share by volume. */
export interface Part {
  absorption: Float64Array;
  strength: number;
  share: number;
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

import type { Spectrum } from './spectrum';

/** Absorption over scattering of an opaque film by its reflectance, 0–1. Source: Kubelka and Munk (1931). Example: 0.5 → 0.25. */
export const absorption = (reflectance: number): number => (1 - reflectance) ** 2 / (2 * reflectance);

/** Reflectance of an opaque film by its absorption over scattering. Example: 0.25 → 0.5. */
export const reflectance = (ks: number): number => 1 + ks - Math.sqrt(ks * ks + 2 * ks);

/** A paint in a mix: its absorption band by band, how strongly it tints, and its share by volume. */
export interface Part {
  absorption: Float64Array;
  strength: number;
  share: number;
}

export const absorptionOf = (spectrum: Spectrum): Float64Array => spectrum.map(absorption);

/**
 * The reflectance of a mix (written `into` where it is given), with one constant a band: absorptions weighted by volume and tinting strength. Source: Duncan,
 * The colour of pigment mixtures, Proceedings of the Physical Society 52 (1940). Shares need not add up to one.
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
  for (let i = 0; i < into.length; i += 1) into[i] = reflectance(into[i]!);
  return into;
}

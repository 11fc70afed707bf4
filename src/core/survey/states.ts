import {
  FINISHES,
  GRAINS,
  SOUNDNESS,
  SUBSTRATES,
  type FinishCode,
  type GrainCode,
  type SoundnessCode,
  type SubstrateCode,
} from '../knowledge';

/** Substrate and finish are believed jointly: state index = substrate × number of finishes + finish. */
export const STATE_COUNT = SUBSTRATES.length * FINISHES.length;

export interface State {
  substrate: SubstrateCode;
  finish: FinishCode;
}

export const STATES: readonly State[] = SUBSTRATES.flatMap((substrate) =>
  FINISHES.map((finish) => ({ substrate, finish })),
);

/**
 * Small hidden facts that are independent of each other once substrate and finish are known. Bleed and grease share
 * one facet because one check (the damp rag) looks at both.
 */
export interface FacetValue {
  soundness?: SoundnessCode;
  grain?: GrainCode;
  bleed?: boolean;
  grease?: boolean;
  wax_polish?: boolean;
  silicone?: boolean;
  odour?: boolean;
}
export const FACETS = {
  soundness: SOUNDNESS.map((soundness): FacetValue => ({ soundness })),
  grain: GRAINS.map((grain): FacetValue => ({ grain })),
  seep: [
    { bleed: false, grease: false },
    { bleed: false, grease: true },
    { bleed: true, grease: false },
    { bleed: true, grease: true },
  ] as FacetValue[],
  polish: [{ wax_polish: false }, { wax_polish: true }] as FacetValue[],
  silicone: [{ silicone: false }, { silicone: true }] as FacetValue[],
  odour: [{ odour: false }, { odour: true }] as FacetValue[],
};
export type FacetName = keyof typeof FACETS;
export const FACET_NAMES = Object.keys(FACETS) as FacetName[];

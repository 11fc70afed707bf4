import type { Basis, TopcoatCode } from './codes';

export type ClearCode = Exclude<TopcoatCode, 'none'>;

/** What a clear finish is on wood (common practice). */
export interface ClearFact {
  /** Stays in the wood, lies on it as a film, or is melted into itself. */
  lies: 'in' | 'on' | 'melts' | 'wax';
  /** Coats on a face, and on a top in daily use. */
  coats: number;
  topCoats: number;
  /** Minutes of hands a m² a coat. */
  perM2: number;
  /** Stands daily use of a top, a dining table or a kitchen. */
  wears: boolean;
  /** Stands the heat of a stove or a radiator under it. */
  standsHeat: boolean;
  /** On bare or oiled wood only, never over paint. */
  woodOnly: boolean;
  /** Rubbed in with a rag or a pad, whatever else is sprayed. */
  rubbedOn?: true;
  /** Sanded between coats. */
  sanded: boolean;
  /** Minutes after which what has not soaked in must be off again. */
  wipeOffMin?: number;
  /** Chance that it disappoints on bare wood where it may be used (common practice). */
  bareLoss: number;
  /** Food may touch it once it has cured, by its label in any case. */
  food: boolean;
  basis: Basis;
}

// prettier-ignore
export const CLEAR_FACTS: Record<ClearCode, ClearFact> = {
  wb_clear: { lies: 'on', coats: 3, topCoats: 3, perM2: 7, wears: true, standsHeat: true, woodOnly: false, sanded: true, bareLoss: 0.03, food: true, basis: 'practice' },
  wb_polyurethane: { lies: 'on', coats: 3, topCoats: 3, perM2: 7, wears: true, standsHeat: true, woodOnly: false, sanded: true, bareLoss: 0.03, food: true, basis: 'practice' },
  oil_polyurethane: { lies: 'on', coats: 3, topCoats: 3, perM2: 9, wears: true, standsHeat: true, woodOnly: false, sanded: true, bareLoss: 0.03, food: true, basis: 'practice' },
  wipe_on_oil: { lies: 'in', coats: 3, topCoats: 3, perM2: 6, wears: false, standsHeat: true, woodOnly: true, rubbedOn: true, sanded: false, wipeOffMin: 10, bareLoss: 0.04, food: true, basis: 'practice' },
  hardwax_oil: { lies: 'in', coats: 2, topCoats: 2, perM2: 8, wears: true, standsHeat: true, woodOnly: true, rubbedOn: true, sanded: false, wipeOffMin: 15, bareLoss: 0.03, food: true, basis: 'practice' },
  shellac_clear: { lies: 'melts', coats: 4, topCoats: 4, perM2: 5, wears: false, standsHeat: false, woodOnly: true, sanded: false, bareLoss: 0.04, food: true, basis: 'practice' },
  wax: { lies: 'wax', coats: 2, topCoats: 2, perM2: 14, wears: false, standsHeat: false, woodOnly: false, rubbedOn: true, sanded: false, bareLoss: 0.08, food: true, basis: 'practice' },
};

/** Ways to keep a coat that is on: waxed and buffed over it, or melted into itself. */
export const RENEWALS = ['refresh', 'reamalgamate'] as const;
export type Renewal = (typeof RENEWALS)[number];

/** Rubbed in with a rag or a pad, never sprayed. */
export const isRubbedOn = (code: string | undefined): boolean =>
  code !== undefined && code in CLEAR_FACTS && CLEAR_FACTS[code as ClearCode].rubbedOn === true;

/**
 * What a patch of a clear finish may show besides letting go, seen by eye at any age; what spoils fails it, what does not is
 * a matter of taste (common practice).
 */
export const PATCH_LOOKS = {
  wrinkled: { spoils: true, basis: 'practice' },
  blushed: { spoils: true, basis: 'practice' },
  blotchy: { spoils: false, basis: 'practice' },
} as const satisfies Record<string, { spoils: boolean; basis: Basis }>;
export type PatchLook = keyof typeof PATCH_LOOKS;
export const PATCH_LOOK_CODES = Object.keys(PATCH_LOOKS) as [PatchLook, ...PatchLook[]];

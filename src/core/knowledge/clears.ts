import type { Basis, DefectCode, FinishCode, SubstrateCode, TopcoatCode } from './codes';

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
  wipe_on_oil: { lies: 'in', coats: 3, topCoats: 3, perM2: 6, wears: false, standsHeat: true, woodOnly: true, sanded: false, wipeOffMin: 10, bareLoss: 0.04, food: true, basis: 'practice' },
  hardwax_oil: { lies: 'in', coats: 2, topCoats: 2, perM2: 8, wears: true, standsHeat: true, woodOnly: true, sanded: false, wipeOffMin: 15, bareLoss: 0.03, food: true, basis: 'practice' },
  shellac_clear: { lies: 'melts', coats: 4, topCoats: 4, perM2: 5, wears: false, standsHeat: false, woodOnly: true, sanded: false, bareLoss: 0.04, food: true, basis: 'practice' },
  wax: { lies: 'wax', coats: 2, topCoats: 2, perM2: 14, wears: false, standsHeat: false, woodOnly: false, sanded: false, bareLoss: 0.08, food: true, basis: 'practice' },
};

/** Waterborne clear raises the grain of bare wood, and lies well over a dry coat of clear shellac. */
export const CLEAR_BARRIER = 'shellac_clear';

const WATER_CLEARS = ['wb_clear', 'wb_polyurethane'] as const;

/**
 * What may go straight over a sound old coat that is clean, dewaxed and scuffed; what is not named peels, wrinkles or
 * never dries (common practice; waxing a sound coat is no coat over it). Shellac may have wax in it: only shellac is sure to hold on it. Wax comes off first; after
 * that the wood counts.
 */
export const RECOAT_OVER: Record<FinishCode, readonly ClearCode[]> = {
  bare: ['wb_clear', 'wb_polyurethane', 'oil_polyurethane', 'wipe_on_oil', 'hardwax_oil', 'shellac_clear', 'wax'],
  wax: ['wax'],
  oil: ['wipe_on_oil'],
  hardwax_oil: ['hardwax_oil'],
  shellac: ['shellac_clear'],
  nitro_lacquer: ['shellac_clear', 'oil_polyurethane'],
  varnish_oil: ['oil_polyurethane', 'shellac_clear'],
  waterborne_clear: [...WATER_CLEARS, 'oil_polyurethane', 'shellac_clear'],
  catalysed_lacquer: ['shellac_clear'],
  chalk_paint: [],
  latex_paint: [],
  mineral_paint: [],
  alkyd_paint: [],
  factory_film: [],
  powder_coat: [],
  unknown: ['shellac_clear'],
};

/** Ways to keep a coat that is on: waxed and buffed over it, or melted into itself. */
export const RENEWALS = ['refresh', 'reamalgamate'] as const;
export type Renewal = (typeof RENEWALS)[number];

/** Coats that flow again under their own solvent (common practice). */
export const AMALGAMATES: readonly FinishCode[] = ['shellac', 'nitro_lacquer'];

/** What a coat that is melted is melted for (common practice). */
export const MELTED_FOR: readonly DefectCode[] = ['alligatoring', 'water_ring', 'scratch'];

/** Woods that take a stain in blotches unless they are conditioned first: pine, birch, maple, cherry (common practice). */
export const BLOTCHES: readonly SubstrateCode[] = ['knotty_softwood', 'clear_softwood', 'closed_grain_hardwood'];

/** Chances that a clear way disappoints within two years of ordinary use (common practice; the last two estimates). */
export const CLEAR_LOSS = {
  refresh: 0.1,
  reamalgamate: 0.08,
  over_oil: 0.5,
  over_wax: 0.6,
  recoat: 0.04,
  over_other: 0.3,
} as const;

/**
 * What a piece brings when it is painted, refreshed or refinished, against what its owner expects for it. Admired: walnut,
 * teak, mahogany, cherry, oak of an age; plain: pine, beech, plain or damaged veneer (common practice, estimates).
 */
export const WAY_FACTORS = {
  admired: { paint: 0.75, refresh: 1, refinish: 1.15 },
  plain: { paint: 1.1, refresh: 0.9, refinish: 1 },
  basis: 'estimate',
} as const;

/** What is used that no product class names. */
export const CLEAR_MATERIALS = {
  thinner: 'Lacquer thinner',
  wool: 'Steel wool 0000 or a grey pad',
  conditioner: 'Wood conditioner, or thinned dewaxed shellac',
} as const;

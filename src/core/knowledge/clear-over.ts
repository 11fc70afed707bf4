import type { ClearCode } from './clears';
import type { DefectCode, FinishCode, SubstrateCode } from './codes';

/* What is asked of clear finishes when they are planned: what takes them, what goes wrong, what is used with them. */

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
export const WAYS = ['paint', 'refresh', 'refinish'] as const;
/** What is made of a piece that is wood. */
export type WayCode = (typeof WAYS)[number];

/** What is used that no product class names. */
export const CLEAR_MATERIALS = {
  thinner: 'Lacquer thinner',
  wool: 'Steel wool 0000 or a grey pad',
  conditioner: 'Wood conditioner, or thinned dewaxed shellac',
} as const;

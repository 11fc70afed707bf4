import { FACED_BOARDS, SOLID_WOODS, type SmallFact } from './checks';
import type { EraCode, FinishCode, GrainCode, PieceKind, RoleCode, RoomCode, SubstrateCode } from './codes';

/*
 * What one would expect before any check. All weights are estimates from common practice; they are multiplied
 * together and normalised, so only their ratios matter. None is zero: an odd piece must stay possible.
 */

/** How often a furniture face is made of each material, all dates together. */
// prettier-ignore
export const SUBSTRATE_WEIGHT: Record<SubstrateCode, number> = {
  knotty_softwood: 10, clear_softwood: 6, open_grain_hardwood: 10, closed_grain_hardwood: 8, tannin_rich_wood: 8,
  oily_tropical_wood: 2, wood_veneer: 16, hpl_laminate: 8, melamine_board: 10, thermofoil: 5, paper_foil: 9, mdf: 5,
  particleboard: 1, plywood: 4, hardboard: 1, metal_ferrous: 0.3, metal_nonferrous: 0.3, plastic: 0.3,
  glass_ceramic: 0.2,
};

type Factors = Partial<Record<SubstrateCode, number>>;
const scale = (codes: readonly SubstrateCode[], factor: number): Factors =>
  Object.fromEntries(codes.map((code) => [code, factor])) as Factors;

const NOT_WOOD: readonly SubstrateCode[] = ['metal_ferrous', 'metal_nonferrous', 'plastic', 'glass_ceramic'];

// prettier-ignore
export const SUBSTRATE_BY_ERA: Record<EraCode, Factors> = {
  before_1940: { ...scale(SOLID_WOODS, 2), ...scale(FACED_BOARDS, 0.01), mdf: 0.01, particleboard: 0.02, hardboard: 0.5, plastic: 0.1 },
  '1940_1977': { ...scale(SOLID_WOODS, 1.2), hpl_laminate: 1.2, thermofoil: 0.05, melamine_board: 0.4, paper_foil: 0.3, mdf: 0.05, wood_veneer: 1.5 },
  '1978_1999': { ...scale(SOLID_WOODS, 0.8), melamine_board: 1.5, paper_foil: 1.5 },
  since_2000: { ...scale(SOLID_WOODS, 0.5), ...scale(FACED_BOARDS, 2), mdf: 2 },
  unknown: {},
};

export const SUBSTRATE_BY_ROOM: Partial<Record<RoomCode, Factors>> = {
  kitchen: { hpl_laminate: 3, melamine_board: 2, thermofoil: 3 },
  bathroom: { hpl_laminate: 2, melamine_board: 2, thermofoil: 2 },
  workshop: { plywood: 3, hpl_laminate: 0.5 },
};

// prettier-ignore
export const SUBSTRATE_BY_ROLE: Partial<Record<RoleCode, Factors>> = {
  top: { hpl_laminate: 1.5, thermofoil: 0.5 },
  front: { thermofoil: 1.2 },
  side: { wood_veneer: 1.2, melamine_board: 1.3 },
  edge: { mdf: 4, particleboard: 3, plywood: 2, melamine_board: 1.5 },
  leg: { ...scale(SOLID_WOODS, 3), ...scale(FACED_BOARDS, 0.1), wood_veneer: 0.2, metal_ferrous: 20 },
  frame: { ...scale(SOLID_WOODS, 2), hpl_laminate: 0.2, melamine_board: 0.5 },
  moulding: { ...scale(SOLID_WOODS, 2), thermofoil: 2, hpl_laminate: 0.05, melamine_board: 0.1 },
  drawer_side: { ...scale(SOLID_WOODS, 2), plywood: 3, hpl_laminate: 0.1 },
  back: { hardboard: 40, plywood: 8, hpl_laminate: 0.1 },
  inside: { plywood: 2, hpl_laminate: 0.3 },
  hardware: { ...scale(NOT_WOOD, 100), ...scale(SOLID_WOODS, 0.2), ...scale(FACED_BOARDS, 0.05) },
};

export const SUBSTRATE_BY_KIND: Partial<Record<PieceKind, Factors>> = {
  kitchen_run: { thermofoil: 3, melamine_board: 2, hpl_laminate: 2 },
  vanity_unit: { thermofoil: 3, melamine_board: 2 },
  chair: { ...scale(SOLID_WOODS, 4), ...scale(FACED_BOARDS, 0.05) },
  interior_door: { ...scale(SOLID_WOODS, 2), hardboard: 6, hpl_laminate: 0.3 },
  bench_top: { ...scale(SOLID_WOODS, 2), hpl_laminate: 2 },
  window_sill: { ...scale(SOLID_WOODS, 2) },
  hall_stand: scale(SOLID_WOODS, 2),
  chest: scale(SOLID_WOODS, 1.5),
};

/** Flat-pack marks: cam holes, stickers, paper edges. */
// prettier-ignore
export const SUBSTRATE_IF_FLATPACK: Factors = {
  ...scale(SOLID_WOODS, 0.15), ...scale(FACED_BOARDS, 4), mdf: 3, particleboard: 3, knotty_softwood: 0.6,
};

type FinishWeights = Partial<Record<FinishCode, number>>;
// prettier-ignore
const WOOD_FINISH: FinishWeights = {
  bare: 4, wax: 6, oil: 4.5, hardwax_oil: 0.5, shellac: 8, nitro_lacquer: 12, varnish_oil: 16, waterborne_clear: 6, catalysed_lacquer: 10,
  chalk_paint: 4, latex_paint: 8, mineral_paint: 2, alkyd_paint: 10, factory_film: 0.2, powder_coat: 0.02, unknown: 3,
};
const FILM_FINISH: FinishWeights = {
  factory_film: 85,
  chalk_paint: 3,
  latex_paint: 4,
  mineral_paint: 1,
  alkyd_paint: 3,
  unknown: 1,
};
// prettier-ignore
const BOARD_FINISH: FinishWeights = {
  bare: 45, chalk_paint: 4, latex_paint: 12, mineral_paint: 2, alkyd_paint: 12, catalysed_lacquer: 10, waterborne_clear: 3, unknown: 3, factory_film: 1,
};
const METAL_FINISH: FinishWeights = {
  bare: 30,
  powder_coat: 30,
  alkyd_paint: 20,
  catalysed_lacquer: 10,
  latex_paint: 4,
  unknown: 4,
  factory_film: 1,
};
const SMOOTH_FINISH: FinishWeights = { factory_film: 40, bare: 40, alkyd_paint: 3, latex_paint: 3, unknown: 2 };

/** Finish given substrate; a finish that is not named keeps a very small weight. */
export function finishWeights(substrate: SubstrateCode): FinishWeights {
  if ((FACED_BOARDS as readonly string[]).includes(substrate)) return FILM_FINISH;
  if (substrate === 'mdf' || substrate === 'particleboard' || substrate === 'hardboard') return BOARD_FINISH;
  if (substrate === 'metal_ferrous' || substrate === 'metal_nonferrous') return METAL_FINISH;
  if (substrate === 'plastic' || substrate === 'glass_ceramic') return SMOOTH_FINISH;
  return WOOD_FINISH;
}
export const UNNAMED_FINISH_WEIGHT = 0.02;

// prettier-ignore
export const FINISH_BY_ERA: Record<EraCode, FinishWeights> = {
  before_1940: { hardwax_oil: 0.05, shellac: 5, wax: 3, varnish_oil: 1.5, nitro_lacquer: 0.3, waterborne_clear: 0.1, catalysed_lacquer: 0.05 },
  '1940_1977': { hardwax_oil: 0.1, nitro_lacquer: 2, varnish_oil: 1.5, waterborne_clear: 0.2, catalysed_lacquer: 0.5 },
  '1978_1999': { catalysed_lacquer: 1.5, shellac: 0.4 },
  since_2000: { catalysed_lacquer: 2, waterborne_clear: 2, hardwax_oil: 3, shellac: 0.1, nitro_lacquer: 0.5 },
  unknown: {},
};

/** How much an owner's "it has been painted" counts for an opaque coat, and "no" against one. */
export const OPAQUE_IF_PAINTED: Record<'yes' | 'no' | 'unknown', number> = { yes: 20, no: 0.05, unknown: 1 };

/** A material or finish the owner states is so with this chance until checks speak against it (estimate). */
export const STATED_CERTAINTY = 0.985;

/** Chance that a pale paint without a block would be stained within a year, by material, before any check (common practice). */
// prettier-ignore
export const BLEED_PRIOR: Record<SubstrateCode, number> = {
  knotty_softwood: 0.6, clear_softwood: 0.1, open_grain_hardwood: 0.4, closed_grain_hardwood: 0.04,
  tannin_rich_wood: 0.6, oily_tropical_wood: 0.3, wood_veneer: 0.3, hpl_laminate: 0.01, melamine_board: 0.01,
  thermofoil: 0.01, paper_foil: 0.01, mdf: 0.01, particleboard: 0.01, plywood: 0.08, hardboard: 0.01,
  metal_ferrous: 0.1, metal_nonferrous: 0.01, plastic: 0.01, glass_ceramic: 0.005,
};
/**
 * Paint that has lain on wood for years and shows nothing holds what is under it: so much of the chance is left (a pale
 * door that has shown nothing: 2 in 100; common practice). Stripped, the wood is what it was.
 */
export const BLEED_UNDER_OLD_PAINT = 0.05;

/** Chance of each contaminant on a woodwork finish, before any check; rooms change it below. */
export const PRESENT_PRIOR: Record<Exclude<SmallFact, 'bleed'>, number> = {
  grease: 0.35,
  wax_polish: 0.25,
  silicone: 0.04,
  odour: 0.06,
};
export const GREASE_BY_ROOM: Partial<Record<RoomCode, number>> = { kitchen: 0.85, workshop: 0.6, hall: 0.45 };
/** Polish is put on clear wood finishes far more than on paint or film. */
/** On paint and film most of it goes with the degreaser. */
export const POLISH_ON_PAINT_OR_FILM = 0.01;
export const SILICONE_ON_PAINT_OR_FILM = 0.01;
/** Where a smell stays: faces the air does not wash. */
export const SMELLS_INSIDE: readonly RoleCode[] = ['inside', 'drawer_side', 'shelf'];
export const ODOUR_OUTSIDE = 0.005;

const NO_GRAIN: Record<GrainCode, number> = { closed: 0.97, medium: 0.02, open: 0.01 };
/** How open the grain is, by material; veneer and plywood are of any species (Wood Handbook for the species; shares are estimates). */
// prettier-ignore
export const GRAIN_PRIOR: Record<SubstrateCode, Record<GrainCode, number>> = {
  knotty_softwood: { closed: 0.94, medium: 0.04, open: 0.02 }, clear_softwood: { closed: 0.94, medium: 0.04, open: 0.02 },
  open_grain_hardwood: { closed: 0.01, medium: 0.07, open: 0.92 }, closed_grain_hardwood: { closed: 0.93, medium: 0.06, open: 0.01 },
  tannin_rich_wood: { closed: 0.2, medium: 0.72, open: 0.08 }, oily_tropical_wood: { closed: 0.15, medium: 0.6, open: 0.25 },
  wood_veneer: { closed: 0.35, medium: 0.35, open: 0.3 }, plywood: { closed: 0.75, medium: 0.15, open: 0.1 },
  hpl_laminate: NO_GRAIN, melamine_board: NO_GRAIN, thermofoil: NO_GRAIN, paper_foil: NO_GRAIN, mdf: NO_GRAIN,
  particleboard: NO_GRAIN, hardboard: NO_GRAIN, metal_ferrous: NO_GRAIN, metal_nonferrous: NO_GRAIN, plastic: NO_GRAIN,
  glass_ceramic: NO_GRAIN,
};

/** Before anything was probed (common practice). */
export const SOUNDNESS_PRIOR = {
  painted: { sound: 0.78, marginal: 0.16, failing: 0.06 },
  clear: { sound: 0.9, marginal: 0.08, failing: 0.02 },
  // Loose: half of it hangs on.
  film: { sound: 0.97, marginal: 0.015, failing: 0.015 },
  // No coat can fail where there is none; what is fuzzy or weathered is marginal.
  bare: { sound: 0.9699, marginal: 0.03, failing: 0.0001 },
} as const;

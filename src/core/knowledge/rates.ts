import type { Basis } from './codes';

/** What a piece of work takes: minutes of hands, hours until the next, ml of what it uses. */
export interface WorkRate {
  /** Minutes once a sitting: the zones that are worked on together share them. */
  once?: number;
  /** Minutes for each m² of face, for each metre of edge, and for each part that is lifted, turned and set down. */
  perM2?: number;
  perM?: number;
  perPart?: number;
  waitH?: number;
  ml?: number;
  mlPerM2?: number;
  basis: Basis;
}

/** How much there is to work on. */
export interface WorkSize {
  /** The face, m². */
  areaM2: number;
  /** Arrises, lips, mouldings and lines to cut in along, m. */
  edgeM: number;
  /** Doors, drawers, loose shelves, chairs: what is lifted, turned and set down one by one. */
  parts: number;
  /** Carved or turned, and in no template that would count its lines. */
  carved?: boolean;
}

/**
 * Round figures for somebody who has done it before, for furniture and not for walls; the owner's own logged times move
 * them (`work/pace`). Repairs have theirs on their own rows (`REPAIR_STEPS`), taking off and putting back on `HARDWARE`.
 */
export const WORK_RATES = {
  degrease: { once: 5, perM2: 8, perM: 0.3, perPart: 1.5, waitH: 1, mlPerM2: 80, basis: 'practice' },
  // Raw board is never wetted: vacuum, tack cloth, spirit on a rag.
  clean_dry: { once: 2, perM2: 4, perM: 0.2, perPart: 1, waitH: 0.5, basis: 'practice' },
  // Wax and silicone take the same wash, until the rag stays clean.
  solvent_wash: { once: 5, perM2: 9, perM: 0.4, perPart: 1.5, waitH: 0.5, mlPerM2: 60, basis: 'practice' },
  // Days in moving air; the meter decides.
  dry_out: { once: 1, waitH: 72, basis: 'practice' },
  liquid_degloss: { once: 3, perM2: 6, perM: 0.3, perPart: 0.5, waitH: 0.5, mlPerM2: 80, basis: 'practice' },
  scuff: { once: 3, perM2: 9, perM: 0.4, perPart: 1, basis: 'practice' },
  // Raw wood, two grits.
  sand_raw: { once: 5, perM2: 18, perM: 0.8, perPart: 1, basis: 'practice' },
  sand_bare: { once: 10, perM2: 60, perM: 2, perPart: 2, basis: 'practice' },
  dust: { once: 2, perM2: 3, perM: 0.1, perPart: 0.5, waitH: 0.5, basis: 'practice' },
  // One pass, sanded; deep oak wants two.
  grain_pass: { once: 5, perM2: 25, perM: 0.5, perPart: 1, waitH: 4, mlPerM2: 120, basis: 'practice' },
  // Two coats over raw board, sanded between.
  seal_board: { once: 5, perM2: 20, perM: 0.6, perPart: 2, basis: 'estimate' },
  // Twice, sanded between: along the edge, where 10 ml a metre and coat is plenty.
  seal_edges: { once: 5, perM: 3, basis: 'practice' },
  proof: { once: 12, basis: 'practice' },
  // A thumbnail, a lattice, a look.
  read_proof: { once: 6, basis: 'practice' },
  // Along a low lamp; what is found is touched up.
  look_and_fill: { once: 2, perM2: 3, basis: 'practice' },
  prime: { perM2: 9, perM: 0.4, perPart: 2, basis: 'practice' },
  prime_gun: { perM2: 3.5, perM: 0.1, perPart: 1, basis: 'practice' },
  paint: { perM2: 11, perM: 0.4, perPart: 2, basis: 'practice' },
  paint_gun: { perM2: 3.5, perM: 0.1, perPart: 1, basis: 'practice' },
  clear: { perM2: 9, perM: 0.4, perPart: 1.5, basis: 'practice' },
  denib: { once: 2, perM2: 5, perM: 0.3, perPart: 0.5, basis: 'practice' },
  // Of wood that shows: half sealed before a stain, seen under spirit, a coat melted twice over, rubbed even.
  condition: { once: 3, perM2: 6, perM: 0.3, perPart: 1, waitH: 0.5, basis: 'practice' },
  look_with_spirit: { once: 2, perM2: 3, waitH: 0.5, basis: 'practice' },
  melt: { once: 5, perM2: 50, perM: 0.4, perPart: 1.5, waitH: 24, basis: 'practice' },
  rub_out: { once: 3, perM2: 12, perM: 0.4, perPart: 1, basis: 'practice' },
  stain: { once: 3, perM2: 9, perM: 0.4, perPart: 1.5, waitH: 24, basis: 'practice' },
  spot: { perPart: 2, basis: 'practice' },
  // Each product that is opened in a sitting: stirred and strained, a sheet on the floor, the brush wetted; and put away.
  get_out: { once: 8, basis: 'practice' },
  put_away_water: { once: 10, basis: 'practice' },
  put_away_solvent: { once: 15, basis: 'practice' },
  // An aerosol is turned over and blown clear.
  put_away_aerosol: { once: 5, basis: 'practice' },
  clean_gun: { once: 20, basis: 'practice' },
} as const satisfies Record<string, WorkRate>;

/** What a face is taken for where nobody measured it, m². */
export const DEFAULT_AREA_M2 = 0.5;

/** Handles and what is hung and run: minutes for each, off and on again; a painted handle is left to harden so many hours. Holes are filled or drilled where asked (common practice). */
export const HARDWARE = {
  handle: { off: 1, on: 2, hardH: 48 },
  door: { off: 3, on: 5 },
  drawer: { off: 1, on: 1.5 },
  basis: 'practice',
} as const;

/** Profiles and turnings take so much longer to dull than a flat face of their area (common practice). */
export const MOULDED_FACTOR = 2;
/** Carved and turned faces take so much longer where no template counts their lines (common practice). */
const CARVED_FACTOR = 1.8;
/** What is flat and over half a square metre is dulled by machine, in so much of the time (common practice). */
export const MACHINE = { fromM2: 0.5, factor: 0.6, basis: 'practice' } as const;
/** Kitchens are greasy: washing them takes so much longer (common practice). */
export const GREASY_FACTOR = 1.5;

/** Minutes of hands that a zone takes by itself, without what is once a sitting. Example: scuffing 0.5 m² with 3 m of edge → 5.7. */
export const minutesFor = (
  { perM2 = 0, perM = 0, perPart = 0 }: WorkRate,
  { areaM2, edgeM, parts, carved }: WorkSize,
): number => perM2 * areaM2 * (carved ? CARVED_FACTOR : 1) + perM * edgeM + perPart * parts;

/** Minutes of stripping what failed on a face, before it is done again (estimate). `areaM2`: m². Example: 180 for 0.6 m². */
export const redoMinutes = (areaM2: number): number => 60 + 200 * areaM2;

/**
 * Small things in the major unit of money: paper, rags and tape for a zone; a roller, a tray's liner and gloves for a sitting
 * with a product; a splash of cleaner or filler for a step. A dresser of five zones in four sittings comes to 17.50 (common
 * practice: 12–20).
 */
export const CONSUMABLES = { zone: 1.5, sitting: 2.5, splash: 0.8, basis: 'practice' } as const;

import type { Basis } from './codes';

/** What a piece of work takes: minutes of hands once and for each m² (and coat), hours until the next, ml of what it uses. */
export interface WorkRate {
  once?: number;
  perM2?: number;
  waitH?: number;
  ml?: number;
  mlPerM2?: number;
  basis: Basis;
}

/**
 * Round figures for somebody who has done it before; the owner's own logged times move them (`work/pace`). Repairs have
 * theirs on their own rows (`REPAIR_STEPS`).
 */
export const WORK_RATES = {
  degrease: { perM2: 6, waitH: 1, mlPerM2: 80, basis: 'practice' },
  // Wax and silicone take the same wash.
  solvent_wash: { once: 5, perM2: 6, waitH: 0.5, mlPerM2: 60, basis: 'practice' },
  // Days in moving air; the meter decides.
  dry_out: { once: 1, waitH: 72, basis: 'practice' },
  take_off: { once: 3.5, basis: 'practice' },
  liquid_degloss: { perM2: 5, waitH: 0.5, mlPerM2: 80, basis: 'practice' },
  scuff: { perM2: 8, basis: 'practice' },
  sand_bare: { perM2: 24, basis: 'practice' },
  dust: { perM2: 3, waitH: 0.5, basis: 'practice' },
  spackle_brush: { perM2: 15, waitH: 4, mlPerM2: 120, basis: 'practice' },
  spackle_knife: { perM2: 18, waitH: 4, mlPerM2: 120, basis: 'practice' },
  grain_filler: { perM2: 15, waitH: 4, mlPerM2: 120, basis: 'practice' },
  // Two coats over raw board, sanded between.
  seal_board: { perM2: 20, basis: 'practice' },
  // Two coats on a narrow band: 30 ml a coat is plenty for the edges of a zone.
  seal_edges: { once: 8, ml: 60, basis: 'estimate' },
  proof: { once: 8, basis: 'practice' },
  // A thumbnail, a lattice, a look.
  read_proof: { once: 6, basis: 'practice' },
  // The look itself; what is found is filled, and counted, when it is found.
  look_and_fill: { once: 2, basis: 'practice' },
  prime: { perM2: 7, basis: 'practice' },
  prime_gun: { perM2: 3, basis: 'practice' },
  paint: { perM2: 8, basis: 'practice' },
  paint_gun: { perM2: 3, basis: 'practice' },
  clear: { perM2: 6, basis: 'practice' },
  wax: { perM2: 8, basis: 'practice' },
  denib: { perM2: 4, basis: 'practice' },
  stain: { perM2: 8, waitH: 24, basis: 'practice' },
  // Setting up and cleaning a gun, once for a piece.
  gun: { once: 40, basis: 'practice' },
  // Brush, roller and tray after a product.
  clean_up_water: { once: 10, basis: 'practice' },
  clean_up_solvent: { once: 15, basis: 'practice' },
  // An aerosol is turned over and blown clear.
  clean_up_aerosol: { once: 5, basis: 'estimate' },
} as const satisfies Record<string, WorkRate>;

/** Profiles and turnings take so much longer to dull than a flat face of their area (common practice). */
export const MOULDED_FACTOR = 2;

/** Minutes of hands for a face of so many m², once. Example: scuffing 0.5 m² → 4. */
export const minutesFor = ({ once = 0, perM2 = 0 }: WorkRate, areaM2: number): number => once + perM2 * areaM2;

/** Minutes of stripping what failed on a face, before it is done again (estimate). `areaM2`: m². Example: 180 for 0.6 m². */
export const redoMinutes = (areaM2: number): number => 60 + 200 * areaM2;

/**
 * Small things in the major unit of money: paper, rags and tape for a zone; a roller, a tray's liner and gloves for a sitting
 * with a product; a splash of cleaner or filler for a step. A dresser of five zones in four sittings comes to 17.50 (common
 * practice: 12–20).
 */
export const CONSUMABLES = { zone: 1.5, sitting: 2.5, splash: 0.8, basis: 'practice' } as const;

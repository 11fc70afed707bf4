import type { Goal } from '../dossier';
import type { FinishCode, PaintCode, PrimerCode, ProductClass } from '../knowledge';
import type { JudgedTest } from '../proof';
import type { PrimerCoats } from './surface-state';

/** Of a product: its class, or none where what is meant is no product. */
interface Product {
  product: ProductClass | null;
}
/** Of a chance, 0–1. */
interface Chance {
  p: number;
}
interface Primers {
  primers: PrimerCoats[];
}

/** Layer rules that cut a way to go on, with what their sentences need. */
export interface HardParams {
  nothing_to_stain: { foil: boolean };
  wax_stays: Chance;
  silicone_stays: object;
  raw_edges_unsealed: object;
  grain_left_open: Chance;
  deglosser_on_film: object;
  deglosser_on_porous: object;
  nothing_to_strip: object;
  strip_only_when_needed: object;
  no_way_to_strip: object;
  too_thin_to_sand_bare: object;
  soft_pad_on_foil: object;
  fine_grit_on_veneer: object;
  school_of_paper: object;
  school_of_deglosser: object;
  raw_wood_unsanded: object;
  no_spraying_without_air: object;
  solvent_spray_wants_air: Product;
  no_fumes_without_air: Product;
  failing_coat_stays: Chance;
  silicone_needs_barrier: Product;
  clear_blocker_under_pale: Product;
  clear_shellac_out_of_place: object;
  wrong_substrate: Product;
  metal_needs_own_primer: Product;
  aerosol_is_for_spots: object;
  film_needs_grip: Product & Chance;
  failed_here: Product;
  barrier_wanted: object;
  too_weak_for_ground: Product;
  fine_grit_on_film: object;
  failed_own_test: { zoneName: string; test: JudgedTest };
  no_stain_block_on_bleed: Primers & Chance;
  stain_unsealed: Primers;
  raw_face_unprimed: object;
  smell_left_inside: object;
  prime_always: object;
  odour_needs_blocking: Primers;
  wall_paint_only_if_named: { named: boolean };
  wrong_application: Product & { sprayCan: boolean };
  too_soft_for_wear: { paint: PaintCode };
  chalk_needs_sealing: object;
  sheen_not_made: { paint: PaintCode; sheen: NonNullable<Goal['sheen']> };
  school_of_topcoat: object;
  wax_on_hard_wear: object;
  bare_wood_unprotected: object;
  other_way_wished: { keep: NonNullable<Goal['keep']> };
  no_wood_to_show: { foil: boolean };
  paint_hides_wood: Chance;
  refresh_wants_sound_coat: object;
  amalgamates_its_own_only: Chance;
  nothing_to_melt: object;
  barrier_for_film_only: Product;
  coat_takes_no_clear: Product & { finish: FinishCode } & Chance;
  clear_too_soft: Product;
  clear_near_heat: Product;
}

/** Layer rules that warn and cost risk. */
export interface SoftParams {
  wall_paint_soft: object;
  sprayed_in_little_air: object;
  drawer_sides_painted: object;
  soft_film_handled: object;
  doors_painted_on: object;
  wb_clear_over_dark: object;
  oil_clear_over_pale: object;
  oil_enamel_yellows: object;
  waterborne_over_filler: object;
  sprayed_over_pores: object;
  gloss_shows_flaws: object;
  thin_aerosol_film: object;
  brittle_on_flexing: object;
  solvent_over_latex: object;
  raw_wood_left_raw: object;
  rough_between_coats: object;
  smell_half_sealed: { primers: readonly PrimerCode[] };
  residual_bleed: Chance & { primer: PrimerCode | null };
  strong_fumes: { littleAir: boolean };
  two_part_needs_mask: object;
  may_blotch: object;
  not_reversible: object;
  antique_first_surface: object;
}

type FindingOf<Params> = { [Rule in keyof Params]: { rule: Rule } & Params[Rule] }[keyof Params];

/** What a rule found, as data: which rule, with which numbers. The last is none of a rule's: the owner's wishes changed. */
export type HardFinding = FindingOf<HardParams> | { rule: 'wishes_changed' };
export type SoftFinding = FindingOf<SoftParams>;

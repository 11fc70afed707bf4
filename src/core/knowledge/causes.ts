import type { Basis, Strength } from './codes';
import type { CauseCode, CLUE_FACTS, ClueCode, FindingCode, RecoveryAsk, RemedyCode, SymptomCode } from './troubles';

/* What makes troubles, and what each way out does about it. Common practice; chances and rates are estimates. */

/** What the survey believes of the ground that speaks for or against a cause. */
export type GroundFact =
  | 'knots'
  | 'tannin'
  | 'bleed'
  | 'slick'
  | 'wax'
  | 'silicone'
  | 'grease'
  | 'failing'
  | 'open_grain'
  | 'odour'
  | 'dark'
  | 'thin_face'
  | 'blotching'
  | 'oily'
  | 'oiled';

export interface CauseFact {
  /**
   * What is found in the log and speaks for it or against it, and how strongly where it is found in earnest. The first is
   * the finding of this very cause: where the log shows that there was none of it, that speaks against the cause.
   */
  findings?: Partial<Record<FindingCode, Strength>>;
  /** The ground it needs or is helped by. */
  ground?: GroundFact;
  /** Chance that each way out rids the face of it; a way that is not named does not. */
  cures: Partial<Record<RemedyCode, number>>;
  /** What the new layers have to do about it beyond going on. */
  asks?: RecoveryAsk;
  /** Which way of failing it is to the shop's own counts, where the treatment itself is to blame and not how it was done, nor the ground. */
  mode?: 'adhesion' | 'bleed';
  basis: Basis;
}

const GRIP = { strip: 0.95 } as const;
const BLED = { seal_over: 0.92, strip: 0.93 } as const;
/** What sealing over does, coating again does, too, where nothing has to be held back. */
const SURFACE = { recoat: 0.95, seal_over: 0.95, strip: 0.97 } as const;

// prettier-ignore
export const CAUSE_FACTS: Record<CauseCode, CauseFact> = {
  no_stain_block: { findings: { no_stain_block: '+++', no_primer: '++' }, cures: { ...BLED, touch_up: 0.6 }, asks: 'block', mode: 'bleed', basis: 'practice' },
  thin_blocker: { findings: { one_coat_of_blocker: '+++', thinned: '+', no_stain_block: '---', no_primer: '---' }, cures: { ...BLED, touch_up: 0.6 }, asks: 'block', mode: 'bleed', basis: 'practice' },
  knots: { findings: { spots_not_sealed: '++' }, ground: 'knots', cures: { ...BLED, touch_up: 0.8 }, asks: 'block', mode: 'bleed', basis: 'practice' },
  dye_or_tannin: { ground: 'tannin', cures: BLED, asks: 'block', mode: 'bleed', basis: 'practice' },
  filler_pulled_tannin: { findings: { filler_unsealed: '+++', waterborne_over_filler: '+' }, cures: { ...BLED, touch_up: 0.8 }, asks: 'block', basis: 'practice' },
  self_blocking_wait_skipped: { findings: { recoat_too_soon: '++' }, cures: BLED, asks: 'block', basis: 'practice' },
  not_dulled: { findings: { not_dulled: '+++', deglosser_on_film: '+++' }, ground: 'slick', cures: GRIP, basis: 'practice' },
  dirty: { findings: { not_cleaned: '+++' }, ground: 'grease', cures: GRIP, basis: 'practice' },
  wrong_primer: { findings: { wrong_primer_for_ground: '+++', no_primer: '++' }, ground: 'slick', cures: GRIP, asks: 'other_primer', mode: 'adhesion', basis: 'practice' },
  thinned_primer: { findings: { thinned: '+++' }, ground: 'slick', cures: GRIP, basis: 'practice' },
  tested_too_early: { cures: { wait: 0.95, strip: 0.97 }, basis: 'practice' },
  wax_or_silicone: { findings: { not_dewaxed: '+++' }, ground: 'wax', cures: { strip: 0.93 }, asks: 'dewax', basis: 'practice' },
  old_coat_failing: { ground: 'failing', cures: { strip: 0.95 }, asks: 'strip_old', basis: 'practice' },
  used_before_cured: { findings: { used_before_cured: '+++', moved_before_cured: '++', shut_before_hard: '++' }, cures: { touch_up: 0.9, recoat: 0.93, seal_over: 0.93, strip: 0.97 }, basis: 'practice' },
  no_primer: { findings: { no_primer: '+++' }, cures: { strip: 0.95 }, basis: 'practice' },
  knock: { cures: { touch_up: 0.97, recoat: 0.95, seal_over: 0.95, strip: 0.97 }, basis: 'practice' },
  recoat_too_soon: { findings: { recoat_too_soon: '+++', clear_too_soon: '++', too_cold: '+', too_damp: '+' }, cures: { recoat: 0.75, seal_over: 0.93, strip: 0.97 }, asks: 'barrier', basis: 'practice' },
  solvent_over_soft: { cures: { seal_over: 0.92, strip: 0.96 }, asks: 'barrier', basis: 'practice' },
  window_missed: { findings: { recoat_window_missed: '+++' }, cures: { recoat: 0.85, seal_over: 0.93, strip: 0.97 }, asks: 'barrier', basis: 'practice' },
  coat_over_undried: { findings: { recoat_too_soon: '+++', clear_too_soon: '+++', too_cold: '+', too_damp: '+' }, cures: { recoat: 0.9, seal_over: 0.93, strip: 0.97 }, basis: 'practice' },
  too_thick: { findings: { too_thick: '+++' }, cures: SURFACE, basis: 'practice' },
  hard_over_soft: { cures: { recoat: 0.85, seal_over: 0.88, strip: 0.95 }, basis: 'practice' },
  silicone: { ground: 'silicone', cures: { seal_over: 0.9, strip: 0.93 }, asks: 'desilicone', basis: 'practice' },
  grease: { findings: { not_cleaned: '+++' }, ground: 'grease', cures: { seal_over: 0.93, strip: 0.95 }, asks: 'barrier', basis: 'practice' },
  wb_clear_over_dark: { findings: { wb_clear_over_dark: '+++' }, ground: 'dark', cures: SURFACE, basis: 'practice' },
  damp: { findings: { too_damp: '+++', below_dew_margin: '+++', too_cold: '+' }, cures: { wait: 0.5, ...SURFACE }, basis: 'practice' },
  oil_over_pale: { findings: { oil_over_pale: '+++' }, cures: SURFACE, basis: 'practice' },
  bleed: { findings: { no_stain_block: '++', one_coat_of_blocker: '++', spots_not_sealed: '+' }, ground: 'bleed', cures: BLED, asks: 'block', mode: 'bleed', basis: 'practice' },
  smoke: { ground: 'odour', cures: BLED, asks: 'block', basis: 'practice' },
  not_filled: { ground: 'open_grain', cures: SURFACE, basis: 'practice' },
  filler_sank: { findings: { waterborne_over_filler: '++', filler_unsealed: '+', recoat_too_soon: '+' }, cures: SURFACE, basis: 'practice' },
  sprayed_over_pores: { ground: 'open_grain', cures: SURFACE, basis: 'practice' },
  too_thick_paint: { findings: { too_thick: '+++' }, cures: SURFACE, basis: 'practice' },
  overworked: { findings: { no_denib: '+', too_hot: '+' }, cures: SURFACE, basis: 'practice' },
  loaded_roller: { findings: { too_thick: '++' }, cures: SURFACE, basis: 'practice' },
  too_far_or_much_air: { cures: SURFACE, basis: 'practice' },
  heavy_coat: { findings: { too_thick: '+++', too_cold: '+' }, cures: SURFACE, basis: 'practice' },
  pooled_in_corner: { cures: { ...SURFACE, touch_up: 0.9 }, basis: 'practice' },
  dust_left: { findings: { no_denib: '++' }, cures: SURFACE, basis: 'practice' },
  bits_in_paint: { cures: SURFACE, basis: 'practice' },
  shaken: { cures: SURFACE, basis: 'practice' },
  loaded_foam: { findings: { too_thick: '+' }, cures: SURFACE, basis: 'practice' },
  face_lifting: { ground: 'thin_face', cures: { touch_up: 0.85, strip: 0.9 }, basis: 'practice' },
  moisture: { findings: { too_damp: '++', below_dew_margin: '++' }, cures: { recoat: 0.85, seal_over: 0.85, strip: 0.95 }, basis: 'practice' },
  uneven_absorption: { findings: { filler_unsealed: '++', no_primer: '++' }, cures: SURFACE, basis: 'practice' },
  touched_up: { cures: SURFACE, basis: 'practice' },
  uneven_film: { findings: { no_denib: '+', too_thick: '+' }, cures: SURFACE, basis: 'practice' },
  taped_too_soon: { findings: { recoat_too_soon: '+' }, cures: { touch_up: 0.95, recoat: 0.95, strip: 0.97 }, basis: 'practice' },
  tape_left_long: { cures: { touch_up: 0.95, recoat: 0.95, strip: 0.97 }, basis: 'practice' },
  not_scored: { cures: { touch_up: 0.95, recoat: 0.95, strip: 0.97 }, basis: 'practice' },
  not_cured: { findings: { used_before_cured: '+++', moved_before_cured: '++', shut_before_hard: '+++', too_cold: '+', too_damp: '+' }, cures: { wait: 0.9, ease: 0.85, recoat: 0.9, strip: 0.95 }, basis: 'practice' },
  soft_paint: { cures: { ease: 0.3, recoat: 0.85, strip: 0.95 }, basis: 'practice' },
  not_conditioned: { ground: 'blotching', cures: { recoat: 0.2, strip: 0.85 }, basis: 'practice' },
  sanded_unevenly: { cures: { strip: 0.93 }, basis: 'practice' },
  glue_left: { cures: { strip: 0.9 }, basis: 'practice' },
  oil_left_on: { cures: { recoat: 0.95, strip: 0.97 }, basis: 'practice' },
  oily_wood: { ground: 'oily', cures: { wait: 0.4, recoat: 0.3, strip: 0.85 }, basis: 'practice' },
  heat_or_wet: { cures: { recoat: 0.95, strip: 0.97 }, basis: 'practice' },
  soft_finish: { cures: { recoat: 0.7, strip: 0.9 }, basis: 'practice' },
  film_over_oil: { findings: { clear_over_oil: '+++' }, ground: 'oiled', cures: { strip: 0.93 }, mode: 'adhesion', basis: 'practice' },
  coats_on_running_faces: { cures: { ease: 0.95 }, basis: 'practice' },
  water_in_edge: { cures: { touch_up: 0.8, strip: 0.85 }, basis: 'practice' },
  smell_not_sealed: { ground: 'odour', cures: { seal_over: 0.9, strip: 0.9 }, asks: 'block', basis: 'practice' },
  inside_left: { ground: 'odour', cures: { seal_over: 0.85, strip: 0.85 }, asks: 'block', basis: 'practice' },
  steel_under_water: { cures: { touch_up: 0.9, strip: 0.95 }, basis: 'practice' },
};

interface RemedyRate {
  once: number;
  perM2: number;
  waitH: number;
  /** New layers go on, over what is there or on the bare face; the others leave the layers as they are. */
  layers?: true;
  /** What is there stays and is gone over. */
  over?: true;
  basis: Basis;
}

/** What a way out takes in round figures, before it is planned: what decides which look is worth having. */
export const REMEDY_RATES: Record<RemedyCode, RemedyRate> = {
  wait: { once: 10, perM2: 0, waitH: 120, basis: 'estimate' },
  ease: { once: 20, perM2: 0, waitH: 24, basis: 'estimate' },
  touch_up: { once: 35, perM2: 12, waitH: 72, layers: true, over: true, basis: 'estimate' },
  recoat: { once: 25, perM2: 45, waitH: 60, layers: true, over: true, basis: 'estimate' },
  seal_over: { once: 35, perM2: 70, waitH: 120, layers: true, over: true, basis: 'estimate' },
  strip: { once: 70, perM2: 160, waitH: 150, layers: true, basis: 'estimate' },
};

type Speaks = Partial<Record<CauseCode, Strength>>;

/** Chance that each cause is at work where a symptom is seen, before anything else is known; most likely first (common practice). */
// prettier-ignore
export const SYMPTOM_CAUSES: Record<SymptomCode, Partial<Record<CauseCode, number>>> = {
  bleed: { no_stain_block: 0.4, thin_blocker: 0.25, knots: 0.2, dye_or_tannin: 0.25, filler_pulled_tannin: 0.1, self_blocking_wait_skipped: 0.08 },
  scratches_off: { not_dulled: 0.35, dirty: 0.2, wrong_primer: 0.3, thinned_primer: 0.15, tested_too_early: 0.25, wax_or_silicone: 0.12, old_coat_failing: 0.1 },
  peels_in_sheets: { wax_or_silicone: 0.35, dirty: 0.25, not_dulled: 0.3, old_coat_failing: 0.2, wrong_primer: 0.2 },
  chips_within_weeks: { used_before_cured: 0.4, no_primer: 0.25, not_dulled: 0.25, knock: 0.3 },
  lifts_or_wrinkles: { recoat_too_soon: 0.5, solvent_over_soft: 0.3, window_missed: 0.2 },
  crackle: { coat_over_undried: 0.5, too_thick: 0.3, hard_over_soft: 0.25 },
  fisheyes: { silicone: 0.65, grease: 0.35 },
  haze: { wb_clear_over_dark: 0.45, damp: 0.35, too_thick: 0.2 },
  yellowing: { oil_over_pale: 0.5, bleed: 0.35, smoke: 0.1 },
  grain_shows: { not_filled: 0.5, filler_sank: 0.3, sprayed_over_pores: 0.2 },
  brush_marks: { too_thick_paint: 0.5, overworked: 0.45, loaded_roller: 0.1 },
  roller_texture: { loaded_roller: 0.5, too_thick_paint: 0.3, overworked: 0.3 },
  orange_peel: { too_thick_paint: 0.45, too_far_or_much_air: 0.4, loaded_roller: 0.2 },
  dry_spray: { too_far_or_much_air: 0.8, too_thick_paint: 0.15 },
  runs: { heavy_coat: 0.6, pooled_in_corner: 0.45 },
  grit: { dust_left: 0.65, bits_in_paint: 0.35 },
  bubbles: { shaken: 0.35, loaded_foam: 0.35, face_lifting: 0.15, moisture: 0.15 },
  patchy_sheen: { uneven_absorption: 0.4, touched_up: 0.3, uneven_film: 0.35 },
  tape_tore_paint: { taped_too_soon: 0.45, tape_left_long: 0.3, not_scored: 0.3 },
  sticky_drawers: { not_cured: 0.45, coats_on_running_faces: 0.4, soft_paint: 0.25 },
  blocking: { not_cured: 0.55, soft_paint: 0.4 },
  soft_prints: { not_cured: 0.6, soft_paint: 0.4 },
  edge_swell: { water_in_edge: 0.9 },
  odour_returns: { smell_not_sealed: 0.6, inside_left: 0.4 },
  rust_spots: { steel_under_water: 0.9 },
  blotchy: { not_conditioned: 0.5, sanded_unevenly: 0.35, glue_left: 0.25 },
  stays_sticky: { oil_left_on: 0.5, not_cured: 0.3, oily_wood: 0.15, wax_or_silicone: 0.05 },
  white_rings: { heat_or_wet: 0.6, used_before_cured: 0.35, soft_finish: 0.15 },
  clear_peels: { film_over_oil: 0.4, wax_or_silicone: 0.25, window_missed: 0.25, old_coat_failing: 0.15 },
};

/** What each answer to a clue speaks for or against, and how strongly. */
// prettier-ignore
export const CLUE_SPEAKS: { [C in ClueCode]: Record<(typeof CLUE_FACTS)[C]['answers'][number], Speaks> } = {
  colour: {
    yellow: { knots: '++', smoke: '++', oil_over_pale: '+', filler_pulled_tannin: '+', dye_or_tannin: '--' },
    brown: { dye_or_tannin: '++', smoke: '+', filler_pulled_tannin: '++', knots: '-' },
    orange: { knots: '+', dye_or_tannin: '++' },
    pink: { dye_or_tannin: '+++', knots: '---', filler_pulled_tannin: '-' },
    blue: { dye_or_tannin: '-', knots: '---', filler_pulled_tannin: '--' },
  },
  where: {
    knots: { knots: '+++', dye_or_tannin: '---', filler_pulled_tannin: '---' },
    rings: { heat_or_wet: '++', used_before_cured: '+', thin_blocker: '+', no_stain_block: '+', knots: '--', dye_or_tannin: '--', filler_pulled_tannin: '--' },
    joints_or_fills: { filler_pulled_tannin: '+++', glue_left: '+++', not_conditioned: '--', pooled_in_corner: '++', knots: '--', dye_or_tannin: '--' },
    all_over: { not_conditioned: '+', glue_left: '---', soft_finish: '++', heat_or_wet: '--', no_stain_block: '+', dye_or_tannin: '++', self_blocking_wait_skipped: '+', knots: '---', filler_pulled_tannin: '---', heavy_coat: '+' },
    thin_places: { thin_blocker: '+++', knots: '-', filler_pulled_tannin: '-', no_stain_block: '--', self_blocking_wait_skipped: '-' },
    edges: { sanded_unevenly: '++', thin_blocker: '++', pooled_in_corner: '++', filler_pulled_tannin: '-', knots: '-' },
    patches: { dye_or_tannin: '-', filler_pulled_tannin: '+', not_conditioned: '++', sanded_unevenly: '+', glue_left: '+' },
  },
  when: {
    at_once: { solvent_over_soft: '+++', silicone: '+', grease: '+', coat_over_undried: '-', window_missed: '--', self_blocking_wait_skipped: '+' },
    minutes: { recoat_too_soon: '++', solvent_over_soft: '+', coat_over_undried: '+', window_missed: '-' },
    next_coat: { no_stain_block: '+', self_blocking_wait_skipped: '+++', thin_blocker: '+' },
    next_day: { window_missed: '++', hard_over_soft: '+', coat_over_undried: '+', solvent_over_soft: '--' },
    after_clear: { dye_or_tannin: '++', thin_blocker: '+', no_stain_block: '+', knots: '-' },
    days: { thin_blocker: '+', tape_left_long: '+' },
    months: { knots: '+++', self_blocking_wait_skipped: '---', dye_or_tannin: '--', hard_over_soft: '++', recoat_too_soon: '---', solvent_over_soft: '---' },
  },
  wipes_off: {
    yes: { smoke: '++', no_stain_block: '-', thin_blocker: '-', knots: '--', dye_or_tannin: '-' },
    no: {},
  },
  lets_go: {
    paint_from_paint: { shaken: '++', loaded_foam: '++', face_lifting: '--', tested_too_early: '+', not_dulled: '--', dirty: '--', wrong_primer: '---', thinned_primer: '---', wax_or_silicone: '--', old_coat_failing: '---' },
    paint_from_primer: { tested_too_early: '++', not_dulled: '--', dirty: '-', wrong_primer: '--', thinned_primer: '--', wax_or_silicone: '--', old_coat_failing: '---' },
    primer_from_substrate: { tested_too_early: '++', not_dulled: '++', dirty: '+', wrong_primer: '++', thinned_primer: '++', wax_or_silicone: '+', old_coat_failing: '---' },
    old_coat_from_substrate: { old_coat_failing: '+++', not_dulled: '---', dirty: '--', wrong_primer: '---', thinned_primer: '---', tested_too_early: '---', wax_or_silicone: '--' },
    substrate_itself: { face_lifting: '+++', shaken: '---', loaded_foam: '---', moisture: '-', old_coat_failing: '-', not_dulled: '---', wrong_primer: '---', thinned_primer: '---', dirty: '---' },
  },
  flake_back: {
    clean: { window_missed: '++', not_dulled: '+++', wrong_primer: '++', wax_or_silicone: '--', dirty: '--', old_coat_failing: '---' },
    old_paint: { old_coat_failing: '+++', not_dulled: '---', wrong_primer: '---', dirty: '--', wax_or_silicone: '--' },
    greasy: { film_over_oil: '+++', dirty: '+++', wax_or_silicone: '+', not_dulled: '-', wrong_primer: '-', old_coat_failing: '---' },
    waxy: { wax_or_silicone: '+++', dirty: '-', not_dulled: '--', wrong_primer: '--', old_coat_failing: '---' },
  },
  film_age_h: {
    before: { tested_too_early: '+++', not_cured: '++' },
    after: { tested_too_early: '---', not_cured: '---', soft_paint: '++', oil_left_on: '+' },
  },
  used_after_d: {
    before: { used_before_cured: '+++', knock: '-' },
    after: { used_before_cured: '---', knock: '+', soft_finish: '+' },
  },
  pattern: {
    even: { oily_wood: '++', film_over_oil: '++', not_conditioned: '-', not_dulled: '+', wrong_primer: '++', thinned_primer: '++', tested_too_early: '+', wax_or_silicone: '--', dirty: '--', oil_over_pale: '+++', bleed: '---', smoke: '+', touched_up: '---', wb_clear_over_dark: '+', damp: '-', not_filled: '+', filler_sank: '-' },
    patches: { oil_left_on: '++', not_conditioned: '++', dirty: '++', wax_or_silicone: '++', not_dulled: '+', wrong_primer: '-', thinned_primer: '-', old_coat_failing: '+', oil_over_pale: '---', bleed: '+++', touched_up: '++', uneven_absorption: '++', damp: '+' },
  },
  feel: {
    soft: { tested_too_early: '+++', thinned_primer: '-', wrong_primer: '-', soft_paint: '++', not_cured: '++', old_coat_failing: '--' },
    brittle: { thinned_primer: '+', old_coat_failing: '+', not_dulled: '+', tested_too_early: '---', soft_paint: '---', hard_over_soft: '++' },
  },
  face: {
    edges: { knock: '++', used_before_cured: '+', no_primer: '-', not_dulled: '-' },
    faces: { not_dulled: '++', no_primer: '++', knock: '--', soft_paint: '+' },
    running_faces: { coats_on_running_faces: '+++', not_cured: '+', soft_paint: '-' },
  },
  damp: {
    yes: { damp: '+++', moisture: '++', wb_clear_over_dark: '-' },
    no: { damp: '---', moisture: '--' },
  },
  down_to: {
    wood: { no_primer: '+++', not_dulled: '-', used_before_cured: '-', old_coat_failing: '+' },
    board: { no_primer: '++', not_dulled: '++', water_in_edge: '+' },
    primer: { used_before_cured: '++', no_primer: '---', not_dulled: '--', knock: '+' },
    old_coat: { not_dulled: '+++', dirty: '++', no_primer: '+' },
  },
};

/** What an answer says of a cause; nothing where it has no say in it. */
export const findStrength = (clue: ClueCode, answer: string, cause: CauseCode): Strength | undefined =>
  (CLUE_SPEAKS[clue] as Record<string, Speaks>)[answer]?.[cause];

import type { Basis, DefectCode, Strength } from './codes';

/*
 * What may go wrong with a painted face, what makes it, what it looks like then, and what becomes of it. Common practice
 * throughout; chances are estimates in round figures, moved by what is seen and by what the log says.
 */

/** What the log can be found to have against it (`core/trouble`). */
export const FINDING_CODES = [
  'not_cleaned',
  'not_dulled',
  'deglosser_on_film',
  'no_primer',
  'wrong_primer_for_ground',
  'no_stain_block',
  'spots_not_sealed',
  'one_coat_of_blocker',
  'thinned',
  'recoat_too_soon',
  'recoat_window_missed',
  'clear_too_soon',
  'too_cold',
  'too_damp',
  'below_dew_margin',
  'filler_unsealed',
  'waterborne_over_filler',
  'wb_clear_over_dark',
  'oil_over_pale',
  'no_denib',
  'too_thick',
  'gate_not_asked',
  'gate_overridden',
  'used_before_cured',
  'moved_before_cured',
  'shut_before_hard',
  'not_logged',
] as const;
export type FindingCode = (typeof FINDING_CODES)[number];

// prettier-ignore
export const CAUSES = [
  'no_stain_block', 'thin_blocker', 'knots', 'dye_or_tannin', 'filler_pulled_tannin', 'self_blocking_wait_skipped',
  'not_dulled', 'dirty', 'wrong_primer', 'thinned_primer', 'tested_too_early', 'wax_or_silicone', 'old_coat_failing',
  'used_before_cured', 'no_primer', 'knock', 'recoat_too_soon', 'solvent_over_soft', 'window_missed',
  'coat_over_undried', 'too_thick', 'hard_over_soft', 'silicone', 'grease', 'wb_clear_over_dark', 'damp',
  'oil_over_pale', 'bleed', 'smoke', 'not_filled', 'filler_sank', 'sprayed_over_pores', 'too_thick_paint',
  'overworked', 'loaded_roller', 'too_far_or_much_air', 'heavy_coat', 'pooled_in_corner', 'dust_left',
  'bits_in_paint', 'shaken', 'loaded_foam', 'face_lifting', 'moisture', 'uneven_absorption', 'touched_up',
  'uneven_film', 'taped_too_soon', 'tape_left_long', 'not_scored', 'not_cured', 'soft_paint',
  'coats_on_running_faces', 'water_in_edge', 'smell_not_sealed', 'inside_left', 'steel_under_water',
] as const;
export type CauseCode = (typeof CAUSES)[number];

/** Ways out, from the lightest to the heaviest: how much of what is on the face each gives up. */
export const REMEDIES = ['wait', 'ease', 'touch_up', 'recoat', 'seal_over', 'strip'] as const;
export type RemedyCode = (typeof REMEDIES)[number];

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
  | 'thin_face';

/** What new layers have to do about what failed, beyond going on. */
export const RECOVERY_ASKS = ['block', 'barrier', 'other_primer', 'dewax', 'desilicone', 'strip_old'] as const;
export type RecoveryAsk = (typeof RECOVERY_ASKS)[number];

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
  wax_or_silicone: { ground: 'wax', cures: { strip: 0.93 }, asks: 'dewax', basis: 'practice' },
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
  overworked: { findings: { no_denib: '+' }, cures: SURFACE, basis: 'practice' },
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
  coats_on_running_faces: { cures: { ease: 0.95 }, basis: 'practice' },
  water_in_edge: { cures: { touch_up: 0.8, strip: 0.85 }, basis: 'practice' },
  smell_not_sealed: { ground: 'odour', cures: { seal_over: 0.9, strip: 0.9 }, asks: 'block', basis: 'practice' },
  inside_left: { ground: 'odour', cures: { seal_over: 0.85, strip: 0.85 }, asks: 'block', basis: 'practice' },
  steel_under_water: { cures: { touch_up: 0.9, strip: 0.95 }, basis: 'practice' },
};

export interface ClueFact {
  /** What may be answered, each with the causes it speaks for or against. A number is answered by the band it falls in. */
  answers: Record<string, Partial<Record<CauseCode, Strength>>>;
  /** Not a look that one of the causes makes, but something that lets a cause be at work or not. */
  circumstance?: true;
  /** It is told as a number: of hours or days, at most so many. */
  number?: { unit: 'h' | 'd'; max: number };
  basis: Basis;
}

/** Answers of a number: within the time that the film in question asks for, or past it. */
export type Band = 'before' | 'after';

// prettier-ignore
export const CLUE_FACTS = {
  colour: { basis: 'practice', answers: {
    yellow: { knots: '++', smoke: '++', oil_over_pale: '+', filler_pulled_tannin: '+', dye_or_tannin: '--' },
    brown: { dye_or_tannin: '++', smoke: '+', filler_pulled_tannin: '++', knots: '-' },
    orange: { knots: '+', dye_or_tannin: '++' },
    pink: { dye_or_tannin: '+++', knots: '---', filler_pulled_tannin: '-' },
    blue: { dye_or_tannin: '-', knots: '---', filler_pulled_tannin: '--' },
  } },
  where: { basis: 'practice', answers: {
    knots: { knots: '+++', dye_or_tannin: '---', filler_pulled_tannin: '---' },
    rings: { thin_blocker: '+', no_stain_block: '+', knots: '--', dye_or_tannin: '--', filler_pulled_tannin: '--' },
    joints_or_fills: { filler_pulled_tannin: '+++', pooled_in_corner: '++', knots: '--', dye_or_tannin: '--' },
    all_over: { no_stain_block: '+', dye_or_tannin: '++', self_blocking_wait_skipped: '+', knots: '---', filler_pulled_tannin: '---', heavy_coat: '+' },
    thin_places: { thin_blocker: '+++', knots: '-', filler_pulled_tannin: '-', no_stain_block: '--', self_blocking_wait_skipped: '-' },
    edges: { thin_blocker: '++', pooled_in_corner: '++', filler_pulled_tannin: '-', knots: '-' },
    patches: { dye_or_tannin: '-', filler_pulled_tannin: '+' },
  } },
  when: { basis: 'practice', answers: {
    at_once: { solvent_over_soft: '+++', silicone: '+', grease: '+', coat_over_undried: '-', window_missed: '--', self_blocking_wait_skipped: '+' },
    minutes: { recoat_too_soon: '++', solvent_over_soft: '+', coat_over_undried: '+', window_missed: '-' },
    next_coat: { no_stain_block: '+', self_blocking_wait_skipped: '+++', thin_blocker: '+' },
    next_day: { window_missed: '++', hard_over_soft: '+', coat_over_undried: '+', solvent_over_soft: '--' },
    after_clear: { dye_or_tannin: '++', thin_blocker: '+', no_stain_block: '+', knots: '-' },
    days: { thin_blocker: '+', tape_left_long: '+' },
    months: { knots: '+++', self_blocking_wait_skipped: '---', dye_or_tannin: '--', hard_over_soft: '++', recoat_too_soon: '---', solvent_over_soft: '---' },
  } },
  wipes_off: { basis: 'practice', answers: {
    yes: { smoke: '++', no_stain_block: '-', thin_blocker: '-', knots: '--', dye_or_tannin: '-' },
    no: {},
  } },
  lets_go: { basis: 'practice', answers: {
    paint_from_paint: { shaken: '++', loaded_foam: '++', face_lifting: '--', tested_too_early: '+', not_dulled: '--', dirty: '--', wrong_primer: '---', thinned_primer: '---', wax_or_silicone: '--', old_coat_failing: '---' },
    paint_from_primer: { tested_too_early: '++', not_dulled: '--', dirty: '-', wrong_primer: '--', thinned_primer: '--', wax_or_silicone: '--', old_coat_failing: '---' },
    primer_from_substrate: { not_dulled: '++', dirty: '+', wrong_primer: '++', thinned_primer: '++', wax_or_silicone: '+', old_coat_failing: '---' },
    old_coat_from_substrate: { old_coat_failing: '+++', not_dulled: '---', dirty: '--', wrong_primer: '---', thinned_primer: '---', tested_too_early: '---', wax_or_silicone: '--' },
    substrate_itself: { face_lifting: '+++', shaken: '---', loaded_foam: '---', moisture: '-', old_coat_failing: '-', not_dulled: '---', wrong_primer: '---', thinned_primer: '---', dirty: '---' },
  } },
  flake_back: { basis: 'practice', answers: {
    clean: { not_dulled: '+++', wrong_primer: '++', wax_or_silicone: '--', dirty: '--', old_coat_failing: '---' },
    old_paint: { old_coat_failing: '+++', not_dulled: '---', wrong_primer: '---', dirty: '--', wax_or_silicone: '--' },
    greasy: { dirty: '+++', wax_or_silicone: '+', not_dulled: '-', wrong_primer: '-', old_coat_failing: '---' },
    waxy: { wax_or_silicone: '+++', dirty: '-', not_dulled: '--', wrong_primer: '--', old_coat_failing: '---' },
  } },
  film_age_h: { basis: 'practice', circumstance: true, number: { unit: 'h', max: 100_000 }, answers: {
    before: { tested_too_early: '+++', not_cured: '++' },
    after: { tested_too_early: '---', not_cured: '---', soft_paint: '++' },
  } },
  used_after_d: { basis: 'practice', circumstance: true, number: { unit: 'd', max: 10_000 }, answers: {
    before: { used_before_cured: '+++', knock: '-' },
    after: { used_before_cured: '---', knock: '+' },
  } },
  pattern: { basis: 'practice', answers: {
    even: { not_dulled: '+', wrong_primer: '++', thinned_primer: '++', tested_too_early: '+', wax_or_silicone: '--', dirty: '--', oil_over_pale: '+++', bleed: '---', smoke: '+', touched_up: '---', wb_clear_over_dark: '+', damp: '-', not_filled: '+', filler_sank: '-' },
    patches: { dirty: '++', wax_or_silicone: '++', not_dulled: '+', wrong_primer: '-', thinned_primer: '-', old_coat_failing: '+', oil_over_pale: '---', bleed: '+++', touched_up: '++', uneven_absorption: '++', damp: '+' },
  } },
  feel: { basis: 'practice', answers: {
    soft: { tested_too_early: '+++', thinned_primer: '-', wrong_primer: '-', soft_paint: '++', not_cured: '++', old_coat_failing: '--' },
    brittle: { thinned_primer: '+', old_coat_failing: '+', not_dulled: '+', tested_too_early: '---', soft_paint: '---', hard_over_soft: '++' },
  } },
  face: { basis: 'practice', answers: {
    edges: { knock: '++', used_before_cured: '+', no_primer: '-', not_dulled: '-' },
    faces: { not_dulled: '++', no_primer: '++', knock: '--', soft_paint: '+' },
    running_faces: { coats_on_running_faces: '+++', not_cured: '+', soft_paint: '-' },
  } },
  damp: { basis: 'practice', circumstance: true, answers: {
    yes: { damp: '+++', moisture: '++', wb_clear_over_dark: '-' },
    no: { damp: '---', moisture: '--' },
  } },
  down_to: { basis: 'practice', answers: {
    wood: { no_primer: '+++', not_dulled: '-', used_before_cured: '-', old_coat_failing: '+' },
    board: { no_primer: '++', not_dulled: '++', water_in_edge: '+' },
    primer: { used_before_cured: '++', no_primer: '---', not_dulled: '--', knock: '+' },
    old_coat: { not_dulled: '+++', dirty: '++', no_primer: '+' },
  } },
} as const satisfies Record<string, ClueFact>;
export type ClueCode = keyof typeof CLUE_FACTS;
export const CLUES = Object.keys(CLUE_FACTS) as ClueCode[];

/** Where one looks for it: what troubles look like from afar. */
export const SYMPTOM_GROUPS = ['comes_off', 'comes_through', 'in_the_film', 'soft_or_swollen'] as const;
export type SymptomGroup = (typeof SYMPTOM_GROUPS)[number];

export interface SymptomFact {
  group: SymptomGroup;
  /** Chance that each cause is at work where this is seen, before anything else is known; most likely first. */
  causes: Partial<Record<CauseCode, number>>;
  /** What may be told of it; those that usually part the causes first. */
  clues: readonly ClueCode[];
  /** What it leaves on the face, as a fault that the planner works on. */
  leaves?: DefectCode;
  /** Hours to let it come out, or harden, before anything is put over it. */
  restH?: number;
  /** Chance that it grows worse where it is left. */
  worsens: number;
  /** Share of the price it costs where the piece is let go as it is. */
  priceLoss: number;
  /** It can be a matter of places: a spot may be mended and the rest left. */
  inSpots?: true;
  basis: Basis;
}

// prettier-ignore
export const SYMPTOM_FACTS = {
  bleed: { group: 'comes_through', causes: { no_stain_block: 0.4, thin_blocker: 0.25, knots: 0.2, dye_or_tannin: 0.25, filler_pulled_tannin: 0.1, self_blocking_wait_skipped: 0.08 }, clues: ['where', 'colour', 'when', 'wipes_off', 'pattern', 'film_age_h'], restH: 48, worsens: 0.8, priceLoss: 0.35, inSpots: true, basis: 'practice' },
  scratches_off: { group: 'comes_off', causes: { not_dulled: 0.35, dirty: 0.2, wrong_primer: 0.3, thinned_primer: 0.15, tested_too_early: 0.25, wax_or_silicone: 0.12, old_coat_failing: 0.1 }, clues: ['film_age_h', 'lets_go', 'feel', 'pattern', 'flake_back', 'used_after_d'], worsens: 0.7, priceLoss: 0.5, basis: 'practice' },
  peels_in_sheets: { group: 'comes_off', causes: { wax_or_silicone: 0.35, dirty: 0.25, not_dulled: 0.3, old_coat_failing: 0.2, wrong_primer: 0.2 }, clues: ['flake_back', 'lets_go', 'pattern', 'film_age_h', 'feel'], worsens: 0.9, priceLoss: 0.6, basis: 'practice' },
  chips_within_weeks: { group: 'comes_off', causes: { used_before_cured: 0.4, no_primer: 0.25, not_dulled: 0.25, knock: 0.3 }, clues: ['used_after_d', 'face', 'down_to', 'lets_go', 'film_age_h', 'pattern'], leaves: 'bare_patches', worsens: 0.5, priceLoss: 0.2, inSpots: true, basis: 'practice' },
  lifts_or_wrinkles: { group: 'comes_off', causes: { recoat_too_soon: 0.5, solvent_over_soft: 0.3, window_missed: 0.2 }, clues: ['when', 'film_age_h', 'pattern'], restH: 72, worsens: 0.3, priceLoss: 0.35, basis: 'practice' },
  crackle: { group: 'comes_off', causes: { coat_over_undried: 0.5, too_thick: 0.3, hard_over_soft: 0.25 }, clues: ['when', 'feel', 'pattern', 'film_age_h'], restH: 72, leaves: 'alligatoring', worsens: 0.4, priceLoss: 0.3, basis: 'practice' },
  fisheyes: { group: 'in_the_film', causes: { silicone: 0.65, grease: 0.35 }, clues: ['when', 'pattern'], worsens: 0.1, priceLoss: 0.25, basis: 'practice' },
  haze: { group: 'in_the_film', causes: { wb_clear_over_dark: 0.45, damp: 0.35, too_thick: 0.2 }, clues: ['damp', 'pattern', 'when', 'colour'], worsens: 0.1, priceLoss: 0.2, basis: 'practice' },
  yellowing: { group: 'comes_through', causes: { oil_over_pale: 0.5, bleed: 0.35, smoke: 0.1 }, clues: ['pattern', 'wipes_off', 'when', 'where', 'colour'], restH: 48, worsens: 0.6, priceLoss: 0.25, basis: 'practice' },
  grain_shows: { group: 'comes_through', causes: { not_filled: 0.5, filler_sank: 0.3, sprayed_over_pores: 0.2 }, clues: ['pattern', 'when', 'film_age_h'], leaves: 'open_grain', worsens: 0.1, priceLoss: 0.1, basis: 'practice' },
  brush_marks: { group: 'in_the_film', causes: { too_thick_paint: 0.5, overworked: 0.45, loaded_roller: 0.1 }, clues: ['pattern', 'where'], leaves: 'brush_marks', worsens: 0, priceLoss: 0.1, basis: 'practice' },
  roller_texture: { group: 'in_the_film', causes: { loaded_roller: 0.5, too_thick_paint: 0.3, overworked: 0.3 }, clues: ['pattern', 'where'], leaves: 'brush_marks', worsens: 0, priceLoss: 0.08, basis: 'practice' },
  orange_peel: { group: 'in_the_film', causes: { too_thick_paint: 0.45, too_far_or_much_air: 0.4, loaded_roller: 0.2 }, clues: ['pattern', 'where'], leaves: 'brush_marks', worsens: 0, priceLoss: 0.08, basis: 'practice' },
  dry_spray: { group: 'in_the_film', causes: { too_far_or_much_air: 0.8, too_thick_paint: 0.15 }, clues: ['pattern', 'where'], leaves: 'brush_marks', worsens: 0, priceLoss: 0.1, basis: 'practice' },
  runs: { group: 'in_the_film', causes: { heavy_coat: 0.6, pooled_in_corner: 0.45 }, clues: ['where', 'pattern'], leaves: 'runs', worsens: 0, priceLoss: 0.1, inSpots: true, basis: 'practice' },
  grit: { group: 'in_the_film', causes: { dust_left: 0.65, bits_in_paint: 0.35 }, clues: ['pattern', 'where'], worsens: 0, priceLoss: 0.08, basis: 'practice' },
  bubbles: { group: 'in_the_film', causes: { shaken: 0.35, loaded_foam: 0.35, face_lifting: 0.15, moisture: 0.15 }, clues: ['lets_go', 'damp', 'when', 'pattern', 'where'], worsens: 0.2, priceLoss: 0.15, inSpots: true, basis: 'practice' },
  patchy_sheen: { group: 'in_the_film', causes: { uneven_absorption: 0.4, touched_up: 0.3, uneven_film: 0.35 }, clues: ['pattern', 'where', 'when'], worsens: 0, priceLoss: 0.12, basis: 'practice' },
  tape_tore_paint: { group: 'comes_off', causes: { taped_too_soon: 0.45, tape_left_long: 0.3, not_scored: 0.3 }, clues: ['when', 'where', 'film_age_h'], leaves: 'bare_patches', worsens: 0.1, priceLoss: 0.1, inSpots: true, basis: 'practice' },
  sticky_drawers: { group: 'soft_or_swollen', causes: { not_cured: 0.45, coats_on_running_faces: 0.4, soft_paint: 0.25 }, clues: ['face', 'film_age_h', 'feel', 'used_after_d', 'damp'], worsens: 0.3, priceLoss: 0.1, basis: 'practice' },
  blocking: { group: 'soft_or_swollen', causes: { not_cured: 0.55, soft_paint: 0.4 }, clues: ['film_age_h', 'feel', 'face', 'used_after_d', 'damp'], worsens: 0.4, priceLoss: 0.15, basis: 'practice' },
  soft_prints: { group: 'soft_or_swollen', causes: { not_cured: 0.6, soft_paint: 0.4 }, clues: ['film_age_h', 'feel', 'used_after_d', 'face', 'damp'], worsens: 0.3, priceLoss: 0.15, basis: 'practice' },
  edge_swell: { group: 'soft_or_swollen', causes: { water_in_edge: 0.9 }, clues: ['damp', 'face', 'where'], leaves: 'swollen_edge', worsens: 0.5, priceLoss: 0.2, inSpots: true, basis: 'practice' },
  odour_returns: { group: 'comes_through', causes: { smell_not_sealed: 0.6, inside_left: 0.4 }, clues: ['when', 'where', 'damp'], leaves: 'smoke_odour', worsens: 0.2, priceLoss: 0.3, basis: 'practice' },
  rust_spots: { group: 'comes_through', causes: { steel_under_water: 0.9 }, clues: ['where', 'damp', 'colour', 'when'], leaves: 'rust', worsens: 0.7, priceLoss: 0.15, inSpots: true, basis: 'practice' },
} as const satisfies Record<string, SymptomFact>;
export type SymptomCode = keyof typeof SYMPTOM_FACTS;
export const SYMPTOMS = Object.keys(SYMPTOM_FACTS) as SymptomCode[];

/** Whether a clue says anything of a symptom. How old the coat is that shows it may be told of any. */
export const acceptsClue = (symptom: SymptomCode, clue: ClueCode): boolean =>
  clue === 'film_age_h' || findSymptom(symptom).clues.includes(clue);

export const findSymptom = (code: SymptomCode): SymptomFact => SYMPTOM_FACTS[code];
export const findClue = (code: ClueCode): ClueFact => CLUE_FACTS[code];

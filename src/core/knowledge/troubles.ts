import type { Basis, DefectCode } from './codes';

/*
 * What may go wrong with a painted face, what makes it, what it looks like then, and what becomes of it. Common practice
 * throughout; chances are estimates in round figures, moved by what is seen and by what the log says.
 */

/** What the log can be found to have against it (`core/trouble`). */
export const FINDING_CODES = [
  'not_cleaned',
  'not_dewaxed',
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
  'too_hot',
  'too_damp',
  'below_dew_margin',
  'filler_unsealed',
  'waterborne_over_filler',
  'wb_clear_over_dark',
  'oil_over_pale',
  'clear_over_oil',
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
  'not_conditioned', 'sanded_unevenly', 'glue_left', 'oil_left_on', 'oily_wood', 'heat_or_wet', 'soft_finish',
  'film_over_oil', 'coats_on_running_faces', 'water_in_edge', 'smell_not_sealed', 'inside_left', 'steel_under_water',
] as const;
export type CauseCode = (typeof CAUSES)[number];

/** Ways out, from the lightest to the heaviest: how much of what is on the face each gives up. */
export const REMEDIES = ['wait', 'ease', 'touch_up', 'recoat', 'seal_over', 'strip'] as const;
export type RemedyCode = (typeof REMEDIES)[number];

/** What new layers have to do about what failed, beyond going on. */
export const RECOVERY_ASKS = ['block', 'barrier', 'other_primer', 'dewax', 'desilicone', 'strip_old'] as const;
export type RecoveryAsk = (typeof RECOVERY_ASKS)[number];

export interface ClueFact {
  /** What may be answered; what each says of causes is in `CLUE_SPEAKS`. A number is answered by the band it falls in. */
  answers: readonly string[];
  /** Not a look that one of the causes makes, but something that lets a cause be at work or not. */
  circumstance?: true;
  /** It is told as a number: of hours or days, at most so many. */
  number?: { unit: 'h' | 'd'; max: number };
  basis: Basis;
}

// prettier-ignore
export const CLUE_FACTS = {
  colour: { basis: 'practice', answers: ['yellow', 'brown', 'orange', 'pink', 'blue'] },
  where: { basis: 'practice', answers: ['knots', 'rings', 'joints_or_fills', 'all_over', 'thin_places', 'edges', 'patches'] },
  when: { basis: 'practice', answers: ['at_once', 'minutes', 'next_coat', 'next_day', 'after_clear', 'days', 'months'] },
  wipes_off: { basis: 'practice', answers: ['yes', 'no'] },
  lets_go: { basis: 'practice', answers: ['paint_from_paint', 'paint_from_primer', 'primer_from_substrate', 'old_coat_from_substrate', 'substrate_itself'] },
  flake_back: { basis: 'practice', answers: ['clean', 'old_paint', 'greasy', 'waxy'] },
  film_age_h: { basis: 'practice', circumstance: true, number: { unit: 'h', max: 100_000 }, answers: ['before', 'after'] },
  used_after_d: { basis: 'practice', circumstance: true, number: { unit: 'd', max: 10_000 }, answers: ['before', 'after'] },
  pattern: { basis: 'practice', answers: ['even', 'patches'] },
  feel: { basis: 'practice', answers: ['soft', 'brittle'] },
  face: { basis: 'practice', answers: ['edges', 'faces', 'running_faces'] },
  damp: { basis: 'practice', circumstance: true, answers: ['yes', 'no'] },
  down_to: { basis: 'practice', answers: ['wood', 'board', 'primer', 'old_coat'] },
} as const satisfies Record<string, ClueFact>;
export type ClueCode = keyof typeof CLUE_FACTS;
export const CLUES = Object.keys(CLUE_FACTS) as ClueCode[];

/** Where one looks for it: what troubles look like from afar. */
export const SYMPTOM_GROUPS = ['comes_off', 'comes_through', 'in_the_film', 'soft_or_swollen', 'clear_finish'] as const;
export type SymptomGroup = (typeof SYMPTOM_GROUPS)[number];

export interface SymptomFact {
  group: SymptomGroup;
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
  bleed: { group: 'comes_through', clues: ['where', 'colour', 'when', 'wipes_off', 'pattern', 'film_age_h'], restH: 48, worsens: 0.8, priceLoss: 0.35, inSpots: true, basis: 'practice' },
  scratches_off: { group: 'comes_off', clues: ['film_age_h', 'lets_go', 'feel', 'pattern', 'flake_back', 'used_after_d'], worsens: 0.7, priceLoss: 0.5, basis: 'practice' },
  peels_in_sheets: { group: 'comes_off', clues: ['flake_back', 'lets_go', 'pattern', 'film_age_h', 'feel'], worsens: 0.9, priceLoss: 0.6, basis: 'practice' },
  chips_within_weeks: { group: 'comes_off', clues: ['used_after_d', 'face', 'down_to', 'lets_go', 'film_age_h', 'pattern'], leaves: 'bare_patches', worsens: 0.5, priceLoss: 0.2, inSpots: true, basis: 'practice' },
  lifts_or_wrinkles: { group: 'comes_off', clues: ['when', 'film_age_h', 'pattern'], restH: 72, worsens: 0.3, priceLoss: 0.35, basis: 'practice' },
  crackle: { group: 'comes_off', clues: ['when', 'feel', 'pattern', 'film_age_h'], restH: 72, leaves: 'alligatoring', worsens: 0.4, priceLoss: 0.3, basis: 'practice' },
  fisheyes: { group: 'in_the_film', clues: ['when', 'pattern'], worsens: 0.1, priceLoss: 0.25, basis: 'practice' },
  haze: { group: 'in_the_film', clues: ['damp', 'pattern', 'when', 'colour'], worsens: 0.1, priceLoss: 0.2, basis: 'practice' },
  yellowing: { group: 'comes_through', clues: ['pattern', 'wipes_off', 'when', 'where', 'colour'], restH: 48, worsens: 0.6, priceLoss: 0.25, basis: 'practice' },
  grain_shows: { group: 'comes_through', clues: ['pattern', 'when', 'film_age_h'], leaves: 'open_grain', worsens: 0.1, priceLoss: 0.1, basis: 'practice' },
  brush_marks: { group: 'in_the_film', clues: ['pattern', 'where'], leaves: 'brush_marks', worsens: 0, priceLoss: 0.1, basis: 'practice' },
  roller_texture: { group: 'in_the_film', clues: ['pattern', 'where'], leaves: 'brush_marks', worsens: 0, priceLoss: 0.08, basis: 'practice' },
  orange_peel: { group: 'in_the_film', clues: ['pattern', 'where'], leaves: 'brush_marks', worsens: 0, priceLoss: 0.08, basis: 'practice' },
  dry_spray: { group: 'in_the_film', clues: ['pattern', 'where'], leaves: 'brush_marks', worsens: 0, priceLoss: 0.1, basis: 'practice' },
  runs: { group: 'in_the_film', clues: ['where', 'pattern'], leaves: 'runs', worsens: 0, priceLoss: 0.1, inSpots: true, basis: 'practice' },
  grit: { group: 'in_the_film', clues: ['pattern', 'where'], worsens: 0, priceLoss: 0.08, basis: 'practice' },
  bubbles: { group: 'in_the_film', clues: ['lets_go', 'damp', 'when', 'pattern', 'where'], worsens: 0.2, priceLoss: 0.15, inSpots: true, basis: 'practice' },
  patchy_sheen: { group: 'in_the_film', clues: ['pattern', 'where', 'when'], worsens: 0, priceLoss: 0.12, basis: 'practice' },
  tape_tore_paint: { group: 'comes_off', clues: ['when', 'where', 'film_age_h'], leaves: 'bare_patches', worsens: 0.1, priceLoss: 0.1, inSpots: true, basis: 'practice' },
  sticky_drawers: { group: 'soft_or_swollen', clues: ['face', 'film_age_h', 'feel', 'used_after_d', 'damp'], worsens: 0.3, priceLoss: 0.1, basis: 'practice' },
  blocking: { group: 'soft_or_swollen', clues: ['film_age_h', 'feel', 'face', 'used_after_d', 'damp'], worsens: 0.4, priceLoss: 0.15, basis: 'practice' },
  soft_prints: { group: 'soft_or_swollen', clues: ['film_age_h', 'feel', 'used_after_d', 'face', 'damp'], worsens: 0.3, priceLoss: 0.15, basis: 'practice' },
  edge_swell: { group: 'soft_or_swollen', clues: ['damp', 'face', 'where'], leaves: 'swollen_edge', worsens: 0.5, priceLoss: 0.2, inSpots: true, basis: 'practice' },
  odour_returns: { group: 'comes_through', clues: ['when', 'where', 'damp'], leaves: 'smoke_odour', worsens: 0.2, priceLoss: 0.3, basis: 'practice' },
  rust_spots: { group: 'comes_through', clues: ['where', 'damp', 'colour', 'when'], leaves: 'rust', worsens: 0.7, priceLoss: 0.15, inSpots: true, basis: 'practice' },
  blotchy: { group: 'clear_finish', clues: ['where', 'pattern'], worsens: 0, priceLoss: 0.2, basis: 'practice' },
  stays_sticky: { group: 'clear_finish', clues: ['film_age_h', 'pattern', 'damp'], worsens: 0.2, priceLoss: 0.3, basis: 'practice' },
  white_rings: { group: 'clear_finish', clues: ['used_after_d', 'where'], leaves: 'water_ring', worsens: 0.3, priceLoss: 0.15, basis: 'practice' },
  clear_peels: { group: 'clear_finish', clues: ['flake_back', 'lets_go', 'pattern'], worsens: 0.9, priceLoss: 0.4, basis: 'practice' },
} as const satisfies Record<string, SymptomFact>;
export type SymptomCode = keyof typeof SYMPTOM_FACTS;
export const SYMPTOMS = Object.keys(SYMPTOM_FACTS) as SymptomCode[];

/** Whether a clue says anything of a symptom. How old the coat is that shows it may be told of any. */
export const acceptsClue = (symptom: SymptomCode, clue: ClueCode): boolean =>
  clue === 'film_age_h' || findSymptom(symptom).clues.includes(clue);

export const findSymptom = (code: SymptomCode): SymptomFact => SYMPTOM_FACTS[code];
export const findClue = (code: ClueCode): ClueFact => CLUE_FACTS[code];

import type { PrimerTint } from '../film';
import type { DefectCode, HandCode, PrimerCode, StrippingCode, SubstrateCode } from '../knowledge';
import type { Need } from '../survey';
import type { StripRuleCode } from './stripping';

interface ReasonParams {
  /** A need of the surface asks for it. */
  need: { need: Need };
  faults_seen: { faults: DefectCode[] };
  zone_left: object;
  /** A rule of the hand; `edge`: what the opening edge of a door between two rooms is painted. */
  hand: { hand: HandCode; edge?: string };
  flat_parts: object;
  handles_apart: object;
  handles_harden: { hours: number };
  dust_holds_nothing: object;
  deglosser_softens: object;
  stripping_raises_grain: object;
  /** How an old coat comes off, and why not otherwise. */
  strips_by: { method: StrippingCode; ruledOut: { method: StrippingCode; rule: StripRuleCode }[] };
  hangs_on_what_lets_go: object;
  raw_board_swells: object;
  raw_wood_wants_sanding: object;
  metal_same_day: object;
  outdoors_or_not: object;
  glass_stays: object;
  let_it_out: object;
  let_it_harden: object;
  hardens_till: { hours: number };
  runners_bare: object;
  stain_wants_bare: object;
  shine_must_go: object;
  raw_board_drinks: object;
  stains_return: object;
  smell_from_bare_faces: object;
  proof: { waitH: number; bleedWatch: boolean };
  nibs_show: object;
  flaws_show: object;
  bare_spots_drink: object;
  look_asked_for: object;
  paint_wants_sealing: object;
  wood_wants_protection: object;
  closing: object;
  scratches_show: object;
  spirit_shows: object;
  coat_flows: object;
  rubbed_even: object;
  wakes_coat: object;
  grain_raised_once: object;
  blotches: object;
  parts_coats: object;
  curing: { days: number };
  hand_over: object;
  slower_in_this_air: { labelH: number; airH: number };
  never_thin: object;
  brush_into_pores: object;
  thin_by_label: { share: number };
  /** A second colour over the first one, or beside it on the primer, and the part of the face it takes. */
  second_colour: { coats: number; shows: boolean; share: number; over: boolean };
  coats_hide: { coats: number; shows: boolean; over?: { tint: PrimerTint | null; whiteCoats: number } };
  /** What a primer is there for: grip where the face is slick, holding colour back, the smell. */
  primes: { primer: PrimerCode; grips: boolean; blocks: boolean; smell: boolean };
  /** What the shop's own tests of it say, on this surface or on one like it; the chances already count them. */
  own_tests: { surface: SubstrateCode; tests: number; held: number };
  tests_alike: { tests: number };
}

/** Why a step is done, with what its sentence needs. */
export type StepReason = { [C in keyof ReasonParams]: { code: C } & ReasonParams[C] }[keyof ReasonParams];

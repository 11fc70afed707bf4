import {
  hasStrongFumes,
  PAINT_FACTS,
  PRIMER_FACTS,
  TOPCOAT_FACTS,
  type Basis,
  type PaintCode,
  type TopcoatCode,
} from '../knowledge';
import type { Choice } from './choice';
import type { SoftFinding, SoftParams } from './findings';
import { hasFinish, hasSubstrate, isCredible, sumWhere, type Ground } from './ground';
import { estimateBleed, type FailureMode } from './risk';
import { blotches } from './stages-clear';
import type { SurfaceState } from './surface-state';

/** A layer rule that warns and costs risk. Chances are estimates; the rules are common practice. */
export type SoftRule = {
  [Id in keyof SoftParams]: {
    id: Id;
    basis: Basis;
    /** The failure it makes likelier; none for a warning only. */
    mode?: FailureMode;
    /** Chance of that failure it adds; `null` where it does not apply. */
    chance: (choice: Choice, before: SurfaceState, ground: Ground) => number | null;
    /** What it found where it applies. */
    finds: (choice: Choice, before: SurfaceState, ground: Ground) => SoftParams[Id];
  };
}[keyof SoftParams];

/** What a rule says of a way it warns of. */
export const findSoft = (rule: SoftRule, choice: Choice, before: SurfaceState, ground: Ground): SoftFinding =>
  ({ rule: rule.id, ...rule.finds(choice, before, ground) }) as SoftFinding;

const nothing = (): object => ({});

const paintOf = ({ op, product }: Choice): PaintCode | null =>
  op === 'paint' && product ? (product.class as PaintCode) : null;
const clearOf = ({ op, product }: Choice): TopcoatCode | null =>
  op === 'topcoat' && product ? (product.class as TopcoatCode) : null;
const carrierOf = (choice: Choice): string | null => choice.product?.carrier ?? null;
/** Things stand on it, or it closes against something. */
const touches = ({ zone, moves }: Ground): boolean => moves || zone.role === 'top' || zone.role === 'shelf';

/** The first thing that stays on. */
const isFirst = ({ op }: Choice, { primers, paint }: SurfaceState): boolean =>
  primers.length === 0 && paint === null && (op === 'prime' || op === 'paint' || op === 'topcoat' || op === 'refresh');

// prettier-ignore
export const SOFT_RULES: readonly SoftRule[] = [
  {
    id: 'wall_paint_soft', basis: 'practice', mode: 'blocking',
    chance: (c, _s, g) => { const paint = paintOf(c); return paint && PAINT_FACTS[paint].stickySoft ? (g.moves ? 0.25 : touches(g) ? 0.15 : 0.04) : null; },
    finds: nothing,
  },
  {
    id: 'sprayed_in_little_air', basis: 'practice',
    chance: (c, _s, g) => (c.op === 'paint' && g.application === 'spray' && g.ventilation === 'limited' && carrierOf(c) === 'water' ? 0 : null),
    finds: nothing,
  },
  {
    id: 'drawer_sides_painted', basis: 'practice', mode: 'blocking',
    chance: (c, _s, g) => (paintOf(c) && g.zone.role === 'drawer_side' ? 0.08 : null),
    finds: nothing,
  },
  {
    id: 'soft_film_handled', basis: 'practice', mode: 'blocking',
    chance: (c, _s, g) => { const paint = paintOf(c); return paint && !g.hardWorn && touches(g) && PAINT_FACTS[paint].seal === 'hard_worn' && !PAINT_FACTS[paint].stickySoft ? 0.03 : null; },
    finds: nothing,
  },
  {
    id: 'doors_painted_on', basis: 'practice', mode: 'blocking',
    chance: (c, _s, g) => (paintOf(c) && g.moves && g.schools.doors === 'on' ? 0.03 : null),
    finds: nothing,
  },
  {
    id: 'wb_clear_over_dark', basis: 'practice', mode: 'haze_or_yellow',
    chance: (c, s, g) => { const clear = clearOf(c); return clear && s.paint && !g.pale && TOPCOAT_FACTS[clear].carrier === 'water' ? 0.15 : null; },
    finds: nothing,
  },
  {
    id: 'oil_clear_over_pale', basis: 'practice', mode: 'haze_or_yellow',
    chance: (c, s, g) => { const clear = clearOf(c); return clear && s.paint && g.pale && TOPCOAT_FACTS[clear].carrier === 'solvent' ? 0.35 : null; },
    finds: nothing,
  },
  {
    id: 'oil_enamel_yellows', basis: 'practice', mode: 'haze_or_yellow',
    chance: (c, _s, g) => (paintOf(c) === 'oil_enamel' && g.pale ? 0.12 : null),
    finds: nothing,
  },
  {
    id: 'waterborne_over_filler', basis: 'practice',
    chance: (c, s) => (c.op === 'prime' && s.grainFilled && carrierOf(c) === 'water' ? 0 : null),
    finds: nothing,
  },
  {
    id: 'sprayed_over_pores', basis: 'practice', mode: 'grain_show',
    chance: (c, s, g) => (c.op === 'prime' && s.primers.length === 0 && g.application === 'spray' && !s.grainFilled && isCredible(g, hasSubstrate('open_grain_hardwood')) ? 0.08 : null),
    finds: nothing,
  },
  {
    id: 'gloss_shows_flaws', basis: 'practice', mode: 'grain_show',
    chance: (c, _s, g) => (paintOf(c) && (g.sheen === 'gloss' || paintOf(c) === 'oil_enamel') ? Math.min(0.12, 0.02 + 0.02 * (g.zone.defects?.length ?? 0)) : null),
    finds: nothing,
  },
  {
    id: 'thin_aerosol_film', basis: 'practice', mode: 'adhesion',
    chance: (c, _s, g) => (c.op === 'paint' && c.product?.sprayCan === true && g.area > 0.5 ? 0.06 : null),
    finds: nothing,
  },
  {
    id: 'brittle_on_flexing', basis: 'practice', mode: 'adhesion',
    chance: (c, _s, g) => (c.op === 'prime' && c.product?.class === 'shellac_primer' && isCredible(g, hasSubstrate('thermofoil')) ? 0.03 : null),
    finds: nothing,
  },
  {
    id: 'solvent_over_latex', basis: 'practice', mode: 'adhesion',
    chance: (c, s, g) => (s.primers.length === 0 && s.prep !== 'strip' && (c.op === 'prime' || c.op === 'paint') && carrierOf(c) === 'solvent' && isCredible(g, hasFinish('latex_paint')) ? 0.06 * sumWhere(g.states, hasFinish('latex_paint')) : null),
    finds: nothing,
  },
  {
    id: 'raw_wood_left_raw', basis: 'practice',
    chance: (c, s, g) => (c.op === 'prime' && s.primers.length === 0 && carrierOf(c) === 'water' && g.pRawWood > 0.3 ? 0 : null),
    finds: nothing,
  },
  {
    id: 'rough_between_coats', basis: 'practice', mode: 'adhesion',
    chance: (c, _s, g) => (paintOf(c) && g.schools.between === 'only_if_rough' ? 0.01 : null),
    finds: nothing,
  },
  {
    id: 'smell_half_sealed', basis: 'estimate', mode: 'bleed',
    chance: (c, s, g) => (paintOf(c) && (g.needs.get('odour_seal') ?? 0) > 0.5 && s.primers.every(({ code }) => PRIMER_FACTS[code].odour !== 'seals') ? 0.2 : null),
    finds: (_c, s) => ({ primers: s.primers.map(({ code }) => code) }),
  },
  {
    id: 'residual_bleed', basis: 'estimate',
    chance: (c, s, g) => (paintOf(c) && estimateBleed(s, g) > 0.05 ? 0 : null),
    finds: (_c, s, g) => ({ primer: s.primers[0]?.code ?? null, p: estimateBleed(s, g) }),
  },
  {
    id: 'strong_fumes', basis: 'practice',
    chance: (c) => (c.product && hasStrongFumes(c.product.carrier) && carrierOf(c) !== 'two_part' ? 0 : null),
    finds: (_c, _s, g) => ({ littleAir: g.ventilation === 'limited' }),
  },
  {
    id: 'may_blotch', basis: 'practice',
    chance: (c, s, g) => (g.look === 'stain' && isFirst(c, s) && blotches(g) ? 0 : null),
    finds: nothing,
  },
  {
    id: 'not_reversible', basis: 'practice',
    chance: (c, s, g) => (g.goal.reversible === true && isFirst(c, s) ? 0 : null),
    finds: nothing,
  },
  {
    id: 'antique_first_surface', basis: 'practice',
    chance: (c, s, g) => (g.isAntique && isFirst(c, s) ? 0 : null),
    finds: nothing,
  },
  {
    id: 'two_part_needs_mask', basis: 'practice',
    chance: (c) => (carrierOf(c) === 'two_part' ? 0 : null),
    finds: nothing,
  },
];

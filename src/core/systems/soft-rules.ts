import {
  hasStrongFumes,
  labelProduct,
  PAINT_FACTS,
  TOPCOAT_FACTS,
  type Basis,
  type PaintCode,
  type TopcoatCode,
} from '../knowledge';
import { describeChance } from '../shared';
import type { Choice } from './choice';
import { hasFinish, hasSubstrate, isCredible, sumWhere, type Ground } from './ground';
import { estimateBleed, type FailureMode } from './risk';
import type { SurfaceState } from './surface-state';

/** A layer rule that warns and costs risk. Chances are estimates; the rules are common practice. */
export interface SoftRule {
  id: string;
  title: string;
  basis: Basis;
  /** The failure it makes likelier; none for a warning only. */
  mode?: FailureMode;
  /** Chance of that failure it adds; `null` where it does not apply. */
  chance: (choice: Choice, before: SurfaceState, ground: Ground) => number | null;
  text: (choice: Choice, before: SurfaceState, ground: Ground) => string;
}

const paintOf = ({ op, product }: Choice): PaintCode | null =>
  op === 'paint' && product ? (product.class as PaintCode) : null;
const clearOf = ({ op, product }: Choice): TopcoatCode | null =>
  op === 'topcoat' && product ? (product.class as TopcoatCode) : null;
const carrierOf = (choice: Choice): string | null => choice.product?.carrier ?? null;
/** Things stand on it, or it closes against something. */
const touches = ({ zone, moves }: Ground): boolean => moves || zone.role === 'top' || zone.role === 'shelf';

// prettier-ignore
export const SOFT_RULES: readonly SoftRule[] = [
  {
    id: 'latex_sticks', title: 'Soft paint', basis: 'practice', mode: 'blocking',
    chance: (c, _s, g) => { const paint = paintOf(c); return paint && PAINT_FACTS[paint].stickySoft ? (g.moves ? 0.25 : touches(g) ? 0.15 : 0.04) : null; },
    text: () => 'Wall paint stays soft and sticks to itself on doors and drawers, and to what stands on it.',
  },
  {
    id: 'soft_film_handled', title: 'Softer film', basis: 'practice', mode: 'blocking',
    chance: (c, _s, g) => { const paint = paintOf(c); return paint && !g.hardWorn && touches(g) && PAINT_FACTS[paint].seal === 'hard_worn' && !PAINT_FACTS[paint].stickySoft ? 0.03 : null; },
    text: () => 'Softer than enamel: handled fronts and shelves mark sooner.',
  },
  {
    id: 'doors_painted_on', title: 'Doors left on', basis: 'practice', mode: 'blocking',
    chance: (c, _s, g) => (paintOf(c) && g.moves && g.schools.doors === 'on' ? 0.03 : null),
    text: () => 'Doors and drawers painted in place dry shut or stick at the edges.',
  },
  {
    id: 'wb_clear_over_dark', title: 'Haze', basis: 'practice', mode: 'haze_or_yellow',
    chance: (c, s, g) => { const clear = clearOf(c); return clear && s.paint && !g.pale && TOPCOAT_FACTS[clear].carrier === 'water' ? 0.15 : null; },
    text: () => 'Waterborne clear can haze over a dark colour.',
  },
  {
    id: 'oil_clear_over_pale', title: 'Yellowing', basis: 'practice', mode: 'haze_or_yellow',
    chance: (c, s, g) => { const clear = clearOf(c); return clear && s.paint && g.pale && TOPCOAT_FACTS[clear].carrier === 'solvent' ? 0.35 : null; },
    text: () => 'Oil clear yellows over a pale colour.',
  },
  {
    id: 'oil_enamel_yellows', title: 'Yellowing', basis: 'practice', mode: 'haze_or_yellow',
    chance: (c, _s, g) => (paintOf(c) === 'oil_enamel' && g.pale ? 0.12 : null),
    text: () => 'Pale oil enamel yellows in the dark: inside doors and behind pictures.',
  },
  {
    id: 'waterborne_over_filler', title: 'Filler sinks', basis: 'practice',
    chance: (c, s) => (c.op === 'prime' && s.grainFilled && carrierOf(c) === 'water' ? 0 : null),
    text: () => 'Waterborne primer wets the grain filler again: it sinks and the pores show.',
  },
  {
    id: 'sprayed_over_pores', title: 'Pinholes', basis: 'practice', mode: 'grain_show',
    chance: (c, s, g) => (c.op === 'prime' && s.primers.length === 0 && g.application === 'spray' && !s.grainFilled && isCredible(g, hasSubstrate('open_grain_hardwood')) ? 0.08 : null),
    text: () => 'Sprayed coats bridge open pores and leave pinholes: brush the first coat into them.',
  },
  {
    id: 'gloss_shows_flaws', title: 'Gloss shows', basis: 'practice', mode: 'grain_show',
    chance: (c, _s, g) => (paintOf(c) && (g.goal.sheen === 'gloss' || paintOf(c) === 'oil_enamel') ? Math.min(0.12, 0.02 + 0.02 * (g.zone.defects?.length ?? 0)) : null),
    text: () => 'High gloss shows every flaw and brush mark; satin hides them.',
  },
  {
    id: 'thin_aerosol_film', title: 'Thin film', basis: 'practice', mode: 'adhesion',
    chance: (c, _s, g) => (c.op === 'paint' && c.product?.sprayCan === true && g.area > 0.5 ? 0.06 : null),
    text: () => 'Aerosol film is thin: over large faces it lies unevenly and wears through.',
  },
  {
    id: 'brittle_on_flexing', title: 'Foil moves', basis: 'practice', mode: 'adhesion',
    chance: (c, _s, g) => (c.op === 'prime' && c.product?.class === 'shellac_primer' && isCredible(g, hasSubstrate('thermofoil')) ? 0.03 : null),
    text: () => 'Shellac is brittle and vinyl foil moves. No heat gun near it, in any case.',
  },
  {
    id: 'solvent_over_latex', title: 'Lifting', basis: 'practice', mode: 'adhesion',
    chance: (c, s, g) => (s.primers.length === 0 && s.prep !== 'strip' && (c.op === 'prime' || c.op === 'paint') && carrierOf(c) === 'solvent' && isCredible(g, hasFinish('latex_paint')) ? 0.06 * sumWhere(g.states, hasFinish('latex_paint')) : null),
    text: () => 'Solvent can lift waterborne paint that is still fresh: try a hand’s breadth first.',
  },
  {
    id: 'raw_wood_left_raw', title: 'Raised grain', basis: 'practice',
    chance: (c, s, g) => (c.op === 'prime' && s.primers.length === 0 && carrierOf(c) === 'water' && g.pRaw > 0.3 ? 0 : null),
    text: () => 'The first waterborne coat raises the grain of raw wood: sand again after it.',
  },
  {
    id: 'rough_between_coats', title: 'Nibs stay', basis: 'practice', mode: 'adhesion',
    chance: (c, _s, g) => (paintOf(c) && g.schools.between === 'only_if_rough' ? 0.01 : null),
    text: () => 'Unsanded between coats, nibs stay and the next coat grips less.',
  },
  {
    id: 'residual_bleed', title: 'Watch for bleed', basis: 'estimate',
    chance: (c, s, g) => (paintOf(c) && estimateBleed(s, g) > 0.05 ? 0 : null),
    text: (_c, s, g) => `${s.primers[0] ? labelProduct(s.primers[0].code) : 'Paint alone'} still lets colour through ${describeChance(estimateBleed(s, g))} times: watch a patch for two days.`,
  },
  {
    id: 'strong_fumes', title: 'Fumes', basis: 'practice',
    chance: (c) => (c.product && hasStrongFumes(c.product.carrier) && carrierOf(c) !== 'two_part' ? 0 : null),
    text: (_c, _s, g) => `Flammable vapour: ${g.ventilation === 'limited' ? 'more air than you have now, ' : 'doors open, '}no flames or pilot lights, organic-vapour mask, gloves. Follow the label.`,
  },
  {
    id: 'two_part_needs_mask', title: 'Two-part product', basis: 'practice',
    chance: (c) => (carrierOf(c) === 'two_part' ? 0 : null),
    text: () => 'Two-part products can sensitise: only with the protection on the label. Mix exactly, mind the pot life.',
  },
];

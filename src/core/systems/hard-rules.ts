import {
  FACED_BOARDS,
  hasStrongFumes,
  labelProduct,
  PAINT_FACTS,
  PRIMER_FACTS,
  SOLID_WOODS,
  isScuff,
  PREP_FACTS,
  type Basis,
} from '../knowledge';
import { BLEED_LIMIT } from '../proof';
import { CREDIBLE } from '../survey';
import { describeChance } from '../shared';
import type { Choice } from './choice';
import { FAILING_LIMIT, hasFinish, hasSubstrate, isCredible, sumWhere, type Ground } from './ground';
import { blocksStain, holdsColour, sealsStains } from './risk';
import type { PrimerCoats, SurfaceState } from './surface-state';

/** A layer rule that cuts a way to go on. All of them are common practice unless a source is named. */
export interface HardRule {
  id: string;
  basis: Basis;
  cuts: (choice: Choice, before: SurfaceState, ground: Ground) => boolean;
  text: (choice: Choice, before: SurfaceState, ground: Ground) => string;
}

const GRIPS: readonly string[] = ['good', 'very_good', 'best'];
const need = (g: Ground, code: string): number => g.needs.get(code) ?? 0;
/** The first coat of a paint system: what everything above hangs on. */
const isFirstCoat = (c: Choice, s: SurfaceState, g: Ground): boolean =>
  g.look === 'opaque' && (c.op === 'prime' || c.op === 'paint') && s.primers.length === 0 && !s.paint;
const firstPrimer = (c: Choice): PrimerCoats | undefined => c.sets.primers?.[0];
const nameOf = (c: Choice): string => (c.product ? labelProduct(c.product.class) : 'This');
const namePrimers = ({ primers }: SurfaceState): string =>
  primers.map(({ code }) => labelProduct(code)).join(' and ') || 'No primer';
const isBleeding = (g: Ground): boolean => g.pale && g.pBleed >= BLEED_LIMIT;
const isStainBlocked = (s: SurfaceState, g: Ground): boolean =>
  s.primers.some(holdsColour) || (g.schools.stain_block === 'spots_only' && g.bleedsInSpots && s.spotSeal !== null);
/** Why what is on holds nothing back: it is no blocker, or there is too little of it. */
function sayNoBlock(s: SurfaceState): string {
  const few = s.primers.find(({ code }) => blocksStain(code));
  if (!few) return `${namePrimers(s)} blocks no stain`;
  const { coats, betweenH } = PRIMER_FACTS[few.code].blocksFrom!;
  return `${labelProduct(few.code)} holds colour back with ${coats} coats and ${betweenH} h between them, not with ${few.coats}`;
}
const SHELLACS: readonly string[] = ['shellac_primer', 'shellac_clear'];

/* What may be left, and how a ground may be dulled. */
// prettier-ignore
const GROUND_RULES: readonly HardRule[] = [
  {
    id: 'nothing_to_stain', basis: 'practice',
    cuts: (c, _s, g) => g.look === 'stain' && c.prep !== undefined && sumWhere(g.states, hasSubstrate('wood_veneer', 'plywood', ...SOLID_WOODS)) < 0.9,
    text: (_c, _s, g) => `Only wood takes a stain, and this may well not be wood${g.pFoil >= CREDIBLE ? ': foil is a printed picture of it' : ''}.`,
  },
  {
    id: 'wax_stays', basis: 'practice',
    cuts: (c, _s, g) => c.skips === 'dewax' && need(g, 'dewax') >= CREDIBLE,
    text: (_c, _s, g) => `Nothing sticks over wax, and there is wax here ${describeChance(need(g, 'dewax'))} times.`,
  },
  {
    id: 'silicone_stays', basis: 'practice',
    cuts: (c, _s, g) => c.skips === 'desilicone' && need(g, 'desilicone') >= CREDIBLE,
    text: () => 'Silicone polish makes wet paint crawl into craters: wash it off and put a barrier over it.',
  },
  {
    id: 'raw_edges_unsealed', basis: 'practice',
    cuts: (c, _s, g) => c.skips === 'edge_seal' && need(g, 'edge_seal') >= CREDIBLE,
    text: () => 'Nothing waterborne onto raw board edges before they are sealed: they drink it and swell.',
  },
  {
    id: 'grain_left_open', basis: 'practice',
    cuts: (c, _s, g) => c.skips === 'grain_fill' && g.schools.grain !== 'leave' && need(g, 'grain_fill') >= CREDIBLE,
    text: (_c, _s, g) => `You want no grain to show, and open pores show through any film: ${describeChance(need(g, 'grain_fill'))} that there are some.`,
  },
  {
    id: 'deglosser_on_film', basis: 'practice',
    cuts: (c, _s, g) => c.op === 'liquid_degloss' && g.pFilm >= CREDIBLE,
    text: () => 'Liquid deglosser softens a coating. A factory film has none, so it stays as slick as before.',
  },
  {
    id: 'deglosser_on_porous', basis: 'practice',
    cuts: (c, _s, g) => c.op === 'liquid_degloss' && g.pSoftens < 0.5,
    text: () => 'There is most likely no coating here that deglosser would soften.',
  },
  {
    id: 'nothing_to_strip', basis: 'practice',
    cuts: (c, _s, g) => c.prep === 'strip' && sumWhere(g.states, hasFinish('factory_film', 'bare', 'powder_coat')) >= 0.3,
    text: () => 'A factory film is the face itself: stripping would ruin the board.',
  },
  {
    id: 'strip_only_when_needed', basis: 'practice',
    cuts: (c, _s, g) => c.prep === 'strip' && g.look === 'opaque' && g.pFailing < 0.12 && need(g, 'strip') < 0.3,
    text: () => 'The old coat is sound enough to paint over. Stripping it would cost an evening and gain nothing.',
  },
  {
    id: 'too_thin_to_sand_bare', basis: 'practice',
    cuts: (c, _s, g) => c.prep === 'sand_bare' && isCredible(g, hasSubstrate('wood_veneer', ...FACED_BOARDS)),
    text: () => 'The face may be a thin skin: sanding to bare would go through it.',
  },
  {
    id: 'soft_pad_on_foil', basis: 'practice',
    cuts: (c, s, g) => c.prep === 'scuff_150' && !s.bared && g.pFoil >= CREDIBLE,
    text: () => 'Grit 150 goes through foil. A light pass with a soft 220 pad is all it stands.',
  },
  {
    id: 'fine_grit_on_veneer', basis: 'practice',
    cuts: (c, s, g) => c.prep === 'scuff_150' && !s.bared && sumWhere(g.states, hasSubstrate('wood_veneer')) >= 0.3,
    text: () => 'Veneer is thin: a light pass with 220 dulls it without going through.',
  },
  {
    id: 'school_of_paper', basis: 'practice',
    cuts: (c, _s, g) => c.prep === 'liquid_degloss' && g.schools.dulling === 'scuff',
    text: () => 'You follow the school of paper: scuffing also levels brush marks and finds loose coating.',
  },
  {
    id: 'school_of_deglosser', basis: 'practice',
    cuts: (c, s, g) => c.prep !== undefined && PREP_FACTS[c.prep].group === 'scuff' && !s.bared && g.look === 'opaque' && g.schools.dulling === 'liquid' && g.pFilm < CREDIBLE && g.pSoftens >= 0.5,
    text: () => 'You follow the school of deglosser: wiped on, no dust, into every moulding.',
  },
];

/* What the first coat may lie on. */
// prettier-ignore
const PRIMER_RULES: readonly HardRule[] = [
  {
    id: 'no_fumes_without_air', basis: 'practice',
    cuts: (c, _s, g) => g.ventilation === 'none' && c.product !== undefined && hasStrongFumes(c.product.carrier),
    text: (c) => `${nameOf(c)} gives off strong, flammable vapour, and there is no ventilation.`,
  },
  {
    id: 'failing_coat_stays', basis: 'practice',
    cuts: (c, s, g) => isFirstCoat(c, s, g) && s.prep !== 'strip' && (g.pFailing >= FAILING_LIMIT || need(g, 'strip') > 0.9),
    text: (_c, _s, g) => `The old coat is failing (${describeChance(Math.max(g.pFailing, need(g, 'strip')))}). New paint holds no better than what is under it.`,
  },
  {
    id: 'silicone_needs_barrier', basis: 'practice',
    cuts: (c, s, g) => isFirstCoat(c, s, g) && s.siliconeWashed && need(g, 'desilicone') >= 0.3 && !SHELLACS.includes(firstPrimer(c)?.code ?? ''),
    text: (c) => `${nameOf(c)} is no barrier over silicone polish. Shellac is.`,
  },
  {
    id: 'clear_blocker_under_pale', basis: 'practice',
    cuts: (c, _s, g) => c.op === 'prime' && g.pale && PRIMER_FACTS[c.sets.primers!.at(-1)!.code].clear,
    text: (c) => `${nameOf(c)} is for dark or clear work: under pale paint the ground shows and stains come through.`,
  },
  {
    id: 'clear_shellac_out_of_place', basis: 'practice',
    cuts: (c, s, g) => c.op === 'prime' && s.primers.length === 0 && firstPrimer(c)?.code === 'shellac_clear' && (g.slickness[2] >= CREDIBLE || g.pFailing >= CREDIBLE),
    text: () => 'Clear shellac seals knots and spots. Over a whole face it goes under dark colours on sound wood or paint, never as the grip on a slick face.',
  },
  {
    id: 'wrong_substrate', basis: 'practice',
    cuts: (c, _s, g) => c.op === 'prime' && (
      (c.product?.class === 'metal_primer' && sumWhere(g.states, hasSubstrate('metal_ferrous', 'metal_nonferrous')) < 0.9) ||
      (c.product?.class === 'mdf_sealer' && sumWhere(g.states, hasSubstrate('mdf', 'particleboard', 'hardboard')) < 0.9)),
    text: (c) => `${nameOf(c)} is made for another ground than this.`,
  },
  {
    id: 'metal_needs_own_primer', basis: 'practice',
    cuts: (c, s, g) => isFirstCoat(c, s, g) && isCredible(g, hasSubstrate('metal_ferrous')) && firstPrimer(c)?.code !== 'metal_primer' && firstPrimer(c)?.code !== 'bonding_primer_2k',
    text: (c) => `${nameOf(c)} lets steel rust from underneath.`,
  },
  {
    id: 'aerosol_is_for_spots', basis: 'practice',
    cuts: (c, _s, g) => c.op === 'prime' && c.product?.sprayCan === true && g.area > 0.3,
    text: () => 'An aerosol lies unevenly over an area, and the thin places bleed.',
  },
  {
    id: 'film_needs_grip', basis: 'practice',
    cuts: (c, s, g) => isFirstCoat(c, s, g) && !s.bared && g.slickness[2] >= CREDIBLE && !isScuff(s.prep) && !GRIPS.includes(c.op === 'prime' ? PRIMER_FACTS[firstPrimer(c)!.code].slick : 'none'),
    text: (c, _s, g) => `${nameOf(c)} on an unscuffed slick face: ${describeChance(g.slickness[2])} that this is one, and a thumbnail would take it off.`,
  },
  {
    id: 'failed_own_test', basis: 'practice',
    cuts: (c, s, g) => isFirstCoat(c, s, g) && findFailed(c, s, g) !== undefined,
    text: (c, s, g) => `It failed your own test on ${g.name}: ${findFailed(c, s, g)?.why ?? ''}`,
  },
];

/* What paint and clear may lie on, and what may be the last layer. */
// prettier-ignore
const PAINT_RULES: readonly HardRule[] = [
  {
    id: 'no_stain_block_on_bleed', basis: 'practice',
    cuts: (c, s, g) => c.closesGround === true && isBleeding(g) && g.schools.stain_block !== 'wait_and_see' && !isStainBlocked(s, g),
    text: (_c, s, g) => `${s.primers.length === 0 ? 'Without primer nothing holds the stain back' : sayNoBlock(s)}. Colour would come through pale paint here ${describeChance(g.pBleed)} times, mostly after the last coat.`,
  },
  {
    id: 'stain_unsealed', basis: 'practice',
    cuts: (c, s, g) => c.closesGround === true && g.look === 'opaque' && g.pale && g.stains.p >= CREDIBLE && g.schools.stain_block !== 'wait_and_see' && !sealsStains(s),
    text: (_c, s) => `${namePrimers(s)} does not hold old stains, and none of these was sealed by itself. Shellac and oil types do.`,
  },
  {
    id: 'raw_face_unprimed', basis: 'practice',
    cuts: (c, s) => c.closesGround === true && s.bared && s.primers.length === 0,
    text: () => 'The foil was taken off: raw board wants a primer over its seal.',
  },
  {
    id: 'smell_left_inside', basis: 'practice',
    cuts: (c, _s, g) => c.skips === 'odour_inside' && g.ventilation !== 'none',
    text: () => 'A smell comes out of every face, also of those that are left. Clear shellac seals it in.',
  },
  {
    id: 'prime_always', basis: 'practice',
    cuts: (c, s, g) => c.closesGround === true && s.primers.length === 0 && g.schools.priming === 'always',
    text: () => 'You follow the school that primes everything: unprimed paint chips, and bleeds where wood is bare.',
  },
  {
    id: 'odour_needs_blocking', basis: 'practice',
    cuts: (c, s, g) => c.closesGround === true && need(g, 'odour_seal') > 0.5 && !s.primers.some(({ code }) => PRIMER_FACTS[code].odour),
    text: (_c, s) => `${namePrimers(s)} does not hold a smell back. Shellac and oil types do.`,
  },
  {
    id: 'wrong_application', basis: 'practice',
    cuts: (c, _s, g) => c.op === 'paint' && c.product?.sprayCan !== (g.application === 'aerosol'),
    text: (c, _s, g) => g.application === 'aerosol' ? `${nameOf(c)} does not come in spray cans.` : 'It comes in spray cans only, and you brush, roll or spray from a gun.',
  },
  {
    id: 'too_soft_for_wear', basis: 'practice',
    cuts: (c, s, g) => isUnsealed(c) && g.hardWorn && s.paint !== null && PAINT_FACTS[s.paint].seal === 'hard_worn',
    text: (_c, s) => `${labelProduct(s.paint!)} without a clear coat wears through where it is used daily.`,
  },
  {
    id: 'chalk_needs_sealing', basis: 'practice',
    cuts: (c, s) => isUnsealed(c) && s.paint !== null && PAINT_FACTS[s.paint].seal === 'always',
    text: () => 'Chalk-type paint marks and wears unless it is sealed.',
  },
  {
    id: 'sheen_not_made', basis: 'practice',
    cuts: (c, s, g) => isUnsealed(c) && s.paint !== null && g.goal.sheen !== undefined && !PAINT_FACTS[s.paint].sheens.includes(g.goal.sheen),
    text: (_c, s, g) => `${labelProduct(s.paint!)} is not made in ${sayCode(g.goal.sheen ?? '')}; only a clear coat over it would give that.`,
  },
  {
    id: 'school_of_topcoat', basis: 'practice',
    cuts: (c, s, g) => isUnsealed(c) && s.paint !== null && g.schools.topcoat === 'always',
    text: () => 'You follow the school that puts a clear coat over everything.',
  },
  {
    id: 'wax_on_hard_wear', basis: 'practice',
    cuts: (c, _s, g) => c.op === 'topcoat' && c.product?.class === 'wax' && (g.hardWorn || g.zone.wet === true),
    text: () => 'Wax stands little wear, heat or water, and nothing sticks over it later.',
  },
  {
    id: 'bare_wood_unprotected', basis: 'practice',
    cuts: (c, _s, g) => isUnsealed(c) && (g.look === 'clear' || g.look === 'stain'),
    text: () => 'Stained or bare wood without a clear coat marks with every glass and hand.',
  },
];

/** The last stage of coats is passed over: what is on is the last layer. */
const isUnsealed = (c: Choice): boolean => c.skips === 'topcoat';

/** The order is the order in which reasons are named. */
export const HARD_RULES: readonly HardRule[] = [...GROUND_RULES, ...PRIMER_RULES, ...PAINT_RULES];

/** The same prep and first primer: what failed once on this zone is not proposed again there. */
function findFailed(c: Choice, s: SurfaceState, g: Ground): Ground['failedTests'][number] | undefined {
  const primer = firstPrimer(c)?.code ?? 'none';
  return g.failedTests.find(
    ({ treatment }) => (treatment.primer ?? 'none') === primer && (treatment.prep ?? 'none') === s.prep,
  );
}

const sayCode = (code: string): string => code.replaceAll('_', ' ');

import {
  AMALGAMATES,
  CLEAR_FACTS,
  FACED_BOARDS,
  FILM_FACTS,
  leavesBare,
  MELTED_FOR,
  RECOAT_OVER,
  hasStrongFumes,
  isCoat,
  maySpray,
  PAINT_FACTS,
  PRIMER_FACTS,
  SOLID_WOODS,
  isScuff,
  PREP_FACTS,
  type Basis,
  type Carrier,
  type ClearCode,
  type FinishCode,
  type PrimerCode,
  type ProductClass,
} from '../knowledge';
import { isOfGrip, type Requirement } from '../proof';
import { CREDIBLE } from '../survey';
import type { Choice } from './choice';
import {
  bleedsAfter,
  FAILING_LIMIT,
  hasFinish,
  hasSubstrate,
  isBleeding,
  isCredible,
  showsWood,
  sumWhere,
  type Ground,
} from './ground';
import type { HardFinding, HardParams } from './findings';
import { holdsColour, sealsStains } from './risk';
import { chooseStripping, faceOf } from './stripping';
import type { PrimerCoats, SurfaceState } from './surface-state';

/** A layer rule that cuts a way to go on. All of them are common practice unless a source is named. */
export type HardRule = {
  [Id in keyof HardParams]: {
    id: Id;
    basis: Basis;
    /** It goes by what failed on this very piece: named before what is only known of such ground. */
    seen?: true;
    cuts: (choice: Choice, before: SurfaceState, ground: Ground) => boolean;
    /** What it found where it cuts. */
    finds: (choice: Choice, before: SurfaceState, ground: Ground) => HardParams[Id];
  };
}[keyof HardParams];

/** What a rule says of the way it cut. */
export const findHard = (rule: HardRule, choice: Choice, before: SurfaceState, ground: Ground): HardFinding =>
  ({ rule: rule.id, ...rule.finds(choice, before, ground) }) as HardFinding;

const nothing = (): object => ({});
const productOf = ({ product }: Choice): { product: ProductClass | null } => ({ product: product?.class ?? null });

const GRIPS: readonly string[] = ['good', 'very_good', 'best'];
const need = (g: Ground, code: string): number => g.needs.get(code) ?? 0;
/** The first coat of a paint system: what everything above hangs on. */
const isFirstCoat = (c: Choice, s: SurfaceState, g: Ground): boolean =>
  g.look === 'opaque' && (c.op === 'prime' || c.op === 'paint') && s.primers.length === 0 && !s.paint;
const firstPrimer = (c: Choice): PrimerCoats | undefined => c.sets.primers?.[0];
const isStainBlocked = (s: SurfaceState, g: Ground): boolean =>
  s.primers.some(holdsColour) || (g.schools.stain_block === 'spots_only' && g.bleedsInSpots && s.spotSeal !== null);
const SHELLACS: readonly string[] = ['shellac_primer', 'shellac_clear'];

/** A coat is put on by gun or out of a can. */
const isSprayed = ({ op, product }: Choice, { application }: Ground): boolean =>
  product !== undefined &&
  op !== null &&
  isCoat(op) &&
  (product.sprayCan || (application === 'spray' && maySpray(op, product.class)));

/** Where soft paint wears through: seats and tops, and fronts of a kitchen (common practice). */
const isForHardPaint = ({ zone, greasy, moves }: Ground): boolean =>
  zone.role === 'top' || (greasy && (moves || zone.role === 'front'));

/** Carriers that soften again what is soft underneath. */
const BITES: readonly Carrier[] = ['solvent', 'two_part'];

/** What failed once on a zone is not put on it again: the same treatment, or a class that is no longer trusted there. */
const hasFailed = (primer: PrimerCode | 'none', { prep }: SurfaceState, { recovery }: Ground): boolean =>
  recovery?.distrusted?.includes(primer) === true ||
  (recovery?.over === undefined &&
    recovery?.failed?.some((own) => own.primer === primer && PREP_FACTS[own.prep].group === PREP_FACTS[prep].group) ===
      true);

/** Ground that a weak primer lets go of, however well it is dulled: a slick film, and wood that sweats oil. */
const WEAK: readonly string[] = ['none', 'poor'];

/** Such a primer on such a ground, unless the shop's own patches of just this held there. */
function isTooWeak({ code, coats }: PrimerCoats, { prep }: SurfaceState, g: Ground): boolean {
  const hard = g.slickness[2] >= CREDIBLE || isCredible(g, hasSubstrate('oily_tropical_wood'));
  if (!hard || !WEAK.includes(PRIMER_FACTS[code].slick)) return false;
  const grip = g.proofOf({ prep, primer: code, coats }, bleedsAfter(g, prep)).filter(({ shows }) => isOfGrip(shows));
  return grip.some(({ state }) => state !== 'met');
}

/* What may be left, and how a ground may be dulled. */
// prettier-ignore
const GROUND_RULES: readonly HardRule[] = [
  {
    id: 'nothing_to_stain', basis: 'practice',
    cuts: (c, _s, g) => g.look === 'stain' && c.prep !== undefined && sumWhere(g.states, hasSubstrate('wood_veneer', 'plywood', ...SOLID_WOODS)) < 0.9,
    finds: (_c, _s, g) => ({ foil: g.pFoil >= CREDIBLE }),
  },
  {
    id: 'wax_stays', basis: 'practice',
    cuts: (c, _s, g) => c.skips === 'dewax' && need(g, 'dewax') >= CREDIBLE,
    finds: (_c, _s, g) => ({ p: need(g, 'dewax') }),
  },
  {
    id: 'silicone_stays', basis: 'practice',
    cuts: (c, _s, g) => c.skips === 'desilicone' && need(g, 'desilicone') >= CREDIBLE,
    finds: nothing,
  },
  {
    id: 'raw_edges_unsealed', basis: 'practice',
    cuts: (c, _s, g) => c.skips === 'edge_seal' && need(g, 'edge_seal') >= CREDIBLE,
    finds: nothing,
  },
  {
    id: 'grain_left_open', basis: 'practice',
    cuts: (c, _s, g) => c.skips === 'grain_fill' && g.schools.grain !== 'leave' && need(g, 'grain_fill') >= CREDIBLE,
    finds: (_c, _s, g) => ({ p: need(g, 'grain_fill') }),
  },
  {
    id: 'deglosser_on_film', basis: 'practice',
    cuts: (c, _s, g) => c.op === 'liquid_degloss' && g.pFilm >= CREDIBLE,
    finds: nothing,
  },
  {
    id: 'deglosser_on_porous', basis: 'practice',
    cuts: (c, _s, g) => c.op === 'liquid_degloss' && g.pSoftens < 0.5,
    finds: nothing,
  },
  {
    id: 'nothing_to_strip', basis: 'practice',
    cuts: (c, _s, g) => c.prep === 'strip' && sumWhere(g.states, hasFinish('factory_film', 'bare', 'powder_coat')) >= 0.3,
    finds: nothing,
  },
  {
    id: 'strip_only_when_needed', basis: 'practice',
    cuts: (c, _s, g) => c.prep === 'strip' && g.look === 'opaque' && g.pFailing < 0.12 && need(g, 'strip') < 0.3,
    finds: nothing,
  },
  {
    id: 'no_way_to_strip', basis: 'practice',
    cuts: (c, _s, g) => c.prep === 'strip' && chooseStripping(faceOf(g)).ways.length === 0,
    finds: nothing,
  },
  {
    id: 'too_thin_to_sand_bare', basis: 'practice',
    cuts: (c, _s, g) => c.prep === 'sand_bare' && isCredible(g, hasSubstrate('wood_veneer', ...FACED_BOARDS)),
    finds: nothing,
  },
  {
    id: 'soft_pad_on_foil', basis: 'practice',
    cuts: (c, s, g) => c.prep === 'scuff_150' && !s.bared && g.pFoil >= CREDIBLE,
    finds: nothing,
  },
  {
    id: 'fine_grit_on_veneer', basis: 'practice',
    cuts: (c, s, g) => c.prep === 'scuff_150' && !s.bared && sumWhere(g.states, hasSubstrate('wood_veneer')) >= 0.3,
    finds: nothing,
  },
  {
    id: 'fine_grit_on_film', basis: 'practice',
    cuts: (c, s, g) => c.prep === 'scuff_220' && !s.bared && g.look === 'opaque' && g.pFilm >= 0.5 && g.pFoil < CREDIBLE,
    finds: nothing,
  },
  {
    id: 'raw_wood_unsanded', basis: 'practice',
    cuts: (c, s, g) => c.prep !== undefined && !s.bared && g.look === 'opaque' && g.pRawWood >= 0.5 && !isScuff(c.prep),
    finds: nothing,
  },
  {
    id: 'school_of_paper', basis: 'practice',
    cuts: (c, _s, g) => c.prep === 'liquid_degloss' && g.schools.dulling === 'scuff',
    finds: nothing,
  },
  {
    id: 'school_of_deglosser', basis: 'practice',
    cuts: (c, s, g) => c.prep !== undefined && PREP_FACTS[c.prep].group === 'scuff' && !s.bared && g.look === 'opaque' && g.schools.dulling === 'liquid' && g.pFilm < CREDIBLE && g.pSoftens >= 0.5,
    finds: nothing,
  },
];

/* What the first coat may lie on. */
// prettier-ignore
const PRIMER_RULES: readonly HardRule[] = [
  {
    id: 'no_spraying_without_air', basis: 'practice',
    cuts: (c, _s, g) => g.ventilation === 'none' && isSprayed(c, g),
    finds: nothing,
  },
  {
    id: 'solvent_spray_wants_air', basis: 'practice',
    cuts: (c, _s, g) => g.ventilation === 'limited' && isSprayed(c, g) && hasStrongFumes(c.product!.carrier),
    finds: productOf,
  },
  {
    id: 'no_fumes_without_air', basis: 'practice',
    cuts: (c, _s, g) => g.ventilation === 'none' && (c.op === 'reamalgamate' || (c.product !== undefined && hasStrongFumes(c.product.carrier))),
    finds: productOf,
  },
  {
    id: 'failing_coat_stays', basis: 'practice',
    cuts: (c, s, g) => (isFirstCoat(c, s, g) || isFirstClear(c, s, g)) && !leavesBare(s.prep) && s.renewed !== 'reamalgamate' && (g.pFailing >= FAILING_LIMIT || need(g, 'strip') > 0.9),
    finds: (_c, _s, g) => ({ p: Math.max(g.pFailing, need(g, 'strip')) }),
  },
  {
    id: 'silicone_needs_barrier', basis: 'practice',
    cuts: (c, s, g) => isFirstCoat(c, s, g) && s.siliconeWashed && need(g, 'desilicone') >= 0.3 && !SHELLACS.includes(firstPrimer(c)?.code ?? ''),
    finds: productOf,
  },
  {
    id: 'clear_blocker_under_pale', basis: 'practice',
    cuts: (c, _s, g) => c.op === 'prime' && g.look === 'opaque' && g.pale && PRIMER_FACTS[c.sets.primers!.at(-1)!.code].clear,
    finds: productOf,
  },
  {
    id: 'clear_shellac_out_of_place', basis: 'practice',
    cuts: (c, s, g) => c.op === 'prime' && g.look === 'opaque' && s.primers.length === 0 && firstPrimer(c)?.code === 'shellac_clear' && (g.slickness[2] >= CREDIBLE || g.pFailing >= CREDIBLE),
    finds: nothing,
  },
  {
    id: 'wrong_substrate', basis: 'practice',
    cuts: (c, _s, g) => c.op === 'prime' && (
      (c.product?.class === 'metal_primer' && sumWhere(g.states, hasSubstrate('metal_ferrous', 'metal_nonferrous')) < 0.9) ||
      (c.product?.class === 'mdf_sealer' && sumWhere(g.states, hasSubstrate('mdf', 'particleboard', 'hardboard')) < 0.9)),
    finds: productOf,
  },
  {
    id: 'metal_needs_own_primer', basis: 'practice',
    cuts: (c, s, g) => isFirstCoat(c, s, g) && isCredible(g, hasSubstrate('metal_ferrous')) && firstPrimer(c)?.code !== 'metal_primer' && firstPrimer(c)?.code !== 'bonding_primer_2k',
    finds: productOf,
  },
  {
    id: 'aerosol_is_for_spots', basis: 'practice',
    cuts: (c, _s, g) => c.op === 'prime' && c.product?.sprayCan === true && g.area > 0.3,
    finds: nothing,
  },
  {
    id: 'film_needs_grip', basis: 'practice',
    cuts: (c, s, g) => isFirstCoat(c, s, g) && !s.bared && g.slickness[2] >= CREDIBLE && !isScuff(s.prep) && !GRIPS.includes(c.op === 'prime' ? PRIMER_FACTS[firstPrimer(c)!.code].slick : 'none'),
    finds: (c, _s, g) => ({ ...productOf(c), p: g.slickness[2] }),
  },
  {
    id: 'failed_here', basis: 'practice', seen: true,
    cuts: (c, s, g) => isFirstCoat(c, s, g) && hasFailed(firstPrimer(c)?.code ?? 'none', s, g),
    finds: productOf,
  },
  {
    id: 'barrier_wanted', basis: 'practice',
    cuts: (c, s, g) => g.recovery?.over !== undefined && (
      (isFirstCoat(c, s, g) && g.recovery.asks?.includes('barrier') === true && (c.op === 'paint' || BITES.includes(c.product?.carrier ?? 'none'))) ||
      (c.closesGround === true && g.recovery.remedy === 'seal_over' && s.primers.length === 0)),
    finds: nothing,
  },
  {
    id: 'failed_own_test', basis: 'practice', seen: true,
    cuts: (c, s, g) => findFailed(c, s, g) !== undefined,
    finds: (c, s, g) => ({ zoneName: g.name, test: findFailed(c, s, g)!.readings[0]!.judged }),
  },
  {
    id: 'too_weak_for_ground', basis: 'practice',
    cuts: (c, s, g) => c.op === 'prime' && isFirstCoat(c, s, g) && !s.bared && isTooWeak(firstPrimer(c)!, s, g),
    finds: productOf,
  },
];

/* What paint and clear may lie on, and what may be the last layer. */
// prettier-ignore
const PAINT_RULES: readonly HardRule[] = [
  {
    id: 'no_stain_block_on_bleed', basis: 'practice',
    cuts: (c, s, g) => c.closesGround === true && isBleeding(g, s.prep) && g.schools.stain_block !== 'wait_and_see' && !isStainBlocked(s, g),
    finds: (_c, { primers, prep }, g) => ({ primers: [...primers], p: bleedsAfter(g, prep) }),
  },
  {
    id: 'stain_unsealed', basis: 'practice',
    cuts: (c, s, g) => c.closesGround === true && g.look === 'opaque' && g.pale && g.stains.p >= CREDIBLE && g.schools.stain_block !== 'wait_and_see' && !sealsStains(s),
    finds: (_c, { primers }) => ({ primers: [...primers] }),
  },
  {
    id: 'raw_face_unprimed', basis: 'practice',
    cuts: (c, s) => c.closesGround === true && s.bared && s.primers.length === 0,
    finds: nothing,
  },
  {
    id: 'smell_left_inside', basis: 'practice',
    cuts: (c, _s, g) => c.skips === 'odour_inside' && g.ventilation !== 'none',
    finds: nothing,
  },
  {
    id: 'prime_always', basis: 'practice',
    cuts: (c, s, g) => c.closesGround === true && s.primers.length === 0 && g.schools.priming === 'always',
    finds: nothing,
  },
  {
    id: 'odour_needs_blocking', basis: 'practice',
    cuts: (c, s, g) => c.closesGround === true && need(g, 'odour_seal') > 0.5 && s.primers.every(({ code }) => PRIMER_FACTS[code].odour === 'none'),
    finds: (_c, { primers }) => ({ primers: [...primers] }),
  },
  {
    id: 'wall_paint_only_if_named', basis: 'practice',
    cuts: (c, _s, g) => c.op === 'paint' && c.product?.class === 'latex_wall_paint' && (g.paint !== 'latex_wall_paint' || isForHardPaint(g)),
    finds: (_c, _s, g) => ({ named: g.paint === 'latex_wall_paint' }),
  },
  {
    id: 'wrong_application', basis: 'practice',
    cuts: (c, _s, g) => c.op === 'paint' && c.product?.sprayCan !== (g.application === 'aerosol'),
    finds: (c, _s, g) => ({ ...productOf(c), sprayCan: g.application === 'aerosol' }),
  },
  {
    id: 'too_soft_for_wear', basis: 'practice',
    cuts: (c, s, g) => isUnsealed(c) && g.hardWorn && s.paint !== null && PAINT_FACTS[s.paint].seal === 'hard_worn',
    finds: (_c, s) => ({ paint: s.paint! }),
  },
  {
    id: 'chalk_needs_sealing', basis: 'practice',
    cuts: (c, s) => isUnsealed(c) && s.paint !== null && PAINT_FACTS[s.paint].seal === 'always',
    finds: nothing,
  },
  {
    id: 'sheen_not_made', basis: 'practice',
    cuts: (c, s, g) => isUnsealed(c) && s.paint !== null && g.sheen !== null && !PAINT_FACTS[s.paint].sheens.includes(g.sheen),
    finds: (_c, s, g) => ({ paint: s.paint!, sheen: g.sheen! }),
  },
  {
    id: 'school_of_topcoat', basis: 'practice',
    cuts: (c, s, g) => isUnsealed(c) && s.paint !== null && g.schools.topcoat === 'always',
    finds: nothing,
  },
  {
    id: 'wax_on_hard_wear', basis: 'practice',
    cuts: (c, s, g) => c.op === 'topcoat' && c.product?.class === 'wax' && s.paint !== null && (g.hardWorn || g.zone.wet === true),
    finds: nothing,
  },
  {
    id: 'bare_wood_unprotected', basis: 'practice',
    cuts: (c, s, g) => isUnsealed(c) && showsWood(g) && s.renewed === null,
    finds: nothing,
  },
];

/* What a clear finish may lie on, and where it may stand. */
// prettier-ignore
const CLEAR_RULES: readonly HardRule[] = [
  {
    id: 'no_wood_to_show', basis: 'practice',
    cuts: (c, _s, g) => g.look === 'clear' && c.prep !== undefined && sumWhere(g.states, hasSubstrate('wood_veneer', 'plywood', ...SOLID_WOODS)) < 0.5,
    finds: (_c, _s, g) => ({ foil: g.pFoil >= CREDIBLE }),
  },
  {
    id: 'paint_hides_wood', basis: 'practice',
    cuts: (c, _s, g) => g.look === 'clear' && c.prep !== undefined && !leavesBare(c.prep) && g.pOpaque >= CREDIBLE,
    finds: (_c, _s, g) => ({ p: g.pOpaque }),
  },
  {
    id: 'other_way_wished', basis: 'practice',
    cuts: (c, _s, g) => c.prep !== undefined && g.keep !== undefined && (c.sets.renewed === 'refresh') !== (g.keep === 'refresh') && !(g.keep === 'refinish' && c.sets.renewed === 'reamalgamate'),
    finds: (_c, _s, g) => ({ keep: g.keep! }),
  },
  {
    id: 'refresh_wants_sound_coat', basis: 'practice',
    cuts: (c, _s, g) => c.sets.renewed === 'refresh' && (g.pFailing >= FAILING_LIMIT || need(g, 'strip') > 0.9 || sumWhere(g.states, hasFinish('bare')) >= 0.3),
    finds: nothing,
  },
  {
    id: 'amalgamates_its_own_only', basis: 'practice',
    cuts: (c, _s, g) => c.sets.renewed === 'reamalgamate' && sumWhere(g.states, hasFinish(...AMALGAMATES)) < MELTS,
    finds: (_c, _s, g) => ({ p: sumWhere(g.states, hasFinish(...AMALGAMATES)) }),
  },
  {
    id: 'nothing_to_melt', basis: 'practice',
    cuts: (c, _s, g) => c.sets.renewed === 'reamalgamate' && g.pFailing + g.pMarginal < 0.3 && !g.zone.defects?.some(({ code }) => MELTED_FOR.includes(code)),
    finds: nothing,
  },
  {
    id: 'barrier_for_film_only', basis: 'practice',
    cuts: (c, s, g) => c.op === 'topcoat' && showsWood(g) && s.primers.length > 0 && c.product !== undefined && CLEAR_FACTS[c.product.class as ClearCode].lies !== 'on',
    finds: productOf,
  },
  {
    id: 'coat_takes_no_clear', basis: 'practice',
    cuts: (c, s, g) => isClearOver(c, s, g) && sumWhere(g.states, ({ finish }) => refuses(finish, c.product!.class as ClearCode, g)) >= CREDIBLE,
    finds: (c, _s, g) => {
      const bad = g.states.filter(({ finish }) => refuses(finish, c.product!.class as ClearCode, g)).sort((a, b) => b.p - a.p);
      return { ...productOf(c), finish: bad[0]!.finish, p: bad.reduce((sum, { p }) => sum + p, 0) };
    },
  },
  {
    id: 'clear_too_soft', basis: 'practice',
    cuts: (c, s, g) => c.op === 'topcoat' && showsWood(g) && g.hardWorn && c.product !== undefined && !CLEAR_FACTS[c.product.class as ClearCode].wears && (leavesBare(s.prep) || s.renewed === null) && !isItsOwn(c.product.class as ClearCode, s, g),
    finds: productOf,
  },
  {
    id: 'clear_near_heat', basis: 'practice',
    cuts: (c, _s, g) => g.zone.heat === true && (c.op === 'topcoat' || c.op === 'refresh') && c.product !== undefined && !CLEAR_FACTS[c.product.class as ClearCode].standsHeat,
    finds: productOf,
  },
];

/** Chance that a coat flows under its solvent from which it is tried (estimate). */
const MELTS = 0.8;
/** The first clear coat over wood that shows. */
const isFirstClear = (c: Choice, s: SurfaceState, g: Ground): boolean =>
  showsWood(g) && c.op === 'topcoat' && s.primers.length === 0 && s.renewed === null;
/** Clear, or the barrier under it, straight on an old coat. */
const isClearOver = (c: Choice, s: SurfaceState, g: Ground): boolean =>
  showsWood(g) &&
  !leavesBare(s.prep) &&
  s.renewed === null &&
  s.primers.length === 0 &&
  (c.op === 'topcoat' || c.op === 'prime') &&
  c.product !== undefined;
/** Wax that is washed off leaves the wood. */
const refuses = (finish: FinishCode, code: ClearCode, g: Ground): boolean =>
  !RECOAT_OVER[finish === 'wax' && need(g, 'dewax') >= CREDIBLE ? 'bare' : finish].includes(code);
/** Oiled wood is oiled again, wherever it stands. */
const isItsOwn = (code: ClearCode, s: SurfaceState, g: Ground): boolean =>
  !leavesBare(s.prep) && sumWhere(g.states, hasFinish(FILM_FACTS[code].becomes)) >= 0.5;

/** The last stage of coats is passed over: what is on is the last layer. */
const isUnsealed = (c: Choice): boolean => c.skips === 'topcoat';

/** The order is the order in which reasons are named. */
export const HARD_RULES: readonly HardRule[] = [...GROUND_RULES, ...PRIMER_RULES, ...PAINT_RULES, ...CLEAR_RULES];

/** What was tried here and failed: its grip with the first coat, its block once nothing more comes under the paint. */
function findFailed(c: Choice, s: SurfaceState, g: Ground): Requirement | undefined {
  const first = isFirstCoat(c, s, g);
  if (!first && !(c.closesGround && s.primers.length === 1)) return undefined;
  const primer = first ? firstPrimer(c) : s.primers[0];
  const treatment = { prep: s.prep, primer: primer?.code ?? ('none' as const), coats: primer?.coats ?? 0 };
  return g
    .proofOf(treatment, bleedsAfter(g, s.prep))
    .find(({ state, shows }) => state === 'failed' && isOfGrip(shows) === first);
}

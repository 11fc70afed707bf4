import {
  GLASS_TAPE,
  GREASY_FACTOR,
  HARDWARE,
  leavesBare,
  LEFT_WAX_LOSS,
  MACHINE,
  MOULDED_FACTOR,
  WORK_RATES,
  PREP_FACTS,
  STRIPPING_FACTS,
  type PrepCode,
  type ProductClass,
  type RepairPhase,
  type WorkRate,
  type WorkSize,
} from '../knowledge';
import { expectsBleed } from '../proof';
import { CREDIBLE } from '../survey';
import { measureCoats, needed, pass, step, take, whyNeed, work, type Choice, type Step } from './choice';
import { showsWood, type Ground } from './ground';
import { makeHandSteps } from './hand-rules';
import type { Product } from './product';
import { ladderSteps, lookWithSpirit, renewals } from './stages-clear';
import { isLate, listRepairPlans, makeRepairSteps, measureWait } from './repairs';
import type { StepReason } from './reasons';
import { chooseStripping, faceOf, type StripFace } from './stripping';
import type { StepName } from './step-name';
import type { SurfaceState } from './surface-state';

/** One stage of the order of work: the ways to go on from a state. */
export interface Stage {
  id: string;
  /** After this stage the work goes on alike for all states with the same key; by default everything counts. */
  keyAfter?: (state: SurfaceState, ground: Ground, products: readonly Product[]) => string;
  choices: (state: SurfaceState, ground: Ground, products: readonly Product[]) => Choice[];
}

/** Cleaner, deglosser or paste for a face, to the next 5 ml. */
const spread = ({ area }: Ground, { mlPerM2 }: { mlPerM2: number }): number =>
  Math.max(5, Math.round((mlPerM2 * area) / 5) * 5);

/**
 * A need is served when it is credible; a less likely one is left, and its chance of failure counted. Leaving is offered
 * either way, so that the rule which forbids it can be named.
 */
function serveOrLeave(
  ground: Ground,
  need: string,
  serve: () => Choice[],
  harm: { mode: 'adhesion' | 'grain_show'; share: number },
): Choice[] {
  const p = needed(ground, need);
  if (p === 0) return [pass()];
  return [...(p >= CREDIBLE ? serve() : []), pass({ skips: need, chances: { [harm.mode]: p * harm.share } })];
}

export const CLEANING: Stage = {
  id: 'cleaning',
  choices: (_state, ground) => {
    const steps: Step[] = [];
    // The ways to answer a fault part only at the mending: up to there all plans are one.
    const { lines } = listRepairPlans(ground)[0]!;
    const { recovery } = ground;
    if (recovery?.rest_h) steps.push(rest(recovery.rest_h, expectsBleed({ bleeds: recovery.bleeds ?? 0, pale: true })));
    if (ground.failedFace)
      steps.push(...stripSteps(ground.failedFace, 'strip_failed', [{ code: 'hangs_on_what_lets_go' }]));
    if (ground.look !== 'leave') steps.push(...takeOff(ground));
    steps.push(...makeRepairSteps(lines, ['hold', 'clean']));
    steps.push(wash(ground));
    steps.push(...makeRepairSteps(lines, ['dry']));
    if (needed(ground, 'dry_out') >= 0.5) {
      steps.push(work('dry_out', 'dry_out', WORK_RATES.dry_out, ground.size, whyNeed(ground, 'dry_out')));
    }
    return [take('degrease', {}, steps)];
  },
};

/** Every zone is washed. Kitchens take longer. */
function wash(ground: Ground): Step {
  // Raw board swells with water: vacuum, tack cloth, spirit.
  if (ground.pRawBoard >= LIKELY && ground.look !== 'leave')
    return work('clean', 'clean_dry', WORK_RATES.clean_dry, ground.size, { code: 'raw_board_swells' });
  const rate = { ...WORK_RATES.degrease, perM2: WORK_RATES.degrease.perM2 * (ground.greasy ? GREASY_FACTOR : 1) };
  if (ground.isGlass)
    return step(
      'mask',
      'mask_glass',
      3 + 1.2 * ground.size.edgeM,
      0,
      { code: 'glass_stays' },
      { material: GLASS_TAPE },
    );
  if (ground.look === 'leave') return work('degrease', 'clean_and_leave', rate, ground.size, { code: 'zone_left' });
  return work('degrease', 'degrease', rate, ground.size, whyNeed(ground, 'degrease'), {
    class: 'degreaser',
    ml: spread(ground, WORK_RATES.degrease),
  });
}

/** What comes through is let out, and what is soft hardens, before anything goes over it (common practice). */
const rest = (hours: number, bleeds: boolean): Step =>
  step('wait', bleeds ? 'come_out' : 'harden', 1, hours, {
    code: bleeds ? 'let_it_out' : 'let_it_harden',
  });

/** Handles, knobs and fittings, painted by themselves. */
export const isHandle = ({ zone, look }: Ground): boolean => zone.role === 'hardware' && look !== 'leave';

/** Taking parts off or putting them back, with the handle of each front. */
export function hardwareMinutes({ zone, size, parts }: Ground, way: 'off' | 'on'): number {
  if (zone.role === 'hardware') return parts * HARDWARE.handle[way];
  const part = zone.role === 'door' ? HARDWARE.door : HARDWARE.drawer;
  const handle = zone.role === 'drawer_side' ? 0 : HARDWARE.handle[way];
  return size.parts * (part[way] + handle);
}

/**
 * Label and hardware are minutes a part; masking doors that stay on takes as long as hanging them. What cannot be moved
 * has its surroundings taped; drawers that are sprayed have dovetails and runners taped (common practice).
 */
function takeOff(ground: Ground): Step[] {
  const steps = makeHandSteps(ground, ['label_parts', 'mask_room', 'mask_hinges']);
  const numbered = steps.some(({ hand }) => hand === 'label_parts');
  if (ground.moves && ground.schools.doors !== 'on')
    steps.push(
      step('hardware_off', numbered ? 'take_off_numbered' : 'take_off_labelled', hardwareMinutes(ground, 'off'), 0, {
        code: 'flat_parts',
      }),
    );
  if (isHandle(ground))
    steps.push(step('hardware_off', 'take_off_handles', hardwareMinutes(ground, 'off'), 0, { code: 'handles_apart' }));
  return [...steps, ...makeHandSteps(ground, ['mask_runners'])];
}

export const DEWAXING: Stage = {
  id: 'dewaxing',
  choices: (_state, ground) =>
    serveOrLeave(ground, 'dewax', () => [take('dewax', {}, [washStep(ground, 'dewax', 'wash_off_wax')])], {
      mode: 'adhesion',
      share: LEFT_WAX_LOSS,
    }),
};

export const DESILICONING: Stage = {
  id: 'desiliconing',
  choices: (_state, ground) =>
    serveOrLeave(
      ground,
      'desilicone',
      () => [take('desilicone', { siliconeWashed: true }, [washStep(ground, 'desilicone', 'solvent_wash')])],
      { mode: 'adhesion', share: LEFT_WAX_LOSS },
    ),
};

const washStep = (ground: Ground, need: 'dewax' | 'desilicone', name: StepName): Step =>
  work(need, name, WORK_RATES.solvent_wash, ground.size, [...whyNeed(ground, need), ...outdoors(ground)], {
    class: 'mineral_spirits',
    ml: spread(ground, WORK_RATES.solvent_wash),
  });

/** Solvent where no air moves: not in there. */
const outdoors = ({ ventilation }: Ground): StepReason[] =>
  ventilation === 'none' ? [{ code: 'outdoors_or_not' }] : [];

/** The old coat comes off before anything is mended on it: nothing is levelled or filled that is stripped. */
export const STRIPPING: Stage = {
  id: 'stripping',
  choices: (_state, ground) => [
    pass(),
    ...baringPreps(ground).map((prep) => {
      const steps = baringSteps(prep, ground);
      return take(steps[0]?.op ?? 'strip', { prep }, steps, { prep });
    }),
  ],
};

const baringPreps = (ground: Ground): readonly PrepCode[] => (showsWood(ground) ? ['sand_bare', 'strip'] : ['strip']);

function baringSteps(prep: PrepCode, ground: Ground): Step[] {
  const factor = ground.zone.moulded ? MOULDED_FACTOR : 1;
  if (prep === 'sand_bare') {
    const rate = { ...WORK_RATES.sand_bare, perM2: WORK_RATES.sand_bare.perM2 * factor };
    return [work('sand', 'sand_to_bare', rate, ground.size, { code: 'stain_wants_bare' }, { grit: 100 })];
  }
  return [
    ...stripSteps(faceOf(ground), 'strip_old', whyNeed(ground, 'strip')),
    // What lay under paint comes to light with it: wax is washed off again.
    ...(needed(ground, 'dewax') >= CREDIBLE && ground.pOpaque >= LIKELY
      ? [washStep(ground, 'dewax', 'wash_off_wax')]
      : []),
  ];
}

/** Before the primer: glueing, filling unless the school fills after it, levelling. Each answer to the faults is a way. */
const BEFORE_PRIMER: readonly RepairPhase[] = ['mend', 'fill', 'level'];

export const REPAIRING: Stage = {
  id: 'repairing',
  choices: ({ prep }, ground) =>
    listRepairPlans(ground, leavesBare(prep)).map((repairs) => {
      const { lines, chances, bares, later } = repairs;
      const now = lines.filter(({ fact }) => BEFORE_PRIMER.includes(fact.phase) && !isLate(fact, ground));
      const sets = { bared: bares, laterRepairs: later };
      const more = { repairs, ...(Object.keys(chances).length > 0 ? { chances } : {}) };
      if (now.length === 0) return pass({ sets, ...more });
      return take('repair', sets, makeRepairSteps(now, BEFORE_PRIMER), { waitH: measureWait(now), ...more });
    }),
};

export const DULLING: Stage = {
  id: 'dulling',
  choices: (state, ground) => {
    if (leavesBare(state.prep)) return [finishBare(state.prep, ground)];
    if (state.bared) return [dull('scuff_150', ground, false)];
    const preps: readonly PrepCode[] =
      ground.look === 'stain' ? [] : ground.look === 'clear' ? ['scuff_220'] : DULLING_PREPS;
    const plain = preps.map((prep) => dull(prep, ground, false));
    if (ground.look === 'clear') return [...plain, ...renewals(ground)];
    if (!ground.zone.moulded || ground.schools.dulling !== 'mix') return plain;
    const mixed = preps.filter((prep) => PREP_FACTS[prep].group === 'scuff').map((prep) => dull(prep, ground, true));
    return [...plain, ...mixed];
  },
};

const DULLING_PREPS: readonly PrepCode[] = ['none', 'scuff_150', 'scuff_220', 'liquid_degloss'];
export const PAINT_PREPS: readonly PrepCode[] = [...DULLING_PREPS, 'strip'];

const dustOff = (ground: Ground): Step =>
  work('dust', 'dust', WORK_RATES.dust, ground.size, { code: 'dust_holds_nothing' });

/** Bared wood is sanded with the grain. */
function finishBare(prep: PrepCode, ground: Ground): Choice {
  const grit = prep === 'sand_bare' ? 180 : 150;
  const rate = { ...WORK_RATES.scuff, perM2: WORK_RATES.scuff.perM2 * (ground.zone.moulded ? MOULDED_FACTOR : 1) };
  if (showsWood(ground))
    return take('sand', {}, [
      ...ladderSteps(ground, ground.zone.moulded ? MOULDED_FACTOR : 1),
      dustOff(ground),
      lookWithSpirit(ground),
    ]);
  const why: StepReason = { code: 'stripping_raises_grain' };
  const sand = work('sand', 'sand_with_grain', rate, byMachine(ground), why, { grit });
  return take('sand', {}, [sand, dustOff(ground)]);
}

function dull(prep: PrepCode, ground: Ground, wetMouldings: boolean): Choice {
  const steps = dullingSteps(prep, ground, wetMouldings);
  const wipe = prep !== 'none' && ground.pMetal >= LIKELY ? [wipeMetal(ground)] : [];
  return take(steps[0]?.op ?? 'dust', { prep }, [...steps, dustOff(ground), ...wipe], { prep });
}

/** More likely than not. */
const LIKELY = 0.5;

/** Bright metal tarnishes and rusts overnight: wiped and primed the same day. */
const wipeMetal = (ground: Ground): Step =>
  work(
    'clean',
    'wipe_metal',
    { ...WORK_RATES.dust, waitH: 0.25 },
    ground.size,
    { code: 'metal_same_day' },
    {
      class: 'alcohol_wipe',
      ml: Math.max(5, Math.round((20 * ground.area) / 5) * 5),
    },
  );

function dullingSteps(prep: PrepCode, ground: Ground, wetMouldings: boolean): Step[] {
  const factor = ground.zone.moulded && !wetMouldings ? MOULDED_FACTOR : 1;
  const sand = (rate: WorkRate): WorkRate => ({ ...rate, perM2: (rate.perM2 ?? 0) * factor });
  const wet = work(
    'liquid_degloss',
    wetMouldings ? 'degloss_mouldings' : 'degloss',
    WORK_RATES.liquid_degloss,
    ground.size,
    { code: 'deglosser_softens' },
    { class: 'liquid_deglosser', ml: spread(ground, WORK_RATES.liquid_degloss) },
  );
  if (prep === 'none') return [];
  if (prep === 'liquid_degloss') return [wet];
  if (ground.pRawWood >= LIKELY) return sandRaw(ground, factor);
  const { grit } = PREP_FACTS[prep];
  const scuff = work(
    'scuff',
    ground.pFoil >= CREDIBLE ? 'scuff_softly' : 'scuff',
    sand(WORK_RATES.scuff),
    byMachine(ground),
    { code: 'shine_must_go' },
    { ...(grit ? { grit } : {}) },
  );
  return wetMouldings ? [wet, scuff] : [scuff];
}

/** Raw wood in two grits, the finer one with half of the minutes. */
function sandRaw(ground: Ground, factor: number): Step[] {
  const { once, perM2, perM, perPart, basis } = WORK_RATES.sand_raw;
  const half = { perM2: (perM2 * factor) / 2, perM: perM / 2, perPart: perPart / 2, basis };
  const size = byMachine(ground);
  const why: StepReason = { code: 'raw_wood_wants_sanding' };
  return [
    work('sand', 'sand_raw', { ...half, once }, size, why, { grit: 150 }),
    work('sand', 'sand_raw', half, size, why, { grit: 180 }),
  ];
}

/** What of a flat face lies over half a square metre goes by machine, never on foil or in mouldings. */
function byMachine({ size, parts, zone, pFoil }: Ground): WorkSize {
  const faces = Math.max(1, parts);
  const over = Math.max(0, size.areaM2 / faces - MACHINE.fromM2) * faces;
  // What is moulded has its own factor for dulling.
  if (zone.moulded || pFoil >= CREDIBLE) return { ...size, carved: false };
  return { ...size, areaM2: size.areaM2 - over * (1 - MACHINE.factor) };
}

/** Getting a coat off by the way that takes least here; nothing where there is none (the rules cut that). */
function stripSteps(face: StripFace, name: StepName, why: StepReason[]): Step[] {
  const { ways, ruledOut } = chooseStripping(face);
  const [way] = ways;
  if (!way) return [];
  const { method, minutes, waitH, ml } = way;
  const fact = STRIPPING_FACTS[method];
  return [
    step('strip', name, minutes, waitH, [...why, { code: 'strips_by', method, ruledOut }], {
      method,
      material: fact.material,
      ...(ml > 0 ? { ml } : {}),
    }),
  ];
}

/** Deep pores, as oak's, want a second pass (common practice). */
const DEEP_GRAIN = 0.5;

/** By the school of filling that the owner holds with. */
const GRAIN_FILLERS: Record<'spackle_brush' | 'spackle_knife' | 'grain_filler', ProductClass> = {
  spackle_brush: 'spackle_wb',
  spackle_knife: 'spackle_wb',
  grain_filler: 'grain_filler_wb',
};

export const GRAIN_FILLING: Stage = {
  id: 'grain_filling',
  choices: (_state, ground) => {
    if (ground.goal.grain !== 'hide' || ground.look !== 'opaque') return [pass()];
    const school = ground.schools.grain;
    const fill = (): Choice[] => {
      if (school === 'leave') return [];
      const passes = ground.pOpen >= DEEP_GRAIN ? 2 : 1;
      const { grain_pass: rate } = WORK_RATES;
      const all = {
        ...rate,
        perM2: rate.perM2 * passes,
        perM: rate.perM * passes,
        perPart: rate.perPart * passes,
        waitH: rate.waitH * passes,
        mlPerM2: rate.mlPerM2 * passes,
      };
      const done = work('grain_fill', school, all, ground.size, whyNeed(ground, 'grain_fill'), {
        class: GRAIN_FILLERS[school],
        ml: spread(ground, all),
      });
      return [take('grain_fill', { grainFilled: true }, [done])];
    };
    return serveOrLeave(ground, 'grain_fill', fill, { mode: 'grain_show', share: 0.9 });
  },
};

export const EDGE_SEALING: Stage = {
  id: 'edge_sealing',
  choices: (state, ground, products) => {
    const seals = products.filter(({ class: code }) => code === 'shellac_primer' || code === 'mdf_sealer');
    if (state.bared) return seals.map((product) => sealFace(ground, product));
    const seal = (): Choice[] => seals.map((product) => sealEdges(ground, product));
    return serveOrLeave(ground, 'edge_seal', seal, { mode: 'adhesion', share: 0.3 });
  },
};

/** Raw board drinks: two coats over the whole of it, sanded between. */
const sealFace = (ground: Ground, product: Product): Choice =>
  sealBoard(ground, product, {
    name: 'seal_board',
    rate: WORK_RATES.seal_board,
    ml: measureCoats(ground, product, 2, true),
    why: [{ code: 'raw_board_drinks' }],
  });

/** A narrow band: so many ml a metre for the two coats (common practice: hardly more than the brush takes up). */
const EDGE_ML_PER_M = 20;

const sealEdges = (ground: Ground, product: Product): Choice =>
  sealBoard(ground, product, {
    name: 'seal_edges',
    rate: WORK_RATES.seal_edges,
    ml: Math.max(10, Math.round((EDGE_ML_PER_M * ground.size.edgeM) / 5) * 5),
    why: whyNeed(ground, 'edge_seal'),
  });

function sealBoard(
  ground: Ground,
  product: Product,
  { name, rate, ml, why }: Pick<Step, 'name' | 'why'> & { rate: WorkRate; ml: number },
): Choice {
  const own = work('edge_seal', name, { ...rate, waitH: 2 * product.recoatH }, ground.size, why, {
    class: product.class,
    coats: 2,
    recoatH: product.recoatH,
    ml,
    ...(product.tins[0] ? { product: product.tins[0].id } : {}),
  });
  return take('edge_seal', {}, [own], { product, coats: 2, ml, splashes: 0 });
}

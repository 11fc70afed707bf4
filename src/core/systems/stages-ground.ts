import { DEFECT_FACTS, type PrepCode, type ProductClass } from '../knowledge';
import { CREDIBLE } from '../survey';
import { needed, pass, step, take, whyNeed, type Choice, type Step } from './choice';
import type { Ground } from './ground';
import type { Product } from './product';
import type { SurfaceState } from './surface-state';

/** One stage of the order of work: the ways to go on from a state. */
export interface Stage {
  id: string;
  /** After this stage the work goes on alike for all states with the same key; by default everything counts. */
  keyAfter?: (state: SurfaceState, ground: Ground) => string;
  choices: (state: SurfaceState, ground: Ground, products: readonly Product[]) => Choice[];
}

/** Hands-on minutes per m² (common practice; the owner's own logged times are to replace them). */
const MINUTES = { degrease: 6, wash: 6, deglossing: 5, scuff: 8, strip: 60, grainFill: 15, dust: 3 };
const MOULDED_FACTOR = 2;

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
    if (ground.look !== 'leave' && ground.moves) steps.push(takeOff(ground));
    if (needed(ground, 'dry_out') >= 0.5)
      steps.push(step('dry_out', 'Let it dry out', 1, 72, whyNeed(ground, 'dry_out')));
    const minutes = MINUTES.degrease * ground.area;
    if (ground.look === 'leave')
      steps.push(step('degrease', 'Clean and leave as it is', minutes, 1, 'You leave this zone as it is.'));
    else
      steps.push(
        step('degrease', 'Degrease, rinse, dry', minutes, 1, whyNeed(ground, 'degrease'), { class: 'degreaser' }),
      );
    return [take('degrease', {}, steps)];
  },
};

/** Label and hardware are minutes a part; masking doors that stay on takes as long as hanging them (common practice). */
function takeOff(ground: Ground): Step {
  return ground.schools.doors === 'on'
    ? step('mask', 'Mask hinges and frame', 10, 0, 'You leave doors and drawers on: slower edges, and they may stick.')
    : step(
        'hardware_off',
        'Take off, label in two places',
        3.5,
        0,
        'Flat parts run less; labels on the part and in its opening.',
      );
}

export const DEWAXING: Stage = {
  id: 'dewaxing',
  choices: (_state, ground) =>
    serveOrLeave(ground, 'dewax', () => [take('dewax', {}, [washStep(ground, 'dewax', 'Wash off the wax')])], {
      mode: 'adhesion',
      share: 0.6,
    }),
};

export const DESILICONING: Stage = {
  id: 'desiliconing',
  choices: (_state, ground) =>
    serveOrLeave(
      ground,
      'desilicone',
      () => [take('desilicone', { siliconeWashed: true }, [washStep(ground, 'desilicone', 'Solvent wash')])],
      { mode: 'adhesion', share: 0.6 },
    ),
};

const washStep = (ground: Ground, need: 'dewax' | 'desilicone', label: string): Step =>
  step(need, label, 5 + MINUTES.wash * ground.area, 0.5, whyNeed(ground, need), { class: 'mineral_spirits' });

/** Loose faces and soft edges always; holes and dents before the primer unless the school fills after it. */
export const REPAIRING: Stage = {
  id: 'repairing',
  choices: (_state, ground) => {
    const steps: Step[] = [];
    const glue = 'reglue_or_remove_face';
    if (needed(ground, glue) >= 0.5)
      steps.push(step('reglue', 'Glue the face down', 12, 12, whyNeed(ground, glue), { class: 'wood_glue' }));
    if (needed(ground, 'consolidate') >= 0.5)
      steps.push(
        step('consolidate', 'Harden the swollen edge', 10, 12, whyNeed(ground, 'consolidate'), {
          class: 'consolidant',
        }),
      );
    if (ground.schools.fill !== 'after_prime') steps.push(...fillSteps(ground));
    return [steps.length > 0 ? take('repair', {}, steps) : pass()];
  },
};

export function fillSteps(ground: Ground): Step[] {
  return (ground.zone.defects ?? []).flatMap((defect) => {
    const { repair, label } = DEFECT_FACTS[defect.code];
    if (!repair) return [];
    const minutes = repair.minutes * (defect.count ?? 1);
    return [step('fill', repair.label, minutes, 2, `${label} was seen here.`, { class: 'wood_filler_wb' })];
  });
}

export const DULLING: Stage = {
  id: 'dulling',
  choices: (_state, ground) => {
    const preps: readonly PrepCode[] =
      ground.look === 'stain' ? ['sand_bare', 'strip'] : ground.look === 'clear' ? ['scuff_220', 'strip'] : PAINT_PREPS;
    const plain = preps.map((prep) => dull(prep, ground, false));
    if (!ground.zone.moulded || ground.schools.dulling !== 'mix') return plain;
    const mixed = preps.filter((prep) => prep.startsWith('scuff')).map((prep) => dull(prep, ground, true));
    return [...plain, ...mixed];
  },
};

export const PAINT_PREPS: readonly PrepCode[] = ['none', 'scuff_150', 'scuff_220', 'liquid_degloss', 'strip'];

function dull(prep: PrepCode, ground: Ground, wetMouldings: boolean): Choice {
  const dust = step(
    'dust',
    'Vacuum and wipe',
    MINUTES.dust * ground.area,
    0.5,
    'Dust under primer is a layer that holds nothing.',
  );
  const steps = dullingSteps(prep, ground, wetMouldings);
  return take(steps[0]?.op ?? 'dust', { prep }, [...steps, dust], { prep });
}

function dullingSteps(prep: PrepCode, ground: Ground, wetMouldings: boolean): Step[] {
  const factor = ground.zone.moulded && !wetMouldings ? MOULDED_FACTOR : 1;
  const minutes = MINUTES.scuff * ground.area * factor;
  const wet = step(
    'liquid_degloss',
    wetMouldings ? 'Liquid deglosser in the mouldings' : 'Liquid deglosser',
    MINUTES.deglossing * ground.area,
    0.5,
    'The old coat is one that deglosser softens. Keep within the label’s time before priming.',
    { class: 'liquid_deglosser' },
  );
  switch (prep) {
    case 'none':
      return [];
    case 'liquid_degloss':
      return [wet];
    case 'strip':
      return [
        step('strip', 'Strip the old coat', 20 + MINUTES.strip * ground.area * factor, 24, whyNeed(ground, 'strip')),
        step('sand', 'Sand with the grain, 150', minutes, 0, 'Stripping raises the grain.', { grit: 150 }),
      ];
    case 'sand_bare':
      return [
        step('sand', 'Sand to bare wood, 120 then 150', minutes * 3, 0, 'Stain takes on bare wood only.', {
          grit: 150,
        }),
      ];
    default: {
      const grit = Number(prep.slice('scuff_'.length));
      const soft = ground.pFoil >= 0.1 ? ', soft pad' : '';
      const why = 'Everything shiny must go dull, or the primer has nothing to bite.';
      const scuff = step('scuff', `Scuff ${grit}${soft}`, minutes, 0, why, { grit });
      return wetMouldings ? [wet, scuff] : [scuff];
    }
  }
}

interface GrainFiller {
  class: ProductClass;
  label: string;
  /** Minutes per m² beside the sanding, passes, and hours before the next layer (common practice). */
  minutes: number;
  waitH: number;
}
const GRAIN_FILLERS: Record<'spackle_brush' | 'spackle_knife' | 'grain_filler', GrainFiller> = {
  spackle_brush: { class: 'spackle_wb', label: 'Brush spackle across the grain, sand 220', minutes: 15, waitH: 4 },
  spackle_knife: { class: 'spackle_wb', label: 'Press spackle in with a knife, sand 220', minutes: 18, waitH: 4 },
  grain_filler: { class: 'grain_filler_wb', label: 'Grain filler across the grain, sand 220', minutes: 15, waitH: 4 },
};

export const GRAIN_FILLING: Stage = {
  id: 'grain_filling',
  choices: (_state, ground) => {
    if (ground.goal.grain !== 'hide' || ground.look !== 'opaque') return [pass()];
    const school = ground.schools.grain;
    const fill = (): Choice[] => {
      if (school === 'leave') return [];
      const { class: code, label, minutes, waitH } = GRAIN_FILLERS[school];
      const done = step(
        'grain_fill',
        label,
        (minutes + MINUTES.scuff) * ground.area,
        waitH,
        whyNeed(ground, 'grain_fill'),
        { class: code },
      );
      return [take('grain_fill', { grainFilled: true }, [done])];
    };
    return serveOrLeave(ground, 'grain_fill', fill, { mode: 'grain_show', share: 0.9 });
  },
};

export const EDGE_SEALING: Stage = {
  id: 'edge_sealing',
  choices: (_state, ground, products) => {
    const seal = (): Choice[] =>
      products
        .filter((product) => product.class === 'shellac_primer' || product.class === 'mdf_sealer')
        .map((product) => sealEdges(ground, product));
    return serveOrLeave(ground, 'edge_seal', seal, { mode: 'adhesion', share: 0.3 });
  },
};

/** Two coats on a narrow band: 30 ml a coat is plenty for the edges of a zone (estimate). */
function sealEdges(ground: Ground, product: Product): Choice {
  const waitH = 2 * product.recoatH;
  const own = step('edge_seal', 'Seal the raw edges', 8, waitH, whyNeed(ground, 'edge_seal'), {
    class: product.class,
    coats: 2,
    recoatH: product.recoatH,
    ml: 60,
    ...(product.tins[0] ? { product: product.tins[0].id } : {}),
  });
  return take('edge_seal', {}, [own], { product, ml: 60, splashes: 0 });
}

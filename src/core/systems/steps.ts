import {
  computeCoatMl,
  DEFECT_FACTS,
  FILM_FACTS,
  labelProduct,
  findDrying,
  PRIMER_FACTS,
  type OperationCode,
  type ProductClass,
} from '../knowledge';
import { computeDryingFactor } from '../climate';
import type { PrimerTint } from '../film';
import type { Candidate } from './candidates';
import { isCredible, hasSubstrate, type Ground } from './ground';
import { computeRisk } from './risk';
import { findFilm, findTin } from './supplies';

export interface Step {
  op: OperationCode;
  label: string;
  class?: ProductClass;
  grit?: number;
  tests?: string[];
  coats?: number;
  ml?: number;
  /** The owner's tin it is taken from. */
  product?: string;
  tint?: PrimerTint;
  recoatH?: number;
  minutes: number;
  waitH: number;
  why: string;
}

/** Hands-on minutes per m² (common practice; the owner's own logged times are to replace them). */
const MINUTES = {
  degrease: 6,
  deglossing: 5,
  scuff: 8,
  strip: 60,
  grainFill: 15,
  dust: 3,
  prime: 7,
  paint: 8,
  denib: 4,
  clear: 6,
};
const MOULDED_FACTOR = 2;

/** The ordered steps of one zone, each with the need or rule it serves. */
export function listSteps(candidate: Candidate, ground: Ground): Step[] {
  const { area } = ground;
  if (ground.look === 'leave') {
    return [step('degrease', 'Clean and leave as it is', MINUTES.degrease * area, 1, 'You leave this zone as it is.')];
  }
  return [
    ...cleaningSteps(ground),
    ...repairSteps(ground),
    ...dullingSteps(candidate, ground),
    step('dust', 'Vacuum and wipe', MINUTES.dust * area, 0.5, 'Dust under primer is a layer that holds nothing.'),
    ...sealingSteps(ground),
    ...proofSteps(candidate, ground),
    ...coatSteps(candidate, ground),
  ];
}

function step(
  op: OperationCode,
  label: string,
  minutes: number,
  waitH: number,
  why: string,
  more: Partial<Step> = {},
): Step {
  return { op, label, minutes: Math.max(1, Math.round(minutes)), waitH, why, ...more };
}

const needed = (ground: Ground, code: string, from = 0.1): boolean => (ground.needs.get(code) ?? 0) >= from;
const whyNeed = (ground: Ground, code: string): string =>
  ground.diagnosis.needs.find((need) => need.code === code)?.why ?? '';

function cleaningSteps(ground: Ground): Step[] {
  const { area } = ground;
  const steps: Step[] = [];
  if (needed(ground, 'dry_out', 0.5)) steps.push(step('dry_out', 'Let it dry out', 1, 72, whyNeed(ground, 'dry_out')));
  steps.push(
    step('degrease', 'Degrease, rinse, dry', MINUTES.degrease * area, 1, whyNeed(ground, 'degrease'), {
      class: 'degreaser',
    }),
  );
  if (needed(ground, 'dewax', 0.2)) {
    steps.push(
      step('dewax', 'Wash off the wax', 5 + 6 * area, 0.5, whyNeed(ground, 'dewax'), { class: 'mineral_spirits' }),
    );
  }
  if (needed(ground, 'desilicone', 0.3)) {
    steps.push(
      step('desilicone', 'Solvent wash', 5 + 6 * area, 0.5, whyNeed(ground, 'desilicone'), {
        class: 'mineral_spirits',
      }),
    );
  }
  return steps;
}

function repairSteps(ground: Ground): Step[] {
  const steps: Step[] = [];
  if (needed(ground, 'reglue_or_remove_face', 0.5)) {
    steps.push(
      step('reglue', 'Glue the face down', 12, 12, whyNeed(ground, 'reglue_or_remove_face'), { class: 'wood_glue' }),
    );
  }
  if (needed(ground, 'consolidate', 0.5)) {
    steps.push(
      step('consolidate', 'Harden the swollen edge', 10, 12, whyNeed(ground, 'consolidate'), { class: 'consolidant' }),
    );
  }
  for (const defect of ground.zone.defects ?? []) {
    const { repair, label } = DEFECT_FACTS[defect.code];
    if (!repair) continue;
    const minutes = repair.minutes * (defect.count ?? 1);
    steps.push(step('fill', repair.label, minutes, 2, `${label} was seen here.`, { class: 'wood_filler_wb' }));
  }
  return steps;
}

function dullingSteps(candidate: Candidate, ground: Ground): Step[] {
  const factor = ground.zone.moulded ? MOULDED_FACTOR : 1;
  const minutes = MINUTES.scuff * ground.area * factor;
  const dull = 'Everything shiny must go dull, or the primer has nothing to bite.';
  switch (candidate.prep) {
    case 'none':
      return [];
    case 'liquid_degloss':
      return [
        step(
          'liquid_degloss',
          'Liquid deglosser',
          MINUTES.deglossing * ground.area,
          0.5,
          'The old coat is one that deglosser softens.',
          { class: 'liquid_deglosser' },
        ),
      ];
    case 'strip': {
      const off = step(
        'strip',
        'Strip the old coat',
        20 + MINUTES.strip * ground.area * factor,
        24,
        whyNeed(ground, 'strip'),
      );
      return [off, step('sand', 'Sand with the grain, 150', minutes, 0, 'Stripping raises the grain.', { grit: 150 })];
    }
    case 'sand_bare':
      return [
        step('sand', 'Sand to bare wood, 120 then 150', minutes * 3, 0, 'Stain takes on bare wood only.', {
          grit: 150,
        }),
      ];
    default: {
      const grit = Number(candidate.prep.slice('scuff_'.length));
      const soft = isCredible(ground, hasSubstrate('paper_foil', 'thermofoil'));
      return [step('scuff', `Scuff ${grit}${soft ? ', soft pad' : ''}`, minutes, 0, dull, { grit })];
    }
  }
}

function sealingSteps(ground: Ground): Step[] {
  const steps: Step[] = [];
  if (ground.goal.grain === 'hide' && needed(ground, 'grain_fill', 0.3)) {
    steps.push(
      step(
        'grain_fill',
        'Fill the grain, sand 220',
        (MINUTES.grainFill + MINUTES.scuff) * ground.area,
        4,
        whyNeed(ground, 'grain_fill'),
        { class: 'grain_filler_wb' },
      ),
    );
  }
  if (needed(ground, 'edge_seal', 0.3)) {
    const airless = ground.goal.ventilation === 'none';
    steps.push(
      step('edge_seal', 'Seal the raw edges', 8, airless ? 4 : 1, whyNeed(ground, 'edge_seal'), {
        class: airless ? 'mdf_sealer' : 'shellac_primer',
        coats: 2,
      }),
    );
  }
  return steps;
}

function proofSteps(candidate: Candidate, ground: Ground): Step[] {
  const primer = candidate.primers[0];
  const risk = computeRisk(candidate, ground);
  if (!primer || (risk.adhesion < 0.01 && risk.bleed < 0.01)) return [];
  const tests = ['nail', 'cross_cut'];
  const bleeds = ground.pale && ground.pBleed >= 0.15;
  if (bleeds) tests.push('bleed_watch');
  const waitH = bleeds ? 48 : FILM_FACTS[primer.code].testFromH;
  const why = bleeds
    ? 'Prime and paint a patch, watch it for 48 h, then scratch it. Paint the piece only if it holds.'
    : `Prime a patch, wait ${waitH} h, scratch and cut it. Paint the piece only if it holds.`;
  return [step('proof', 'Prove it on a patch', 8, waitH, why, { tests })];
}

function coatSteps(candidate: Candidate, ground: Ground): Step[] {
  const { area } = ground;
  const steps: Step[] = candidate.primers.map(({ code, coats }) =>
    coat('prime', code, coats, MINUTES.prime, ground, whyPrimer(candidate, code, ground), candidate.cover?.tint),
  );
  if (candidate.primers.length > 0) {
    steps.push(
      step('denib', 'Sand smooth, 220', MINUTES.denib * area, 0, 'Paint shows every nib of primer.', { grit: 220 }),
    );
  }
  if (ground.look === 'stain') steps.push(step('stain', 'Stain', 8 * area, 24, 'The look you asked for.'));
  if (candidate.paint) {
    steps.push(coat('paint', candidate.paint, candidate.paintCoats, MINUTES.paint, ground, whyCoats(candidate)));
  }
  if (candidate.topcoat === 'none') return steps;
  const why = candidate.paint ? 'This paint needs sealing here.' : 'Protects the wood and lets it show.';
  return [...steps, coat('topcoat', candidate.topcoat, candidate.topcoats, MINUTES.clear, ground, why)];
}

function coat(
  op: 'prime' | 'paint' | 'topcoat',
  code: keyof typeof FILM_FACTS,
  coats: number,
  minutesPerM2: number,
  { area, climate, shelf }: Ground,
  why: string,
  tint: PrimerTint | null = null,
): Step {
  const film = findFilm(code, shelf);
  const factor = computeDryingFactor(findDrying(code), climate);
  const recoatH = Math.round(film.recoatH * factor * 2) / 2;
  const slower =
    factor > 1.05 ? ` The label says ${film.recoatH} h between coats; in this air about ${recoatH} h.` : '';
  const product = findTin(code, shelf)?.id;
  return step(
    op,
    `${labelProduct(code)}${tint && tint !== 'white' ? `, tinted ${tint}` : ''}${coats > 1 ? ` ×${coats}` : ''}`,
    minutesPerM2 * area * coats,
    recoatH * coats,
    why + slower,
    {
      class: code,
      coats,
      recoatH,
      ml: Math.round((computeCoatMl(area, film) * coats) / 5) * 5,
      ...(product === undefined ? {} : { product }),
      ...(tint ? { tint } : {}),
    },
  );
}

function whyCoats({ cover, paintCoats }: Candidate): string {
  if (cover?.shows) return `Even ${paintCoats} coats may let the ground show through this colour: try a patch first.`;
  if (cover?.whiteCoats !== undefined)
    return `${paintCoats} coats hide the ground over ${cover.tint ?? ''} primer; over white it would take ${cover.whiteCoats} (an estimate from film optics).`;
  return `${paintCoats} thin coats hide the ground (an estimate from film optics), each after the recoat time of the last.`;
}

function whyPrimer(candidate: Candidate, code: keyof typeof PRIMER_FACTS, ground: Ground): string {
  const fact = PRIMER_FACTS[code];
  const reasons: string[] = [];
  if (ground.pSlick >= 0.1 && candidate.primers[0]?.code === code)
    reasons.push(`grip on a slick face: ${say(fact.slick)}`);
  if (ground.pale && ground.pBleed >= 0.15) reasons.push(`holds colour back: ${say(fact.block)}`);
  if ((ground.needs.get('odour_seal') ?? 0) > 0.5)
    reasons.push(fact.odour ? 'seals the smell in' : 'does not seal smells');
  const why = reasons.join('; ') || 'an even ground that paint sticks to';
  return `${why.charAt(0).toUpperCase()}${why.slice(1)}. ${fact.note}`;
}

const say = (rating: string): string => rating.replace('_', ' ');

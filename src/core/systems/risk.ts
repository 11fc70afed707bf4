import {
  FINISH_FACTS,
  labelProduct,
  PAINT_FACTS,
  PRIMER_FACTS,
  TOPCOAT_FACTS,
  type PrepCode,
  type Rating,
} from '../knowledge';
import { describeChance } from '../shared';
import type { Candidate } from './candidates';
import { hasSubstrate, sumWhere, type Ground } from './ground';
import { updateByTests } from './test-evidence';

export interface Risk {
  adhesion: number;
  bleed: number;
  grain_show: number;
  haze_or_yellow: number;
  blocking: number;
  overall: number;
}
export type FailureMode = Exclude<keyof Risk, 'overall'>;

/*
 * Chances of failure by ground, prep and primer. All figures are estimates in the order of what common practice
 * reports (on a slick face a scuff does more than a primer, and both together are surest); the shop's own tests are
 * to replace them.
 */
const LOSS_UNPREPARED = [0.02, 0.25, 0.5] as const;
const AFTER_PREP: Record<PrepCode, readonly [number, number, number]> = {
  none: [1, 1, 1],
  scuff_120: [0.6, 0.15, 0.12],
  scuff_150: [0.6, 0.15, 0.12],
  scuff_180: [0.6, 0.15, 0.16],
  scuff_220: [0.7, 0.16, 0.2],
  liquid_degloss: [1, 0.22, 1],
  strip: [0.5, 0.04, 0.1],
  sand_bare: [0.5, 0.04, 0.1],
};
const AFTER_PRIMER: Record<Rating, readonly [number, number, number]> = {
  none: [1, 1, 1],
  poor: [0.5, 0.5, 0.8],
  fair: [0.4, 0.35, 0.5],
  good: [0.35, 0.2, 0.22],
  very_good: [0.35, 0.2, 0.18],
  best: [0.35, 0.18, 0.1],
};
const BLEED_LEAK: Record<Rating, readonly [number, number]> = {
  none: [0.97, 0.95],
  poor: [0.8, 0.7],
  fair: [0.5, 0.35],
  good: [0.25, 0.1],
  very_good: [0.1, 0.04],
  best: [0.06, 0.02],
};

export function computeRisk(candidate: Candidate, ground: Ground): Risk {
  if (ground.look === 'leave')
    return withOverall({ adhesion: 0, bleed: 0, grain_show: 0, haze_or_yellow: 0, blocking: 0 });
  const treatment = { prep: candidate.prep, primer: candidate.primers[0]?.code ?? ('none' as const) };
  return withOverall({
    adhesion: updateByTests(adhesionRisk(candidate, ground), 'adhesion', treatment, ground.evidence),
    bleed: updateByTests(bleedRisk(candidate, ground), 'bleed', treatment, ground.evidence),
    grain_show: grainRisk(candidate, ground),
    haze_or_yellow: hazeRisk(candidate, ground),
    blocking: blockingRisk(candidate, ground),
  });
}

export function withOverall(modes: Omit<Risk, 'overall'>): Risk {
  return { ...modes, overall: 1 - Object.values(modes).reduce((held, p) => held * (1 - p), 1) };
}

function adhesionRisk(candidate: Candidate, ground: Ground): number {
  const rating = candidate.primers[0] ? PRIMER_FACTS[candidate.primers[0].code].slick : 'none';
  const loss = ground.states.reduce((sum, state) => {
    const slickness = FINISH_FACTS[state.finish].slickness;
    const here = LOSS_UNPREPARED[slickness] * AFTER_PREP[candidate.prep][slickness] * AFTER_PRIMER[rating][slickness];
    return sum + state.p * here;
  }, 0);
  const oldCoat = candidate.prep === 'strip' ? 0 : 0.6 * ground.pFailing + 0.06 * ground.pMarginal;
  return 1 - (1 - loss) * (1 - oldCoat);
}

function bleedRisk(candidate: Candidate, ground: Ground): number {
  if (!candidate.paint) return 0;
  const leaks = candidate.primers.map(({ code, coats }) => BLEED_LEAK[PRIMER_FACTS[code].block][coats > 1 ? 1 : 0]);
  const leak = Math.min(BLEED_LEAK.none[0], ...leaks);
  return ground.pBleed * leak * (ground.pale ? 1 : 0.1);
}

function grainRisk(candidate: Candidate, ground: Ground): number {
  if (ground.goal.grain !== 'hide' || !candidate.paint) return 0;
  const open = sumWhere(ground.states, hasSubstrate('open_grain_hardwood'));
  const rewets = candidate.primers.some(({ code }) => PRIMER_FACTS[code].overWaterborneFiller === 'rewets');
  return open * (rewets ? 0.3 : 0.06);
}

function hazeRisk(candidate: Candidate, ground: Ground): number {
  if (candidate.topcoat === 'none') return 0;
  const solvent = TOPCOAT_FACTS[candidate.topcoat].carrier === 'solvent';
  if (candidate.paint && ground.pale && solvent) return 0.35;
  return !ground.pale && !solvent ? 0.15 : 0.01;
}

function blockingRisk(candidate: Candidate, ground: Ground): number {
  const moves =
    ground.zone.role === 'door' || ground.zone.role === 'drawer_front' || ground.zone.role === 'drawer_side';
  if (!candidate.paint || !moves) return 0;
  return PAINT_FACTS[candidate.paint].softForDrawers ? 0.25 : 0.01;
}

export interface Warning {
  rule: string;
  zone: string;
  text: string;
}

interface SoftRule {
  id: string;
  text: (candidate: Candidate, ground: Ground) => string | null;
}

/** Rules that warn. What they cost in risk is already in `computeRisk` where it can be put in a number. */
const SOFT_RULES: readonly SoftRule[] = [
  {
    id: 'strong_fumes',
    text: ({ primers }) =>
      primers.some(({ code }) => PRIMER_FACTS[code].carrier === 'alcohol' || PRIMER_FACTS[code].carrier === 'solvent')
        ? 'Flammable vapour: doors open, no flames or pilot lights, organic-vapour mask, gloves. Follow the label.'
        : null,
  },
  {
    id: 'two_part_needs_mask',
    text: ({ primers, paint }) =>
      primers.some(({ code }) => code === 'bonding_primer_2k') || paint === 'cabinet_paint_2k'
        ? 'Two-part products can sensitise: only with the protection on the label. Mind the pot life.'
        : null,
  },
  {
    id: 'latex_on_moving_parts',
    text: ({ paint }, { zone }) =>
      paint === 'latex_wall_paint' && (zone.role === 'door' || zone.role === 'drawer_front')
        ? 'Wall paint stays soft and sticks to itself on doors and drawers.'
        : null,
  },
  {
    id: 'waterborne_over_filler',
    text: ({ primers }, { goal, needs }) =>
      goal.grain === 'hide' &&
      (needs.get('grain_fill') ?? 0) > 0.3 &&
      primers.some(({ code }) => PRIMER_FACTS[code].overWaterborneFiller === 'rewets')
        ? 'Waterborne primer wets the grain filler again: it sinks and the pores show.'
        : null,
  },
  {
    id: 'foil_stays_flexible',
    text: ({ primers }, ground) =>
      primers.some(({ code }) => code === 'shellac_primer') &&
      sumWhere(ground.states, hasSubstrate('thermofoil')) >= 0.1
        ? 'Shellac is brittle and vinyl foil moves. No heat gun near it, in any case.'
        : null,
  },
  {
    id: 'residual_bleed',
    text: (candidate, ground) => {
      const risk = bleedRisk(candidate, ground);
      const first = candidate.primers[0];
      return risk > 0.05 && first
        ? `${labelProduct(first.code)} still lets colour through ${describeChance(risk)} times: watch a patch for two days.`
        : null;
    },
  },
];

export function listWarnings(candidate: Candidate, ground: Ground): Warning[] {
  return SOFT_RULES.flatMap((rule) => {
    const text = rule.text(candidate, ground);
    return text ? [{ rule: rule.id, zone: ground.zone.id, text }] : [];
  });
}

import {
  FACED_BOARDS,
  FINISH_FACTS,
  hasStrongFumes,
  labelProduct,
  PAINT_FACTS,
  PRIMER_FACTS,
  SOLID_WOODS,
  TOPCOAT_FACTS,
  type Basis,
} from '../knowledge';
import { describeChance } from '../shared';
import type { Candidate } from './candidates';
import { hasFinish, hasSubstrate, isCredible, isScuff, sumWhere, type Ground } from './ground';

/** A layer rule that cuts a candidate. All of them are common practice unless a source is named. */
export interface HardRule {
  id: string;
  basis: Basis;
  cuts: (candidate: Candidate, ground: Ground) => boolean;
  text: (candidate: Candidate, ground: Ground) => string;
}

const GRIPS: readonly string[] = ['good', 'very_good', 'best'];
const slick = (ground: Ground): boolean => isCredible(ground, (state) => FINISH_FACTS[state.finish].slickness === 2);
const film = (ground: Ground): boolean => isCredible(ground, hasFinish('factory_film'));
const primerNames = (candidate: Candidate): string =>
  candidate.primers.map(({ code }) => labelProduct(code)).join(' and ') || 'No primer';

/** Bleed sources this likely must be blocked under pale paint. */
const BLEED_LIMIT = 0.15;
/** An old coat this likely to be failing must come off. */
const FAILING_LIMIT = 0.3;

// prettier-ignore
export const HARD_RULES: readonly HardRule[] = [
  {
    id: 'film_needs_grip', basis: 'practice',
    cuts: (c, g) => c.paint !== null && slick(g) && !isScuff(c.prep) && !GRIPS.includes(PRIMER_FACTS[c.primers[0]?.code ?? 'mdf_sealer'].slick),
    text: (c, g) => `${primerNames(c)} on an unscuffed slick face: ${describeChance(g.pSlick)} that this is one, and a thumbnail would take it off.`,
  },
  {
    id: 'deglosser_on_film', basis: 'practice',
    cuts: (c, g) => c.prep === 'liquid_degloss' && film(g),
    text: () => 'Liquid deglosser softens a coating. A factory film has none, so it stays as slick as before.',
  },
  {
    id: 'deglosser_on_porous', basis: 'practice',
    cuts: (c, g) => c.prep === 'liquid_degloss' && sumWhere(g.states, (state) => FINISH_FACTS[state.finish].softens) < 0.5,
    text: () => 'There is most likely no coating here that deglosser would soften.',
  },
  {
    id: 'no_stain_block_on_bleed', basis: 'practice',
    cuts: (c, g) => c.paint !== null && g.pale && g.pBleed >= BLEED_LIMIT && !c.primers.some(({ code }) => blocks(code)),
    text: (c, g) => `${c.primers.length === 0 ? 'Without primer nothing holds the stain back' : `${primerNames(c)} blocks no stain`}. Colour would come through pale paint here ${describeChance(g.pBleed)} times, mostly after the last coat.`,
  },
  {
    id: 'clear_blocker_under_pale', basis: 'practice',
    cuts: (c, g) => c.paint !== null && g.pale && c.primers.some(({ code }) => PRIMER_FACTS[code].clear),
    text: (c) => `${primerNames(c)} is for dark or clear work: under pale paint the ground shows and stains come through.`,
  },
  {
    id: 'failing_coat_stays', basis: 'practice',
    cuts: (c, g) => c.paint !== null && (g.pFailing >= FAILING_LIMIT || (g.needs.get('strip') ?? 0) > 0.9) && c.prep !== 'strip',
    text: (_c, g) => `The old coat is failing (${describeChance(Math.max(g.pFailing, g.needs.get('strip') ?? 0))}). New paint holds no better than what is under it.`,
  },
  {
    id: 'nothing_to_strip', basis: 'practice',
    cuts: (c, g) => c.prep === 'strip' && sumWhere(g.states, hasFinish('factory_film', 'bare', 'powder_coat')) >= 0.3,
    text: () => 'A factory film is the face itself: stripping would ruin the board.',
  },
  {
    id: 'strip_only_when_needed', basis: 'practice',
    cuts: (c, g) => c.prep === 'strip' && c.paint !== null && g.pFailing < 0.12 && (g.needs.get('strip') ?? 0) < 0.3,
    text: () => 'The old coat is sound enough to paint over. Stripping it would cost an evening and gain nothing.',
  },
  {
    id: 'too_thin_to_sand_bare', basis: 'practice',
    cuts: (c, g) => c.prep === 'sand_bare' && isCredible(g, hasSubstrate('wood_veneer', ...FACED_BOARDS)),
    text: () => 'The face may be a thin skin: sanding to bare would go through it.',
  },
  {
    id: 'nothing_to_stain', basis: 'practice',
    cuts: (c, g) => g.look === 'stain' && c.paint === null && sumWhere(g.states, hasSubstrate('wood_veneer', 'plywood', ...SOLID_WOODS)) < 0.9,
    text: () => 'Only wood takes a stain, and this may well not be wood.',
  },
  {
    id: 'soft_pad_on_foil', basis: 'practice',
    cuts: (c, g) => c.prep === 'scuff_150' && isCredible(g, hasSubstrate('paper_foil', 'thermofoil')),
    text: () => 'Grit 150 goes through foil. A light pass with a soft 220 pad is all it stands.',
  },
  {
    id: 'fine_grit_on_veneer',
    basis: 'practice',
    cuts: (c, g) => c.prep === 'scuff_150' && sumWhere(g.states, hasSubstrate('wood_veneer')) >= 0.3,
    text: () => 'Veneer is thin: a light pass with 220 dulls it without going through.',
  },
  {
    id: 'odour_needs_blocking', basis: 'practice',
    cuts: (c, g) => c.paint !== null && (g.needs.get('odour_seal') ?? 0) > 0.5 && !c.primers.some(({ code }) => PRIMER_FACTS[code].odour),
    text: (c) => `${primerNames(c)} does not hold a smell back. Shellac and oil types do.`,
  },
  {
    id: 'wrong_substrate', basis: 'practice',
    cuts: (c, g) => c.primers.some(({ code }) =>
      (code === 'metal_primer' && sumWhere(g.states, hasSubstrate('metal_ferrous', 'metal_nonferrous')) < 0.9) ||
      (code === 'mdf_sealer' && sumWhere(g.states, hasSubstrate('mdf', 'particleboard', 'hardboard')) < 0.9)),
    text: (c) => `${primerNames(c)} is made for another ground than this.`,
  },
  {
    id: 'metal_needs_own_primer', basis: 'practice',
    cuts: (c, g) => c.paint !== null && isCredible(g, hasSubstrate('metal_ferrous')) && c.primers[0]?.code !== 'metal_primer' && c.primers[0]?.code !== 'bonding_primer_2k',
    text: (c) => `${primerNames(c)} lets steel rust from underneath.`,
  },
  {
    id: 'aerosol_is_for_spots', basis: 'practice',
    cuts: (c, g) => g.area > 0.3 && c.primers.some(({ code }) => code === 'aerosol_stainblock'),
    text: () => 'An aerosol lies unevenly over an area, and the thin places bleed.',
  },
  {
    id: 'no_fumes_without_air', basis: 'practice',
    cuts: (c, g) => g.goal.ventilation === 'none' && listCarriers(c).some(hasStrongFumes),
    text: (c) => `${primerNames(c)} gives off strong, flammable vapour, and there is no ventilation.`,
  },
  {
    id: 'chalk_needs_sealing', basis: 'practice',
    cuts: (c) => c.paint !== null && PAINT_FACTS[c.paint].mustSeal && c.topcoat === 'none',
    text: () => 'Chalk-type paint marks and wears unless it is sealed.',
  },
  {
    id: 'prime_always', basis: 'practice',
    cuts: (c, g) => c.paint !== null && c.primers.length === 0 && (g.goal.schools?.priming ?? 'always') === 'always',
    text: () => 'You follow the school that primes everything: unprimed paint chips, and bleeds where wood is bare.',
  },
  {
    id: 'school_of_paper', basis: 'practice',
    cuts: (c, g) => c.prep === 'liquid_degloss' && g.goal.schools?.dulling === 'scuff',
    text: () => 'You follow the school of paper: scuffing also levels brush marks and finds loose coating.',
  },
  {
    id: 'school_of_deglosser', basis: 'practice',
    cuts: (c, g) => c.prep.startsWith('scuff') && g.goal.schools?.dulling === 'liquid' && !film(g) && sumWhere(g.states, (state) => FINISH_FACTS[state.finish].softens) >= 0.5,
    text: () => 'You follow the school of deglosser: wiped on, no dust, into every moulding.',
  },
  {
    id: 'failed_own_test', basis: 'practice',
    cuts: (c, g) => g.failedTests.some(({ treatment }) => matchesTreatment(c, treatment)),
    text: (c, g) => `It failed your own test on ${g.name}: ${g.failedTests.find(({ treatment }) => matchesTreatment(c, treatment))?.why ?? ''}`,
  },
];

const blocks = (code: keyof typeof PRIMER_FACTS): boolean => {
  const { block } = PRIMER_FACTS[code];
  return block !== 'none' && block !== 'poor' && block !== 'fair';
};

export function listCarriers(candidate: Candidate) {
  return [
    ...candidate.primers.map(({ code }) => PRIMER_FACTS[code].carrier),
    ...(candidate.paint ? [PAINT_FACTS[candidate.paint].carrier] : []),
    TOPCOAT_FACTS[candidate.topcoat].carrier,
  ];
}

/** The same prep and first primer: what failed once on this zone is not proposed again there. */
export function matchesTreatment(candidate: Candidate, treatment: { prep?: string; primer?: string }): boolean {
  const primer = candidate.primers[0]?.code ?? 'none';
  return (treatment.primer ?? 'none') === primer && (treatment.prep ?? 'none') === candidate.prep;
}

import {
  FACED_BOARDS,
  STRIPPING_FACTS,
  STRIPPINGS,
  type Basis,
  type StrippingCode,
  type StrippingFact,
} from '../knowledge';
import { CREDIBLE } from '../survey';
import { hasFinish, hasSubstrate, sumWhere, type Ground } from './ground';

/** A face with a coat on it that is to come off. */
export interface StripFace {
  ground: Ground;
  area: number;
  /** Chances that the coat is chalky and unsealed, that it is thick, and whether it lets go by itself. */
  chalky: number;
  thick: number;
  loose: boolean;
  /** It lies on a factory film, which stays: the coat comes off the face, not the face. */
  onFilm: number;
}

export interface StripRule {
  id: StripRuleCode;
  basis: Basis;
  cuts: (method: StrippingFact, face: StripFace) => boolean;
}
export const STRIP_RULE_CODES = [
  'lead_no_dust_no_heat',
  'heat_lifts_foil',
  'heat_opens_glue',
  'heat_burns_shellac',
  'heat_for_thick_on_wood',
  'gel_eats_film',
  'gel_wants_air',
  'water_swells_board',
  'water_for_open_chalk',
  'sanding_wears_through',
  'scraper_for_small_flats',
] as const;
export type StripRuleCode = (typeof STRIP_RULE_CODES)[number];

const isCredibleOn = (face: StripFace, ...codes: Parameters<typeof hasSubstrate>): boolean =>
  sumWhere(face.ground.states, hasSubstrate(...codes)) >= CREDIBLE;

/** Lead may be in what is underneath: no dust and no heat until it is settled. */
const mayHoldLead = ({ hazards }: Pick<Ground, 'hazards'>): boolean =>
  hazards.some(({ lead, gate }) => lead === true && gate !== undefined);

/** A face this small, m², is scraped by hand; a larger one only where the coat lets go by itself (estimate). */
const SMALL_FACE = 0.6;

/* How an old coat may come off, in the order in which reasons are named (common practice). */
// prettier-ignore
export const STRIP_RULES: readonly StripRule[] = [
  { id: 'lead_no_dust_no_heat', basis: 'published', cuts: ({ dusts, heats }, { ground }) => (dusts === true || heats === true) && mayHoldLead(ground) },
  { id: 'heat_lifts_foil', basis: 'practice', cuts: ({ heats }, face) => heats === true && isCredibleOn(face, ...FACED_BOARDS) },
  { id: 'heat_opens_glue', basis: 'practice', cuts: ({ heats }, face) => heats === true && isCredibleOn(face, 'wood_veneer') },
  { id: 'heat_burns_shellac', basis: 'practice', cuts: ({ heats }, { ground }) => heats === true && sumWhere(ground.states, hasFinish('shellac')) >= CREDIBLE },
  { id: 'heat_for_thick_on_wood', basis: 'practice', cuts: ({ heats }, { thick }) => heats === true && thick < 0.5 },
  { id: 'gel_eats_film', basis: 'practice', cuts: ({ softens }, { onFilm, ground }) => softens === true && (onFilm >= CREDIBLE || ground.pFoil >= CREDIBLE) },
  { id: 'gel_wants_air', basis: 'practice', cuts: ({ softens }, { ground }) => softens === true && ground.ventilation === 'none' },
  { id: 'water_swells_board', basis: 'practice', cuts: ({ washes }, face) => washes === true && isCredibleOn(face, 'mdf', 'particleboard', 'hardboard') },
  { id: 'water_for_open_chalk', basis: 'practice', cuts: ({ washes }, { chalky }) => washes === true && chalky < 0.5 },
  { id: 'sanding_wears_through', basis: 'practice', cuts: ({ wears }, face) => wears === true && (face.ground.pFoil >= CREDIBLE || isCredibleOn(face, 'wood_veneer')) },
  { id: 'scraper_for_small_flats', basis: 'practice', cuts: ({ byHand }, { area, loose, ground }) => byHand === true && !loose && (area > SMALL_FACE || ground.zone.moulded === true) },
];

export interface StrippingWay {
  method: StrippingCode;
  minutes: number;
  waitH: number;
  ml: number;
}

/** The ways a coat may come off a face, least of hands and waiting first, and why the others may not be. */
export interface StrippingChoice {
  ways: StrippingWay[];
  ruledOut: { method: StrippingCode; rule: StripRuleCode }[];
}

/** An hour of waiting against one of hands, as the planner weighs them on balance (estimate). */
const WAIT_WEIGHT = 0.1 / 15;

export function chooseStripping(face: StripFace): StrippingChoice {
  const ways: StrippingWay[] = [];
  const ruledOut: StrippingChoice['ruledOut'] = [];
  for (const method of STRIPPINGS) {
    const fact = STRIPPING_FACTS[method];
    const rule = STRIP_RULES.find((own) => own.cuts(fact, face));
    if (rule) {
      ruledOut.push({ method, rule: rule.id });
      continue;
    }
    const moulded = face.ground.zone.moulded ? fact.mouldedFactor : 1;
    const load =
      mix(face.chalky, fact.chalkFactor) * mix(face.thick, fact.thickFactor) * (face.loose ? LOOSE_FACTOR : 1);
    ways.push({
      method,
      minutes: fact.once + fact.perM2 * face.area * moulded * load,
      waitH: fact.waitH,
      ml: Math.round(((fact.mlPerM2 ?? 0) * face.area) / 5) * 5,
    });
  }
  const weigh = ({ minutes, waitH }: StrippingWay): number => minutes / 60 + waitH * WAIT_WEIGHT;
  ways.sort((a, b) => weigh(a) - weigh(b));
  return { ways, ruledOut };
}

const mix = (p: number, factor: number): number => 1 + p * (factor - 1);
/** A coat that lets go by itself comes off in little more than half the time (estimate). */
const LOOSE_FACTOR = 0.6;

/** The old coat of a zone as the survey has it: what a plan that strips takes off. */
export function faceOf(ground: Ground): StripFace {
  const chalk = sumWhere(ground.states, hasFinish('chalk_paint'));
  return {
    ground,
    area: ground.area,
    chalky: chalk,
    thick: ground.zone.defects?.some(({ code }) => code === 'thick_paint') ? 0.9 : readThickness(ground),
    loose: ground.pFailing >= 0.5,
    onFilm: ground.pFilm,
  };
}

/** How thick the owner found the old coat; where it was not looked at, as likely thin. */
function readThickness({ zone }: Ground): number {
  const seen = zone.observations?.findLast(({ check }) => check === 'coat_thickness')?.result;
  return seen === undefined ? 0.3 : seen === 'thin' ? 0.05 : 0.95;
}

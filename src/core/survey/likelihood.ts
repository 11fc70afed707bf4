import {
  CHECKS,
  findCheck,
  FINISH_FACTS,
  LIKELIHOOD_RATIO,
  measureStrength,
  MISREADING_RATE,
  type Check,
  type Measurement,
  type Says,
  type Strength,
} from '../knowledge';
import { FACETS, STATE_COUNT, STATES, type FacetName, type FacetValue } from './states';

/** Probabilities of one answer: `values[state × width + facet value]`; `width` is 1 when no facet is concerned. */
export interface LikelihoodTable {
  facet: FacetName | null;
  width: number;
  values: Float64Array;
}

const ratio = (strength: Strength | undefined): number => (strength ? LIKELIHOOD_RATIO[strength] : 1);

/** What an answer says of the value of a facet. */
function weighValue({ soundness, grain, present }: Says, value: FacetValue): number {
  let weight = 1;
  if (value.soundness) weight *= ratio(soundness?.[value.soundness]);
  if (value.grain) weight *= ratio(grain?.[value.grain]);
  for (const fact of ['bleed', 'grease', 'wax_polish', 'silicone', 'odour'] as const)
    if (value[fact]) weight *= ratio(present?.[fact]);
  return weight;
}

/**
 * Weight of an answer against a neutral one, `[state × width + facet value]`: the product of what it says of each part.
 * Of a material under paint an answer that paint hides says nothing.
 */
function weighAnswer(says: Says, facetValues: readonly FacetValue[], hiddenByPaint = false): Float64Array {
  const width = facetValues.length;
  const ofValues = facetValues.map((value) => weighValue(says, value));
  const weights = new Float64Array(STATE_COUNT * width);
  for (let s = 0; s < STATE_COUNT; s += 1) {
    const { finish, substrate } = STATES[s]!;
    let ofState = ratio(says.finish?.[finish]);
    if (!hiddenByPaint || !FINISH_FACTS[finish].opaque) ofState *= ratio(says.substrate?.[substrate]);
    for (let x = 0; x < width; x += 1) weights[s * width + x] = ofState * ofValues[x]!;
  }
  return weights;
}

export function findFacet(all: readonly Says[]): FacetName | null {
  if (all.some((says) => says.soundness)) return 'soundness';
  if (all.some((says) => says.grain)) return 'grain';
  if (all.some((says) => says.present?.bleed ?? says.present?.grease)) return 'seep';
  if (all.some((says) => says.present?.wax_polish)) return 'polish';
  if (all.some((says) => says.present?.silicone)) return 'silicone';
  if (all.some((says) => says.present?.odour)) return 'odour';
  return null;
}

const NO_FACET: readonly FacetValue[] = [{}];

type Sign = { code: string; ratio: number };

/** The one thing an answer speaks for most, if it speaks for anything. */
function strongestSign({ says }: Check['answers'][number]): Sign | null {
  const signs = Object.values(says).flatMap((part) =>
    Object.entries(part as Record<string, Strength>).map(([code, strength]): Sign => ({
      code,
      ratio: ratio(strength),
    })),
  );
  return signs.reduce<Sign | null>((best, sign) => (sign.ratio > (best?.ratio ?? 1) ? sign : best), null);
}

/**
 * How often an answer is given where nothing speaks for it. A telling sign is a rare one elsewhere: an answer that can
 * weigh 30 counts 1/30 where it is neutral, so that its strength is also the ratio by which it moves belief. Answers
 * that are signs of the same thing (a stain in yellow, pink or brown) share that 1/30 between them.
 */
function baseRates(answers: Check['answers']): number[] {
  const signs = answers.map(strongestSign);
  return signs.map((sign) => {
    if (!sign) return 1;
    const same = signs.filter((other) => other?.code === sign.code && other.ratio === sign.ratio).length;
    return 1 / (sign.ratio * same);
  });
}

/**
 * P(answer | state) for every answer of a check: base rate × weight, normalised over the answers, then mixed with a
 * misreading spread evenly over them, so no answer ever excludes a state. A waxy smear (+++) against a clean rag (−−):
 * on wax 1 against 0.1, 0.95 × 0.909 + 0.025 = 0.889; elsewhere 1/30 against 1, 0.056.
 */
function buildTables(check: Check, misread: number): Map<string, LikelihoodTable> {
  const { measures } = check;
  if (measures) return buildMeasuredTables(check, measures);
  const facet = findFacet(check.answers.map((answer) => answer.says));
  const facetValues = facet ? FACETS[facet] : NO_FACET;
  const width = facetValues.length;
  const bases = baseRates(check.answers);
  const tables = check.answers.map(({ says }) => weighAnswer(says, facetValues, check.hiddenByPaint));
  for (let i = 0; i < STATE_COUNT * width; i += 1) {
    const total = tables.reduce((sum, weights, a) => sum + bases[a]! * weights[i]!, 0);
    tables.forEach((values, a) => {
      values[i] = (1 - misread) * ((bases[a]! * values[i]!) / total) + misread / tables.length;
    });
  }
  return new Map(check.answers.map(({ code }, a) => [code, { facet, width, values: tables[a]! }]));
}

const FACET_OF = { bleed: 'seep', silicone: 'silicone', soundness: 'soundness' } as const satisfies Record<
  Measurement['of'],
  FacetName
>;

/** P(answer | state) of a measurement: its own chances, tilted to the answer that fits the material. */
function buildMeasuredTables(check: Check, { of, chances }: Measurement): Map<string, LikelihoodTable> {
  const facet = FACET_OF[of];
  const facetValues: readonly FacetValue[] = FACETS[facet];
  const width = facetValues.length;
  const tables = check.answers.map(({ code }) => ({
    code,
    table: { facet, width, values: new Float64Array(STATE_COUNT * width) },
  }));
  STATES.forEach((state, s) => {
    facetValues.forEach((value, x) => {
      const column = of === 'soundness' ? value.soundness! : value[of] ? 'yes' : 'no';
      const weights = check.answers.map(
        ({ code, says }) => chances[code]![column]! * ratio(says.substrate?.[state.substrate]),
      );
      const total = weights.reduce((sum, weight) => sum + weight, 0);
      tables.forEach(({ table }, a) => (table.values[s * width + x] = weights[a]! / total));
    });
  });
  return new Map(tables.map(({ code, table }) => [code, table]));
}

const CACHE = new Map<string, Map<string, LikelihoodTable>>();

/**
 * P(answer | state) of all answers of a check, by answer code. With a `weight` below 1 the check counts as one read with
 * less certainty: each probability is raised to the weight and normalised again over the answers, so that the whole
 * stays a proper check. `misread`: the share of answers given by mistake, 0–1; a measurement has slips of its own. Unknown
 * or numeric checks have no tables. Built once for each weight (rounded to 0.01) and rate (to 0.001).
 */
export function likelihoodTables(code: string, weight = 1, misread = MISREADING_RATE): Map<string, LikelihoodTable> {
  const rounded = Math.round(weight * 100) / 100;
  const key = `${code}@${rounded}@${Math.round(misread * 1000)}`;
  const cached = CACHE.get(key);
  if (cached) return cached;
  const tables = rounded === 1 ? buildFull(code, misread) : temper(likelihoodTables(code, 1, misread), rounded);
  CACHE.set(key, tables);
  return tables;
}

function buildFull(code: string, misread: number): Map<string, LikelihoodTable> {
  const check = findCheck(code);
  return check ? buildTables(check, misread) : new Map<string, LikelihoodTable>();
}

function temper(full: Map<string, LikelihoodTable>, weight: number): Map<string, LikelihoodTable> {
  const tempered = new Map(
    [...full].map(([code, table]) => [code, { ...table, values: table.values.map((value) => value ** weight) }]),
  );
  const all = [...tempered.values()];
  for (let i = 0; i < (all[0]?.values.length ?? 0); i += 1) {
    const total = all.reduce((sum, { values }) => sum + values[i]!, 0);
    for (const { values } of all) values[i] = values[i]! / total;
  }
  return tempered;
}

/** Evidence without alternatives (a defect that was seen): its weight, softened by the misreading rate. */
export function buildWeightTable(says: Says, weight = 1): LikelihoodTable {
  const facet = findFacet([says]);
  const facetValues = facet ? FACETS[facet] : NO_FACET;
  const width = facetValues.length;
  const values = weighAnswer(says, facetValues).map(
    (full) => ((1 - MISREADING_RATE) * full + MISREADING_RATE) ** weight,
  );
  return { facet, width, values };
}

const STRENGTHS = new Map(
  CHECKS.map(({ code, answers }) => [code, Math.max(...answers.map(({ says }) => measureStrength(says)))]),
);

/** Weight of the strongest thing any answer of a check says. */
export const checkStrength = ({ code }: Check): number => STRENGTHS.get(code) ?? 1;

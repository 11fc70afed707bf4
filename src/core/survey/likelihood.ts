import {
  CHECKS,
  FINISH_FACTS,
  LIKELIHOOD_RATIO,
  MISREADING_RATE,
  type Check,
  type Says,
  type Strength,
} from '../knowledge';
import { FACETS, STATE_COUNT, STATES, type FacetName, type FacetValue, type State } from './states';

/** Probabilities of one answer: `values[state × width + facet value]`; `width` is 1 when no facet is concerned. */
export interface LikelihoodTable {
  facet: FacetName | null;
  width: number;
  values: Float64Array;
}

const ratio = (strength: Strength | undefined): number => (strength ? LIKELIHOOD_RATIO[strength] : 1);

/** Weight of an answer in one state against a neutral one: the product of what it says of each part. */
export function weighAnswer(says: Says, state: State, value: FacetValue, substrateHidden: boolean): number {
  let weight = ratio(says.finish?.[state.finish]);
  if (!substrateHidden) weight *= ratio(says.substrate?.[state.substrate]);
  if (value.soundness) weight *= ratio(says.soundness?.[value.soundness]);
  for (const fact of ['bleed', 'grease', 'wax_polish', 'silicone'] as const) {
    const strength = says.present?.[fact];
    if (strength && value[fact]) weight *= ratio(strength);
  }
  return weight;
}

export function findFacet(all: readonly Says[]): FacetName | null {
  if (all.some((says) => says.soundness)) return 'soundness';
  if (all.some((says) => says.present?.bleed ?? says.present?.grease)) return 'seep';
  if (all.some((says) => says.present?.wax_polish)) return 'polish';
  if (all.some((says) => says.present?.silicone)) return 'silicone';
  return null;
}

const NO_FACET: readonly FacetValue[] = [{}];

/**
 * How often an answer is given where nothing speaks for it. A telling sign is a rare one elsewhere: an answer that can
 * weigh 30 counts 1/30 where it is neutral, so that its strength is also the ratio by which it moves belief.
 */
function baseRate({ says }: Check['answers'][number]): number {
  const strengths = Object.values(says).flatMap((part) => Object.values(part as Record<string, Strength>));
  return 1 / Math.max(1, ...strengths.map(ratio));
}

/**
 * P(answer | state) for every answer of a check: base rate × weight, normalised over the answers, then mixed with a
 * misreading spread evenly over them, so no answer ever excludes a state. A waxy smear (+++) against a clean rag (−−):
 * on wax 1 against 0.1, 0.95 × 0.909 + 0.025 = 0.889; elsewhere 1/30 against 1, 0.056.
 */
function buildTables(check: Check): Map<string, LikelihoodTable> {
  const facet = findFacet(check.answers.map((answer) => answer.says));
  const facetValues = facet ? FACETS[facet] : NO_FACET;
  const width = facetValues.length;
  const bases = check.answers.map(baseRate);
  const tables = check.answers.map((answer) => ({
    code: answer.code,
    table: { facet, width, values: new Float64Array(STATE_COUNT * width) },
  }));
  STATES.forEach((state, s) => {
    const hidden = check.hiddenByPaint === true && FINISH_FACTS[state.finish].opaque;
    facetValues.forEach((value, x) => {
      const weights = check.answers.map((answer, a) => bases[a]! * weighAnswer(answer.says, state, value, hidden));
      const total = weights.reduce((sum, weight) => sum + weight, 0);
      tables.forEach(({ table }, a) => {
        const read = (weights[a] ?? 0) / total;
        table.values[s * width + x] = (1 - MISREADING_RATE) * read + MISREADING_RATE / tables.length;
      });
    });
  });
  return new Map(tables.map(({ code, table }) => [code, table]));
}

const CACHE = new Map<string, Map<string, LikelihoodTable>>();

/** Tables of all answers of a check, by answer code; built once. Unknown or numeric checks have none. */
export function likelihoodTables(code: string): Map<string, LikelihoodTable> {
  const cached = CACHE.get(code);
  if (cached) return cached;
  const check = CHECKS.find((candidate) => candidate.code === code);
  const tables = check ? buildTables(check) : new Map<string, LikelihoodTable>();
  CACHE.set(code, tables);
  return tables;
}

/** Evidence without alternatives (a defect that was seen): its weight, softened by the misreading rate. */
export function buildWeightTable(says: Says): LikelihoodTable {
  const facet = findFacet([says]);
  const facetValues = facet ? FACETS[facet] : NO_FACET;
  const width = facetValues.length;
  const values = new Float64Array(STATE_COUNT * width);
  STATES.forEach((state, s) => {
    facetValues.forEach((value, x) => {
      const weight = weighAnswer(says, state, value, false);
      values[s * width + x] = (1 - MISREADING_RATE) * weight + MISREADING_RATE;
    });
  });
  return { facet, width, values };
}

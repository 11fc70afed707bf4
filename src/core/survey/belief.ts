import {
  DEFECT_FACTS,
  FINISHES,
  SOUNDNESS,
  STATED_RATIO,
  SUBSTRATES,
  type FinishCode,
  type SmallFact,
  type SoundnessCode,
  type SubstrateCode,
} from '../knowledge';
import { resultOf, type Dossier, type History, type Zone } from '../dossier';
import { buildWeightTable, likelihoodTables, type LikelihoodTable } from './likelihood';
import { computePrior } from './prior';
import { FACETS, FACET_NAMES, STATE_COUNT, STATES, type FacetName } from './states';

export interface Ranked<C extends string> {
  code: C;
  p: number;
}

export interface Belief {
  /** P(substrate, finish | all evidence), by state. */
  joint: Float64Array;
  /** P(facet value | state, all evidence), `[state × width + value]`. */
  facets: Record<FacetName, Float64Array>;
  substrate: Ranked<SubstrateCode>[];
  finish: Ranked<FinishCode>[];
  soundness: Ranked<SoundnessCode>[];
  present: Record<SmallFact, number>;
}

/** One clue: a record of what was seen, as probabilities over the hidden states. */
export interface Clue {
  table: LikelihoodTable;
}

/** All evidence about a zone as likelihood tables: answers, defects seen, stated facts, and the piece's history. */
export function collectClues(zone: Zone, history: History): Clue[] {
  const clues: Clue[] = [];
  for (const observation of zone.observations ?? []) {
    const result = resultOf(observation);
    const table = result ? likelihoodTables(observation.check).get(result) : undefined;
    if (table) clues.push({ table });
  }
  for (const defect of zone.defects ?? []) {
    const says = DEFECT_FACTS[defect.code].says;
    if (says) clues.push({ table: buildWeightTable(says) });
  }
  const stated = zone.stated;
  if (stated?.substrate ?? stated?.finish) {
    clues.push({ table: buildStatedTable(stated?.substrate, stated?.finish) });
  }
  if (history.bled_before === 'yes') clues.push({ table: buildWeightTable({ present: { bleed: '+++' } }) });
  if (history.bled_before === 'no') clues.push({ table: buildWeightTable({ present: { bleed: '-' } }) });
  return clues;
}

function buildStatedTable(substrate: SubstrateCode | undefined, finish: FinishCode | undefined): LikelihoodTable {
  const values = Float64Array.from(STATES, (state) => {
    const first = substrate === state.substrate ? STATED_RATIO : 1;
    const second = finish === state.finish ? STATED_RATIO : 1;
    return first * second;
  });
  return { facet: null, width: 1, values };
}

/**
 * Exact Bayes' rule over substrate × finish and the small facts, in log space. Given substrate and finish the facets
 * are independent, so the sum over all worlds is a sum over 285 states of products of small sums.
 */
export function computeBelief(dossier: Pick<Dossier, 'piece'>, zone: Zone): Belief {
  const history = dossier.piece.history ?? {};
  const prior = computePrior({ kind: dossier.piece.kind, role: zone.role, history });
  const logState = prior.logState.slice();
  const facets = Object.fromEntries(FACET_NAMES.map((name) => [name, prior.facets[name].slice()])) as Belief['facets'];

  for (const { table } of collectClues(zone, history)) {
    if (table.facet) {
      multiplyInto(facets[table.facet], table.values);
      continue;
    }
    for (let s = 0; s < STATE_COUNT; s += 1) logState[s] = logState[s]! + Math.log(table.values[s]!);
  }
  for (const name of FACET_NAMES) {
    const width = FACETS[name].length;
    for (let s = 0; s < STATE_COUNT; s += 1)
      logState[s] = logState[s]! + Math.log(normaliseRow(facets[name], s, width));
  }
  return summarise(exponentiate(logState), facets);
}

function multiplyInto(target: Float64Array, factors: Float64Array): void {
  for (let i = 0; i < target.length; i += 1) target[i] = target[i]! * factors[i]!;
}

/** Makes one state's facet values sum to 1 and returns what they summed to: that state's share of the evidence. */
function normaliseRow(values: Float64Array, state: number, width: number): number {
  let total = 0;
  for (let x = 0; x < width; x += 1) total += values[state * width + x]!;
  for (let x = 0; x < width; x += 1) values[state * width + x] = values[state * width + x]! / total;
  return total;
}

function exponentiate(logs: Float64Array): Float64Array {
  let max = -Infinity;
  for (const value of logs) max = Math.max(max, value);
  const joint = logs.map((value) => Math.exp(value - max));
  const total = joint.reduce((sum, value) => sum + value, 0);
  return joint.map((value) => value / total);
}

function summarise(joint: Float64Array, facets: Belief['facets']): Belief {
  const substrate = SUBSTRATES.map((code) => ({ code, p: 0 }));
  const finish = FINISHES.map((code) => ({ code, p: 0 }));
  joint.forEach((p, s) => {
    substrate[Math.floor(s / FINISHES.length)]!.p += p;
    finish[s % FINISHES.length]!.p += p;
  });
  const marginal = (name: FacetName): number[] => {
    const width = FACETS[name].length;
    return FACETS[name].map((_, x) => joint.reduce((sum, p, s) => sum + p * facets[name][s * width + x]!, 0));
  };
  const seep = marginal('seep');
  const present = {
    bleed: seep[2]! + seep[3]!,
    grease: seep[1]! + seep[3]!,
    wax_polish: marginal('polish')[1]!,
    silicone: marginal('silicone')[1]!,
  };
  const soundness = marginal('soundness').map((p, i) => ({ code: SOUNDNESS[i]!, p }));
  return { joint, facets, substrate: rank(substrate), finish: rank(finish), soundness: rank(soundness), present };
}

const rank = <C extends string>(list: Ranked<C>[]): Ranked<C>[] => list.sort((a, b) => b.p - a.p);

/** The single most likely pair of substrate and finish, with its probability. */
export function mostLikelyState(belief: Belief): { substrate: SubstrateCode; finish: FinishCode; p: number } {
  const best = belief.joint.reduce((top, p, s) => (p > belief.joint[top]! ? s : top), 0);
  return { ...STATES[best]!, p: belief.joint[best]! };
}

/** States at least this likely must be served by a plan. */
export const CREDIBLE = 0.1;

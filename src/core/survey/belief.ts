import {
  FINISHES,
  GRAINS,
  SOUNDNESS,
  SUBSTRATES,
  type FinishCode,
  type GrainCode,
  type SmallFact,
  type SoundnessCode,
  type SubstrateCode,
} from '../knowledge';
import { resolveAlike, type Dossier, type Zone } from '../dossier';
import { collectClues, type Clue, type Misreadings } from './clues';
import { computePrior, type Prior } from './prior';
import { FACETS, STATE_COUNT, STATES, type FacetName } from './states';

export interface Ranked<C extends string> {
  code: C;
  p: number;
}

/** What a belief is made from. */
type Met = Pick<Dossier, 'piece' | 'zones' | 'misreadings'>;
const GENERAL: Misreadings = {};

export interface Belief {
  /** P(substrate, finish | all evidence), by state. */
  joint: Float64Array;
  /** P(facet value | state, all evidence), `[state × width + value]`. */
  facets: Readonly<Record<FacetName, Float64Array>>;
  substrate: Ranked<SubstrateCode>[];
  finish: Ranked<FinishCode>[];
  soundness: Ranked<SoundnessCode>[];
  grain: Ranked<GrainCode>[];
  present: Record<SmallFact, number>;
  clues: readonly Clue[];
  /** How often each check is misread, where that was measured; the general rate elsewhere. */
  misreadings: Misreadings;
  /** What was to be expected before any clue. */
  prior: Prior;
}

/**
 * Exact Bayes' rule over substrate × finish and the small facts, in log space. Given substrate and finish the facets
 * are independent, so the sum over all worlds is a sum over 285 states of products of small sums. A zone that is like
 * another is believed with that zone's readings.
 */
export function computeBelief(dossier: Met, zone: Zone): Belief {
  const { piece, zones, misreadings } = dossier;
  const known = KNOWN.get(zone);
  if (known?.piece === piece && known.zones === zones && known.misreadings === misreadings) return known.belief;
  const belief = workOutBelief(dossier, zone);
  KNOWN.set(zone, { piece, zones, misreadings, belief });
  return belief;
}

/** A zone is asked about many times as long as nothing of what is known of it changes. */
const KNOWN = new WeakMap<Zone, Met & { misreadings: Misreadings | undefined; belief: Belief }>();

function workOutBelief(dossier: Met, zone: Zone): Belief {
  const history = dossier.piece.history ?? {};
  const prior = computePrior({ kind: dossier.piece.kind, role: zone.role, history });
  const logState = prior.logState.slice();
  const facets: Record<FacetName, Float64Array> = { ...prior.facets };
  const touched = new Set<FacetName>();

  const misreadings = dossier.misreadings ?? GENERAL;
  const clues = collectClues(resolveAlike(dossier, zone), history, prior.logState, misreadings);
  for (const { table } of clues) {
    if (!table.facet) {
      for (let s = 0; s < STATE_COUNT; s += 1) logState[s] = logState[s]! + Math.log(table.values[s]!);
      continue;
    }
    if (!touched.has(table.facet)) facets[table.facet] = facets[table.facet].slice();
    touched.add(table.facet);
    multiplyInto(facets[table.facet], table.values);
  }
  for (const name of touched) {
    const width = FACETS[name].length;
    for (let s = 0; s < STATE_COUNT; s += 1)
      logState[s] = logState[s]! + Math.log(normaliseRow(facets[name], s, width));
  }
  return { ...summarise(exponentiate(logState), facets), clues, prior, misreadings };
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

/** No state falls to exactly zero, however much speaks against it. */
const LOWEST = 1e-300;

function exponentiate(logs: Float64Array): Float64Array {
  let max = -Infinity;
  for (const value of logs) max = Math.max(max, value);
  const joint = logs.map((value) => Math.max(LOWEST, Math.exp(value - max)));
  const total = joint.reduce((sum, value) => sum + value, 0);
  return joint.map((value) => value / total);
}

function summarise(joint: Float64Array, facets: Belief['facets']): Omit<Belief, 'clues' | 'prior' | 'misreadings'> {
  const { substrate, finish } = marginaliseStates(joint);
  const marginal = (name: FacetName): number[] => {
    const width = FACETS[name].length;
    const sums = new Array<number>(width).fill(0);
    for (let s = 0; s < STATE_COUNT; s += 1)
      for (let x = 0; x < width; x += 1) sums[x] = sums[x]! + joint[s]! * facets[name][s * width + x]!;
    return sums;
  };
  const seep = marginal('seep');
  const present = {
    bleed: seep[2]! + seep[3]!,
    grease: seep[1]! + seep[3]!,
    wax_polish: marginal('polish')[1]!,
    silicone: marginal('silicone')[1]!,
    odour: marginal('odour')[1]!,
  };
  const soundness = rank(marginal('soundness').map((p, i) => ({ code: SOUNDNESS[i]!, p })));
  const grain = rank(marginal('grain').map((p, i) => ({ code: GRAINS[i]!, p })));
  return { joint, facets, substrate: rank(substrate), finish: rank(finish), soundness, grain, present };
}

/** Sums a weight of each state into substrates and finishes, in the order of the code lists. */
export function marginaliseStates(joint: Float64Array): {
  substrate: Ranked<SubstrateCode>[];
  finish: Ranked<FinishCode>[];
} {
  const substrate = SUBSTRATES.map((code) => ({ code, p: 0 }));
  const finish = FINISHES.map((code) => ({ code, p: 0 }));
  for (let s = 0; s < STATE_COUNT; s += 1) {
    substrate[Math.floor(s / FINISHES.length)]!.p += joint[s]!;
    finish[s % FINISHES.length]!.p += joint[s]!;
  }
  return { substrate, finish };
}

const rank = <C extends string>(list: Ranked<C>[]): Ranked<C>[] => list.sort((a, b) => b.p - a.p);

/** The single most likely pair of substrate and finish, with its probability. */
export function mostLikelyState(belief: Belief): { substrate: SubstrateCode; finish: FinishCode; p: number } {
  const best = belief.joint.reduce((top, p, s) => (p > belief.joint[top]! ? s : top), 0);
  return { ...STATES[best]!, p: belief.joint[best]! };
}

/** States at least this likely must be served by a plan. */
export const CREDIBLE = 0.1;

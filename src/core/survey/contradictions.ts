import { findAnswer, findCheck, type DefectCode, type Measurement, type SubstrateCode } from '../knowledge';
import { resultOf, type Zone } from '../dossier';
import { marginaliseStates, type Belief } from './belief';
import type { Clue } from './clues';
import { labelState } from './labels';
import { likelihoodTables, type LikelihoodTable } from './likelihood';
import { STATE_COUNT, STATES, type State } from './states';

/** Why answers do not go together; `ground` is what the rest speaks for. */
export type Clash =
  | { kind: 'unforeseen'; answer: string; ground: string }
  | { kind: 'misfit'; answer: string; ground: string; against: string[]; title: string; confirmed: boolean }
  | { kind: 'stated'; said: string; ground: string }
  | { kind: 'fault'; defect: DefectCode; ground: string; served: boolean };

export interface Contradiction {
  check: string;
  result: string;
  because: Clash;
  observationId?: string;
  /** It is a defect that is questioned, not an answer. */
  defect?: DefectCode;
  /** Answers that speak against this one, by check. */
  against: string[];
}

/** An answer the others would have foreseen less than a third as often as chance does not fit them. */
const SURPRISE_RATIO = 0.3;
/** A belief this strong counts as a verdict; one answer that turns it into another is shown. */
const VERDICT = 0.7;
const OTHERS_FOR_A_VERDICT = 3;
/** Two answers that no material explains together better than this share of what each could be contradict each other. */
const IRRECONCILABLE = 0.12;
/** Below this they pull apart, and one is named when the other is doubted. */
const OPPOSED = 0.35;

/**
 * Answers that no credible material explains together. Each answer is judged by what all the others foresaw: its chance
 * given them, with its own part divided out of the belief again. Worst first; confirmed answers last, since making them
 * again is not the cure.
 */
export function findContradictions(belief: Belief, zone: Zone): Contradiction[] {
  const answers = belief.clues.filter((clue) => clue.observation !== undefined);
  const others = answers.length - 1 + (zone.stated ? 1 : 0);
  const kind = new Map(answers.map((clue) => [clue, explainKindly(clue)]));
  const misfits = (clue: Clue, limit: number): Clue[] =>
    answers.filter((other) => other !== clue && fitTogether(kind.get(clue)!, kind.get(other)!) < limit);
  const surprises = new Map(answers.map((clue) => [clue, judgeAgainstRest(belief, clue, others)]));
  const judged = answers.map((clue) => {
    const judgement = surprises.get(clue)!;
    // Of two that exclude each other, the one the rest foresaw less is doubted.
    const beaten =
      !measurementOf(clue) &&
      misfits(clue, IRRECONCILABLE).some((other) => surprises.get(other)!.surprise >= judgement.surprise);
    return { clue, ...judgement, conflicts: judgement.conflicts || beaten };
  });
  return [
    // Where an answer is named already, what was stated is not named besides.
    ...doubtStatedFacts(belief, zone, judged.some(({ conflicts }) => conflicts) ? [] : [...kind.values()]),
    ...judged
      .filter(({ conflicts }) => conflicts)
      .sort((a, b) => Number(isConfirmed(a.clue)) - Number(isConfirmed(b.clue)) || a.surprise - b.surprise)
      .map(({ clue, rest }) =>
        doubtAnswer(
          clue,
          rest,
          misfits(clue, OPPOSED).filter((other) => speaksFor(kind.get(other)!, rest.code)),
        ),
      ),
  ];
}

/** What a clue measured, where it shows the effect itself. */
const measurementOf = (clue: Clue): Measurement | undefined => findCheck(clue.observation!.check)?.measures;

const isConfirmed = (clue: Clue): boolean => clue.observation?.certainty === 'confirmed';

interface Judgement {
  conflicts: boolean;
  /** Chance of this answer given the others, against that of a blind guess. */
  surprise: number;
  /** What the others alone say the material is. */
  rest: { code: SubstrateCode; p: number };
}

function judgeAgainstRest(belief: Belief, clue: Clue, others: number): Judgement {
  const { facet, width, values } = clue.table;
  const rows = facet ? belief.facets[facet] : null;
  const tables = likelihoodTables(clue.observation!.check, clue.doubt, clue.misread);
  const full = tables.get(resultOf(clue.observation!)!)!.values;
  const without = new Float64Array(STATE_COUNT);
  let total = 0;
  let foreseen = 0;
  for (let s = 0; s < STATE_COUNT; s += 1) {
    for (let x = 0; x < width; x += 1) {
      const at = s * width + x;
      const share = (belief.joint[s]! * (rows ? rows[at]! : 1)) / values[at]!;
      without[s] = without[s]! + share;
      foreseen += share * full[at]!;
    }
    total += without[s]!;
  }
  const rest = best(without, total);
  const now = best(belief.joint, 1);
  const measured = measurementOf(clue);
  // An effect is rare until it is seen: a measurement surprises only where the rest spoke against it.
  const surprise = measured ? foreseen / total / foreseeBefore(belief, facet, full) : (tables.size * foreseen) / total;
  const turned =
    !measured && others >= OTHERS_FOR_A_VERDICT && rest.code !== now.code && rest.p >= VERDICT && now.p >= VERDICT;
  return { surprise, rest, conflicts: turned || (others > 0 && surprise < SURPRISE_RATIO) };
}

/** Chance of an answer before anything was known of the surface. */
function foreseeBefore({ prior }: Belief, facet: Clue['table']['facet'], table: Float64Array): number {
  const width = table.length / STATE_COUNT;
  let [sum, all] = [0, 0];
  for (let s = 0; s < STATE_COUNT; s += 1) {
    const p = Math.exp(prior.logState[s]!);
    all += p;
    for (let x = 0; x < width; x += 1)
      sum += p * (facet ? prior.facets[facet][s * width + x]! : 1) * table[s * width + x]!;
  }
  return sum / all;
}

function best(joint: Float64Array, total: number): { code: SubstrateCode; p: number } {
  const top = marginaliseStates(joint).substrate.reduce((a, b) => (b.p > a.p ? b : a));
  return { code: top.code, p: top.p / total };
}

function doubtAnswer(clue: Clue, rest: Judgement['rest'], others: readonly Clue[]): Contradiction {
  const { check, id } = clue.observation!;
  const answer = resultOf(clue.observation!)!;
  const label = findAnswer(check, answer)?.label ?? answer;
  const named = others.map(({ observation }) => findAnswer(observation!.check, resultOf(observation!)!)?.label ?? '');
  const base = { check, result: answer, ...(id === undefined ? {} : { observationId: id }) };
  const ground = labelState(rest.code);
  // What was seen to happen is not argued away: it is provided for, and what it is set against is looked at again.
  if (measurementOf(clue)) return { ...base, because: { kind: 'unforeseen', answer: label, ground }, against: [] };
  const title = findCheck(check)?.title ?? check;
  return {
    ...base,
    because: { kind: 'misfit', answer: label, ground, against: named, title, confirmed: isConfirmed(clue) },
    against: others.map(({ observation }) => observation!.check),
  };
}

/**
 * How well the best single material explains two answers together, 0–1: the largest product of their likelihoods over
 * the product of their largest. 1 when one state makes both as likely as they can be.
 */
function fitTogether(a: Float64Array, b: Float64Array): number {
  let [topA, topB, topBoth] = [0, 0, 0];
  for (let s = 0; s < STATE_COUNT; s += 1) {
    topA = Math.max(topA, a[s]!);
    topB = Math.max(topB, b[s]!);
    topBoth = Math.max(topBoth, a[s]! * b[s]!);
  }
  return topBoth / (topA * topB);
}

const KIND = new Map<LikelihoodTable, Float64Array>();

/** Likelihood of an answer in each state, undamped, with its small fact at its kindest. Worked out once for a table. */
function explainKindly({ observation, doubt, misread }: Clue): Float64Array {
  const table = likelihoodTables(observation!.check, doubt, misread).get(resultOf(observation!)!)!;
  const known = KIND.get(table);
  if (known) return known;
  const kindest = new Float64Array(STATE_COUNT);
  table.values.forEach((value, at) => {
    const s = Math.floor(at / table.width);
    kindest[s] = Math.max(kindest[s]!, value);
  });
  KIND.set(table, kindest);
  return kindest;
}

/** How likely an answer is where something is so, the rest as it was to be expected before any clue. */
function expectUnder({ prior }: Belief, answer: Float64Array, isSo: (state: State) => boolean): number {
  let [sum, all] = [0, 0];
  STATES.forEach((state, s) => {
    if (!isSo(state)) return;
    const p = Math.exp(prior.logState[s]!);
    sum += p * answer[s]!;
    all += p;
  });
  return sum / all;
}

/** Whether an answer is likelier on this substrate than on the average state. */
function speaksFor(likelihood: Float64Array, substrate: SubstrateCode): boolean {
  let [sum, top] = [0, 0];
  STATES.forEach((state, s) => {
    sum += likelihood[s]!;
    if (state.substrate === substrate) top = Math.max(top, likelihood[s]!);
  });
  return top > (1.5 * sum) / STATE_COUNT;
}

/** What was stated stands at more than this until checks speak against it. */
const STATED_UNDOUBTED = 0.9;

/** Facts the owner stated that the checks together, or one of them alone, speak against. */
function doubtStatedFacts(belief: Belief, zone: Zone, answers: readonly Float64Array[]): Contradiction[] {
  const { substrate, finish } = zone.stated ?? {};
  const doubts: Contradiction[] = [];
  const doubt = (
    said: string | undefined,
    list: readonly { code: string; p: number }[],
    isSaid: (state: State) => boolean,
  ): void => {
    if (said === undefined) return;
    const stands = list.find(({ code }) => code === said)!.p;
    const excluded = answers.some(
      (answer) => expectUnder(belief, answer, isSaid) < IRRECONCILABLE * Math.max(...answer),
    );
    if (stands >= STATED_UNDOUBTED && !excluded) return;
    const found = list.find(({ code }) => code !== said)!;
    const because: Clash = { kind: 'stated', said: labelState(said), ground: labelState(found.code) };
    doubts.push({ check: 'stated', result: said, because, against: [] });
  };
  doubt(substrate, belief.substrate, (state) => state.substrate === substrate);
  doubt(finish, belief.finish, (state) => state.finish === finish);
  return doubts;
}

import {
  CHECKS,
  findCheck,
  MISREADING_RATE,
  PIECE_KINDS,
  type Check,
  type PieceKind,
  type RoleCode,
} from '../knowledge';
import type { Dossier, History, Observation, Zone } from '../dossier';
import { drawIndex, makeRandom } from '../shared';
import { computeBelief, type Belief } from './belief';
import { likelihoodTables } from './likelihood';
import { needProbability, SURFACE_NEEDS } from './needs';
import { priceCheck, rankNextChecks } from './next-check';
import { DEFAULT_AREA_M2 } from '../knowledge';
import { computePrior } from './prior';
import { FACETS, FACET_NAMES, STATES, type FacetName, type FacetValue, type State } from './states';

/** A made-up surface whose truth is known: to train the eye, and to measure the diagnosis. */
export interface PracticeSurface {
  kind: PieceKind;
  role: RoleCode;
  history: History;
  areaM2: number;
  stateIndex: number;
  facets: Record<FacetName, number>;
  /** Needs the surface really has, of those the belief decides. */
  needs: ReadonlySet<string>;
}

const KINDS = PIECE_KINDS.filter((kind) => kind !== 'other');
/** How often a zone that is to be painted has each role. */
const ROLE_WEIGHTS: Partial<Record<RoleCode, number>> = {
  top: 5,
  front: 4,
  side: 5,
  edge: 2,
  leg: 3,
  frame: 3,
  door: 4,
  drawer_front: 5,
  drawer_side: 1,
  moulding: 1,
  inside: 1,
  shelf: 2,
};
const FACES = Object.keys(ROLE_WEIGHTS) as RoleCode[];
const ERA_WEIGHTS = { before_1940: 2, '1940_1977': 3, '1978_1999': 3, since_2000: 3, unknown: 4 } as const;
const ROOMS_SEEN = ['kitchen', 'bathroom', 'bedroom', 'living', 'hall', 'workshop', undefined] as const;
const PAINTED = ['yes', 'no', 'unknown', 'unknown'] as const;

const pick = <T>(random: () => number, list: readonly T[]): T => list[Math.floor(random() * list.length)]!;

/** Draws a surface from the model's own expectations: what the history makes likely is drawn often. */
export function drawSurface(random: () => number): PracticeSurface {
  const eras = Object.keys(ERA_WEIGHTS) as (keyof typeof ERA_WEIGHTS)[];
  const room = pick(random, ROOMS_SEEN);
  const history: History = {
    era: eras[drawIndex(random, Object.values(ERA_WEIGHTS))]!,
    painted_before: pick(random, PAINTED),
    flatpack_marks: random() < 0.2 ? 'yes' : 'no',
    ...(room ? { room } : {}),
  };
  const kind = pick(random, KINDS);
  const role = FACES[drawIndex(random, Object.values(ROLE_WEIGHTS))]!;
  const prior = computePrior({ kind, role, history });
  const stateIndex = drawIndex(random, prior.logState.map(Math.exp));
  const facets = Object.fromEntries(
    FACET_NAMES.map((name) => {
      const width = FACETS[name].length;
      return [name, drawIndex(random, prior.facets[name].subarray(stateIndex * width, (stateIndex + 1) * width))];
    }),
  ) as PracticeSurface['facets'];
  const areaM2 = Math.round((0.2 + random() * 1.3) * 100) / 100;
  return { kind, role, history, areaM2, stateIndex, facets, needs: listTrueNeeds(STATES[stateIndex]!, facets) };
}

/** The needs the belief decides and the plan is charged for, where the owner has no wish about the grain. */
const DECIDED_NEEDS = SURFACE_NEEDS.filter((need) => !need.silent && !need.onlyIfHidden && need.missedMinutes(1) > 0);
/** Needs whose provision is a day's work, so that providing them for nothing is wrong too. */
const DAYS_WORK: ReadonlySet<string> = new Set(['strip']);

function listTrueNeeds(state: State, facets: PracticeSurface['facets']): Set<string> {
  const value = (name: FacetName | null): FacetValue => (name ? FACETS[name][facets[name]]! : {});
  return new Set(
    DECIDED_NEEDS.filter((need) => need.probability(state, value(need.facet)) >= 0.5).map(({ code }) => code),
  );
}

/** How readings go wrong: each by itself, or for all checks of one group together. */
export type Misreading = 'each' | 'shared';

/** Answers the checks on a practice surface as a person would, misreading one in twenty. */
export function makeReader(surface: PracticeSurface, random: () => number, how: Misreading): (check: Check) => string {
  const prior = computePrior(surface);
  const seenByGroup = new Map<string, number>();
  const seen = (group: string): number => {
    const known = seenByGroup.get(group);
    if (known !== undefined) return known;
    const state = random() < MISREADING_RATE ? drawIndex(random, prior.logState.map(Math.exp)) : surface.stateIndex;
    seenByGroup.set(group, state);
    return state;
  };
  return (check) => {
    const tables = [...likelihoodTables(check.code)];
    const state = how === 'shared' ? seen(check.group ?? check.code) : surface.stateIndex;
    const weights = tables.map(([, { facet, width, values }]) => {
      const p = values[state * width + (facet ? surface.facets[facet] : 0)]!;
      // A misreading shared by the group stands in for the single slips that the tables contain.
      return how === 'shared' && !check.measures ? p - MISREADING_RATE / tables.length : p;
    });
    return tables[drawIndex(random, weights)]![0];
  };
}

/** What each check shows on a practice surface, as whoever never slips would read it. */
export function drawTrueAnswers(surface: PracticeSurface, random: () => number): Map<string, string> {
  return new Map(
    CHECKS.map(({ code, measures }) => {
      const tables = [...likelihoodTables(code)];
      const weights = tables.map(([, { facet, width, values }]) => {
        const p = values[surface.stateIndex * width + (facet ? surface.facets[facet] : 0)]!;
        // A measurement has chances of its own, a look those of slips mixed in.
        return measures ? p : Math.max(0, p - MISREADING_RATE / tables.length);
      });
      return [code, tables[drawIndex(random, weights)]![0]];
    }),
  );
}

/** Which check to make next, of those worth making; none ends the reading. */
export type Strategy = (belief: Belief, worthy: readonly string[], done: ReadonlySet<string>) => string | undefined;

export const byWorth: Strategy = (_belief, worthy) => worthy[0];
/** Baseline: down the list of checks in their printed order, as long as any check is worth making. */
export const inFixedOrder: Strategy = (_belief, worthy, done) =>
  worthy.length === 0 ? undefined : ASKABLE.find(({ code }) => !done.has(code))?.code;
/** Baseline: the check that tells most about material and finish, whatever it changes, as long as any is worth making. */
export const byInformation: Strategy = (belief, worthy, done) => {
  if (worthy.length === 0) return undefined;
  const rated = ASKABLE.filter(({ code }) => !done.has(code)).map(({ code }) => ({
    code,
    bits: informationOf(belief, code),
  }));
  return rated.reduce((a, b) => (b.bits > a.bits ? b : a)).code;
};

const ASKABLE = CHECKS.filter(({ code, roles, mark }) => code !== 'lead_test' && !roles && mark < 2);

/** Mutual information between the answer and (substrate, finish, the check's facet), in bits. */
function informationOf(belief: Belief, code: string): number {
  const tables = [...likelihoodTables(code).values()];
  let bits = 0;
  for (const { facet, width, values } of tables) {
    const rows = facet ? belief.facets[facet] : null;
    let pAnswer = 0;
    let told = 0;
    belief.joint.forEach((p, s) => {
      for (let x = 0; x < width; x += 1) {
        const here = p * (rows ? rows[s * width + x]! : 1);
        const likelihood = values[s * width + x]!;
        pAnswer += here * likelihood;
        told += here * likelihood * Math.log2(likelihood);
      }
    });
    bits += told - pAnswer * Math.log2(pAnswer);
  }
  return bits;
}

export interface PracticeResult {
  checks: string[];
  /** Minutes of checking, waits and marks priced in. */
  checkMinutes: number;
  /** Minutes of checking, of what the diagnosis provides for, and of redoing what it missed. */
  allMinutes: number;
  /** P(need) at the end and whether it was really needed. */
  forecasts: { need: string; p: number; needed: boolean }[];
  /** All that is needed is provided for, and nothing dear is provided for that is not needed. */
  rightNeeds: boolean;
}

const MOST_CHECKS = 20;

/** Reads a practice surface to the end with one strategy. */
export function readSurface(
  surface: PracticeSurface,
  read: (check: Check) => string,
  strategy: Strategy,
): PracticeResult {
  const dossier: Dossier = { format: 'bricolage.dossier/1', piece: { kind: surface.kind, history: surface.history } };
  let observations: Observation[] = [];
  const zone = (): Zone => ({ id: 'z', role: surface.role, area_m2: surface.areaM2, observations });
  let belief = computeBelief(dossier, zone());
  // The lead gate is settled before reading starts: its test is the same for every strategy.
  const limits = { leadOpen: false, ventilation: 'good', hideGrain: false, at: 'bench', clear: false } as const;
  while (observations.length < MOST_CHECKS) {
    const worthy = rankNextChecks(belief, zone(), limits).map(({ check }) => check);
    const code = strategy(belief, worthy, new Set(observations.map(({ check }) => check)));
    if (code === undefined) break;
    observations = [...observations, { check: code, result: read(findCheck(code)!) }];
    belief = computeBelief(dossier, zone());
  }
  const checkMinutes = observations.reduce((sum, { check }) => sum + priceCheck(findCheck(check)!), 0);
  return { checks: observations.map(({ check }) => check), checkMinutes, ...score(belief, surface, checkMinutes) };
}

function score(belief: Belief, surface: PracticeSurface, checkMinutes: number) {
  const area = surface.areaM2 || DEFAULT_AREA_M2;
  let allMinutes = checkMinutes;
  let rightNeeds = true;
  const forecasts = DECIDED_NEEDS.map((need) => {
    const p = needProbability(belief, need);
    const needed = surface.needs.has(need.code);
    const provided = p * need.missedMinutes(area) > need.provideMinutes(area);
    if (provided) allMinutes += need.provideMinutes(area);
    else if (needed) allMinutes += need.missedMinutes(area);
    if (needed ? !provided : provided && DAYS_WORK.has(need.code)) rightNeeds = false;
    return { need: need.code, p, needed };
  });
  return { allMinutes, forecasts, rightNeeds };
}

export interface PracticeSummary {
  rightNeeds: number;
  exactNeeds: number;
  checks: number;
  checkMinutes: number;
  /** Minutes with hands and eyes on the piece, waits and marks not priced in. */
  handsMinutes: number;
  /** Checks that leave a mark. */
  marks: number;
  allMinutes: number;
  /** Mean gap between forecast and outcome over ten bands of P(need), weighted by how many fall in each. */
  calibrationError: number;
  brier: number;
  /** The reliability table: forecasts by tenths, their mean and how often the need was there. */
  bands: { forecasts: number; meanP: number; share: number }[];
}

const BANDS = 10;

/** Reads `count` seeded surfaces to the end with one strategy and sums up. */
export function measurePractice(count: number, strategy: Strategy, how: Misreading): PracticeSummary {
  const results = Array.from({ length: count }, (_, i) => {
    const surface = drawSurface(makeRandom(FIRST_SURFACE_SEED + i));
    return readSurface(surface, makeReader(surface, makeRandom(FIRST_READER_SEED + i), how), strategy);
  });
  const mean = (value: (result: PracticeResult) => number): number =>
    results.reduce((sum, result) => sum + value(result), 0) / count;
  const forecasts = results.flatMap((result) => result.forecasts);
  const bands = Array.from({ length: BANDS }, (_, band) => {
    const inBand = forecasts.filter(({ p }) => Math.min(BANDS - 1, Math.floor(p * BANDS)) === band);
    const average = (value: (entry: (typeof forecasts)[number]) => number): number =>
      inBand.length === 0 ? 0 : inBand.reduce((sum, entry) => sum + value(entry), 0) / inBand.length;
    return { forecasts: inBand.length, meanP: average(({ p }) => p), share: average(({ needed }) => Number(needed)) };
  });
  const gap = bands.reduce((sum, band) => sum + band.forecasts * Math.abs(band.meanP - band.share), 0);
  const squares = forecasts.reduce((sum, { p, needed }) => sum + (p - Number(needed)) ** 2, 0);
  return {
    rightNeeds: mean(({ rightNeeds }) => Number(rightNeeds)),
    exactNeeds: mean(({ forecasts: own }) => Number(own.every(({ p, needed }) => needed === p >= 0.5))),
    checks: mean(({ checks }) => checks.length),
    checkMinutes: mean(({ checkMinutes }) => checkMinutes),
    handsMinutes: mean(({ checks }) => checks.reduce((sum, code) => sum + findCheck(code)!.minutes, 0)),
    marks: mean(({ checks }) => checks.filter((code) => findCheck(code)!.mark > 0).length),
    allMinutes: mean(({ allMinutes }) => allMinutes),
    calibrationError: gap / forecasts.length,
    brier: squares / forecasts.length,
    bands,
  };
}

const FIRST_SURFACE_SEED = 1000;
const FIRST_READER_SEED = 900_000;

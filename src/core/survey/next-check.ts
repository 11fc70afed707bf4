import { CHECKS, type Check } from '../knowledge';
import type { Zone } from '../dossier';
import type { Belief } from './belief';
import { weighRank } from './clues';
import { checkStrength, likelihoodTables, type LikelihoodTable } from './likelihood';
import { expectInState, SURFACE_NEEDS, tabulateNeed, type SurfaceNeed } from './needs';
import { formatChance } from '../shared';

/** What one answer of a check would change. */
export interface AnswerForesight {
  code: string;
  /** How likely this answer is now. */
  p: number;
  /** Needs that would come in or fall out of the plan, in words; empty when the plan would stay. */
  changes: string[];
}

export interface NextCheck {
  check: string;
  /** Expected work saved, minutes, less the check's own cost. */
  worthMinutes: number;
  costMinutes: number;
  why: string;
  answers: AnswerForesight[];
}

export interface CheckLimits {
  /** No abrasion while lead is possible. */
  leadOpen: boolean;
  ventilation: 'good' | 'limited' | 'none';
  /** The owner wants the grain hidden, so open pores matter. */
  hideGrain: boolean;
}

/** A waiting hour and a mark cost something too: priced in minutes of work (estimates). */
const WAIT_MINUTES_PER_HOUR = 0.5;
const MARK_MINUTES = [0, 1, 12] as const;
/** Reading the question and going to look costs a little, whatever the check. */
const ATTENTION_MINUTES = 0.4;
/** Gloves on and the door open, or a mask on: getting ready takes time as well (estimates). */
const CARE_MINUTES = { solvent: 1.5, abrasion: 1 } as const;
/** With little fresh air a solvent check is put off (an estimate). */
const STALE_AIR_MINUTES = 4;
/** The lead test is asked for by its gate; the thickness of a coat decides only how to take it down. */
const NOT_ASKED_BY_WORTH = new Set(['lead_test', 'coat_thickness']);
/** States less likely than this are left out of the forecast (not out of the belief). */
const NEGLIGIBLE = 1e-5;

/**
 * The checks worth making, best first. Sensible behaviour costs Σ min(provide, p × missed) over the needs: that is the
 * table of decisions (leave, scuff, grip, block, strip, seal …), which falls apart by need because each is provided for
 * on its own. A check is worth what it takes off that sum on average, less its minutes, its wait and its mark. Empty
 * when nothing is worth it. A check that leaves a visible mark waits until no gentler one is worth asking.
 */
export function rankNextChecks(belief: Belief, zone: Zone, limits: CheckLimits): NextCheck[] {
  const area = zone.area_m2 ?? DEFAULT_AREA_M2;
  const done = new Set([...(zone.observations ?? []).map((o) => o.check), ...(zone.skipped_checks ?? [])]);
  const forecast = prepare(belief, area, limits.hideGrain);
  const worthy = CHECKS.filter((check) => !done.has(check.code) && isAllowed(check, zone, limits))
    .map((check) => appraise(forecast, check, limits))
    .filter(({ worth }) => worth > 0)
    .sort((a, b) => b.worth - a.worth);
  const gentle = worthy.filter(({ check }) => check.mark < 2);
  return (gentle.length > 0 ? gentle : worthy).map((entry) => describe(forecast, entry));
}

export const DEFAULT_AREA_M2 = 0.5;

function isAllowed(check: Check, zone: Zone, limits: CheckLimits): boolean {
  if (NOT_ASKED_BY_WORTH.has(check.code)) return false;
  if (check.roles && !check.roles.includes(zone.role)) return false;
  if (check.care === 'abrasion' && limits.leadOpen) return false;
  // A lattice is cut into the old coat: dust and flakes, so it waits for the lead test too.
  if (check.mark === 2 && limits.leadOpen) return false;
  return !(check.care === 'solvent' && limits.ventilation === 'none');
}

/** What making a check costs, in minutes: going there, doing it, waiting, the mark it leaves. */
export function priceCheck(check: Check, limits: Pick<CheckLimits, 'ventilation'> = { ventilation: 'good' }): number {
  const air = check.care === 'solvent' && limits.ventilation === 'limited' ? STALE_AIR_MINUTES : 0;
  const care = (check.care ? CARE_MINUTES[check.care] : 0) + air;
  return ATTENTION_MINUTES + check.minutes + check.waitHours * WAIT_MINUTES_PER_HOUR + MARK_MINUTES[check.mark] + care;
}

interface Term {
  need: SurfaceNeed;
  provide: number;
  missed: number;
  now: number;
  /** P(need | state), the facet summed out, for the states of the forecast. */
  byState: Float64Array;
  /** P(need | state, facet value) for the same states, `[state × width + value]`; empty without a facet. */
  byValue: Float64Array;
}
interface Forecast {
  belief: Belief;
  states: number[];
  pState: Float64Array;
  rows: Belief['facets'];
  terms: Term[];
  now: number;
}

function prepare(belief: Belief, area: number, hideGrain: boolean): Forecast {
  const states: number[] = [];
  belief.joint.forEach((p, s) => {
    if (p > NEGLIGIBLE) states.push(s);
  });
  const pState = new Float64Array(states.length);
  for (let i = 0; i < states.length; i += 1) pState[i] = belief.joint[states[i]!]!;
  const terms = SURFACE_NEEDS.flatMap((need): Term[] => {
    const missed = need.missedMinutes(area);
    if (missed === 0 || (need.onlyIfHidden && !hideGrain)) return [];
    const chances = tabulateNeed(need);
    const width = need.facet ? chances[0]!.length : 0;
    const byState = new Float64Array(states.length);
    const byValue = new Float64Array(states.length * width);
    let now = 0;
    for (let i = 0; i < states.length; i += 1) {
      const s = states[i]!;
      byState[i] = expectInState(belief, need, s);
      now += pState[i]! * byState[i]!;
      for (let x = 0; x < width; x += 1) byValue[i * width + x] = chances[s]![x]!;
    }
    return [{ need, provide: need.provideMinutes(area), missed, now, byState, byValue }];
  });
  const now = terms.reduce((sum, term) => sum + behave(term, term.now), 0);
  return { belief, states, pState, rows: belief.facets, terms, now };
}

const behave = (term: Term, p: number): number => Math.min(term.provide, p * term.missed);
const isProvided = (term: Term, p: number): boolean => p * term.missed > term.provide;

interface Appraisal {
  check: Check;
  worth: number;
  outcomes: { code: string; label: string; p: number; needs: number[] }[];
}

function appraise(forecast: Forecast, check: Check, limits: CheckLimits): Appraisal {
  const tables = likelihoodTables(check.code, foreseenWeight(forecast.belief, check));
  const outcomes = check.answers.map(({ code, label }) => ({ code, label, ...foresee(forecast, tables.get(code)!) }));
  const after = outcomes.reduce(
    (sum, { p, needs }) => sum + p * forecast.terms.reduce((cost, term, n) => cost + behave(term, needs[n]!), 0),
    0,
  );
  return { check, worth: forecast.now - after - priceCheck(check, limits), outcomes };
}

/** The weight the check would count with beside what its group has said already. */
function foreseenWeight(belief: Belief, check: Check): number {
  const strength = checkStrength(check);
  const ahead = belief.clues.filter((clue) => clue.group === (check.group ?? check.code) && clue.strength >= strength);
  return weighRank(ahead.length);
}

function describe({ terms }: Forecast, { check, worth, outcomes }: Appraisal): NextCheck {
  let biggest: { shift: number; why: string } = { shift: 0, why: 'No answer would change the plan.' };
  for (const { label, p, needs } of outcomes) {
    terms.forEach((term, n) => {
      const shift = p * Math.abs(behave(term, needs[n]!) - behave(term, term.now));
      if (shift <= biggest.shift) return;
      const need = term.need.label.toLowerCase();
      const why = `“${label}” would move “${need}” from ${formatChance(term.now)} to ${formatChance(needs[n]!)}.`;
      biggest = { shift, why };
    });
  }
  return {
    check: check.code,
    worthMinutes: Math.round(worth * 10) / 10,
    costMinutes: check.minutes,
    why: biggest.why,
    answers: outcomes.map(({ code, p, needs }) => ({
      code,
      p,
      changes: terms.flatMap((term, n) => {
        const [before, then] = [isProvided(term, term.now), isProvided(term, needs[n]!)];
        if (before === then || term.need.silent) return [];
        return [then ? term.need.label.toLowerCase() : `no “${term.need.label.toLowerCase()}”`];
      }),
    })),
  };
}

/** P(answer), and P(each need | answer). Written as plain loops: it runs for every answer of every check. */
function foresee({ states, pState, rows, terms }: Forecast, table: LikelihoodTable): { p: number; needs: number[] } {
  const { facet, width, values } = table;
  const facetRows = facet ? rows[facet] : null;
  const weights = new Float64Array(states.length);
  let pAnswer = 0;
  for (let i = 0; i < states.length; i += 1) {
    const at = states[i]! * width;
    let here = 0;
    for (let x = 0; x < width; x += 1) here += (facetRows ? facetRows[at + x]! : 1) * values[at + x]!;
    weights[i] = pState[i]! * here;
    pAnswer += weights[i]!;
  }
  const needs = terms.map(({ need, byState, byValue }) => {
    let sum = 0;
    if (!facetRows || need.facet !== facet) {
      for (let i = 0; i < weights.length; i += 1) sum += weights[i]! * byState[i]!;
      return sum / pAnswer;
    }
    for (let i = 0; i < weights.length; i += 1) {
      const at = states[i]! * width;
      for (let x = 0; x < width; x += 1)
        sum += pState[i]! * facetRows[at + x]! * values[at + x]! * byValue[i * width + x]!;
    }
    return sum / pAnswer;
  });
  return { p: pAnswer, needs };
}

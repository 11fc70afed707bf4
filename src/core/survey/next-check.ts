import { CHECKS, type Check } from '../knowledge';
import type { Zone } from '../dossier';
import type { Belief } from './belief';
import { likelihoodTables, type LikelihoodTable } from './likelihood';
import { expectInState, SURFACE_NEEDS, type SurfaceNeed } from './needs';
import { FACETS, STATE_COUNT, STATES } from './states';
import { formatChance } from '../shared';

export interface NextCheck {
  check: string;
  /** Expected work saved, minutes, less the check's own cost. */
  worthMinutes: number;
  costMinutes: number;
  why: string;
}

export interface CheckLimits {
  /** No abrasion while lead is possible. */
  leadOpen: boolean;
  ventilation: 'good' | 'limited' | 'none';
}

/** A waiting hour and a mark cost something too: priced in minutes of work (estimates). */
const WAIT_MINUTES_PER_HOUR = 0.5;
const MARK_MINUTES = [0, 1, 12] as const;
/** Reading the question and going to look costs a minute, whatever the check. */
const ATTENTION_MINUTES = 1;
/** Checks that only settle a gate or a stated need; they are asked for by the gate, not by worth. */
const NOT_ASKED_BY_WORTH = new Set(['lead_test', 'odour', 'coat_thickness', 'cross_cut_old']);

/**
 * The checks worth making, best first. Sensible behaviour costs Σ min(provide, p × missed) over the needs; a check is
 * worth what it takes off that on average, less its minutes, its wait and its mark. Empty when nothing is worth it.
 */
export function rankNextChecks(belief: Belief, zone: Zone, limits: CheckLimits): NextCheck[] {
  const area = zone.area_m2 ?? DEFAULT_AREA_M2;
  const done = new Set([...(zone.observations ?? []).map((o) => o.check), ...(zone.skipped_checks ?? [])]);
  const terms = SURFACE_NEEDS.map((need) => prepareNeed(belief, need, area));
  const now = terms.reduce((sum, term) => sum + behave(term, term.now), 0);
  return CHECKS.filter((check) => !done.has(check.code) && isAllowed(check, limits))
    .map((check) => appraise(belief, check, terms, now))
    .filter((next) => next.worthMinutes > 0)
    .sort((a, b) => b.worthMinutes - a.worthMinutes);
}

export const DEFAULT_AREA_M2 = 0.5;

function isAllowed(check: Check, limits: CheckLimits): boolean {
  if (NOT_ASKED_BY_WORTH.has(check.code)) return false;
  if (check.care === 'abrasion' && limits.leadOpen) return false;
  return !(check.care === 'solvent' && limits.ventilation === 'none');
}

interface Term {
  need: SurfaceNeed;
  provide: number;
  missed: number;
  now: number;
  /** P(need | state), the facet summed out. */
  byState: Float64Array;
}

function prepareNeed(belief: Belief, need: SurfaceNeed, area: number): Term {
  const byState = Float64Array.from(STATES, (_, s) => expectInState(belief, need, s));
  const now = belief.joint.reduce((sum, p, s) => sum + p * byState[s]!, 0);
  return { need, provide: need.provideMinutes(area), missed: need.missedMinutes(area), now, byState };
}

const behave = (term: Term, p: number): number => Math.min(term.provide, p * term.missed);

function appraise(belief: Belief, check: Check, terms: readonly Term[], now: number): NextCheck {
  let after = 0;
  let biggest: { shift: number; answer: string; term: Term; p: number } | null = null;
  for (const answer of check.answers) {
    const table = likelihoodTables(check.code).get(answer.code)!;
    const { pAnswer, needs } = foresee(belief, table, terms);
    for (const [n, term] of terms.entries()) {
      after += pAnswer * behave(term, needs[n]!);
      const shift = pAnswer * Math.abs(behave(term, needs[n]!) - behave(term, term.now));
      if (shift > (biggest?.shift ?? 0)) biggest = { shift, answer: answer.label, term, p: needs[n]! };
    }
  }
  const costMinutes =
    ATTENTION_MINUTES + check.minutes + check.waitHours * WAIT_MINUTES_PER_HOUR + MARK_MINUTES[check.mark];
  return {
    check: check.code,
    worthMinutes: Math.round((now - after - costMinutes) * 10) / 10,
    costMinutes: check.minutes,
    why: biggest ? explainShift(biggest) : 'No answer would change the plan.',
  };
}

function explainShift({ answer, term, p }: { answer: string; term: Term; p: number }): string {
  const need = term.need.label.toLowerCase();
  return `“${answer}” would move “${need}” from ${formatChance(term.now)} to ${formatChance(p)}.`;
}

/** P(answer), and P(each need | answer). */
function foresee(belief: Belief, table: LikelihoodTable, terms: readonly Term[]): { pAnswer: number; needs: number[] } {
  const { facet, width, values } = table;
  const sums = new Float64Array(terms.length);
  let pAnswer = 0;
  for (let s = 0; s < STATE_COUNT; s += 1) {
    const pState = belief.joint[s]!;
    if (pState < 1e-9) continue;
    let pHere = 0;
    for (let x = 0; x < width; x += 1)
      pHere += (facet ? belief.facets[facet][s * width + x]! : 1) * values[s * width + x]!;
    pAnswer += pState * pHere;
    for (let n = 0; n < terms.length; n += 1) {
      const term = terms[n]!;
      if (!facet || term.need.facet !== facet) {
        sums[n] = sums[n]! + pState * pHere * term.byState[s]!;
        continue;
      }
      for (let x = 0; x < width; x += 1) {
        const pNeed = term.need.probability(STATES[s]!, FACETS[facet][x]!);
        sums[n] = sums[n]! + pState * belief.facets[facet][s * width + x]! * values[s * width + x]! * pNeed;
      }
    }
  }
  return { pAnswer, needs: [...sums].map((sum) => sum / pAnswer) };
}

import {
  CHECKS,
  DEFAULT_AREA_M2,
  findCheck,
  FINISHES,
  FINISH_FACTS,
  NEED_FACTS,
  type Check,
  type FinishCode,
  type NeedCode,
} from '../knowledge';
import type { Zone } from '../dossier';
import type { Belief } from './belief';
import { weighRank } from './clues';
import { LEAD_CREDIBLE, mayHoldLead } from './hazards';
import { checkStrength, likelihoodTables, type LikelihoodTable } from './likelihood';
import { expectInState, SURFACE_NEEDS, tabulateNeed, type SurfaceNeed } from './needs';
import { STATES, type State } from './states';
import { measureTelling, type Target } from './telling';

/** What one answer of a check would change. */
export interface AnswerForesight {
  code: string;
  /** How likely this answer is now. */
  p: number;
  /** Needs, by their names, that would come into the plan or fall out of it; empty when the plan would stay. */
  changes: { need: string; wanted: boolean }[];
}

/** The chance of a need now and after an answer, both by their names. */
interface Shift {
  answer: string;
  need: string;
  from: number;
  to: number;
}

export interface NextCheck {
  check: string;
  /** Expected work saved by it alone, minutes, less the check's own cost; 0 where it tells only together with others. */
  worthMinutes: number;
  /** The same with the look that goes best with it, where that is more: what the list is ordered by. */
  worthTogether: number;
  costMinutes: number;
  /** The answer that would change most of what is to be done; none where no answer would. */
  moves: Shift | null;
  answers: AnswerForesight[];
}

/** Where the piece stands: at the kerb, before it is bought, one looks and smells and nothing more. */
export type Circumstance = 'kerb' | 'bench';

export interface CheckLimits {
  /** No abrasion while lead is possible. */
  leadOpen: boolean;
  ventilation: 'good' | 'limited' | 'none';
  /** The owner wants the grain hidden, so open pores matter. */
  hideGrain: boolean;
  at: Circumstance;
  /** A clear look is wished: what the old coat is decides what may go over it. */
  clear: boolean;
}

/** A waiting hour and a mark cost something too: priced in minutes of work (estimates). */
const WAIT_MINUTES_PER_HOUR = 1;
const MARK_MINUTES = [0, 2.5, 12] as const;
/**
 * Reading the question, going to look and taking the glove off to answer, whatever the check (estimate; with it four
 * questions a surface are asked at most on average, see `npm run bench`).
 */
const ATTENTION_MINUTES = 2.3;
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
 * on its own; while lead is possible, its test is one of them. A check is worth what it takes off that sum on average,
 * less its minutes, its wait and its mark; a look of under a minute is also worth what it brings together with one
 * other, for one sign alone seldom tells what a surface is (`pairs`). Empty when nothing is worth it. A check that leaves
 * a visible mark waits until no gentler one is worth asking, and everything waits for the first looks.
 */
export function rankNextChecks(belief: Belief, zone: Zone, limits: CheckLimits): NextCheck[] {
  const area = zone.area_m2 ?? DEFAULT_AREA_M2;
  const done = new Set([...(zone.observations ?? []).map((o) => o.check), ...(zone.skipped_checks ?? [])]);
  const forecast = prepare(belief, area, limits);
  const open = listOpen(belief, zone, limits).map((check) => appraise(forecast, check, limits));
  const alone = [...open].sort((a, b) => b.worth - a.worth);
  // Where a look leads by itself it is asked whatever a second would add.
  const looks = alone.filter(({ check }) => isLook(check));
  const led = alone[0] !== undefined && alone[0].worth > 0 && isLook(alone[0].check);
  const together = led ? new Map<string, number>() : appraisePairs(forecast, looks, limits);
  const ranked = alone
    .map((entry) => ({ ...entry, rank: Math.max(entry.worth, together.get(entry.check.code) ?? -Infinity) }))
    .sort((a, b) => b.rank - a.rank);
  const worthy = ranked.filter(({ rank }) => rank > 0);
  const gentle = worthy.filter(({ check }) => check.mark < 2);
  const asked = gentle.length > 0 ? gentle : worthy;
  // Nothing is wetted, marked, waited for or tested for lead before a few looks were taken.
  const wanted = Math.max(0, LOOKS_FIRST - [...done].filter((code) => isLookCode(code)).length);
  const first = asked.length > 0 || limits.leadOpen ? ranked.filter(({ check }) => isLook(check)).slice(0, wanted) : [];
  const listed = [...first, ...asked.filter((entry) => !first.includes(entry))];
  const parting = findParting(belief, looks) ?? (limits.clear ? findDab(belief, open) : undefined);
  const ordered = parting ? [parting, ...listed.filter(({ check }) => check !== parting.check)] : listed;
  return ordered.map((entry) => describe(forecast, entry));
}

/** Foil or a harder film: the grit hangs on it (common practice). */
const isFoil = ({ substrate }: State): boolean => substrate === 'paper_foil' || substrate === 'thermofoil';
const isHardFilm = ({ substrate, finish }: State): boolean =>
  finish === 'factory_film' && !isFoil({ substrate, finish });
/** A look that takes less of a doubt away than this does not settle it (estimate). */
const LEAST_TELLING = 0.1;

const chanceOf = (belief: Belief, is: (state: State) => boolean): number =>
  belief.joint.reduce((sum, p, s) => sum + (is(STATES[s]!) ? p : 0), 0);

const mayBeFoil = (belief: Belief): boolean =>
  chanceOf(belief, isFoil) >= OPEN_DOUBT && chanceOf(belief, isHardFilm) >= OPEN_DOUBT;
const OPEN_DOUBT = 0.1;

/** The one that takes most of some doubt away; none where none settles it. */
function mostTelling<T extends { check: Check }>(entries: readonly T[], tell: (check: Check) => number): T | undefined {
  const told = entries.map((entry) => ({ entry, tells: tell(entry.check) })).sort((a, b) => b.tells - a.tells);
  return told[0] && told[0].tells >= LEAST_TELLING ? told[0].entry : undefined;
}

/** While it may be foil and may be a harder film, the look that parts them comes first; none where none would. */
const findParting = <T extends { check: Check }>(belief: Belief, looks: readonly T[]): T | undefined =>
  mayBeFoil(belief) ? mostTelling(looks, (check) => measureTelling(belief, { state: isFoil }, check)) : undefined;

/** The drop that tells most of what the clear coat is, while that is open (common practice: alcohol, then thinner). */
function findDab<T extends { check: Check }>(belief: Belief, open: readonly T[]): T | undefined {
  const credible = CLEAR_COATS.filter((code) => chanceOf(belief, ({ finish }) => finish === code) >= OPEN_DOUBT);
  if (credible.length < 2) return undefined;
  return mostTelling(
    open.filter(({ check }) => check.parts === 'clear_coats' || check.code === 'spirit_rub'),
    (check) =>
      Math.max(...credible.map((code) => measureTelling(belief, { state: ({ finish }) => finish === code }, check))),
  );
}
const CLEAR_COATS: readonly FinishCode[] = FINISHES.filter((code) => FINISH_FACTS[code].clear === true);

/** The check that takes most of a doubt away, of those that may be made here, marks last; none where none tells anything. */
export function findTelling(belief: Belief, zone: Zone, limits: CheckLimits, target: Target): string | undefined {
  const told = listOpen(belief, zone, limits)
    .map((check) => ({ check, tells: measureTelling(belief, target, check) / (check.mark === 2 ? MARKED : 1) }))
    .sort((a, b) => b.tells - a.tells || a.check.minutes - b.check.minutes);
  return told[0] && told[0].tells > SOME ? told[0].check.code : undefined;
}
/** What leaves a mark has to tell so many times as much. */
const MARKED = 3;
const SOME = 0.02;

/** The checks that may be proposed here and were not made yet. */
function listOpen(belief: Belief, zone: Zone, limits: CheckLimits): Check[] {
  const done = new Set([...(zone.observations ?? []).map((o) => o.check), ...(zone.skipped_checks ?? [])]);
  const parts = { film: mayBeFoil(belief), clear_coats: limits.clear };
  return CHECKS.filter(
    (check) =>
      !done.has(check.code) && isAllowed(check, zone, limits) && (check.parts === undefined || parts[check.parts]),
  );
}

/** Looks taken of an unread zone before anything else is asked (common practice: look, touch, then probe). */
const LOOKS_FIRST = 3;
const isLookCode = (code: string): boolean => {
  const check = findCheck(code);
  return check !== undefined && isLook(check);
};

/** A look of under a minute that leaves nothing behind. */
export const isLook = ({ minutes, waitHours, mark, care }: Check): boolean =>
  minutes < 1 && waitHours === 0 && mark === 0 && care === undefined;

/** Whether a check makes dust or flakes of the old coat, which lead forbids until it is settled. */
export const raisesDust = ({ care, mark }: Check): boolean => care === 'abrasion' || mark === 2;

/** At the kerb nothing is wetted, marked or waited for. */
const MOST_KERB_MINUTES = 2;

/** May this check be made on this zone, whether or not it is worth it? */
export function mayCheck(check: Check, limits: Pick<CheckLimits, 'leadOpen' | 'at'>): boolean {
  if (raisesDust(check) && limits.leadOpen) return false;
  const gentle = check.mark === 0 && check.waitHours === 0 && check.care === undefined;
  return limits.at === 'bench' || (gentle && check.minutes <= MOST_KERB_MINUTES);
}

function isAllowed(check: Check, zone: Zone, limits: CheckLimits): boolean {
  if (NOT_ASKED_BY_WORTH.has(check.code) || !mayCheck(check, limits)) return false;
  if (check.roles && !check.roles.includes(zone.role)) return false;
  return !(check.care === 'solvent' && limits.ventilation === 'none');
}

/** What making a check costs, in minutes: going there, doing it, waiting, the mark it leaves. */
export function priceCheck(check: Check, limits: Pick<CheckLimits, 'ventilation'> = { ventilation: 'good' }): number {
  const air = check.care === 'solvent' && limits.ventilation === 'limited' ? STALE_AIR_MINUTES : 0;
  const care = (check.care ? CARE_MINUTES[check.care] : 0) + air;
  return ATTENTION_MINUTES + check.minutes + check.waitHours * WAIT_MINUTES_PER_HOUR + MARK_MINUTES[check.mark] + care;
}

interface Term {
  need: { code: NeedCode } & Pick<SurfaceNeed, 'facet' | 'silent'>;
  /** What sensible behaviour costs at this chance of the need, minutes. */
  behave: (p: number) => number;
  isProvided: (p: number) => boolean;
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

/** What a kit costs in money, as minutes of work, and the day it may hold things up (estimate). */
const LEAD_KIT_MINUTES = 20;
/** The lead test as a need: asked for while a coat that may hold lead is credible, whatever else is known. */
const LEAD_TERM = { code: 'lead_test', facet: null } as const;
const priceLeadTest = (limits: CheckLimits): number => priceCheck(findCheck('lead_test')!, limits) + LEAD_KIT_MINUTES;

function prepare(belief: Belief, area: number, limits: CheckLimits): Forecast {
  const states: number[] = [];
  belief.joint.forEach((p, s) => {
    if (p > NEGLIGIBLE) states.push(s);
  });
  const pState = new Float64Array(states.length);
  for (let i = 0; i < states.length; i += 1) pState[i] = belief.joint[states[i]!]!;
  const terms = SURFACE_NEEDS.flatMap((need): Term[] => {
    const missed = need.missedMinutes(area);
    if (missed === 0 || (need.onlyIfHidden && !limits.hideGrain)) return [];
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
    const provide = need.provideMinutes(area);
    const behave = (p: number): number => Math.min(provide, p * missed);
    return [{ need, behave, isProvided: (p) => p * missed > provide, now, byState, byValue }];
  });
  if (limits.leadOpen) {
    const byState = Float64Array.from(states, (s) => (mayHoldLead(STATES[s]!) ? 1 : 0));
    const isProvided = (p: number): boolean => p >= LEAD_CREDIBLE;
    const kit = priceLeadTest(limits);
    const chance = byState.reduce((sum, share, i) => sum + share * pState[i]!, 0);
    const behave = (p: number): number => (isProvided(p) ? kit : 0);
    terms.push({ need: LEAD_TERM, behave, isProvided, now: chance, byState, byValue: new Float64Array(0) });
  }
  const now = terms.reduce((sum, term) => sum + term.behave(term.now), 0);
  return { belief, states, pState, rows: belief.facets, terms, now };
}

interface Appraisal {
  check: Check;
  worth: number;
  rank: number;
  outcomes: { code: string; label: string; p: number; needs: number[] }[];
}

function appraise(forecast: Forecast, check: Check, limits: CheckLimits): Appraisal {
  const { belief } = forecast;
  const tables = likelihoodTables(check.code, foreseenWeight(belief, check), belief.misreadings[check.code]);
  const outcomes = check.answers.map(({ code, label }) => ({ code, label, ...foresee(forecast, tables.get(code)!) }));
  const after = outcomes.reduce(
    (sum, { p, needs }) => sum + p * forecast.terms.reduce((cost, term, n) => cost + term.behave(needs[n]!), 0),
    0,
  );
  const worth = forecast.now - after - priceCheck(check, limits);
  return { check, worth, rank: worth, outcomes };
}

/** The weight the check would count with beside what its group has said already, and beside one made with it. */
function foreseenWeight(belief: Belief, check: Check, beside?: Check): number {
  const strength = checkStrength(check);
  const group = check.group ?? check.code;
  const ahead = belief.clues.filter((clue) => clue.group === group && clue.strength >= strength).length;
  const other = beside && (beside.group ?? beside.code) === group && checkStrength(beside) >= strength ? 1 : 0;
  return weighRank(ahead + other);
}

function describe({ terms }: Forecast, { check, worth, rank, outcomes }: Appraisal): NextCheck {
  let biggest: { shift: number; moves: Shift | null } = { shift: 0, moves: null };
  for (const { label, p, needs } of outcomes) {
    terms.forEach((term, n) => {
      const shift = p * Math.abs(term.behave(needs[n]!) - term.behave(term.now));
      if (shift <= biggest.shift) return;
      biggest = {
        shift,
        moves: { answer: label, need: NEED_FACTS[term.need.code].label, from: term.now, to: needs[n]! },
      };
    });
  }
  return {
    check: check.code,
    worthMinutes: Math.max(0, Math.round(worth * 10) / 10),
    worthTogether: Math.max(0, Math.round(rank * 10) / 10),
    costMinutes: check.minutes,
    moves: biggest.moves,
    answers: outcomes.map(({ code, p, needs }) => ({
      code,
      p,
      changes: terms.flatMap((term, n) => {
        const [before, then] = [term.isProvided(term.now), term.isProvided(needs[n]!)];
        if (before === then || term.need.silent) return [];
        return [{ need: NEED_FACTS[term.need.code].label, wanted: then }];
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

/** States less likely than this are left out of pairs: they would double the work for hundredths of a minute. */
const NEGLIGIBLE_IN_PAIRS = 5e-3;

/** One look as pairs need it: for each answer P(answer | state), and with it P(answer and need | state) by term. */
interface LookRow {
  answers: { byState: Float64Array; byTerm: (Float64Array | null)[] }[];
  price: number;
  /** P(state) of the states that pairs look at. */
  pState: Float64Array;
}

/**
 * What each look is worth as the first of two: the worth, both priced, of the best pair it is in. Given material and finish two looks at different things are independent.
 */
function appraisePairs(forecast: Forecast, looks: readonly Appraisal[], limits: CheckLimits): Map<string, number> {
  const kept = forecast.states.flatMap((_, i) => (forecast.pState[i]! > NEGLIGIBLE_IN_PAIRS ? [i] : []));
  const rows = new Map<string, LookRow>();
  const rowOf = (check: Check, beside: Check): LookRow => {
    const weight = foreseenWeight(forecast.belief, check, beside);
    const key = `${check.code}@${weight}`;
    const known = rows.get(key) ?? readLook(forecast, kept, check, weight, limits);
    rows.set(key, known);
    return known;
  };
  const worth = new Map<string, number>();
  looks.forEach((one, i) => {
    for (const other of looks.slice(i + 1)) {
      const facet = facetOf(one.check);
      if (facet !== null && facet === facetOf(other.check)) continue;
      const pair = appraisePair(forecast, kept, rowOf(one.check, other.check), rowOf(other.check, one.check));
      for (const own of [one, other])
        if (pair > (worth.get(own.check.code) ?? -Infinity)) worth.set(own.check.code, pair);
    }
  });
  // Of looks that are worth the same together, the one that tells more by itself comes first.
  for (const { check, worth: alone } of looks) {
    const shared = worth.get(check.code);
    if (shared !== undefined) worth.set(check.code, shared + TIE_BREAK * alone);
  }
  return worth;
}

const TIE_BREAK = 1e-3;
/** A pair has to bring this much before it keeps the questions going (minutes, estimate). */
const LEAST_PAIR_GAIN = 1;

const facetOf = (check: Check): string | null => [...likelihoodTables(check.code).values()][0]?.facet ?? null;

function readLook(
  { belief, states, pState, rows, terms }: Forecast,
  kept: readonly number[],
  check: Check,
  weight: number,
  limits: CheckLimits,
): LookRow {
  const tables = likelihoodTables(check.code, weight, belief.misreadings[check.code]);
  const answers = [...tables.values()].map(({ facet, width, values }) => {
    const facetRows = facet ? rows[facet] : null;
    const byState = new Float64Array(kept.length);
    const byTerm = terms.map(({ need }) => (facetRows && need.facet === facet ? new Float64Array(kept.length) : null));
    for (let k = 0; k < kept.length; k += 1) {
      const i = kept[k]!;
      const at = states[i]! * width;
      for (let x = 0; x < width; x += 1) {
        const here = (facetRows ? facetRows[at + x]! : 1) * values[at + x]!;
        byState[k]! += here;
        for (let n = 0; n < terms.length; n += 1) {
          const own = byTerm[n];
          if (own) own[k]! += here * terms[n]!.byValue[i * width + x]!;
        }
      }
    }
    return { byState, byTerm };
  });
  return { answers, price: priceCheck(check, limits), pState: Float64Array.from(kept, (i) => pState[i]!) };
}

/** What two looks bring together, both priced. Sums over states as plain loops: every pair of answers goes through here. */
function appraisePair({ terms, now }: Forecast, kept: readonly number[], one: LookRow, other: LookRow): number {
  const count = kept.length;
  const { pState } = one;
  const first = new Float64Array(count);
  const ofTerm = terms.map(() => new Float64Array(count));
  let after = 0;
  let seen = 0;
  for (const a of one.answers) {
    for (let k = 0; k < count; k += 1) first[k] = pState[k]! * a.byState[k]!;
    for (let n = 0; n < terms.length; n += 1) {
      const { byState } = terms[n]!;
      const own = ofTerm[n]!;
      const mine = a.byTerm[n];
      for (let k = 0; k < count; k += 1) own[k] = mine ? pState[k]! * mine[k]! : first[k]! * byState[kept[k]!]!;
    }
    for (const b of other.answers) {
      const pBoth = dot(first, b.byState);
      if (pBoth < 1e-5) continue;
      seen += pBoth;
      for (let n = 0; n < terms.length; n += 1) {
        const theirs = b.byTerm[n];
        after += pBoth * terms[n]!.behave((theirs ? dot(first, theirs) : dot(ofTerm[n]!, b.byState)) / pBoth);
      }
    }
  }
  return now - after / seen - one.price - other.price - LEAST_PAIR_GAIN;
}

function dot(a: Float64Array, b: Float64Array): number {
  let sum = 0;
  for (let k = 0; k < a.length; k += 1) sum += a[k]! * b[k]!;
  return sum;
}

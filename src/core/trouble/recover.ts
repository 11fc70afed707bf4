import {
  CAUSE_FACTS,
  findSymptom,
  OPERATION_FACTS,
  PAINTS,
  REMEDIES,
  REMEDY_RATES,
  type CauseCode,
  type ClearCode,
  type PrepCode,
  type PrimerCode,
  type RecoveryAsk,
  type RemedyCode,
} from '../knowledge';
import {
  askingOf,
  wishOf,
  wishZones,
  type Choice,
  type Dossier,
  type PlannedStep,
  type Recovery,
  type Trouble,
} from '../dossier';
import { clearOf } from '../proof';
import { definedOnly } from '../shared';
import { isStoppedByLead, listHazards, type Hazard } from '../survey';
import {
  keepStep,
  findCoatOn,
  LOST_WEEK_PRICE,
  planEasing,
  planRecovery,
  planWaiting,
  stackOf,
  type Phrases,
  type RecoveryPlan,
  type Rejection,
  type Step,
} from '../systems';
import type { Air } from '../workshop';
import { listSameFault } from './same-fault';
import { ageOf, cureOf, hardnessOf, judgeCauses, type CausesBelief } from './causes';
import {
  chanceCured,
  isSpread,
  listCredible,
  listRemedies,
  mayStillHarden,
  priceRemedy,
  priceWork,
  servesCause,
} from './remedies';

export type RecoveryLabel = 'recommended' | 'surest' | 'soonest' | 'cheapest';

/** A way out that is worked: a plan like any other. */
export interface RecoveryWay {
  id: string;
  remedy: RemedyCode;
  labels: RecoveryLabel[];
  /** Chance that the face is well after it. */
  holds: number;
  /** Credible causes it rids the face of, and those it leaves. */
  serves: CauseCode[];
  leaves: CauseCode[];
  plan: RecoveryPlan;
  recovery: Recovery;
  /** What it is expected to take, failing counted, in money: what the ways are ranked by. */
  expectedCost: number;
  /** What holds the work back until it is settled. */
  blocked: Hazard[];
}

/** Doing nothing about it, and what that costs. */
export interface LeavingWay {
  how: 'live_with' | 'as_it_is';
  /** Chance that it grows worse. */
  worsens: number;
  /** Share of the price that is lost where it is let go, and in money where a price is known. */
  priceLoss: number;
  loses: number | null;
}

/** What is no way out here, and why. */
export type RuledOut = { remedy: RemedyCode } & (
  | { rule: 'does_not_clear_up' | 'hope_has_ended' | 'tried_before' | 'all_over' | 'no_way_through' | 'lead_found' }
  | { rule: 'leaves_cause'; causes: CauseCode[] }
);

export interface Recoveries {
  belief: CausesBelief;
  /** Other zones with the same against them: they are asked about. */
  alsoAsk: string[];
  ways: RecoveryWay[];
  leaving: LeavingWay[];
  ruledOut: RuledOut[];
  /** Layers that the rules cut on the way to the recommended one. */
  rejected: Rejection[];
}

/** The part of a face that is worked on where spots are mended (estimate). */
const SPOT_SHARE = 0.15;

/**
 * Ways out of a trouble, best first: each planned by the planner from what lies on the zone now, serving every cause of 1
 * in 10 or more, with the failed treatment ruled out and a proof in front; and what it costs to leave it. `now`: ISO
 * instant; `air`: the workshop's readings.
 */
export function listRecoveries(dossier: Dossier, trouble: Trouble, now: string, air: readonly Air[] = []): Recoveries {
  const belief = judgeCauses(dossier, trouble, air);
  const { zone } = belief.view;
  const credible = listCredible(belief);
  const possible = listRemedies(belief);
  const serving = possible.filter(
    (remedy) => remedy === 'wait' || credible.every((cause) => servesCause(remedy, cause)),
  );
  const most = (remedy: RemedyCode): number => credible.filter((cause) => servesCause(remedy, cause)).length;
  const worked = serving.some((remedy) => remedy !== 'wait')
    ? serving
    : possible.filter((remedy) => remedy === 'wait' || most(remedy) === Math.max(...possible.map(most)));
  // Lead that was found is for whoever is certified to work on it: nothing but waiting is done here.
  const stops = isStoppedByLead(listHazards(dossier, zone));
  const mayWork = worked.filter((remedy) => remedy === 'wait' || !stops);
  const planned = mayWork.map((remedy) => {
    const recovery = startRecovery(dossier, belief, remedy, now);
    return { remedy, recovery, ...planRemedy(dossier, belief, remedy, recovery) };
  });
  const ways = planned.flatMap(({ remedy, recovery, plan }): RecoveryWay[] => {
    if (!plan) return [];
    const holds = 1 - plan.risk;
    const { handsOnMin, elapsedH, materialsCost } = plan;
    return [
      {
        id: '',
        remedy,
        labels: [],
        holds,
        serves: credible.filter((cause) => servesCause(remedy, cause)).map(({ code }) => code),
        leaves: credible.filter((cause) => !servesCause(remedy, cause)).map(({ code }) => code),
        plan,
        recovery: {
          ...recovery,
          figures: { holds, hands_on_min: handsOnMin, elapsed_h: elapsedH, materials_cost: materialsCost },
        },
        expectedCost: 0,
        blocked: remedy === 'wait' ? [] : plan.hazards.filter(({ gate }) => gate !== undefined),
      },
    ];
  });
  price(ways, zone.area_m2);
  ways.sort((a, b) => a.expectedCost - b.expectedCost);
  ways.forEach((way, i) => (way.id = `r${i + 1}`));
  label(ways);
  const dead = planned.filter(({ plan }) => !plan).map(({ remedy }): RuledOut => ({ remedy, rule: 'no_way_through' }));
  return {
    belief,
    alsoAsk: listSameFault(dossier, belief, air),
    ways,
    leaving: listLeaving(dossier, trouble),
    ruledOut: [
      ...listRuledOut(belief, worked),
      ...worked
        .filter((remedy) => !mayWork.includes(remedy))
        .map((remedy): RuledOut => ({ remedy, rule: 'lead_found' })),
      ...dead,
    ],
    rejected:
      planned.find(({ remedy }) => remedy === (ways[0]?.remedy === 'wait' ? ways[1] : ways[0])?.remedy)?.rejected ?? [],
  };
}

/** What is expected to be lost where a way does not hold: all of it off and done again, and the week; after waiting, the best other way. */
function price(ways: RecoveryWay[], area: number | undefined): void {
  const redo = priceRemedy('strip', area) + LOST_WEEK_PRICE;
  for (const way of ways) way.expectedCost = priceWork(way.plan) + (1 - way.holds) * redo;
  const best = Math.min(...ways.filter(({ remedy }) => remedy !== 'wait').map(({ expectedCost }) => expectedCost));
  for (const way of ways)
    if (way.remedy === 'wait')
      way.expectedCost = priceWork(way.plan) + (1 - way.holds) * (best < Infinity ? best : redo);
}

function label(ways: readonly RecoveryWay[]): void {
  const [first] = ways;
  if (!first) return;
  const least = (value: (way: RecoveryWay) => number): RecoveryWay =>
    ways.reduce((best, own) => (value(own) < value(best) - 1e-9 ? own : best), first);
  first.labels.push('recommended');
  least(({ holds }) => -holds).labels.push('surest');
  least(({ plan }) => plan.elapsedH).labels.push('soonest');
  least(({ plan }) => plan.materialsCost).labels.push('cheapest');
}

const planRemedy = (
  dossier: Dossier,
  belief: CausesBelief,
  remedy: RemedyCode,
  recovery: Recovery,
): { plan: RecoveryPlan | null; rejected: Rejection[] } => {
  const { view, trouble } = belief;
  const zone = dossier.zones!.find(({ id }) => id === trouble.zone)!;
  const age = ageOf(trouble, view) ?? 0;
  if (remedy === 'wait')
    return {
      plan: planWaiting(dossier, zone, Math.max(LEAST_WAIT_H, hardnessOf(view) - age), 1 - recovery.cured!),
      rejected: [],
    };
  if (remedy === 'ease')
    return { plan: planEasing(dossier, zone, Math.max(0, cureOf(view) * 24 - age), 1 - recovery.cured!), rejected: [] };
  const paint = paintOn(dossier, belief);
  return planRecovery(
    paint ? { ...dossier, goal: wishZones(dossier.goal ?? {}, [zone.id], { paint }) } : dossier,
    zone,
    recovery,
  );
};

/** Waiting less than a night shows nothing new. */
const LEAST_WAIT_H = 12;

/** The paint that is on it, so that it matches the rest of the piece again; free where the paint itself is to blame. */
function paintOn(dossier: Dossier, belief: CausesBelief): NonNullable<Dossier['goal']>['paint'] {
  const { view, trouble } = belief;
  const wished = wishOf(dossier, view.zone).paint;
  if (listCredible(belief).some(({ code }) => code === 'soft_paint')) return wished;
  const logged = view.coats.findLast(({ entry }) => OPERATION_FACTS[entry.op].coat === 'paint')?.code;
  const taken = dossier.chosen?.zones.find(({ id }) => id === trouble.zone)?.stack?.paint ?? wished;
  return PAINTS.find((code) => code === logged) ?? taken;
}

/** Where the work takes up again by a way out: what the search is told of what lies on the zone now. */
function startRecovery(dossier: Dossier, belief: CausesBelief, remedy: RemedyCode, now: string): Recovery {
  const { trouble, causes } = belief;
  const fact = findSymptom(trouble.symptom);
  const { over = false } = REMEDY_RATES[remedy];
  const credible = listCredible(belief);
  const asks = [...new Set(credible.flatMap(({ code }): RecoveryAsk[] => [CAUSE_FACTS[code].asks ?? []].flat()))];
  const bleeds = Math.min(
    0.97,
    causes.reduce((sum, { code, p }) => (CAUSE_FACTS[code].asks === 'block' ? 1 - (1 - sum) * (1 - p) : sum), 0),
  );
  const primer = primerUsed(belief);
  const distrusts = credible.some(({ code }) => CAUSE_FACTS[code].asks === 'other_primer');
  return {
    trouble: trouble.id,
    remedy,
    at: now,
    ...(over ? { over: findCoatOn(dossier, trouble.zone) ?? 'latex_paint' } : {}),
    ...(remedy === 'touch_up' ? { share: SPOT_SHARE } : {}),
    ...(over && fact.restH ? { rest_h: fact.restH } : {}),
    ...(asks.includes('block') ? { bleeds } : {}),
    ...(asks.length > 0 ? { asks } : {}),
    ...(primer ? { failed: [{ prep: prepUsed(dossier, belief), primer }] } : {}),
    ...(primer && distrusts ? { distrusted: [primer] } : {}),
    ...(fact.leaves ? { leaves: fact.leaves } : {}),
    cured: chanceCured(belief, remedy),
  };
}

/** What went on first, by the log, or by the plan where the log says nothing; none where neither is known. */
function primerUsed({ view }: CausesBelief): PrimerCode | 'none' | undefined {
  const first = view.coats.find(({ entry }) => entry.op === 'prime' || entry.op === 'paint');
  if (first) return first.entry.op === 'prime' ? (first.code as PrimerCode) : 'none';
  return view.dossier.chosen?.zones.find(({ id }) => id === view.zone.id)?.treatment.primer;
}

/** The clear finish on wood that is to blame, if the piece has one. */
const clearUsed = ({ view }: CausesBelief): ClearCode | undefined =>
  clearOf(view.dossier.chosen?.zones.find(({ id }) => id === view.zone.id)?.treatment);

const prepUsed = (dossier: Dossier, { view, findings }: CausesBelief): PrepCode => {
  if (findings.some(({ code, was, severity }) => code === 'not_dulled' && was === undefined && severity !== 'unknown'))
    return 'none';
  return view.dossier.chosen?.zones.find(({ id }) => id === view.zone.id)?.treatment.prep ?? 'scuff_150';
};

function listRuledOut(belief: CausesBelief, worked: readonly RemedyCode[]): RuledOut[] {
  const credible = listCredible(belief);
  const comesThrough = credible.some(({ code }) => CAUSE_FACTS[code].asks === 'block');
  const hoped = belief.causes.some(({ code }) => CAUSE_FACTS[code].cures.wait !== undefined);
  const spread = isSpread(belief);
  return REMEDIES.filter((remedy) => !worked.includes(remedy)).flatMap((remedy): RuledOut[] => {
    if (belief.tried.includes(remedy) && remedy === 'wait') return [{ remedy, rule: 'tried_before' }];
    if (comesThrough && (remedy === 'wait' || remedy === 'recoat')) return [{ remedy, rule: 'does_not_clear_up' }];
    if (remedy === 'wait' && hoped && !mayStillHarden(belief)) return [{ remedy, rule: 'hope_has_ended' }];
    if (remedy === 'touch_up' && spread) return [{ remedy, rule: 'all_over' }];
    const causes = credible.filter((cause) => !servesCause(remedy, cause)).map(({ code }) => code);
    return remedy === 'ease' || causes.length === 0 ? [] : [{ remedy, rule: 'leaves_cause', causes }];
  });
}

function listLeaving(dossier: Dossier, { symptom }: Trouble): LeavingWay[] {
  const { worsens, priceLoss } = findSymptom(symptom);
  const price = dossier.money?.sale?.likely ?? askingOf(dossier);
  return [
    { how: 'live_with', worsens, priceLoss: 0, loses: 0 },
    { how: 'as_it_is', worsens, priceLoss, loses: price === undefined ? null : Math.round(price * priceLoss) },
  ];
}

/**
 * What is kept with a trouble when it is decided: what was believed of it, and how far the treatment is to blame. It feeds
 * the shop's counts, so that what failed once is trusted less from then on.
 */
export function noteFound(dossier: Dossier, belief: CausesBelief): NonNullable<Trouble['found']> {
  const primer = primerUsed(belief);
  const modes = belief.causes.flatMap(({ code, p }) => {
    const { mode } = CAUSE_FACTS[code];
    return mode ? [{ mode, p }] : [];
  });
  const mode = modes.sort((a, b) => b.p - a.p)[0]?.mode;
  const p = 1 - modes.reduce((none, own) => (own.mode === mode ? none * (1 - own.p) : none), 1);
  return {
    causes: belief.causes.slice(0, MOST_KEPT).map(({ code, p: chance }) => ({ code, p: round(chance) })),
    ...(mode && primer
      ? {
          blames: {
            mode,
            prep: prepUsed(dossier, belief),
            primer,
            ...definedOnly({ clear: clearUsed(belief) }),
            p: round(p),
          },
        }
      : {}),
  };
}
const MOST_KEPT = 5;
const round = (value: number): number => Math.round(value * 1e4) / 1e4;

/** A way out as the plan of its piece: the work on its zone is what it says from now on; the system taken before is kept. */
export function takeRecovery(
  dossier: Dossier,
  { plan, recovery, remedy }: RecoveryWay,
  at: string,
  say: Phrases,
): Choice {
  const zoneId = dossier.troubles!.find(({ id }) => id === recovery.trouble)!.zone;
  const before = dossier.chosen;
  const own = before?.zones.find(({ id }) => id === zoneId);
  const steps = plan.steps.map((step: Step): PlannedStep => keepStep(step, say));
  const zone: Choice['zones'][number] = {
    id: zoneId,
    treatment: plan.zone?.treatment ?? own?.treatment ?? {},
    ...(plan.zone ? { stack: stackOf(plan.zone.stack) } : own?.stack ? { stack: own.stack } : {}),
    steps,
    recovery: { ...recovery, at },
  };
  const others = before?.zones.filter(({ id }) => id !== zoneId) ?? [];
  const place = before?.zones.findIndex(({ id }) => id === zoneId) ?? -1;
  const zones = place < 0 ? [...others, zone] : [...others.slice(0, place), zone, ...others.slice(place)];
  return { ...before, system: `recovery:${remedy}`, at, zones };
}

import {
  COMES_OFF,
  FAULT_ANSWERS,
  leavesBare,
  FAULT_NOT_HERE,
  REPAIR_PHASES,
  REPAIR_STEPS,
  SOLID_WOODS,
  type DefectCode,
  type Extent,
  type RepairPhase,
  type RepairStepCode,
  type RepairStepFact,
  type RepairWay,
} from '../knowledge';
import { isAnswered, mayBeHere, findServed } from '../survey';
import { step, type Step } from './choice';
import { listFaults, type Fault } from './faults';
import { hasFinish, hasSubstrate, sumWhere, type Ground } from './ground';
import type { Chances } from './risk';
import type { SurfaceState } from './surface-state';

/** One movement of the hands, for all the faults of the zone that it serves. */
export interface RepairLine {
  code: RepairStepCode;
  fact: RepairStepFact;
  minutes: number;
  ml: number;
  spots: number;
  faults: DefectCode[];
}

/** One answer to all the faults of a zone: what is done, what is left, what that risks. */
export interface RepairPlan {
  ways: { fault: Fault; way: RepairWay | null }[];
  lines: readonly RepairLine[];
  chances: Chances;
  /** The face is taken off: the raw board is painted. */
  bares: boolean;
  /** Plans with the same key go on alike after the levelling: as much is left to repair and to seal. */
  later: string;
}

/** How much of the harm that a fault does all over it does where there is less of it (estimates). */
const HARM: Record<Extent, number> = { spot: 0.35, area: 0.7, all: 1 };
/** Filler takes stain and clear otherwise than wood does, and is seen (estimate). */
const FILL_SHOWS = 0.6;
/** What is done to a zone that is left as it is: nothing for its looks. */
const OF_LEFT_ZONES: readonly RepairPhase[] = ['hold', 'clean', 'dry', 'mend', 'last'];

/** Ways to answer a fault here, `null` for leaving it; never empty. */
function listWays(fault: Fault, ground: Ground): (RepairWay | null)[] {
  const { ways } = FAULT_ANSWERS[fault.code];
  if (!mayBeHere(ground.belief, fault.code)) return [FAULT_NOT_HERE];
  const fit = ways.filter((way) => isAnswered(way, fault) && (way.ground !== 'bare_wood' || isBareWood(ground)));
  if (ground.look === 'leave') return [fit[0] ?? null];
  const leavable = FAULT_ANSWERS[fault.code].left.may && fit.some(({ steps }) => steps.length > 0);
  return fit.length === 0 || leavable ? [...fit, null] : fit;
}

const isBareWood = (ground: Ground): boolean =>
  sumWhere(ground.states, (state) => hasSubstrate(...SOLID_WOODS)(state) && hasFinish('bare')(state)) >= 0.5;

const KNOWN = {
  stays: new WeakMap<Ground, readonly RepairPlan[]>(),
  off: new WeakMap<Ground, readonly RepairPlan[]>(),
};

/** A fault of the coat and not of what lies under it. */
function isOfCoat({ code, detail }: Fault): boolean {
  const { ofCoat } = FAULT_ANSWERS[code];
  return ofCoat === true || (ofCoat !== undefined && ofCoat === detail);
}

/**
 * Every answer to the faults of a zone that none other beats in hands, waiting, risk and small things. `bared`: the old coat
 * was taken off first, and its faults with it: nothing of it is levelled or filled that is stripped.
 */
export function listRepairPlans(ground: Ground, bared = false): readonly RepairPlan[] {
  const cache = bared ? KNOWN.off : KNOWN.stays;
  const known = cache.get(ground);
  if (known) return known;
  const faults = listFaults(ground.zone.defects ?? [], ground.area);
  let combined: RepairPlan['ways'][] = [[]];
  for (const fault of faults) {
    const ways = bared && isOfCoat(fault) ? [COMES_OFF] : listWays(fault, ground);
    combined = combined.flatMap((done) => ways.map((way) => [...done, { fault, way }]));
  }
  const rivals = combined.map((ways) => {
    const plan = makePlan(ways, ground);
    return { plan, figures: listFigures(plan) };
  });
  const kept = rivals.filter(
    (own, i) => !rivals.some((other, j) => j !== i && beats(other, own) && (j < i || !beats(own, other))),
  );
  const plans = kept.map(({ plan }) => plan);
  cache.set(ground, plans);
  return plans;
}

interface Rival {
  plan: RepairPlan;
  figures: readonly number[];
}

const listFigures = ({ lines, chances }: RepairPlan): number[] => [
  lines.reduce((sum, { minutes }) => sum + minutes, 0),
  measureWait(lines),
  lines.length,
  chances.adhesion ?? 0,
  chances.grain_show ?? 0,
];

/** At least as good in every figure, and the same for all that follows. */
const beats = (a: Rival, b: Rival): boolean =>
  a.plan.later === b.plan.later &&
  a.plan.bares === b.plan.bares &&
  a.figures.every((value, i) => value <= b.figures[i]! + 1e-9);

function makePlan(ways: RepairPlan['ways'], ground: Ground): RepairPlan {
  const lines = mergeFillers(gatherLines(ways)).filter(
    ({ fact }) => ground.look !== 'leave' || OF_LEFT_ZONES.includes(fact.phase),
  );
  const held: Record<string, number> = {};
  const add = (chances: Chances | undefined, share: number): void => {
    for (const [mode, p] of Object.entries(chances ?? {})) held[mode] = (held[mode] ?? 1) * (1 - p * share);
  };
  if (ground.look !== 'leave')
    for (const { fault, way } of ways) {
      const { adhesion, grain_show } = FAULT_ANSWERS[fault.code].left;
      const undone = { ...(adhesion ? { adhesion } : {}), ...(grain_show ? { grain_show } : {}) };
      const isLeft = way === null && findServed(fault) === undefined;
      add(isLeft ? undone : way?.fails, HARM[fault.extent]);
      if (ground.look !== 'opaque' && way?.steps.some((code) => REPAIR_STEPS[code].op === 'fill'))
        add({ grain_show: FILL_SHOWS }, HARM[fault.extent]);
    }
  const late = lines.filter(({ fact }) => isLate(fact, ground));
  return {
    ways,
    lines,
    chances: Object.fromEntries(Object.entries(held).map(([mode, p]) => [mode, 1 - p])),
    bares: ways.some(({ way }) => way?.bares === true),
    later: [
      ...late.map(({ code, spots }) => `${code}×${spots}`),
      ...(mayStayOpen(ground) ? [`bare×${countBare(lines)}`] : []),
    ].join('+'),
  };
}

/** Only where paint may go on without a primer does it matter later what was left bare before. */
const mayStayOpen = ({ look, schools }: Ground): boolean => look === 'opaque' && schools.priming !== 'always';

/** Places that the lines leave bare, which want a dab of primer. */
export const countBare = (lines: readonly RepairLine[]): number =>
  lines.reduce((sum, { fact, spots }) => sum + (fact.leavesBare ? spots : 0), 0);

/** The plan that is followed from a state on: all that go on alike are one. */
export function findRepairs(
  ground: Ground,
  { laterRepairs, prep }: Pick<SurfaceState, 'laterRepairs' | 'prep'>,
): RepairPlan {
  const plans = listRepairPlans(ground, leavesBare(prep));
  return plans.find(({ later }) => later === laterRepairs) ?? plans[0]!;
}

function gatherLines(ways: RepairPlan['ways']): RepairLine[] {
  const lines = new Map<RepairStepCode, RepairLine>();
  for (const { fault, way } of ways)
    for (const code of way?.steps ?? []) {
      const fact: RepairStepFact = REPAIR_STEPS[code];
      const known = lines.get(code);
      const { once = 0, each = 0, perM2 = 0 } = fact.minutes;
      const wide = fault.extent !== 'spot' && perM2 > 0;
      const minutes = wide ? perM2 * fault.area : each > 0 ? each * fault.spots : perM2 * fault.area;
      const takes = wide ? (fact.takes?.perM2 ?? 0) * fault.area : (fact.takes?.each ?? 0) * fault.spots;
      lines.set(code, {
        code,
        fact,
        minutes: (known?.minutes ?? once) + minutes,
        ml: (known?.ml ?? 0) + takes,
        spots: (known?.spots ?? 0) + fault.spots,
        faults: [...(known?.faults ?? []), fault.code],
      });
    }
  const place = ({ fact }: RepairLine): number => REPAIR_PHASES.indexOf(fact.phase) * 1000 + fact.waitH;
  return [...lines.values()].sort((a, b) => place(a) - place(b));
}

/** Where something is filled hard, the small dents are filled with it too: one filler, one mixing, one sanding. */
function mergeFillers(lines: RepairLine[]): RepairLine[] {
  const hard = lines.find(({ code }) => code === 'fill_hard');
  const soft = lines.find(({ code }) => code === 'fill_soft');
  if (!hard || !soft) return lines;
  const both: RepairLine = {
    ...hard,
    minutes: hard.minutes + soft.minutes,
    ml: hard.ml + soft.ml,
    spots: hard.spots + soft.spots,
    faults: [...hard.faults, ...soft.faults],
  };
  return lines.filter((line) => line !== soft).map((line) => (line === hard ? both : line));
}

/** What waits for the primer: caulk always, filling by the owner's school; and what comes after the last coat. */
export const isLate = ({ phase }: Pick<RepairStepFact, 'phase'>, ground: Ground): boolean =>
  phase === 'after_prime' ||
  phase === 'last' ||
  (phase === 'fill' && ground.schools.fill === 'after_prime' && ground.look === 'opaque');

/** Things done one after the other dry side by side: of each phase only the longest wait counts. */
export const measureWait = (lines: readonly RepairLine[]): number =>
  REPAIR_PHASES.reduce(
    (sum, phase) =>
      sum + Math.max(0, ...lines.filter(({ fact }) => fact.phase === phase).map(({ fact }) => fact.waitH)),
    0,
  );

/** The lines of some phases as steps: within a phase only the last one is waited for, since it dries longest. */
export function makeRepairSteps(lines: readonly RepairLine[], phases: readonly RepairPhase[]): Step[] {
  const own = lines.filter(({ fact }) => phases.includes(fact.phase));
  return own.map(({ code, fact, minutes, ml, faults }, i) => {
    const last = own[i + 1]?.fact.phase !== fact.phase;
    const amount = Math.max(0, Math.round(ml));
    return step(
      fact.op,
      'repair',
      minutes,
      last ? fact.waitH : 0,
      { code: 'faults_seen', faults: [...new Set(faults)] },
      {
        repair: code,
        ...(fact.class ? { class: fact.class } : {}),
        ...(fact.material ? { material: fact.material } : {}),
        ...(fact.grit ? { grit: fact.grit } : {}),
        ...(amount > 0 ? { ml: amount } : {}),
      },
    );
  });
}

/** What became of one fault in a plan, for whoever asks what was done about it. */
export interface FaultNote {
  code: DefectCode;
  state: 'repaired' | 'by_layers' | 'declined' | 'left';
  /** What is done, or why nothing is, as the row of the way has it; none where it is left. */
  says?: string;
}

/** Every fault of a zone with what the plan does about it. */
export function noteFaults({ ways }: RepairPlan): FaultNote[] {
  return ways.map(({ fault, way }) => {
    const { code } = fault;
    const served = findServed(fault);
    if (way?.declined) return { code, state: 'declined', says: way.declined };
    if (way) return { code, state: 'repaired', says: way.label };
    return served ? { code, state: 'by_layers', says: served } : { code, state: 'left' };
  });
}

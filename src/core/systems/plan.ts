import { findStop, type StopReason } from '../climate';
import type { DefectCode, PrimerCode } from '../knowledge';
import { roomToBe, type Dossier } from '../dossier';
import { CREDIBLE, isStoppedByLead, listStops, type Hazard } from '../survey';
import type { Ground } from './ground';
import { readGround } from './take-up';
import { listHandWork, type HandWork } from './hand-rules';
import type { HardFinding } from './findings';
import { findHard, type HardRule } from './hard-rules';
import { countFew, JointSearch, type Found } from './joint-search';
import { AIMS, type Aim } from './prices';
import { productsOf, type Product } from './product';
import { listPaintSets } from './paint-sets';
import { listRejections, type Rejection } from './rejections';
import { searchZone, type Label, type ZoneSearch } from './search';
import { judgeTaken, type TakenSystem } from './taken';
import { assembleSystem, FUMES_ORDER, type Assumption, type CoatingSystem, type SystemLabel } from './system';

export interface Plan {
  systems: CoatingSystem[];
  rejected: Rejection[];
  /** What stands in the way; where it is one zone's, that zone. */
  blocked: { gate: string; zone?: string; because: PlanBlock }[];
  /** Work of the hand that the piece asks for, and what of it the owner leaves out. */
  hands: HandWork[];
  /** The system the owner took, judged by what is known now; none when nothing was taken. */
  taken: TakenSystem | null;
  /** What the search took. */
  effort: { states: number; labels: number; joint: number };
}

/** Why a plan stands in the way of itself, with what its sentence needs. */
export type PlanBlock =
  | { kind: 'hold'; defect: DefectCode }
  | { kind: 'hazard'; hazard: Hazard }
  | { kind: 'climate'; stop: StopReason; temperatureC: number; humidityPct: number }
  | { kind: 'no_common_paint' }
  | { kind: 'outdoors' }
  | { kind: 'no_way'; findings: HardFinding[] };

/** An alternative may be this much likelier to fail than the recommended system; worse is no alternative. */
const RISK_MARGIN = 0.2;
const LEAST_ALTERNATIVES = 3;

/**
 * Coating systems for all zones of a piece together. Each zone's systems are searched over the stages of the work
 * (`searchZone`); then one is taken for each zone so that the piece as a whole costs least, with tins, cleaning up and
 * waits counted once (`chooseJointly`): on balance, and by each priority.
 */
export function planPiece(dossier: Dossier): Plan {
  const { products, searches, blocked } = searchPiece(dossier);
  const aim = dossier.goal?.priority ?? 'balance';
  const taken = dossier.chosen ? judgeTaken(dossier, searches, products, aim) : null;
  const rejected = searches.flatMap((search) => listRejections(search));
  const hands = listHandWork(searches.map(({ ground }) => ground));
  const effort = {
    states: searches.reduce((sum, { states }) => sum + states, 0),
    labels: searches.reduce((sum, { labels }) => sum + labels, 0),
    joint: 0,
  };
  const stopped = blocked.some(({ because }) => endsAll(because));
  if (stopped || searches.length === 0) return { systems: [], rejected, blocked, hands, taken, effort };
  const { systems, joint } = chooseSystems(searches, products, aim, dossier.money?.consumables);
  const gates = [...new Set(blocked.map(({ gate }) => gate))];
  return {
    systems: systems.map((system) => ({ ...system, gates, assumes: listAssumptions(searches) })),
    rejected,
    blocked,
    hands,
    taken,
    effort: { ...effort, joint },
  };
}

/** Every zone searched by itself, and what stands in the way. */
function searchPiece(dossier: Dossier): {
  products: readonly Product[];
  searches: ZoneSearch[];
  blocked: Plan['blocked'];
} {
  const { zones = [] } = dossier;
  const products = productsOf(dossier);
  const few = countFew(zones.length);
  const searches = zones.map((zone) => searchZone(readGround(dossier, zone), products, { few }));
  return { products, searches, blocked: [...listOutdoors(dossier), ...listBlocked(searches)] };
}

/**
 * The recommended system alone, as `planPiece` has it, in half the time: for whoever compares wishes. None where something
 * stands in the way of all.
 */
export function planRecommended(dossier: Dossier): CoatingSystem | null {
  const { zones = [], goal } = dossier;
  // What is best at something else than the balance is found among all.
  if (goal?.priority !== undefined || zones.length === 0) return planPiece(dossier).systems[0] ?? null;
  const { products, searches, blocked } = searchPiece(dossier);
  if (blocked.some(({ because }) => endsAll(because))) return null;
  const found = new JointSearch(searches, products).find('balance');
  if (!found) return null;
  const grounds = searches.map(({ ground }) => ground);
  const system = assembleSystem(found.labels, grounds, found.cost, dossier.money?.consumables);
  return { ...system, id: '', labels: ['recommended'], assumes: [], gates: [] };
}

function chooseSystems(
  searches: readonly ZoneSearch[],
  products: readonly Product[],
  priority: Aim,
  ownConsumables: number | undefined,
): { systems: CoatingSystem[]; joint: number } {
  const joint = new JointSearch(searches, products);
  const grounds = searches.map(({ ground }) => ground);
  const pool = new Map<string, { system: CoatingSystem; labels: readonly Label[] }>();
  const add = (found: Found | null): void => {
    if (!found) return;
    const key = found.labels.map((label) => describeUse(label)).join('|');
    if (pool.has(key)) return;
    const system = assembleSystem(found.labels, grounds, found.cost, ownConsumables);
    pool.set(key, { system: { ...system, id: '', labels: [], assumes: [], gates: [] }, labels: found.labels });
  };
  add(joint.find(priority));
  const recommended = [...pool.values()][0];
  if (!recommended) return { systems: [], joint: joint.expanded };
  for (const aim of AIMS) if (aim !== priority) add(joint.find(aim));
  const main = leadPrimer(recommended.labels, grounds);
  // Something else to look at, where the priorities all come to much the same.
  if (main && pool.size < LEAST_ALTERNATIVES) add(joint.find(priority, main));
  const systems = [...pool.values()].map(({ system }) => system);
  const lead = leadBy(priority, systems, recommended.system);
  const ordered = [lead, ...systems.filter((system) => system !== lead)];
  return { systems: labelSystems(ordered, lead), joint: joint.expanded };
}

/** The figure each priority is about; on balance all of them count, in money. */
const FIGURE: Record<Exclude<Aim, 'balance'>, (system: CoatingSystem) => number> = {
  surest: ({ risk }) => risk.overall,
  soonest: ({ elapsedH }) => elapsedH,
  cheapest: ({ materialsCost }) => materialsCost,
  least_fumes: ({ fumes, risk }) => FUMES_ORDER.indexOf(fumes) + risk.overall,
};

/**
 * What is recommended: of the systems found, the one that is best at what the owner asked for. None that fails far
 * oftener than the one found for that priority with all figures weighed, and none that another beats in every figure.
 */
function leadBy(priority: Aim, systems: readonly CoatingSystem[], weighed: CoatingSystem): CoatingSystem {
  if (priority === 'balance') return weighed;
  const figure = FIGURE[priority];
  const rivals = systems.filter(
    (system) =>
      system.risk.overall <= weighed.risk.overall + RISK_MARGIN && !systems.some((other) => outdoes(other, system)),
  );
  return rivals.reduce((best, other) => (figure(other) < figure(best) - 1e-9 ? other : best), rivals[0] ?? weighed);
}

const describeUse = ({ state, minutes, loss, uses }: Label): string =>
  JSON.stringify([state.prep, state.primers, minutes, loss, uses.map(({ product, ml }) => [product.key, ml])]);

/** The primer on the largest primed zone. */
function leadPrimer(labels: readonly Label[], grounds: readonly Ground[]): PrimerCode | undefined {
  const primed = labels
    .map((label, i) => ({ label, area: grounds[i]!.area }))
    .filter(({ label }) => label.state.primers.length > 0);
  return primed.sort((a, b) => b.area - a.area)[0]?.label.state.primers[0]?.code;
}

/** Names what each system is best at; drops those that another beats in every figure or that fail far oftener. */
function labelSystems(systems: readonly CoatingSystem[], recommended: CoatingSystem): CoatingSystem[] {
  const bearable = systems.filter(
    (system) =>
      system === recommended ||
      (system.risk.overall <= recommended.risk.overall + RISK_MARGIN &&
        !systems.some((other) => outdoes(other, system))),
  );
  const best = (value: (system: CoatingSystem) => number): CoatingSystem =>
    bearable.reduce((top, other) => (value(other) < value(top) - 1e-9 ? other : top), recommended);
  const labelled: [SystemLabel, CoatingSystem][] = [
    ['recommended', recommended],
    ['surest', best(({ risk }) => risk.overall)],
    ['soonest', best(({ elapsedH }) => elapsedH)],
    ['cheapest', best(({ materialsCost }) => materialsCost)],
    ...labelCalmest(bearable, recommended),
  ];
  for (const [label, system] of labelled) system.labels.push(label);
  const named = bearable.filter(({ labels }) => labels.length > 0);
  const others = bearable.filter(({ labels }) => labels.length === 0);
  const shown = [...named, ...others.slice(0, Math.max(0, LEAST_ALTERNATIVES - named.length))];
  return shown.map((system, i) => ({ ...system, id: `s${i + 1}` }));
}

/** "Least fumes" is said only where there is little, or where others have more. */
function labelCalmest(systems: readonly CoatingSystem[], recommended: CoatingSystem): [SystemLabel, CoatingSystem][] {
  const order = ({ fumes }: CoatingSystem): number => FUMES_ORDER.indexOf(fumes);
  const least = Math.min(...systems.map(order));
  if (least > 0 && systems.every((system) => order(system) === least)) return [];
  const calm = systems.filter((system) => order(system) === least);
  const surest = calm.reduce((top, other) => (other.risk.overall < top.risk.overall - 1e-9 ? other : top));
  return [['least_fumes', calm.includes(recommended) ? recommended : surest]];
}

const figures = (system: CoatingSystem): number[] => [
  system.risk.overall,
  system.elapsedH,
  system.handsOnMin,
  system.materialsCost,
  FUMES_ORDER.indexOf(system.fumes),
];

/** As good in every figure and better in one. */
function outdoes(a: CoatingSystem, b: CoatingSystem): boolean {
  const [own, other] = [figures(a), figures(b)];
  return own.every((value, i) => value <= other[i]! + 1e-9) && own.some((value, i) => value < other[i]! - 1e-9);
}

/** What every system takes for granted: all that a zone may credibly be is served. */
function listAssumptions(searches: readonly ZoneSearch[]): Assumption[] {
  return searches.flatMap(({ ground }) => {
    const credible = ground.belief.substrate.filter(({ p }) => p >= CREDIBLE);
    return ground.look === 'leave' || credible.length < 2 ? [] : [{ zoneName: ground.name, credible }];
  });
}

/** Rain and sun want exterior systems by their labels: nothing is planned for a piece that will stand in them. */
const listOutdoors = (dossier: Dossier): Plan['blocked'] =>
  roomToBe(dossier) === 'outdoors' ? [{ gate: 'outdoors', because: { kind: 'outdoors' } }] : [];

function listBlocked(searches: readonly ZoneSearch[]): Plan['blocked'] {
  const blocked: Plan['blocked'] = [];
  for (const { ground } of searches)
    for (const stop of listStops(ground.hazards, ground.look === 'leave')) {
      const zone = ground.zone.id;
      if (stop.by === 'fault')
        blocked.push({ gate: stop.hazard.code, zone, because: { kind: 'hold', defect: stop.defect } });
      else blocked.push({ gate: stop.gate, zone, because: { kind: 'hazard', hazard: stop.hazard } });
    }
  const climate = searches[0]?.ground.climate;
  const stop = climate && (findStop(true, climate) ?? findStop(false, climate));
  if (climate && stop && searches.some(({ ground }) => ground.look !== 'leave'))
    blocked.push({
      gate: 'climate',
      because: { kind: 'climate', stop, temperatureC: climate.temperature_c, humidityPct: climate.humidity_pct },
    });
  blocked.push(...listDeadEnds(searches));
  return blocked;
}

/** Lead was found, or the rules leave no way: there is nothing to choose from. */
const endsAll = (because: PlanBlock): boolean =>
  because.kind === 'hazard'
    ? isStoppedByLead([because.hazard])
    : because.kind === 'no_way' || because.kind === 'no_common_paint' || because.kind === 'outdoors';

/** So many rules are named where none of the ways is left. */
const MOST_NAMED = 2;

/** Zones for which the rules leave nothing, or no paint that would do for all of them. */
function listDeadEnds(searches: readonly ZoneSearch[]): Plan['blocked'] {
  const dead = searches.filter(({ goals }) => goals.length === 0);
  if (dead.length === 0 && listPaintSets(searches).length === 0)
    return [{ gate: 'no_system', because: { kind: 'no_common_paint' } }];
  return dead.map(({ ground, cuts }) => {
    // The rules that cut most, each with what it found once.
    const counts = new Map<HardRule, number>();
    for (const { rule } of cuts) counts.set(rule, (counts.get(rule) ?? 0) + 1);
    const main = [...counts].sort(([, a], [, b]) => b - a).slice(0, MOST_NAMED);
    const findings = main.map(([rule]) => {
      const { choice, before } = cuts.find((cut) => cut.rule === rule)!;
      return findHard(rule, choice, before, ground);
    });
    const gate = findings.some(({ rule }) => rule === 'no_spraying_without_air') ? 'ventilation' : 'no_system';
    return { gate, zone: ground.zone.id, because: { kind: 'no_way', findings } };
  });
}

import { findStop, type StopReason } from '../climate';
import { FILM_FACTS, findCheck, hasStrongFumes, type ProductClass } from '../knowledge';
import type { Dossier, Treatment } from '../dossier';
import { CREDIBLE, labelState } from '../survey';
import { describeChance } from '../shared';
import { describePrimers, listCandidates, PRIMER_CHOICES, type Candidate } from './candidates';
import { readGround, type Ground } from './ground';
import { HARD_RULES, listCarriers } from './hard-rules';
import { computeRisk, listWarnings, withOverall, type FailureMode, type Risk, type Warning } from './risk';
import { listRejections, type JudgedZone, type Rejection } from './rejections';
import { listSteps, type Step } from './steps';
import { listSupplies, type ShelfItem, type Supply } from './supplies';

export interface ZonePlan {
  id: string;
  name: string;
  candidate: Candidate;
  treatment: Treatment;
  steps: Step[];
  risk: Risk;
  minutes: number;
  waitH: number;
  /** Money for this zone alone, coats by the millilitre. */
  materialsCost: number;
  /** Of it, cleaners, filler, paper and rags. */
  smallThingsCost: number;
  /** Money lost if the zone fails: a wrongly primed face takes twice as long to strip as an old one, then all again. */
  redoCost: number;
  strongFumes: boolean;
}

export type Label = 'recommended' | 'surest' | 'soonest' | 'cheapest' | 'least_fumes';

export interface CoatingSystem {
  id: string;
  labels: Label[];
  zones: ZonePlan[];
  risk: Risk;
  handsOnMin: number;
  elapsedH: number;
  /** Money for tins to buy and small things; what the shelf has is paid. */
  materialsCost: number;
  supplies: Supply[];
  expectedCost: number;
  fumes: 'low' | 'solvent' | 'two_part';
  assumes: string[];
  gates: string[];
  warnings: Warning[];
}

export interface Plan {
  systems: CoatingSystem[];
  rejected: Rejection[];
  blocked: { gate: string; zone?: string; text: string }[];
}

/** Money for an hour of the owner's time, and for cleaning up after one more product: used only to rank. Estimates. */
const HOUR_PRICE = 15;
const CLEAN_UP_PRICE = 2.5;
const ELAPSED_HOUR_PRICE = 0.1;
/** A failure also loses the week and the margin of the piece (estimate). */
const LOST_WEEK_PRICE = 150;
/** An alternative may be this much likelier to fail than the recommended system; worse is no alternative. */
const RISK_MARGIN = 0.2;
const MAX_ALTERNATIVES = 5;

/**
 * Coating systems for all zones of a piece together: every prep × primer choice is judged by the hard rules, given its
 * chances of failure, time and money, and joined over the zones so that one primer serves where that costs little.
 */
export function planPiece(dossier: Dossier): Plan {
  const grounds = (dossier.zones ?? []).map((zone) => readGround(dossier, zone));
  const judged = grounds.map(judgeZone);
  const blocked = listBlocked(grounds, judged);
  const rejected = judged.flatMap((zone) => listRejections(zone));
  const stopped = blocked.some(({ gate }) => gate === 'certified_practice' || gate === 'no_system');
  if (stopped || grounds.length === 0) return { systems: [], rejected, blocked };
  return { systems: chooseSystems(judged, blocked, dossier), rejected, blocked };
}

interface PlannedZone extends JudgedZone {
  allowed: ZonePlan[];
}

function judgeZone(ground: Ground): PlannedZone {
  const allowed: ZonePlan[] = [];
  const cut: PlannedZone['cut'] = [];
  for (const candidate of listCandidates(ground)) {
    const rule = ground.look === 'leave' ? undefined : HARD_RULES.find((hard) => hard.cuts(candidate, ground));
    if (rule) cut.push({ candidate, rule });
    else allowed.push(planZone(candidate, ground));
  }
  return { ground, allowed, cut };
}

function planZone(candidate: Candidate, ground: Ground): ZonePlan {
  const primer = candidate.primers[0];
  const treatment: Treatment = { prep: candidate.prep, primer: primer?.code ?? 'none', coats: primer?.coats ?? 0 };
  const steps = listSteps(candidate, ground);
  const minutes = steps.reduce((sum, step) => sum + step.minutes, 0);
  const smallThingsCost = steps.reduce((sum, step) => sum + (step.ml ? 0 : priceSplash(step)), CONSUMABLES_PRICE);
  const materialsCost = steps.reduce((sum, step) => sum + priceCoats(step, ground.shelf), smallThingsCost);
  return {
    id: ground.zone.id,
    name: ground.name,
    candidate,
    treatment,
    steps,
    risk: computeRisk(candidate, ground),
    minutes,
    waitH: steps.reduce((sum, step) => sum + step.waitH, 0),
    materialsCost,
    smallThingsCost,
    redoCost: ((60 + 200 * ground.area + minutes) / 60) * HOUR_PRICE + materialsCost,
    strongFumes: listCarriers(candidate).some(hasStrongFumes),
  };
}

/** Paper, rags and tape for a zone; a splash of cleaner or filler for a step (estimates). */
const CONSUMABLES_PRICE = 0.4;
const SPLASH_PRICE = 0.8;

const priceSplash = (step: Step): number => (step.class ? SPLASH_PRICE : 0);

/** Coats by the millilitre; what is on the shelf is paid. */
function priceCoats(step: Step, shelf: readonly ShelfItem[]): number {
  if (!step.ml || !step.class || shelf.some(({ id }) => id === step.product)) return 0;
  return (step.ml / 1000) * FILM_FACTS[step.class as keyof typeof FILM_FACTS].pricePerLitre;
}

/** Money-like score of one zone's plan, before what zones share. Lower is better. */
function scoreZone(zone: ZonePlan, priority: string | undefined): number {
  const redo = zone.risk.overall * (zone.redoCost + LOST_WEEK_PRICE);
  const base = zone.materialsCost + redo + (zone.minutes / 60) * HOUR_PRICE + zone.waitH * ELAPSED_HOUR_PRICE;
  const fumes = zone.strongFumes ? 1 : 0;
  switch (priority) {
    case 'surest':
      return base + 4 * redo;
    case 'soonest':
      return base + zone.waitH;
    case 'cheapest':
      return base + 3 * zone.materialsCost;
    case 'least_fumes':
      return base + fumes * 60;
    default:
      return base + fumes * 2;
  }
}

function chooseSystems(judged: readonly PlannedZone[], blocked: Plan['blocked'], dossier: Dossier): CoatingSystem[] {
  const priority = dossier.goal?.priority;
  const combinations = new Map<string, ZonePlan[]>();
  for (const aim of [undefined, 'surest', 'soonest', 'cheapest', 'least_fumes']) {
    for (const lead of PRIMER_CHOICES) {
      const zones = judged.map((zone) => pickForZone(zone, describePrimers(lead), aim ?? priority));
      combinations.set(zones.map((zone) => JSON.stringify(zone.candidate)).join('|'), zones);
    }
  }
  const systems = [...combinations.values()].map((zones) => ({
    system: assemble(zones, judged, blocked),
    score: scoreAll(zones, judged[0]?.ground.shelf ?? [], priority),
  }));
  const recommended = systems.reduce((best, other) => (other.score < best.score ? other : best)).system;
  const bearable = systems.filter(({ system }) => system.risk.overall <= recommended.risk.overall + RISK_MARGIN);
  const best = (value: (system: CoatingSystem) => number): CoatingSystem =>
    bearable.map(({ system }) => system).reduce((top, other) => (value(other) < value(top) ? other : top), recommended);
  const labelled: [Label, CoatingSystem][] = [
    ['recommended', recommended],
    ['surest', best((system) => system.risk.overall)],
    ['soonest', best((system) => system.elapsedH)],
    ['cheapest', best((system) => system.materialsCost)],
    ['least_fumes', calmest(bearable, recommended)],
  ];
  for (const [label, system] of labelled) system.labels.push(label);
  const chosen = [...new Set(labelled.map(([, system]) => system))];
  for (const { system } of [...bearable].sort((a, b) => a.score - b.score)) {
    if (chosen.length >= 3) break;
    if (!chosen.some((other) => leadPrimer(other) === leadPrimer(system))) chosen.push(system);
  }
  return chosen.slice(0, MAX_ALTERNATIVES).map((system, i) => ({
    ...system,
    id: `s${i + 1}`,
    assumes: describeAssumptions(system, judged, dossier),
  }));
}

/** The best of those with less fumes than the recommended one; itself if there are none. */
function calmest(
  systems: readonly { system: CoatingSystem; score: number }[],
  recommended: CoatingSystem,
): CoatingSystem {
  const fumes = (system: CoatingSystem): number => FUMES_ORDER.indexOf(system.fumes);
  const calmer = systems.filter(({ system }) => fumes(system) < fumes(recommended));
  const order = [...calmer].sort((a, b) => fumes(a.system) - fumes(b.system) || a.score - b.score);
  return order[0]?.system ?? recommended;
}

const FUMES_ORDER = ['low', 'solvent', 'two_part'] as const;
const leadPrimer = (system: CoatingSystem): string =>
  system.zones.map((zone) => describePrimers(zone.candidate.primers)).join('|');

/** The best allowed plan of a zone with this primer; if the rules cut it there, the best with any. */
function pickForZone(zone: PlannedZone, primers: string, aim: string | undefined): ZonePlan {
  const same = zone.allowed.filter((plan) => describePrimers(plan.candidate.primers) === primers);
  return pickBest({ ...zone, allowed: same.length > 0 ? same : zone.allowed }, aim)!;
}

/** Score of zones together: tins are bought whole and once, and each product is one more to clean up after. */
function scoreAll(zones: readonly ZonePlan[], shelf: readonly ShelfItem[], priority: string | undefined): number {
  const alone = zones.reduce((total, zone) => total + scoreZone(zone, priority), 0);
  const supplies = listSupplies(listUse(zones), shelf);
  const saved = priceMaterials(zones, supplies) - zones.reduce((sum, { materialsCost }) => sum + materialsCost, 0);
  return alone + saved * (priority === 'cheapest' ? 4 : 1) + CLEAN_UP_PRICE * supplies.length;
}

/** Millilitres of each product over all zones. */
function listUse(zones: readonly ZonePlan[]): Map<ProductClass, number> {
  const used = new Map<ProductClass, number>();
  for (const step of zones.flatMap(({ steps }) => steps))
    if (step.ml && step.class) used.set(step.class, (used.get(step.class) ?? 0) + step.ml);
  return used;
}

function priceMaterials(zones: readonly ZonePlan[], supplies: readonly Supply[]): number {
  const small = zones.reduce((sum, zone) => sum + zone.smallThingsCost, 0);
  return small + supplies.reduce((sum, { buy }) => sum + buy.price, 0);
}

function assemble(zones: ZonePlan[], judged: readonly PlannedZone[], blocked: Plan['blocked']): CoatingSystem {
  const grounds = new Map(judged.map(({ ground }) => [ground.zone.id, ground]));
  const modes = ['adhesion', 'bleed', 'grain_show', 'haze_or_yellow', 'blocking'] as const satisfies FailureMode[];
  const risk = withOverall(
    Object.fromEntries(
      modes.map((mode) => [mode, 1 - zones.reduce((held, zone) => held * (1 - zone.risk[mode]), 1)]),
    ) as Omit<Risk, 'overall'>,
  );
  const supplies = listSupplies(listUse(zones), judged[0]?.ground.shelf ?? []);
  const handsOnMin = zones.reduce((sum, zone) => sum + zone.minutes, 0) + 10 * supplies.length;
  const materialsCost = priceMaterials(zones, supplies);
  const redo = zones.reduce((sum, zone) => sum + zone.risk.overall * zone.redoCost, 0);
  const carriers = zones.flatMap((zone) => listCarriers(zone.candidate));
  const warnings = zones.flatMap((zone) => listWarnings(zone.candidate, grounds.get(zone.id)!));
  return {
    id: '',
    labels: [],
    zones,
    risk,
    handsOnMin,
    elapsedH: Math.round(Math.max(...zones.map(({ waitH }) => waitH)) + handsOnMin / 60),
    materialsCost,
    supplies,
    expectedCost: materialsCost + redo,
    fumes: carriers.includes('two_part') ? 'two_part' : carriers.some(hasStrongFumes) ? 'solvent' : 'low',
    assumes: [],
    gates: [...new Set(blocked.map(({ gate }) => gate))],
    warnings: warnings.filter((warning, i) => warnings.findIndex((other) => other.text === warning.text) === i),
  };
}

/**
 * What a system takes for granted about each zone that is not certain, and what knowing it would save: the zone is
 * planned again as if each credible material were known.
 */
function describeAssumptions(system: CoatingSystem, judged: readonly PlannedZone[], dossier: Dossier): string[] {
  return judged.flatMap(({ ground }) => {
    const current = system.zones.find(({ id }) => id === ground.zone.id);
    const credible = ground.diagnosis.belief.substrate.filter(({ p }) => p >= CREDIBLE);
    if (!current || ground.look === 'leave' || credible.length < 2) return [];
    const names = credible.map(({ code, p }) => `${labelState(code)} (${describeChance(p)})`).join(' or ');
    const savings = credible.flatMap(({ code }) => {
      const known = { ...ground.zone, stated: { ...ground.zone.stated, substrate: code } };
      const best = pickBest(judgeZone(readGround(dossier, known)), dossier.goal?.priority);
      const [hours, minutes] = best ? [current.waitH - best.waitH, current.minutes - best.minutes] : [0, 0];
      return hours >= 4 || minutes >= 15 ? [{ code, hours, minutes }] : [];
    });
    const most = savings.reduce<(typeof savings)[number] | null>((a, b) => (a && a.hours >= b.hours ? a : b), null);
    const next = ground.diagnosis.nextChecks[0];
    const check = next ? ` To find out: ${findCheck(next.check)?.title.toLowerCase() ?? next.check}.` : '';
    const saving = most ? ` Knowing that it is ${labelState(most.code)} would save ${saySaving(most)}.${check}` : '';
    return [`${ground.name}: ${names}. The plan serves all of them.${saving}`];
  });
}

function saySaving({ hours, minutes }: { hours: number; minutes: number }): string {
  const waits = hours >= 1 ? `${Math.round(hours)} h of waiting` : '';
  const hands = minutes >= 1 ? `${Math.round(minutes)} min of your hands` : '';
  return [waits, hands].filter(Boolean).join(' and ');
}

const pickBest = ({ allowed }: PlannedZone, aim: string | undefined): ZonePlan | undefined =>
  allowed.length === 0
    ? undefined
    : allowed.reduce((best, other) => (scoreZone(other, aim) < scoreZone(best, aim) ? other : best));

const STOP_WORDS: Record<StopReason, string> = {
  cold: 'Too cold for waterborne coats: at least 10 °C (5 °C for others).',
  hot: 'Too hot: coats skin over above 32 °C.',
  damp: 'Too damp: no coat above 85 % humidity.',
  dew: 'Too near the dew point: the surface must stay 3 °C above it.',
};

function listBlocked(grounds: readonly Ground[], judged: readonly PlannedZone[]): Plan['blocked'] {
  const blocked: Plan['blocked'] = [];
  for (const { zone, name, diagnosis, look } of grounds) {
    if (look === 'leave') continue;
    for (const hazard of diagnosis.hazards) {
      if (hazard.gate) blocked.push({ gate: hazard.gate, zone: zone.id, text: `${name}: ${hazard.why}` });
    }
  }
  const climate = grounds[0]?.climate;
  const stop = climate && (findStop(true, climate) ?? findStop(false, climate));
  if (climate && stop && grounds.some(({ look }) => look !== 'leave'))
    blocked.push({
      gate: 'climate',
      text: `${STOP_WORDS[stop]} Now: ${climate.temperature_c} °C, ${climate.humidity_pct} %.`,
    });
  for (const { ground, allowed, cut } of judged) {
    if (allowed.length > 0) continue;
    const rules = [...new Set(cut.map(({ rule }) => rule.id))].join(', ');
    blocked.push({
      gate: 'no_system',
      zone: ground.zone.id,
      text: `${ground.name}: the rules leave nothing (${rules}). More ventilation, another look or leaving this zone would.`,
    });
  }
  return blocked;
}

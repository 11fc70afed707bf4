import {
  hasStrongFumes,
  isCoat,
  maySpray,
  OPERATION_FACTS,
  WORK_RATES,
  type Carrier,
  type OperationCode,
  type SubstrateCode,
  type WorkSize,
} from '../knowledge';
import type { Recovery, Treatment } from '../dossier';
import { clearOf, treatmentKey } from '../proof';
import { mostLikelyState, type Hazard } from '../survey';
import type { Step } from './choice';
import type { SoftFinding } from './findings';
import type { Ground } from './ground';
import { priceRedo } from './prices';
import { addShared, listShared } from './sittings';
import { countSittings, priceConsumables, priceSplashes } from '../quantity';
import type { Product } from './product';
import { noteFaults, type FaultNote } from './repairs';
import { FAILURE_MODES, withOverall, type FailureMode, type Risk } from './risk';
import { chanceOf, listSoft, STAGE_NUMBERS, traceLabel, type Label } from './search';
import { combineChances } from './shared-causes';
import { findSoft } from './soft-rules';
import { tintPrimers } from './stages-coats';
import { listSmallSupplies, listSupplies, type SmallSupply, type Supply } from './supplies';
import type { CoatStack } from './surface-state';

/** What to mind with a system: what a soft rule found, or a hazard that holds nothing back. */
export type Warning = { zone: string; rule: string } & (
  { finding: SoftFinding; op: OperationCode | null } | { hazard: Hazard }
);

/** What a zone may credibly be, where that is more than one thing; all of it is served. */
export interface Assumption {
  zoneName: string;
  credible: { code: SubstrateCode; p: number }[];
}

export interface ZonePlan {
  id: string;
  name: string;
  /** How much there is to work on. */
  size: WorkSize;
  stack: CoatStack;
  treatment: Treatment;
  steps: Step[];
  risk: Risk;
  minutes: number;
  waitH: number;
  /** Money lost if the zone fails. */
  redoCost: number;
  warnings: Warning[];
  /** Where the work took up again after something failed. */
  recovery?: Recovery;
  /** Each fault that was seen, with what is done about it. */
  faults: FaultNote[];
}

/** From least to most. */
export const FUMES_ORDER = ['low', 'mist', 'solvent', 'two_part'] as const;
export type Fumes = (typeof FUMES_ORDER)[number];

export type SystemLabel = 'recommended' | 'surest' | 'soonest' | 'cheapest' | 'least_fumes';

export interface CoatingSystem {
  id: string;
  labels: SystemLabel[];
  zones: ZonePlan[];
  risk: Risk;
  handsOnMin: number;
  elapsedH: number;
  /** Money for all that is used up: paint by `supplies`, what comes by the splash, paper, rollers and tape. */
  materialsCost: number;
  /** Of it, paper, rollers, rags and tape. */
  consumablesCost: number;
  supplies: Supply[];
  small: SmallSupply[];
  /** Materials and what a failure would cost by its chance. */
  expectedCost: number;
  /** What the plan was ranked by: materials, hands, waiting, cleaning up, vapour and redoing, all in money. */
  totalCost: number;
  /** Patches of the shop's own that the chances rest on, where fewest do. */
  patches: number;
  /** How much of it is breathed, mist of a sprayed waterborne coat among it. */
  fumes: Fumes;
  assumes: Assumption[];
  gates: string[];
  warnings: Warning[];
}

export function describeZone(label: Label, ground: Ground): ZonePlan {
  const { state } = label;
  const way = traceLabel(label);
  const primer = state.primers[0];
  const { recovery } = ground;
  // What made the first coats fail may stay: it is a chance of the same kind, on top of that of the new layers.
  const comesAgain = (recovery?.bleeds ?? 0) > 0 ? 'bleed' : 'adhesion';
  const stays = (mode: FailureMode): number => (mode === comesAgain ? 1 - (recovery?.cured ?? 1) : 0);
  const risk = withOverall(
    Object.fromEntries(
      FAILURE_MODES.map((mode) => [mode, 1 - (1 - chanceOf(label, mode)) * (1 - stays(mode))]),
    ) as Record<FailureMode, number>,
  );
  return {
    id: ground.zone.id,
    name: ground.name,
    size: ground.size,
    ...(recovery ? { recovery } : {}),
    stack: state,
    treatment: {
      prep: state.prep,
      primer: primer?.code ?? 'none',
      coats: primer?.coats ?? 0,
      ...(state.paint ? { paint: state.paint, paint_coats: state.paintCoats } : {}),
      ...(state.topcoat === 'none' ? {} : { clear: state.topcoat }),
    },
    steps: patchFirst(
      tintPrimers(
        way.flatMap(({ choice }, stage) => choice.steps().map((own) => ({ ...own, stage: STAGE_NUMBERS[stage]! }))),
        state.tint,
      ),
    ),
    risk,
    minutes: label.minutes,
    waitH: label.waitH,
    redoCost: priceRedo(label, ground),
    warnings: [
      ...listHazardWarnings(ground),
      ...way.flatMap(({ choice, before }) =>
        listSoft(choice, before, ground).map(({ rule }) => ({
          rule: rule.id,
          zone: ground.zone.id,
          finding: findSoft(rule, choice, before, ground),
          op: choice.op,
        })),
      ),
    ],
    faults: way.flatMap(({ choice }) => (choice.repairs ? noteFaults(choice.repairs) : [])),
  };
}

/**
 * The patch is painted first, on a hand's breadth prepared by itself, and dries while the rest is washed and dulled: only
 * what changes the ground under it comes before.
 */
function patchFirst(steps: readonly Step[]): Step[] {
  const at = steps.findIndex(({ name }) => name === 'prove');
  if (at < 0) return [...steps];
  const changes = steps.findLastIndex(
    ({ op, name }, i) => i < at && (OPERATION_FACTS[op].beforePatch === true || name === 'sand_to_bare'),
  );
  const rest = steps.filter((_, i) => i !== at);
  return [...rest.slice(0, changes + 1), steps[at]!, ...rest.slice(changes + 1)];
}

/** What the survey warns of without holding anything back is said beside the layers as well. */
const listHazardWarnings = ({ hazards, zone, look }: Ground): Warning[] =>
  look === 'leave'
    ? []
    : hazards.filter(({ gate }) => gate === undefined).map((hazard) => ({ rule: hazard.code, zone: zone.id, hazard }));

/** Every coat of every zone, by what it is of. */
const listCoats = (zones: readonly ZonePlan[]): Parameters<typeof countSittings>[0] =>
  zones.flatMap(({ id: zone, steps }) =>
    steps.flatMap(({ op, class: code, product, colour, coats = 1 }) =>
      isCoat(op) && code !== undefined ? [{ zone, product: [product ?? code, colour].join(), coats }] : [],
    ),
  );

/** A complete system from the way taken on each zone. `ownConsumables`: the owner's own figure for paper, rollers and tape. */
export function assembleSystem(
  labels: readonly Label[],
  grounds: readonly Ground[],
  totalCost: number,
  ownConsumables?: number,
): Omit<CoatingSystem, 'id' | 'labels' | 'assumes' | 'gates'> {
  const zones = sharePatches(
    labels.map((label, i) => describeZone(label, grounds[i]!)),
    grounds,
  );
  const used = new Map<Product, number>();
  for (const { product, ml } of labels.flatMap(({ uses }) => uses)) used.set(product, (used.get(product) ?? 0) + ml);
  const products = [...used.keys()];
  const supplies = listSupplies(used);
  const sittings = addShared(zones.map(({ steps }, i) => listShared(steps, grounds[i]!.application)));
  const handsOnMin = zones.reduce((sum, { minutes }) => sum + minutes, sittings);
  const treated = zones.filter(({ steps }) => steps.length > 0);
  const consumablesCost =
    ownConsumables ?? priceConsumables({ zones: treated.length, sittings: countSittings(listCoats(treated)) });
  const materialsCost =
    consumablesCost +
    labels.reduce((sum, { splashes }) => sum + priceSplashes(splashes), 0) +
    supplies.reduce((sum, { cost }) => sum + cost, 0);
  const modes = FAILURE_MODES.map((mode) => [
    mode,
    combineChances(zones.map((zone, i) => ({ cause: nameCause(mode, zone, grounds[i]!), p: zone.risk[mode] }))),
  ]);
  const carriers = products.map(({ carrier }) => carrier);
  return {
    zones,
    risk: withOverall(Object.fromEntries(modes) as Record<FailureMode, number>),
    handsOnMin,
    elapsedH: Math.round(waitForAll(labels, grounds, zones) + handsOnMin / 60),
    materialsCost,
    consumablesCost,
    supplies,
    small: listSmallSupplies(zones.flatMap(({ steps }) => steps)),
    expectedCost: materialsCost + zones.reduce((sum, { risk, redoCost }) => sum + risk.overall * redoCost, 0),
    totalCost,
    patches: countPatches(zones, grounds),
    fumes: judgeFumes(carriers, zones, grounds[0]?.application),
    warnings: zones.flatMap(({ warnings }) => warnings),
  };
}

/** By what is put on; a sprayed coat is never little. */
function judgeFumes(
  carriers: readonly Carrier[],
  zones: readonly ZonePlan[],
  application: Ground['application'] | undefined,
): Fumes {
  if (carriers.includes('two_part')) return 'two_part';
  const melted = zones.some(({ steps }) => steps.some(({ op }) => op === 'reamalgamate'));
  if (melted || carriers.some(hasStrongFumes)) return 'solvent';
  const sprayed =
    application === 'spray' && zones.some(({ steps }) => steps.some(({ op, class: code }) => maySpray(op, code)));
  return sprayed ? 'mist' : 'low';
}

/** Hours until the last zone is done: wood along paint has its coats once that paint is dry. */
function waitForAll(labels: readonly Label[], grounds: readonly Ground[], zones: readonly ZonePlan[]): number {
  const waitOf = new Map(labels.map(({ waitH }, i) => [zones[i]!.id, waitH]));
  const waits = labels.map(({ waitH }, i) => {
    const { steps } = zones[i]!;
    const first = steps.findIndex(({ meets, hand }) => meets !== undefined && hand === undefined);
    if (first < 0) return waitH;
    const met = Math.max(0, ...grounds[i]!.meetsOther.map((id) => waitOf.get(id) ?? 0));
    return Math.max(waitH, met + steps.slice(first).reduce((sum, own) => sum + own.waitH, 0));
  });
  return Math.max(0, ...waits);
}

/**
 * One patch for the zones that are read alike and treated alike. The search leaves it to the first of those read alike;
 * one that is treated otherwise than those before it has a patch of its own.
 */
function sharePatches(zones: readonly ZonePlan[], grounds: readonly Ground[]): ZonePlan[] {
  return zones.map((zone, i) => {
    const shares = zones.some(
      (other, k) =>
        k < i && grounds[i]!.alike.includes(other.id) && treatmentKey(other.treatment) === treatmentKey(zone.treatment),
    );
    const minutes = shares ? 0 : WORK_RATES.proof.once;
    const proofs = zone.steps.filter(({ name }) => name === 'prove');
    const more = proofs.reduce((sum, own) => sum + minutes - own.minutes, 0);
    if (more === 0) return zone;
    const steps = zone.steps.map((own) => (own.name === 'prove' ? { ...own, minutes } : own));
    return { ...zone, steps, minutes: zone.minutes + more };
  });
}

/** What zones that fail together have in common: the ground, and the layers that the way of failing hangs on. */
function nameCause(mode: FailureMode, { stack }: ZonePlan, { belief }: Ground): string {
  const { substrate, finish } = mostLikelyState(belief);
  const { prep, primers, paint, topcoat } = stack;
  const layers = primers.map(({ code, coats }) => `${code}×${coats}`).join('+');
  switch (mode) {
    case 'adhesion':
      return [substrate, finish, prep, layers].join('/');
    case 'bleed':
      return [substrate, layers].join('/');
    case 'grain_show':
      return [substrate, prep, layers].join('/');
    case 'haze_or_yellow':
    case 'blocking':
      return [paint, topcoat].join('/');
  }
}

/** Patches that speak of the grip of each zone that is primed or kept as wood; the zone with fewest decides how fine a chance may be said. */
function countPatches(zones: readonly ZonePlan[], grounds: readonly Ground[]): number {
  const counts = zones.flatMap(({ treatment }, i) => {
    const { prep = 'none', primer = 'none' } = treatment;
    const clear = clearOf(treatment);
    if (primer === 'none' && !clear) return [];
    const { held, failed } = grounds[i]!.pool('adhesion', prep, primer, clear);
    return [held + failed];
  });
  return counts.length === 0 ? 0 : Math.min(...counts);
}

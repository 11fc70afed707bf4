import {
  computeCoatMl,
  isRubbedOn,
  minutesFor,
  type HandCode,
  type OperationCode,
  type PrepCode,
  type ProductClass,
  type RepairStepCode,
  type StrippingCode,
  type WorkRate,
  type WorkSize,
} from '../knowledge';
import type { PrimerTint } from '../film';
import type { Ground } from './ground';
import type { Chances } from './risk';
import type { Product } from './product';
import type { RepairPlan } from './repairs';
import type { StepReason } from './reasons';
import type { StepName } from './step-name';
import type { SurfaceState } from './surface-state';

/** One thing to do on a zone, as the owner reads it. */
export interface Step {
  op: OperationCode;
  name: StepName;
  class?: ProductClass;
  grit?: number;
  tests?: string[];
  coats?: number;
  ml?: number;
  /** The owner's tin it is taken from. */
  product?: string;
  /** The repair it is (`REPAIR_STEPS`), and what it takes where no product class names that. */
  repair?: RepairStepCode;
  material?: string;
  /** How an old coat is got off. */
  method?: StrippingCode;
  tint?: PrimerTint;
  /** What it dries to, of a coat of paint. */
  colour?: string;
  /** The rule of the hand that it is there by, and the zones whose paint it waits for. */
  hand?: HandCode;
  meets?: string[];
  /** Hours after the coat before it that it may start, where that is later than the next coat might. */
  afterH?: number;
  /** Days until what is on it has cured. */
  cureDays?: number;
  recoatH?: number;
  /** Hands-on minutes of this zone; `once`: those of a sitting, shared by the zones that are worked on together. */
  minutes: number;
  once?: number;
  /** Done between the coats of the step before it. */
  between?: true;
  waitH: number;
  why: StepReason[];
  /** Where it stands in the order of work: the same for all zones. */
  stage?: number;
}

/** One way to go on from a state: an edge of the graph. */
export interface Choice {
  op: OperationCode | null;
  /** What it changes in the state. */
  sets: Partial<SurfaceState>;
  /** Nothing more comes under the paint: what bleeds and what shows is decided here. */
  closesGround?: boolean;
  minutes: number;
  waitH: number;
  /** Splashes of cleaner or filler, each a small sum. */
  splashes: number;
  /** What a coat is taken from, how many coats, and how much. */
  product?: Product;
  coats?: number;
  ml?: number;
  /** What it takes of another product besides: a second colour. */
  also?: { product: Product; ml: number; coats: number };
  prep?: PrepCode;
  /** The answer to the faults of the zone that this way is. */
  repairs?: RepairPlan;
  /** The need that is left unserved on this way. */
  skips?: string;
  /** Chances of failure that this way adds by itself. */
  chances?: Chances;
  /** The steps in words, made only for the ways that are taken. */
  steps: () => Step[];
}

/** A way without any product. */
export function take(
  op: OperationCode,
  sets: Partial<SurfaceState>,
  steps: Step[],
  more: Partial<Choice> = {},
): Choice {
  return {
    op,
    sets,
    minutes: steps.reduce((sum, { minutes }) => sum + minutes, 0),
    waitH: steps.reduce((sum, { waitH }) => sum + waitH, 0),
    splashes: steps.filter((own) => own.class !== undefined).length,
    steps: () => steps,
    ...more,
  };
}

/** Nothing is done at this stage. */
export const pass = (more: Partial<Choice> = {}): Choice => ({
  op: null,
  sets: {},
  minutes: 0,
  waitH: 0,
  splashes: 0,
  steps: () => [],
  ...more,
});

export function step(
  op: OperationCode,
  name: StepName,
  minutes: number,
  waitH: number,
  why: StepReason | StepReason[],
  more: Partial<Step> = {},
): Step {
  const own = more.once === undefined ? roundMinutes(minutes) : Math.round(minutes);
  return { op, name, minutes: own, waitH, why: [why].flat(), ...more };
}

/** A step that takes what its rate says of a size: what is once a sitting is told apart. */
export const work = (
  op: OperationCode,
  name: StepName,
  rate: WorkRate,
  size: WorkSize,
  why: StepReason | StepReason[],
  more: Partial<Step> = {},
): Step =>
  step(op, name, minutesFor(rate, size), rate.waitH ?? 0, why, { ...(rate.once ? { once: rate.once } : {}), ...more });

export const roundMinutes = (minutes: number): number => Math.max(1, Math.round(minutes));

/** Loss of wet paint by how it is put on, as a share of what stays (common practice). */
const LOSS = { brush_roll: 0.1, spray: 0.35, aerosol: 0.45 } as const;
/** The first coat on raw wood or board soaks in (common practice: 20–30 % more). */
const RAW_GROUND = 1.25;

/** Millilitres of wet paint for some coats, to the next 5, and never none. */
export function measureCoats(
  ground: Ground,
  { class: code, film }: Product,
  coats: number,
  first: boolean,
  area: number = ground.area,
): number {
  const one = computeCoatMl(area, film, LOSS[isRubbedOn(code) ? 'brush_roll' : ground.application]);
  return Math.max(5, Math.round((one * (coats + (first ? (RAW_GROUND - 1) * ground.pRaw : 0))) / 5) * 5);
}

export const needed = (ground: Ground, code: string): number => ground.needs.get(code) ?? 0;
export function whyNeed(ground: Ground, code: string): StepReason[] {
  const need = ground.reasons.get(code);
  return need ? [{ code: 'need', need }] : [];
}

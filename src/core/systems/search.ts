import { REFITTING, PRIMING, PRIMING_AGAIN, SMOOTHING, SPOT_SEALING, STAINING, TOPCOATING } from './stages-coats';
import { PAINTING } from './stage-painting';
import {
  CLEANING,
  DESILICONING,
  DEWAXING,
  DULLING,
  EDGE_SEALING,
  GRAIN_FILLING,
  REPAIRING,
  STRIPPING,
  type Stage,
} from './stages-ground';
import { pass, type Choice } from './choice';
import type { Ground } from './ground';
import { HARD_RULES, type HardRule } from './hard-rules';
import type { Product } from './product';
import { assessCoat, FAILURE_MODES, type FailureMode } from './risk';
import { SOFT_RULES, type SoftRule } from './soft-rules';
import { thinLabels } from './thin';
import { keyOf, UNTOUCHED, type SurfaceState } from './surface-state';

/** The order of work: an acyclic graph, so that labels are set stage by stage. */
export const STAGES: readonly Stage[] = [
  CLEANING,
  DEWAXING,
  DESILICONING,
  STRIPPING,
  REPAIRING,
  DULLING,
  GRAIN_FILLING,
  EDGE_SEALING,
  SPOT_SEALING,
  PRIMING,
  PRIMING_AGAIN,
  SMOOTHING,
  STAINING,
  PAINTING,
  TOPCOATING,
  REFITTING,
];

/** A zone that is left is cleaned and mended, and what it smells of is sealed in. */
const STAGES_OF_LEFT_ZONES: readonly Stage[] = [CLEANING, REPAIRING, SPOT_SEALING, REFITTING];
const NOTHING: Stage = { id: 'nothing', choices: () => [pass()] };

const stagesOf = ({ look }: Ground): readonly Stage[] =>
  look === 'leave' ? STAGES.map((stage) => (STAGES_OF_LEFT_ZONES.includes(stage) ? stage : NOTHING)) : STAGES;

/**
 * The number of each stage as it is kept with steps and in the names of tasks. What is stripped is stripped within the number
 * of the repairs, so that the numbers of plans of before stay what they were.
 */
export const STAGE_NUMBERS: readonly number[] = STAGES.map((_, i) => (i > STAGES.indexOf(STRIPPING) ? i - 1 : i));

/** Places in the order of work that others go by. */
export const DULLING_STAGE = STAGE_NUMBERS[STAGES.indexOf(DULLING)]!;

/** What one way through the graph costs so far. All figures add up along the way; chances are kept as −ln(1 − p). */
export interface Label {
  state: SurfaceState;
  minutes: number;
  waitH: number;
  splashes: number;
  losses: readonly number[];
  loss: number;
  /** Millilitres by product, sorted by the product's index. */
  uses: readonly Use[];
  parent: Label | null;
  choice: Choice | null;
}

/** What is taken of a product, and in how many sittings it is opened for it. */
export interface Use {
  product: Product;
  ml: number;
  sittings: number;
}

/** A way that a rule cut, from the state it started at. */
export interface Cut {
  /** Place in the order of work. */
  stage: number;
  rule: HardRule;
  choice: Choice;
  before: SurfaceState;
}

export interface ZoneSearch {
  ground: Ground;
  /** Every complete way that is not beaten by another through the same last state. */
  goals: readonly Label[];
  /** Every preparation and primer stack that may be painted over. */
  reached: readonly SurfaceState[];
  cuts: readonly Cut[];
  /** States met and labels made: what the search took. */
  states: number;
  labels: number;
}

interface SearchOptions {
  /** Only ways that this allows are looked at. */
  follows?: (choice: Choice, before: SurfaceState) => boolean;
  /** Once the ground is closed, go on with so many of the best only (by each ranking); left out, with all. */
  few?: number;
}

/**
 * Every coating system of a zone that the hard rules allow and that none like it beats in hands, waiting, risk and
 * materials at once: label setting with dominance over the stages of the work. With `few`, only the best go on
 * once the ground is closed (`thinLabels`).
 */
export function searchZone(
  ground: Ground,
  products: readonly Product[],
  { follows, few }: SearchOptions = {},
): ZoneSearch {
  const cuts: Cut[] = [];
  const reached: SurfaceState[] = [];
  let front = new Map<string, Label[]>([[keyOf(UNTOUCHED), [START]]]);
  let states = 1;
  let made = 1;
  for (const [place, stage] of stagesOf(ground).entries()) {
    const next = new Map<string, Label[]>();
    let closing = false;
    for (const labels of front.values()) {
      const { state } = labels[0]!;
      for (const choice of stage.choices(state, ground, products)) {
        if (follows && !follows(choice, state)) continue;
        if (choice.closesGround) closing = true;
        const rule = HARD_RULES.find((hard) => hard.cuts(choice, state, ground));
        if (rule) {
          cuts.push({ stage: place, rule, choice, before: state });
          continue;
        }
        // Allowed by the rules, whether or not something beats it: what is beaten was not ruled out.
        if (choice.closesGround) reached.push({ ...state, ...choice.sets });
        const losses = assessLosses(choice, state, ground);
        const after = { ...state, ...choice.sets };
        // Where no paint comes, what is below the last layer goes on counting.
        const key = stage.keyAfter && ground.look === 'opaque' ? stage.keyAfter(after, ground, products) : keyOf(after);
        const there = next.get(key) ?? [];
        next.set(key, there);
        made += labels.length;
        for (const label of labels) addUnlessBeaten(there, extend(label, choice, losses));
      }
    }
    states += next.size;
    front = next;
    if (!closing) continue;
    if (few) for (const [key, labels] of front) front.set(key, thinLabels(labels, ground, few));
  }
  return { ground, goals: [...front.values()].flat(), reached, cuts, states, labels: made };
}

const START: Label = {
  state: UNTOUCHED,
  minutes: 0,
  waitH: 0,
  splashes: 0,
  losses: FAILURE_MODES.map(() => 0),
  loss: 0,
  uses: [],
  parent: null,
  choice: null,
};

/** −ln(1 − p) by failure mode: from what the coat lies on, from soft rules, and from what was left undone. */
function assessLosses(choice: Choice, before: SurfaceState, ground: Ground): readonly number[] | null {
  const coat = assessCoat(choice, before, ground);
  const soft = listSoft(choice, before, ground);
  if (!choice.chances && soft.length === 0 && Object.keys(coat).length === 0) return null;
  return FAILURE_MODES.map((mode) => {
    const chances = [
      coat[mode],
      choice.chances?.[mode],
      ...soft.filter(({ rule }) => rule.mode === mode).map(({ p }) => p),
    ];
    return chances.reduce<number>((sum, p) => sum - Math.log1p(-Math.min(0.999, p ?? 0)), 0);
  });
}

export function listSoft(choice: Choice, before: SurfaceState, ground: Ground): { rule: SoftRule; p: number }[] {
  if (!choice.product) return [];
  return SOFT_RULES.flatMap((rule) => {
    const p = rule.chance(choice, before, ground);
    return p === null ? [] : [{ rule, p }];
  });
}

function extend(label: Label, choice: Choice, losses: readonly number[] | null): Label {
  const added = losses ? losses.reduce((sum, loss) => sum + loss, 0) : 0;
  return {
    state: { ...label.state, ...choice.sets },
    minutes: label.minutes + choice.minutes,
    waitH: label.waitH + choice.waitH,
    splashes: label.splashes + choice.splashes,
    losses: losses ? label.losses.map((loss, i) => loss + losses[i]!) : label.losses,
    loss: label.loss + added,
    uses: addUses(label.uses, choice),
    parent: label,
    choice,
  };
}

function addUses(uses: readonly Use[], { product, ml, coats = 1, also }: Choice): readonly Use[] {
  const own = product && ml ? addUse(uses, { product, ml, sittings: coats }) : uses;
  return also && also.ml > 0 ? addUse(own, { product: also.product, ml: also.ml, sittings: also.coats }) : own;
}

function addUse(uses: readonly Use[], more: Use): Use[] {
  const { product, ml, sittings } = more;
  const at = uses.findIndex((use) => use.product.index >= product.index);
  if (at < 0) return [...uses, more];
  if (uses[at]!.product !== product) return [...uses.slice(0, at), more, ...uses.slice(at)];
  return uses.map((use, i) => (i === at ? { product, ml: use.ml + ml, sittings: use.sittings + sittings } : use));
}

/** Keeps a label unless one that is there is as good in every respect; drops those it beats. */
function addUnlessBeaten(labels: Label[], label: Label): void {
  for (const other of labels) if (beats(other, label)) return;
  let kept = 0;
  for (const other of labels) if (!beats(label, other)) labels[kept++] = other;
  labels.length = kept;
  labels.push(label);
}

const NEGLIGIBLE = 1e-9;

/** At least as good in hands, waiting, risk and small things, with no product, no sitting and no millilitre more. */
export function beats(a: Label, b: Label): boolean {
  return (
    a.minutes <= b.minutes &&
    a.waitH <= b.waitH &&
    a.loss <= b.loss + NEGLIGIBLE &&
    a.splashes <= b.splashes &&
    usesNoMore(a.uses, b.uses)
  );
}

function usesNoMore(a: readonly Use[], b: readonly Use[]): boolean {
  let at = 0;
  for (const { product, ml, sittings } of a) {
    while (at < b.length && b[at]!.product.index < product.index) at += 1;
    const other = b[at];
    if (!other || other.product !== product || other.ml < ml || other.sittings < sittings) return false;
  }
  return true;
}

export const chanceOf = (label: Label, mode: FailureMode): number =>
  -Math.expm1(-label.losses[FAILURE_MODES.indexOf(mode)]!);

/** The choices of a label from the first stage to the last, each with the state before it. */
export function traceLabel(label: Label): { choice: Choice; before: SurfaceState }[] {
  const way: { choice: Choice; before: SurfaceState }[] = [];
  for (let at: Label | null = label; at?.choice && at.parent; at = at.parent)
    way.unshift({ choice: at.choice, before: at.parent.state });
  return way;
}

import type { Climate } from '../climate';
import { openTroubles, type Dossier, type ShelfItem } from '../dossier';
import { isCoat, isWholeCoat, WORK_RATES, type HandCode, type OperationCode, type StrippingCode } from '../knowledge';
import { judgeGates } from '../piece';
import { definedOnly, latestOf } from '../shared';
import {
  DULLING_STAGE,
  identifyStep,
  listTakenSteps,
  sittingOf,
  type NamedTask,
  type StepName,
  type TakenStep,
} from '../systems';
import { isFilm, listFilmTimes } from './film-times';
import { addPauses } from './pauses';
import { READING_KEY } from './reading-task';
import { baseKey, findMark, KEY_COPY, matchLog, type Node } from './task-marks';

/** Hours after the end of one task in which another may start. */
export interface HourLag {
  fromH: number;
  untilH?: number;
}

/** One thing to do on one piece, on all its zones that want it together. */
export interface Task {
  /** Piece and key. */
  id: string;
  piece: string;
  /** The same whenever the piece is planned with these layers. */
  key: string;
  op: OperationCode;
  /** What it is called, as its step is: a code, or only the words it was taken with. */
  name?: string;
  label?: string;
  stage: number;
  zones: string[];
  class?: string;
  product?: string;
  grit?: number;
  tint?: string;
  /** What it dries to, of a coat of paint. */
  colour?: string;
  /** The rule of the hand that it is there by. */
  hand?: HandCode;
  /** The repair it is, and what it takes where no product class names that. */
  repair?: string;
  material?: string;
  /** How an old coat is got off. */
  method?: StrippingCode;
  /** Which coat it is, of how many. */
  coat: number;
  coats: number;
  /** Hands-on by the class table, minutes, and what it takes of the product, ml; each for its zones. */
  minutes: number;
  /** Getting its product out and putting it away: once a sitting, whatever else is coated with it. */
  sittingMin: number;
  ml: number;
  shares: { zone: string; minutes: number; ml: number }[];
  after: { key: string; lags: HourLag[] }[];
  /** What follows it on the same day: bright metal is not left overnight. */
  leadsTo?: string;
  /** Hours until the next thing can be done to it. */
  waitH: number;
  why: TakenStep['why'];
  tests?: string[];
  state: 'open' | 'done' | 'skipped';
  /** When it was done on the last of its zones; what another waits for is counted from here. */
  doneAt?: string;
  /** Zones still to do, where only some are done. */
  openZones: string[];
}

/**
 * The work of a piece as tasks, from the system that was taken and what the log says is done: one task a coat, the same
 * work on several zones together, each after what comes before it on any of its zones. Empty where nothing was taken or
 * no way keeps to it any more. `tins` and `climate` decide the waits; with `now` (ISO instant),
 * what a long rest asks for is among them.
 */
export function listTasks(dossier: Dossier, tins: readonly ShelfItem[], climate: Climate, now?: string): Task[] {
  const taken = listTakenSteps(dossier);
  // Colours tell tasks apart only where there are several; the keys of a piece of one colour are what they always were.
  const several = new Set(taken.flatMap(({ steps }) => steps.flatMap(({ colour }) => colour ?? []))).size > 1;
  const planned = taken.map(({ id, steps }) => ({ zone: id, nodes: expand(id, steps, several) }));
  const gates = judgeGates(dossier);
  const paused = now === undefined ? planned : planned.map((chain) => addPauses(chain, dossier, tins, now));
  const done = new Map(paused.map(({ zone, nodes }) => [zone, matchLog(nodes, dossier, zone)]));
  // What went wrong on a zone is settled first: its old steps do not go on.
  const halted = new Set(openTroubles(dossier).map(({ zone }) => zone));
  const chains = paused.map(({ zone, nodes }) => ({
    zone,
    nodes: halted.has(zone) ? nodes.filter(({ key }) => done.get(zone)!.has(key)) : nodes,
  }));
  const tin = (id: string | undefined): ShelfItem | undefined => tins.find((own) => own.id === id);
  const tasks: Task[] = [];
  const rows = mergeChains(chains);
  for (const { key, nodes } of rows) {
    const [first] = nodes as [Node, ...Node[]];
    const { step } = first;
    const onceMin = Math.max(...nodes.map((node) => node.onceMin));
    // One tin is opened for all zones that are coated together.
    const product = nodes.flatMap((node) => node.step.product ?? [])[0];
    const marks = nodes.map((node) => ({
      zone: node.zone,
      mark: findMark(node, done.get(node.zone)!, gates, dossier),
    }));
    const open = marks.filter(({ mark }) => mark === undefined);
    const over = marks.flatMap(({ mark }) => (mark ? [mark] : []));
    const skipped = open.length === 0 && over.every((mark) => mark.skipped);
    tasks.push({
      id: `${dossier.piece.id ?? ''}/${key}`,
      piece: dossier.piece.id ?? '',
      key,
      op: step.op,
      ...(step.name ? { name: step.name } : {}),
      ...(step.label ? { label: step.label } : {}),
      stage: step.stage,
      zones: nodes.map(({ zone }) => zone),
      ...(step.class ? { class: step.class } : {}),
      ...(product ? { product } : {}),
      ...(step.grit ? { grit: step.grit } : {}),
      ...(step.repair ? { repair: step.repair } : {}),
      ...(step.material ? { material: step.material } : {}),
      ...(step.method ? { method: step.method } : {}),
      ...(step.tint ? { tint: step.tint } : {}),
      ...(step.colour ? { colour: step.colour } : {}),
      ...(step.hand ? { hand: step.hand } : {}),
      ...(step.tests ? { tests: step.tests } : {}),
      coat: first.coat,
      coats: first.coats,
      minutes: nodes.reduce((sum, { minutes }) => sum + minutes, onceMin),
      sittingMin: isCoat(step.op) && step.class ? sittingOf(dossier.goal?.application, step) : 0,
      ml: Math.round(nodes.reduce((sum, { ml }) => sum + ml, 0)),
      shares: nodes.map(({ zone, minutes, ml }) => ({ zone, minutes: minutes + onceMin / nodes.length, ml })),
      after: listBefore(nodes, chains, tasks, tin, climate),
      ...definedOnly({ leadsTo: findLed(nodes, chains, rows) }),
      waitH: Math.max(...nodes.map((node) => waitAfter(node, tin(product), climate)[0]!.fromH)),
      why: step.why,
      state: open.length > 0 ? 'open' : skipped ? 'skipped' : 'done',
      ...findLast(over.flatMap(({ at }) => at ?? [])),
      openZones: open.map(({ zone }) => zone),
    });
  }
  return tasks;
}

/** What a task is called by, to go on its own. */
export const pickName = ({
  op,
  key,
  name,
  label,
  class: code,
  tint,
  grit,
  repair,
  method,
  hand,
  coat,
  coats,
}: Task): NamedTask => ({
  op,
  key,
  coat,
  coats,
  ...definedOnly({ name, label, class: code, tint, grit, repair, method, hand }),
});

/** When it was done on the last of its zones, where that is known. */
function findLast(moments: readonly string[]): Pick<Task, 'doneAt'> {
  const last = latestOf(moments);
  return last === undefined ? {} : { doneAt: last };
}

/** What is on is tested as it is, without a patch of its own. */
const TEST_AGAIN = 'test_again' satisfies StepName;

/** The step that tells bright metal: it is coated on the day it is bared (common practice). */
const BARES_METAL = 'wipe_metal' satisfies StepName;

/** Steps of a zone in single tasks. */
function expand(zone: string, steps: readonly TakenStep[], several: boolean): Node[] {
  const nodes: Node[] = [];
  // Read before the first coat over the whole face: what was washed and dulled meanwhile did not wait for it.
  let toRead: Node[] = [];
  const counts = new Map<string, number>();
  const isMetal = steps.some(({ name }) => name === BARES_METAL);
  let isBright = false;
  for (const step of steps) {
    const coats = step.name === TEST_AGAIN ? 0 : (step.coats ?? 1);
    const bares = isMetal && step.stage === DULLING_STAGE;
    if (isWholeCoat(step.op) || bares) {
      nodes.push(...toRead);
      toRead = [];
    }
    isBright = (isBright || bares) && !isCoat(step.op);
    const start = nodes.length;
    for (let coat = 1; coat <= coats; coat += 1) {
      const what = step.hand ?? step.repair ?? step.class ?? step.grit ?? '';
      const colour = several && step.colour ? [step.colour.slice(1)] : [];
      const base = [step.stage, step.op, what, ...colour].join('-');
      const count = (counts.get(base) ?? 0) + 1;
      counts.set(base, count);
      const node: Node = {
        key: `${base}-${count}`,
        step,
        zone,
        coat,
        coats,
        minutes: step.minutes / coats,
        onceMin: (step.once_min ?? 0) / coats,
        ml: (step.ml ?? 0) / coats,
        waitH: step.wait_h / coats,
        ...(isBright ? { isBright } : {}),
      };
      // After each coat but the last of the step before it.
      if (step.between) nodes.splice(Math.max(0, start - coats - 1) + 2 * coat - 1, 0, node);
      else nodes.push(node);
    }
    if (step.op !== 'proof') continue;
    // What is tested again has its patch already, or is its own.
    const again = step.name === TEST_AGAIN;
    const base = again ? [step.stage, step.op, TEST_AGAIN].join('-') : nodes.at(-1)!.key;
    toRead.push({
      key: `${base}-${READING_KEY}`,
      step,
      zone,
      coat: 1,
      coats: 1,
      // Of zones that share a patch one has it in its minutes.
      minutes: step.minutes > 0 ? WORK_RATES.read_proof.once : 0,
      onceMin: 0,
      ml: 0,
      waitH: 0,
      reading: true,
    });
    if (again) nodes.push(...toRead.splice(0));
  }
  return [...nodes, ...toRead];
}

/** The same task of several zones becomes one, unless their orders of work cross there. */
function mergeChains(chains: readonly { zone: string; nodes: Node[] }[]): { key: string; nodes: Node[] }[] {
  const groups = new Map<string, Node[]>();
  for (const node of chains.flatMap(({ nodes }) => nodes)) {
    const key = `${node.key}|${identifyStep(node.step)}`;
    groups.set(key, [...(groups.get(key) ?? []), node]);
  }
  const place = new Map(chains.flatMap(({ nodes }) => nodes.map((node, i) => [node, i] as const)));
  const rows = [...groups.values()].flatMap((nodes) =>
    isAligned(nodes, groups, place) ? [nodes] : nodes.map((node) => [node]),
  );
  const used = new Map<string, number>();
  return orderRows(rows, chains, place).map((nodes) => {
    const { key } = nodes[0]!;
    const count = (used.get(key) ?? 0) + 1;
    used.set(key, count);
    return { key: count === 1 ? key : `${key}${KEY_COPY}${count}`, nodes };
  });
}

/** Rows in an order that keeps that of every zone, early stages first; rows that wait for each other are taken apart. */
function orderRows(
  rows: readonly Node[][],
  chains: readonly { zone: string; nodes: Node[] }[],
  place: ReadonlyMap<Node, number>,
): Node[][] {
  const rowOf = new Map(rows.flatMap((row) => row.map((node) => [node, row] as const)));
  const before = new Map(rows.map((row) => [row, new Set<Node[]>()]));
  for (const { nodes } of chains) {
    nodes.slice(1).forEach((node, i) => before.get(rowOf.get(node)!)!.add(rowOf.get(nodes[i]!)!));
    for (const node of nodes)
      for (const other of listMet(node, chains)) before.get(rowOf.get(node)!)!.add(rowOf.get(other)!);
  }
  const rank = (row: Node[]): number => row[0]!.step.stage * 1000 + Math.max(...row.map((node) => place.get(node)!));
  const left = [...rows].sort((a, b) => rank(a) - rank(b));
  const ordered: Node[][] = [];
  while (left.length > 0) {
    const next = left.findIndex((row) => [...before.get(row)!].every((own) => ordered.includes(own)));
    if (next >= 0) ordered.push(...left.splice(next, 1));
    else {
      const shared = left.find((row) => row.length > 1)!;
      return orderRows(
        rows.flatMap((row) => (row === shared ? row.map((node) => [node]) : [row])),
        chains,
        place,
      );
    }
  }
  return ordered;
}

/** Within its stage, no other shared task stands before it on one zone and behind it on another. */
function isAligned(
  nodes: readonly Node[],
  groups: ReadonlyMap<string, Node[]>,
  place: ReadonlyMap<Node, number>,
): boolean {
  for (const others of groups.values()) {
    if (others === nodes || others[0]!.step.stage !== nodes[0]!.step.stage) continue;
    const sides = nodes.flatMap((node) => {
      const other = others.find(({ zone }) => zone === node.zone);
      return other ? [Math.sign(place.get(other)! - place.get(node)!)] : [];
    });
    if (new Set(sides).size > 1) return false;
  }
  return true;
}

/** What is done next on bright metal. */
function findLed(
  nodes: readonly Node[],
  chains: readonly { zone: string; nodes: readonly Node[] }[],
  rows: readonly { key: string; nodes: readonly Node[] }[],
): string | undefined {
  const bright = nodes.find(({ isBright }) => isBright);
  const chain = bright && chains.find(({ zone }) => zone === bright.zone)?.nodes;
  const next = chain?.[chain.indexOf(bright!) + 1];
  return next && rows.find((row) => row.nodes.includes(next))?.key;
}

type FindTin = (id: string | undefined) => ShelfItem | undefined;

/**
 * What is waited for on the zones that a step is done along: their last coat of paint before a line is taped or wood is
 * finished; along wood that is taped the last of its dust.
 */
const listMet = (node: Node, chains: readonly { zone: string; nodes: readonly Node[] }[]): Node[] =>
  (node.step.meets ?? []).flatMap((zone) => {
    const other = chains.find((chain) => chain.zone === zone)?.nodes;
    const awaited = node.step.hand === 'mask_wood' ? 'dust' : 'paint';
    return other?.findLast(({ step }) => step.op === awaited) ?? [];
  });

/**
 * What stands right before a task on each of its zones, with the longest of the waits where several are one task. Tape is
 * pulled from a coat that is still wet: what comes after that waits for the coat as well.
 */
function listBefore(
  nodes: readonly Node[],
  chains: readonly { zone: string; nodes: Node[] }[],
  earlier: readonly Task[],
  tin: FindTin,
  climate: Climate,
): Task['after'] {
  const found = new Map<string, HourLag[]>();
  const add = (before: Node, next: Node): void => {
    const task = earlier.find(
      (own) =>
        baseKey(own.key) === before.key &&
        identifyStep(own) === identifyStep(before.step) &&
        own.zones.includes(before.zone),
    );
    if (!task) return;
    const lags = waitAfter(before, tin(task.product), climate, next);
    const known = found.get(task.key);
    if (!known || lags[0]!.fromH > known[0]!.fromH) found.set(task.key, lags);
  };
  for (const node of nodes) {
    const chain = chains.find(({ zone }) => zone === node.zone)!.nodes;
    const at = chain.indexOf(node);
    const before = chain[at - 1];
    if (before) add(before, node);
    // The patch has had its time when it is read, whatever was done to the rest meanwhile.
    const patch = node.reading ? chain.find((own) => own !== node && own.step === node.step) : undefined;
    if (patch && patch !== before) add(patch, node);
    if (before?.step.hand === 'pull_tape' && chain[at - 2]) add(chain[at - 2]!, node);
    for (const other of listMet(node, chains)) add(other, node);
  }
  return [...found].map(([key, lags]) => ({ key, lags }));
}

/** When after a task the next may start: recoat for coats, refitting only once it can be handled. */
function waitAfter(node: Node, tin: ShelfItem | undefined, climate: Climate, next?: Node): HourLag[] {
  // While a patch dries the rest is washed and dulled.
  if (node.step.op === 'proof' && !node.reading && next !== undefined && !next.reading) return [{ fromH: 0 }];
  const code = node.step.class;
  if (!isCoat(node.step.op) || !isFilm(code)) return [{ fromH: node.waitH }];
  const times = listFilmTimes(code, tin, climate);
  if (next?.step.op === 'refit') return [{ fromH: Math.max(times.handleH, next.step.after_h ?? 0) }];
  // While it is fresh, or scored once it is dry.
  if (next?.step.hand === 'pull_tape') return [{ fromH: 0, untilH: times.touchH }, { fromH: times.recoatH }];
  if (next?.step.after_h !== undefined) return [{ fromH: Math.max(times.recoatH, next.step.after_h) }];
  if (times.quick && next?.step.class === code) {
    const { fromH, untilH } = times.quick;
    return [{ fromH, untilH }, { fromH: times.recoatH }];
  }
  return [{ fromH: times.recoatH }];
}

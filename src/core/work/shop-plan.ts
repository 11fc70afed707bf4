import type { Climate } from '../climate';
import type { Dossier, ShelfItem } from '../dossier';
import { FILM_FACTS, findCarrier, hasStrongFumes, isCoat, maySpray, OPERATION_FACTS, findProduct } from '../knowledge';
import {
  addDays,
  findOrder,
  instantOf,
  listWindows,
  minuteAt,
  minuteOf,
  scheduleInOrder,
  type Bound,
  type Effort,
  type Group,
  type Job,
  type PlaceSize,
  type Problem,
  type Schedule,
  type Window,
} from '../schedule';
import { definedOnly } from '../shared';
import { DULLING_STAGE } from '../systems';
import { DEFAULT_HOURS, DEFAULT_PLACES, judgeAir, readAirNow, type Workshop } from '../workshop';
import { listBlocks, listHeld, type Block } from './blocks';
import { computePotLifeMin, isFilm, listFilmTimes } from './film-times';
import type { Pace } from './pace';
import { openMinutes } from './open-minutes';
import { listTasks, type Task } from './tasks';
import { airOf, expectAir } from './air-of';
import { SPRAY_PLACE } from './spray-place';

/** One piece in work. */
export interface PieceWork {
  id: string;
  name: string;
  dossier: Dossier;
  tasks: Task[];
  blocks: Block[];
  held: ReadonlySet<string>;
}

/** A stretch of hands in a sitting. */
export interface Item {
  task: string;
  piece: string;
  startAt: string;
  endAt: string;
  /** 1 for the owner, 2 and on for helpers. */
  hand: number;
  cleanUpMin: number;
  bound: Bound;
  /** It goes on in a later sitting. */
  goesOn: boolean;
}

export interface Sitting {
  startAt: string;
  endAt: string;
  items: Item[];
}

export interface ShopPlan {
  sittings: Sitting[];
  /** When each piece can be collected. */
  ready: { piece: string; at: string; due?: string; late: boolean }[];
  unplaced: { task: string; why: Schedule['unplaced'][number]['why'] }[];
  lateMin: number;
  cleanUps: number;
  /** Evenings and mornings that the air closes to coats. */
  closed: { startAt: string; endAt: string; waterborne: boolean; solvent: boolean; climate: Climate }[];
}

export interface ShopFacts {
  workshop: Workshop;
  tins: readonly ShelfItem[];
  pace: Pace;
  /** ISO instant. */
  now: string;
  timeZone: string;
  /** Minutes the owner says they have from now on. */
  freeFor?: number;
}

/** Days ahead that are planned; nobody's evenings are known further out. */
const HORIZON_DAYS = 90;

export function readPieceWork(
  dossier: Dossier,
  facts: Pick<ShopFacts, 'workshop' | 'tins' | 'now' | 'timeZone'>,
): PieceWork {
  const tasks = listTasks(dossier, facts.tins, airOf(facts), facts.now);
  const blocks = listBlocks(dossier, tasks);
  return {
    id: dossier.piece.id ?? '',
    name: dossier.piece.name ?? dossier.piece.kind,
    dossier,
    tasks,
    blocks,
    held: listHeld(tasks, blocks),
  };
}

/** Owner's windows from now on, with what the air is expected to forbid in each. */
function listShopWindows({ workshop, now, timeZone, freeFor = 0 }: ShopFacts): (Window & { climate: Climate })[] {
  const { hours = DEFAULT_HOURS, exceptions = [] } = workshop.setup;
  const from = minuteOf(now);
  const measured = readAirNow(workshop.air, now);
  return listWindows(hours, exceptions, timeZone, from, HORIZON_DAYS, freeFor).map((window) => {
    const running = window.start <= from && from < window.end;
    const air =
      running && measured ? measured : expectAir(workshop, now, instantOf((window.start + window.end) / 2), timeZone);
    const { stops } = judgeAir(air);
    const closedTo = [
      ...(stops.waterborne ? ['waterborne' as const] : []),
      ...(stops.solvent ? ['solvent' as const] : []),
    ];
    return { ...window, ...(closedTo.length > 0 ? { closedTo } : {}), climate: air };
  });
}

/** The scheduler's problem of all open tasks that nothing holds back. */
export function poseProblem(
  pieces: readonly PieceWork[],
  facts: ShopFacts,
  due?: (piece: PieceWork) => string | undefined,
): Problem {
  const { workshop, now, timeZone } = facts;
  const jobs = pieces.flatMap((piece) => listJobs(piece, facts));
  return {
    now: minuteOf(now),
    jobs,
    past: pieces.flatMap(({ tasks }) =>
      tasks.flatMap(({ id, state, doneAt }) =>
        // What was logged under a date still to come cannot make the shop wait for it.
        state !== 'open' && doneAt ? [{ id, end: Math.min(minuteOf(now), minuteOf(doneAt)) }] : [],
      ),
    ),
    groups: pieces.map((piece) => describeGroup(piece, timeZone, due ? due(piece) : piece.dossier.goal?.due)),
    windows: listShopWindows(facts),
    places: workshop.setup.places ?? DEFAULT_PLACES,
  };
}

/** Grain filler and all after it need a place where the piece can stand and dry. */
const PLACE_STAGE = DULLING_STAGE + 1;

function listJobs({ tasks, held, dossier, id: group }: PieceWork, facts: ShopFacts): Job[] {
  const { pace, workshop } = facts;
  const byKey = new Map(tasks.map((task) => [task.key, task]));
  const climate = airOf(facts);
  return tasks
    .filter(({ id, state, op }) => state === 'open' && !held.has(id) && !OPERATION_FACTS[op].untimed)
    .map((task): Job => {
      const pin = workshop.pins.find((own) => own.task === task.id);
      return {
        id: task.id,
        group,
        minutes: Math.max(1, Math.round(openMinutes(task) * pace(task.op).factor)),
        after: task.after.flatMap(({ key, lags }) => {
          const before = byKey.get(key);
          return before ? [{ id: before.id, lags: lags.map(toMinutes) }] : [];
        }),
        ...definedOnly({ leadsTo: task.leadsTo && byKey.get(task.leadsTo)?.id }),
        ...(OPERATION_FACTS[task.op].splits ? { splits: true } : {}),
        ...describeProduct(task, dossier.goal?.application, climate, facts.tins),
        ...(task.stage >= PLACE_STAGE && task.op !== 'refit' && task.op !== 'proof' ? { takesPlace: true } : {}),
        ...(pin ? { pinnedAt: minuteOf(pin.at) } : {}),
      };
    });
}

const toMinutes = ({ fromH, untilH }: { fromH: number; untilH?: number }): Job['after'][number]['lags'][number] => ({
  from: Math.round(fromH * 60),
  ...(untilH === undefined ? {} : { until: Math.round(untilH * 60) }),
});

function describeProduct(
  task: Task,
  application: string | undefined,
  climate: Climate,
  tins: readonly ShelfItem[],
): Partial<Job> {
  const { class: code, op } = task;
  if (!isFilm(code) || !isCoat(op)) return OPERATION_FACTS[op].dries ? { air: 'waterborne' } : {};
  const carrier = findCarrier(code);
  const tin = task.product ?? code;
  const gun = application === 'spray' && maySpray(op, code);
  const aerosol = findProduct(code)?.sprayCan === true;
  const potLifeH = tins.find(({ id }) => id === task.product)?.pot_life_h ?? FILM_FACTS[code].potLifeH;
  const touchMin = Math.round(listFilmTimes(code, undefined, climate).touchH * 60);
  return {
    product: tin,
    cleanUpMin: task.sittingMin,
    ...(potLifeH ? { potLifeMin: computePotLifeMin(potLifeH, climate.temperature_c) } : {}),
    // The spray place is free again when nothing wet stands in it.
    uses: [
      { thing: `tin ${tin}`, untilMin: 0 },
      ...(gun || aerosol ? [{ thing: SPRAY_PLACE, untilMin: touchMin }] : []),
    ],
    air: hasStrongFumes(carrier) ? 'solvent' : 'waterborne',
  };
}

function describeGroup({ id, dossier, tasks }: PieceWork, timeZone: string, due: string | undefined): Group {
  // Refitting waits until the coat may be handled; without it the piece is ready no sooner.
  const refitted = tasks.some(({ op }) => op === 'refit');
  const coat = tasks.findLast(({ op }) => isCoat(op));
  const handleH = coat && !refitted && isFilm(coat.class) ? listFilmTimes(coat.class).handleH : 0;
  const placed = tasks.some(({ stage, state, op }) => stage >= PLACE_STAGE && state === 'done' && op !== 'proof');
  return {
    id,
    tailMin: Math.round(handleH * 60),
    place: sizeOf(dossier),
    ...(placed ? { placed } : {}),
    // To the end of that day on the shop's clock.
    ...(due ? { due: minuteAt(addDays(due, 1), '00:00', timeZone) } : {}),
  };
}

/** As large as a dresser, or small (common practice: what one can carry alone). */
export function sizeOf({ piece, zones = [] }: Dossier): PlaceSize {
  const { width = 0, height = 0 } = piece.size_mm ?? {};
  if (piece.size_mm) return width > 800 || height > 1000 ? 'large' : 'small';
  return zones.reduce((sum, { area_m2 = 0 }) => sum + area_m2, 0) > 1.5 ? 'large' : 'small';
}

/** One seed for the shop: the same facts give the same schedule. */
const SEED = 7;

export interface PlanWish {
  /** Another due date than the piece's own. */
  due?: (piece: PieceWork) => string | undefined;
  /** Schedules tried beyond the rules; left out, as many as a third of a second allows. */
  tries?: number;
  /** The order that is known, as `orderShop` gave it: the search starts from it. */
  before?: readonly string[] | null;
}

/** The plan of all pieces, searched: what is tried out, and what there is before the shop's own order is known. */
export function planShop(pieces: readonly PieceWork[], facts: ShopFacts, { due, ...wish }: PlanWish = {}): ShopPlan {
  const problem = poseProblem(pieces, facts, due);
  return describePlan(problem, findOrder(problem, effortOf(wish)).schedule, pieces);
}

/**
 * The order in which all open jobs are best done: what the shop keeps, so that whoever asks has the same plan. What comes
 * first in the order of before stays first unless that costs more than a quarter of an hour.
 */
export const orderShop = (
  pieces: readonly PieceWork[],
  facts: ShopFacts,
  before: readonly string[] | null = null,
): string[] => findOrder(poseProblem(pieces, facts), effortOf({ before })).order;

/**
 * The plan of all pieces in the shop's order. Where jobs came since that it does not have, it is searched from there, as the
 * shop's next order will be.
 */
export function placeShop(pieces: readonly PieceWork[], facts: ShopFacts, order: readonly string[]): ShopPlan {
  const problem = poseProblem(pieces, facts);
  const known = new Set(order);
  const isKnown = problem.jobs.every(({ id }) => known.has(id));
  const schedule = isKnown ? scheduleInOrder(problem, order) : findOrder(problem, effortOf({ before: order })).schedule;
  return describePlan(problem, schedule, pieces);
}

const effortOf = ({ tries, before }: Pick<PlanWish, 'tries' | 'before'>): Effort => ({
  seed: SEED,
  ...(tries === undefined ? {} : { tries }),
  ...(before ? { before } : {}),
});

function describePlan(problem: Problem, schedule: Schedule, pieces: readonly PieceWork[]): ShopPlan {
  const groupOf = new Map(problem.jobs.map(({ id, group }) => [id, group]));
  const sittings = new Map<number, Item[]>();
  for (const { id, parts, hand, cleanUpMin, bound } of schedule.placements.values()) {
    parts.forEach(({ start, end, window }, i) => {
      const item: Item = {
        task: id,
        piece: groupOf.get(id)!,
        startAt: instantOf(start),
        endAt: instantOf(end),
        hand: hand + 1,
        cleanUpMin: i === parts.length - 1 ? cleanUpMin : 0,
        bound,
        goesOn: i < parts.length - 1,
      };
      sittings.set(window, [...(sittings.get(window) ?? []), item]);
    });
  }
  const windows = problem.windows as readonly (Window & { climate: Climate })[];
  return {
    sittings: [...sittings]
      .sort(([a], [b]) => a - b)
      .map(([window, items]) => ({
        startAt: instantOf(windows[window]!.start),
        endAt: instantOf(windows[window]!.end),
        items: items.sort((a, b) => a.startAt.localeCompare(b.startAt) || a.hand - b.hand),
      })),
    ready: pieces.flatMap(({ id, dossier, blocks }) => {
      const at = schedule.ready.get(id);
      // No date while something holds it back: what comes after that is not in the schedule.
      if (at === undefined || blocks.length > 0) return [];
      const due = problem.groups.find((group) => group.id === id)?.due;
      return [
        {
          piece: id,
          at: instantOf(at),
          ...(dossier.goal?.due ? { due: dossier.goal.due } : {}),
          late: due !== undefined && at > due,
        },
      ];
    }),
    unplaced: schedule.unplaced.map(({ id, why }) => ({ task: id, why })),
    lateMin: schedule.cost.lateMin,
    cleanUps: schedule.cost.cleanUps,
    closed: windows.flatMap(({ start, end, closedTo, climate }) =>
      closedTo
        ? [
            {
              startAt: instantOf(start),
              endAt: instantOf(end),
              waterborne: closedTo.includes('waterborne'),
              solvent: closedTo.includes('solvent'),
              climate,
            },
          ]
        : [],
    ),
  };
}

import { makeRandom } from '../shared';
import { Placing } from './place';
import type { Problem, Schedule } from './problem';

export interface Effort {
  /** Where the improvement starts from: the same seed gives the same schedule. */
  seed: number;
  /** Schedules tried; by default fewer for more jobs. */
  tries?: number;
  /** The order that is known, the ids of its jobs: what comes first in it stays first unless `FIRST_STAYS_MIN` is saved. */
  before?: readonly string[];
}

/** Whoever has seen what comes first is not sent elsewhere for less: minutes of a schedule's cost. */
const FIRST_STAYS_MIN = 15;

/** Work of the improvement, in jobs placed: what a worker does in about a third of a second. */
const PLACEMENTS = 220_000;
const FEWEST_TRIES = 150;
const MOST_TRIES = 4000;

const RUNS = 3;
/** Orders of the pieces tried, as a share of the schedules tried. */
const RANK_SHARE = 0.06;

/**
 * A schedule of all jobs, as good as the effort allows: sequences by priority rules and by orders of the pieces, then the
 * best of them improved by moving jobs and bringing together what uses one product (seeded; see `improve`). Jobs that find no window are named, never dropped.
 */
export const makeSchedule = (problem: Problem, effort: Effort): Schedule => findOrder(problem, effort).schedule;

/** The same, with the order of the jobs that gives it. */
export function findOrder(problem: Problem, { seed, tries, before }: Effort): { order: string[]; schedule: Schedule } {
  const shop = readShop(problem);
  const random = makeRandom(seed);
  const rounds =
    tries ?? Math.min(MOST_TRIES, Math.max(FEWEST_TRIES, Math.round(PLACEMENTS / (problem.jobs.length || 1))));
  const known = before ? evaluate(shop, completeOrder(shop, before)) : null;
  const starts = RULES.map((rule) => evaluate(shop, sequenceBy(shop, rule)));
  if (known) starts.push(known);
  starts.push(rankGroups(shop, Math.ceil(rounds * RANK_SHARE), random));
  starts.sort((a, b) => a.cost - b.cost);
  // The best start gets half of the effort, the next ones share the rest: a start decides which hollow is found.
  const [first, ...others] = starts as [Tried, ...Tried[]];
  const runs = [improve(shop, first, Math.ceil(rounds / 2), random)];
  for (const other of others.slice(0, RUNS - 1))
    runs.push(improve(shop, other, Math.floor(rounds / 2 / (RUNS - 1)), random));
  const best = runs.reduce((a, b) => (b.cost < a.cost ? b : a));
  let found = best;
  if (known && findFirst(best) !== findFirst(known)) {
    const stays = improve(shop, known, Math.ceil(rounds / 2), random, true);
    if (stays.cost - best.cost <= FIRST_STAYS_MIN) found = stays;
  }
  const { order, schedule } = found;
  return { order: order.map((i) => problem.jobs[i]!.id), schedule };
}

/** The schedule of a known order of jobs. Those it does not have stand where they fit in, those that are gone are passed over. */
export function scheduleInOrder(problem: Problem, ids: readonly string[]): Schedule {
  const shop = readShop(problem);
  return evaluate(shop, completeOrder(shop, ids)).schedule;
}

/** The job that hands are on first. */
function findFirst({ schedule }: Tried): string | undefined {
  let [first, at]: [string | undefined, number] = [undefined, Infinity];
  for (const { id, parts, hand } of schedule.placements.values())
    if (hand === 0 && parts[0]!.start < at) [first, at] = [id, parts[0]!.start];
  return first;
}

/** A known order with all jobs: new ones right behind what they come after, or before what comes after them, or last. */
function completeOrder({ problem: { jobs }, before, after }: Shop, ids: readonly string[]): number[] {
  const known = new Map(ids.map((id, rank) => [id, rank]));
  const followed = new Map<number, number>();
  const leastAfter = (i: number): number => {
    const own = known.get(jobs[i]!.id) ?? followed.get(i);
    if (own !== undefined) return own;
    const least = Math.min(Infinity, ...after[i]!.map(leastAfter));
    followed.set(i, least);
    return least;
  };
  const ranks = new Map<number, number>();
  const rankOf = (i: number): number => {
    const own = known.get(jobs[i]!.id) ?? ranks.get(i);
    if (own !== undefined) return own;
    const rank = before[i]!.length > 0 ? Math.max(...before[i]!.map(rankOf)) : leastAfter(i);
    ranks.set(i, rank);
    return rank;
  };
  return jobs.map((_, i) => i).sort((a, b) => compareSlack(rankOf(a), rankOf(b)) || a - b);
}

interface Shop {
  problem: Problem;
  before: number[][];
  after: number[][];
  /** What follows a job in the same window, where something does. */
  next: (number | undefined)[];
  /** Minutes of hands and waits from the start of a job until its group is ready, by the longest way. */
  tail: number[];
  due: number[];
}

function readShop(problem: Problem): Shop {
  const { jobs, groups } = problem;
  const index = new Map(jobs.map(({ id }, i) => [id, i]));
  const before = jobs.map(({ after }) => after.map(({ id }) => index.get(id)).filter((i) => i !== undefined));
  const after: number[][] = jobs.map(() => []);
  before.forEach((list, i) => list.forEach((j) => after[j]!.push(i)));
  const tailOf = new Map(groups.map(({ id, tailMin }) => [id, tailMin]));
  const tail = jobs.map(() => -1);
  const measure = (i: number): number => {
    if (tail[i]! >= 0) return tail[i]!;
    const job = jobs[i]!;
    const follow = after[i]!.map((j) => {
      const lag = jobs[j]!.after.find(({ id }) => id === job.id)?.lags[0]?.from ?? 0;
      return lag + measure(j);
    });
    tail[i] = job.minutes + (follow.length > 0 ? Math.max(...follow) : (tailOf.get(job.group) ?? 0));
    return tail[i]!;
  };
  jobs.forEach((_, i) => measure(i));
  const dueOf = new Map(groups.map(({ id, due }) => [id, due ?? Infinity]));
  const next = jobs.map(({ leadsTo }) => (leadsTo === undefined ? undefined : index.get(leadsTo)));
  return { problem, before, after, next, tail, due: jobs.map(({ group }) => dueOf.get(group) ?? Infinity) };
}

interface Ready {
  index: number;
  start: number;
  cleanUp: number;
}
type Rule = (a: Ready, b: Ready, shop: Shop) => number;

const slack = (shop: Shop, { index, start }: Ready): number => shop.due[index]! - start - shop.tail[index]!;
const compareSlack = (a: number, b: number): number => (a === b ? 0 : a < b ? -1 : 1);

/** Soonest first; of equally soon ones the one most waits hang on, or the one that needs nothing opened; or least slack first. */
const RULES: readonly Rule[] = [
  (a, b, shop) => a.start - b.start || shop.tail[b.index]! - shop.tail[a.index]!,
  (a, b, shop) => a.start - b.start || a.cleanUp - b.cleanUp || shop.tail[b.index]! - shop.tail[a.index]!,
  (a, b, shop) => compareSlack(slack(shop, a), slack(shop, b)) || a.start - b.start,
  (a, b, shop) =>
    a.start - b.start || compareSlack(slack(shop, a), slack(shop, b)) || shop.tail[a.index]! - shop.tail[b.index]!,
];

/** A sequence grown job by job, each time the first by a rule of those that may come next. */
function sequenceBy(shop: Shop, rule: Rule): number[] {
  const { problem, before, after } = shop;
  const placing = new Placing(problem);
  const waiting = before.map((list) => list.length);
  let open = waiting.flatMap((count, i) => (count === 0 ? [i] : []));
  const order: number[] = [];
  const done = new Set<number>();
  const close = (i: number): void => {
    done.add(i);
    order.push(i);
    open = open.filter((other) => other !== i);
    for (const next of after[i]!) {
      waiting[next] = waiting[next]! - 1;
      if (waiting[next] === 0) open.push(next);
    }
  };
  let led: number | undefined;
  while (open.length > 0) {
    let [best, bestOffer]: [Ready | null, ReturnType<Placing['offer']> | null] = [null, null];
    for (const index of led !== undefined && open.includes(led) ? [led] : open) {
      const offer = placing.offer(problem.jobs[index]!);
      if (typeof offer === 'string') continue;
      const ready = { index, start: offer.parts[0]!.start, cleanUp: offer.cleanUpMin };
      if (best === null || rule(ready, best, shop) < 0) [best, bestOffer] = [ready, offer];
    }
    if (best === null || bestOffer === null || typeof bestOffer === 'string') break;
    placing.take(problem.jobs[best.index]!, bestOffer);
    led = shop.next[best.index];
    close(best.index);
  }
  // What finds no window comes last, in an order that keeps what comes before it.
  while (open.length > 0) close(open[0]!);
  return order;
}

/** Pieces put in an order of importance; hands take what is ready of the most important one. Orders are improved by swaps. */
function rankGroups(shop: Shop, trials: number, random: () => number): Tried {
  const { jobs, groups } = shop.problem;
  const work = (id: string): number => jobs.reduce((sum, job) => sum + (job.group === id ? job.minutes : 0), 0);
  const byWork = [...groups].sort((a, b) => work(a.id) - work(b.id));
  const byDue = [...byWork].sort((a, b) => compareSlack(a.due ?? Infinity, b.due ?? Infinity));
  const attempt = (ids: readonly string[]): Tried => {
    const rank = new Map(ids.map((id, i) => [id, i]));
    const of = ({ index }: Ready): number => rank.get(jobs[index]!.group) ?? 0;
    return evaluate(
      shop,
      sequenceBy(shop, (a, b) => a.start - b.start || of(a) - of(b) || shop.tail[b.index]! - shop.tail[a.index]!),
    );
  };
  let [order, best] = [byDue.map(({ id }) => id), attempt(byDue.map(({ id }) => id))];
  const lighter = attempt(byWork.map(({ id }) => id));
  if (lighter.cost < best.cost) [order, best] = [byWork.map(({ id }) => id), lighter];
  for (let i = 0; i < trials && order.length > 1; i += 1) {
    const next = [...order];
    const [a, b] = [Math.floor(random() * next.length), Math.floor(random() * next.length)];
    [next[a], next[b]] = [next[b]!, next[a]!];
    const tried = a === b ? best : attempt(next);
    if (tried.cost < best.cost) [order, best] = [next, tried];
  }
  return best;
}

interface Tried {
  order: number[];
  schedule: Schedule;
  cost: number;
}

function evaluate(shop: Shop, order: readonly number[]): Tried {
  const { problem, before, next } = shop;
  const placing = new Placing(problem);
  const unplaced: { id: string; why: Schedule['unplaced'][number]['why'] }[] = [];
  const lost = new Set<number>();
  const visit = (i: number): 'placed' | 'deferred' => {
    const job = problem.jobs[i]!;
    if (lost.has(i) || placing.placed.has(job.id)) return 'placed';
    if (before[i]!.some((j) => lost.has(j))) {
      lost.add(i);
      unplaced.push({ id: job.id, why: 'waits' });
      return 'placed';
    }
    if (before[i]!.some((j) => !placing.placed.has(problem.jobs[j]!.id))) return 'deferred';
    const offer = placing.offer(job);
    if (offer === 'no_place') return 'deferred';
    if (typeof offer === 'string') {
      lost.add(i);
      unplaced.push({ id: job.id, why: offer });
    } else {
      placing.take(job, offer);
      // The room behind it is for what follows it.
      if (next[i] !== undefined) visit(next[i]);
    }
    return 'placed';
  };
  // A group for which there is no place waits until another is through.
  let deferred: number[] = [];
  for (const i of order) {
    if (visit(i) === 'deferred') deferred.push(i);
    else if (deferred.length > 0) deferred = deferred.filter((own) => visit(own) === 'deferred');
  }
  for (let left = -1; deferred.length !== left;) {
    left = deferred.length;
    deferred = deferred.filter((own) => visit(own) === 'deferred');
  }
  for (const i of deferred) unplaced.push({ id: problem.jobs[i]!.id, why: 'waits' });
  const schedule = placing.finish(unplaced);
  return { order: [...order], schedule, cost: schedule.cost.total };
}

/** At first a schedule worse by this share of the cost is taken as often as not; at the end of a run none is. */
const WARMTH = 0.03;

/** Simulated annealing (Kirkpatrick, Gelatt and Vecchi 1983) over sequences, from one start. */
function improve(shop: Shop, start: Tried, rounds: number, random: () => number, keepsFirst = false): Tried {
  let [best, here] = [start, start];
  const first = findFirst(start);
  if (start.order.length < 2) return start;
  for (let round = 0; round < rounds; round += 1) {
    const order = random() < 0.6 ? moveOne(shop, here.order, random) : gather(shop, here.order, random);
    if (!order) continue;
    const next = evaluate(shop, order);
    if (keepsFirst && findFirst(next) !== first) continue;
    const warmth = WARMTH * Math.abs(best.cost) * (1 - round / rounds) ** 2;
    if (next.cost <= here.cost || random() < Math.exp((here.cost - next.cost) / (warmth + 1e-9))) here = next;
    if (next.cost < best.cost) best = next;
  }
  return best;
}

/** Moves one job as far as what comes before and after it allows. */
function moveOne({ before, after }: Shop, order: readonly number[], random: () => number): number[] | null {
  const from = Math.floor(random() * order.length);
  const job = order[from]!;
  const positions = new Map(order.map((own, i) => [own, i]));
  const least = Math.max(-1, ...before[job]!.map((j) => positions.get(j)!)) + 1;
  const most = Math.min(order.length, ...after[job]!.map((j) => positions.get(j)!)) - 1;
  if (most <= least) return null;
  const to = least + Math.floor(random() * (most - least + 1));
  return to === from ? null : shift(order, from, to);
}

/** Brings a job right behind another that uses the same product. */
function gather({ problem, before, after }: Shop, order: readonly number[], random: () => number): number[] | null {
  const from = Math.floor(random() * order.length);
  const job = order[from]!;
  const { product } = problem.jobs[job]!;
  if (product === undefined) return null;
  const others = order.flatMap((own, i) => (own !== job && problem.jobs[own]!.product === product ? [i] : []));
  if (others.length === 0) return null;
  const anchor = others[Math.floor(random() * others.length)]!;
  const to = anchor < from ? anchor + 1 : anchor;
  const positions = new Map(order.map((own, i) => [own, i]));
  const least = Math.max(-1, ...before[job]!.map((j) => positions.get(j)!)) + 1;
  const most = Math.min(order.length, ...after[job]!.map((j) => positions.get(j)!)) - 1;
  return to < least || to > most || to === from ? null : shift(order, from, to);
}

function shift(order: readonly number[], from: number, to: number): number[] {
  const next = [...order];
  const [job] = next.splice(from, 1);
  next.splice(to, 0, job!);
  return next;
}

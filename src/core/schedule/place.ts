import {
  priceSchedule,
  type Bound,
  type Job,
  type Placement,
  type PlaceSize,
  type Problem,
  type Schedule,
} from './problem';

/** Too short a rest of a window to take up something that can be laid down. */
const LEAST_PART_MIN = 15;

/** A product opened in a window by somebody. */
interface Opened {
  window: number;
  product: string;
  at: number;
}

/** Where a job could go next. */
interface Offer {
  parts: Placement['parts'];
  hand: number;
  cleanUpMin: number;
  bound: Bound;
}

interface Place {
  size: PlaceSize;
  /** Infinite while somebody stands in it. */
  freeAt: number;
  holder: string | null;
  /** Not a place at all: a piece in work for which there was none. */
  beyond: boolean;
  /** From when its holder may stand in it. */
  since: number;
  /** Not free before this, whoever leaves it. */
  floor: number;
}

/** Why a job finds no window. */
export type Refusal = Schedule['unplaced'][number]['why'] | 'no_place';

/**
 * Serial schedule generation: jobs are taken one by one and each is put behind what its hands already do, at the first
 * minute that its waits, the window, the air and the places allow. Every sequence gives one schedule, and the best
 * schedule belongs to some sequence, for nothing is gained by starting later than one can (but for waits that close).
 */
export class Placing {
  readonly placed = new Map<string, Placement>();
  private readonly free: { at: number; last: string | null }[];
  private readonly things = new Map<string, number>();
  private readonly opened = new Map<number, Opened[]>();
  /** When each place is free again; infinite while a group stands in it. */
  private places: Place[];
  private readonly left = new Map<string, number>();
  private readonly past = new Map<string, number>();
  private readonly ends = new Map<string, number>();
  private readonly jobs: ReadonlyMap<string, Job>;
  private cleanUps = 0;

  constructor(private readonly problem: Problem) {
    this.jobs = new Map(problem.jobs.map((job) => [job.id, job]));
    const most = Math.max(1, ...problem.windows.map(({ hands }) => hands));
    this.free = Array.from({ length: most }, () => ({ at: -Infinity, last: null }));
    this.places = (['small', 'large'] as const).flatMap((size) =>
      Array.from({ length: problem.places[size] }, (): Place => ({
        size,
        freeAt: -Infinity,
        holder: null,
        beyond: false,
        since: -Infinity,
        floor: -Infinity,
      })),
    );
    for (const { id, end } of problem.past ?? []) this.past.set(id, end);
    for (const { group } of problem.jobs) this.left.set(group, (this.left.get(group) ?? 0) + 1);
    for (const { id, placed } of problem.groups) if (placed && this.left.has(id)) this.seat(id);
  }

  /** A group that stands in a place already gets one, be it one too many: it is there. */
  private seat(group: string): void {
    const size = this.groupOf(group).place;
    const seat =
      this.places.find((place) => place.holder === null && place.size === size) ??
      this.places.find((place) => place.holder === null && fits(size, place.size));
    if (seat) Object.assign(seat, { holder: group, freeAt: Infinity });
    else this.places.push({ size, freeAt: Infinity, holder: group, beyond: true, since: -Infinity, floor: -Infinity });
  }

  private groupOf(id: string): Problem['groups'][number] {
    return this.problem.groups.find((group) => group.id === id) ?? { id, tailMin: 0, place: 'small' };
  }

  /** Where a job would go now. All that comes before it must be placed. */
  offer(job: Job): Offer | Refusal {
    const place = job.takesPlace ? this.findPlace(job.group) : null;
    if (place === 'none') return 'no_place';
    const sitting = place === null ? -Infinity : place.holder === job.group ? place.since : place.freeAt;
    const rest = this.listFollowers(job);
    const together = rest.length > 0 ? this.offerAny(job, sitting, rest) : 'too_long';
    return typeof together === 'string' ? this.offerAny(job, sitting, []) : together;
  }

  /** What follows a job within its window, in order. */
  private listFollowers(job: Job): Job[] {
    const next = job.leadsTo === undefined ? undefined : this.jobs.get(job.leadsTo);
    return next ? [next, ...this.listFollowers(next)] : [];
  }

  private offerAny(job: Job, sitting: number, rest: readonly Job[]): Offer | Refusal {
    let best: Offer | Refusal = 'no_window';
    for (let hand = 0; hand < this.free.length; hand += 1) {
      const offer = this.offerHand(job, hand, sitting, rest);
      if (typeof offer === 'string') best = typeof best === 'string' ? offer : best;
      else if (typeof best === 'string' || isSooner(offer, best)) best = offer;
    }
    return best;
  }

  /** `rest`: what is to find room behind the job in the same window. */
  private offerHand(job: Job, hand: number, sitting: number, rest: readonly Job[]): Offer | Refusal {
    const { windows } = this.problem;
    const own = this.free[hand]!;
    let [at, bound] = this.earliest(job, sitting);
    if (own.at > at) [at, bound] = [own.at, own.last === null ? { by: 'start' } : { by: 'hands', on: own.last }];
    let refusal: Refusal = 'no_window';
    const air = [job, ...rest].flatMap((own) => own.air ?? []);
    const restMin = rest.reduce(
      (sum, { minutes, cleanUpMin = 0, after }) => sum + minutes + cleanUpMin + Math.max(0, ...after.map(waitOf)),
      0,
    );
    for (let w = findWindow(windows, at); w < windows.length; w += 1) {
      const window = windows[w]!;
      if (window.hands <= hand) continue;
      if (air.some((need) => window.closedTo?.includes(need))) {
        [refusal, bound] = ['air', { by: 'air' }];
        continue;
      }
      if (window.start > at) {
        if (bound.by !== 'air' && bound.by !== 'room') bound = { by: 'window' };
        at = window.start;
      }
      const [start, closing] = this.keepLags(job, at);
      if (start > at) [at, bound] = [start, { by: 'closing', on: closing }];
      if (at >= window.end) continue;
      const cleanUpMin = this.needsOpening(job, w, at) ? (job.cleanUpMin ?? 0) : 0;
      if (at + job.minutes + cleanUpMin + restMin <= window.end)
        return { parts: [{ start: at, end: at + job.minutes, window: w }], hand, cleanUpMin, bound };
      if (job.splits && rest.length === 0 && window.end - at >= LEAST_PART_MIN) {
        const parts = this.split(job, hand, w, at);
        if (parts) return { parts, hand, cleanUpMin: 0, bound };
      }
      [refusal, bound] = [refusal === 'air' ? 'air' : 'too_long', { by: 'room' }];
    }
    return refusal;
  }

  /** Lays a job over the rest of one window and as many after it as it takes. */
  private split(job: Job, hand: number, from: number, at: number): Placement['parts'] | null {
    const parts: Placement['parts'] = [];
    let left = job.minutes;
    for (let w = from; w < this.problem.windows.length; w += 1) {
      const window = this.problem.windows[w]!;
      if (window.hands <= hand) continue;
      const start = Math.max(at, window.start);
      const took = Math.min(left, window.end - start);
      if (took <= 0) continue;
      parts.push({ start, end: start + took, window: w });
      left -= took;
      if (left === 0) return parts;
    }
    return null;
  }

  /** The first minute by pins, places and what has been waited for, and what sets it. */
  private earliest(job: Job, sitting: number): [number, Bound] {
    let [at, bound]: [number, Bound] = [Math.max(this.problem.now, job.notBefore ?? -Infinity), { by: 'start' }];
    if (sitting > at) [at, bound] = [sitting, { by: 'place' }];
    for (const { id, lags } of job.after) {
      const ready = this.endOf(id) + (lags[0]?.from ?? 0);
      if (ready > at) [at, bound] = [ready, { by: 'wait', on: id }];
    }
    for (const { thing } of job.uses ?? []) {
      const free = this.things.get(thing) ?? -Infinity;
      if (free > at) [at, bound] = [free, { by: 'thing', thing }];
    }
    if (job.pinnedAt !== undefined && job.pinnedAt > at) [at, bound] = [job.pinnedAt, { by: 'pin' }];
    return [at, bound];
  }

  /** The first minute from `at` on that lies within the waits of all that comes before, and which of them set it. */
  private keepLags(job: Job, at: number): [number, string] {
    let [start, by] = [at, ''];
    for (let moved = true; moved;) {
      moved = false;
      for (const { id, lags } of job.after) {
        const next = findLag(lags, start - this.endOf(id)) + this.endOf(id);
        if (next > start) [start, by, moved] = [next, id, true];
      }
    }
    return [start, by];
  }

  /** When hands left a job, done or placed. */
  private endOf(id: string): number {
    return this.placed.get(id)?.parts.at(-1)!.end ?? this.past.get(id) ?? -Infinity;
  }

  private needsOpening(job: Job, window: number, at: number): boolean {
    if (job.product === undefined) return false;
    const open = (this.opened.get(window) ?? []).filter(({ product }) => product === job.product);
    const { potLifeMin } = job;
    if (potLifeMin === undefined) return open.length === 0;
    // A batch is mixed before it is used, and not used past its life.
    return !open.some((batch) => batch.at <= at && at + job.minutes <= batch.at + potLifeMin);
  }

  private findPlace(group: string): Place | 'none' {
    const held = this.places.find(({ holder }) => holder === group);
    if (held) return held;
    const { place: size } = this.groupOf(group);
    const open = this.places.filter((place) => place.holder === null && !place.beyond && fits(size, place.size));
    if (open.length === 0) return 'none';
    return open.reduce((best, other) => (other.freeAt < best.freeAt ? other : best));
  }

  take(job: Job, offer: Offer): void {
    const { parts, hand, cleanUpMin, bound } = offer;
    const end = parts[parts.length - 1]!.end;
    this.placed.set(job.id, { id: job.id, parts, hand, cleanUpMin, bound });
    this.free[hand] = { at: end + cleanUpMin, last: job.id };
    if (cleanUpMin > 0) {
      const { start: at, window } = parts[0]!;
      this.opened.set(window, [...(this.opened.get(window) ?? []), { window, product: job.product!, at }]);
      this.cleanUps += 1;
    }
    for (const { thing, untilMin } of job.uses ?? [])
      this.things.set(thing, Math.max(end + untilMin, this.things.get(thing) ?? -Infinity));
    if (job.takesPlace) {
      const place = this.findPlace(job.group);
      if (place !== 'none' && place.holder === null)
        Object.assign(place, { holder: job.group, freeAt: Infinity, since: place.freeAt });
    }
    this.ends.set(job.group, Math.max(end, this.ends.get(job.group) ?? -Infinity));
    const left = this.left.get(job.group)! - 1;
    this.left.set(job.group, left);
    if (left > 0) return;
    this.leave(job.group);
  }

  /** A place is free again; what stood in the way, for want of one, takes it first. */
  private leave(group: string): void {
    const held = this.places.find(({ holder }) => holder === group);
    if (!held) return;
    const freeAt = Math.max(this.ends.get(group)!, held.floor);
    if (held.beyond) return void Object.assign(held, { holder: null, freeAt });
    const crowded = this.places.find(({ beyond, size }) => beyond && fits(size, held.size));
    if (crowded) this.places = this.places.filter((place) => place !== crowded);
    // It may have been through before in the order of placing, and yet leave later on the clock.
    if (crowded?.holder) Object.assign(held, { holder: crowded.holder, freeAt: Infinity, floor: freeAt });
    else Object.assign(held, { holder: null, freeAt: Math.max(freeAt, crowded?.freeAt ?? -Infinity) });
  }

  finish(unplaced: Schedule['unplaced']): Schedule {
    const ready = new Map<string, number>();
    for (const { id, tailMin } of this.problem.groups)
      if (this.left.get(id) === 0) ready.set(id, this.ends.get(id)! + tailMin);
    const cost = priceSchedule(this.problem, ready, this.cleanUps, unplaced.length);
    return { placements: this.placed, unplaced, ready, cost };
  }
}

const fits = (size: PlaceSize, place: PlaceSize): boolean => size === place || (size === 'small' && place === 'large');

const isSooner = (a: Offer, b: Offer): boolean =>
  a.parts[0]!.start < b.parts[0]!.start || (a.parts[0]!.start === b.parts[0]!.start && a.cleanUpMin < b.cleanUpMin);

const waitOf = ({ lags }: Job['after'][number]): number => lags[0]?.from ?? 0;

/** The first window that ends after a minute; windows are in order. */
function findWindow(windows: Problem['windows'], at: number): number {
  let [low, high] = [0, windows.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (windows[middle]!.end > at) high = middle;
    else low = middle + 1;
  }
  return low;
}

/** The first minute from `elapsed` on that lies in one of the stretches. */
function findLag(lags: Job['after'][number]['lags'], elapsed: number): number {
  for (const { from, until } of lags) if (elapsed <= (until ?? Infinity)) return Math.max(elapsed, from);
  return elapsed;
}

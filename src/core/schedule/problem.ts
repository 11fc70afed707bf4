/*
 * A shop's work as the scheduler sees it. All times are whole minutes from one common zero; waits pass at all hours,
 * hands only within windows.
 */

/** A stretch of minutes after something ends in which what follows may start; the last one has no end. */
export interface Lag {
  from: number;
  until?: number;
}

/** What the air must allow before a job may be done. */
export type AirNeed = 'waterborne' | 'solvent';

export interface Job {
  id: string;
  /** The piece it belongs to. */
  group: string;
  /** Hands-on minutes. */
  minutes: number;
  /** Jobs of the same group that come before, with when after their end this may start (rising, not touching). */
  after: readonly { id: string; lags: readonly Lag[] }[];
  /** Follows this job within one window where any window holds both: bright metal is coated on the day it is bared. */
  leadsTo?: string;
  /** May be laid down at the end of a window and taken up in the next: sanding, not coating. */
  splits?: boolean;
  /** What has to be opened for it and cleaned up after it, once in a window. */
  product?: string;
  cleanUpMin?: number;
  /** A mixed batch of the product serves for so long. */
  potLifeMin?: number;
  /** Things of which the shop has one, an open tin or the spray place: taken up until so many minutes after the job. */
  uses?: readonly { thing: string; untilMin: number }[];
  air?: AirNeed;
  /** Not before this minute: what is already done has to dry first. */
  notBefore?: number;
  /** The owner wants it done then. */
  pinnedAt?: number;
  /** From this job on the group takes up one of the shop's places, until it is through. */
  takesPlace?: boolean;
}

export type PlaceSize = 'large' | 'small';

export interface Group {
  id: string;
  /** To be ready by then. */
  due?: number;
  /** From the end of its last job until it can be collected. */
  tailMin: number;
  place: PlaceSize;
  /** It stands in a place already. */
  placed?: boolean;
}

/** Time somebody has. */
export interface Window {
  start: number;
  end: number;
  /** People at work in it. */
  hands: number;
  /** What the air forbids in it. */
  closedTo?: readonly AirNeed[];
}

export interface Problem {
  /** Costs count from here. */
  now: number;
  jobs: readonly Job[];
  /** Jobs that are done, for those that have to wait after them: when hands left them. */
  past?: readonly { id: string; end: number }[];
  groups: readonly Group[];
  /** In order, not overlapping. */
  windows: readonly Window[];
  places: Readonly<Record<PlaceSize, number>>;
}

/** What last held a job back: why it does not start sooner. */
export type Bound =
  | { by: 'start' }
  | { by: 'wait'; on: string }
  | { by: 'closing'; on: string }
  | { by: 'hands'; on: string }
  | { by: 'thing'; thing: string }
  | { by: 'window' }
  | { by: 'room' }
  | { by: 'air' }
  | { by: 'pin' }
  | { by: 'place' };

export interface Placement {
  id: string;
  /** Where hands are on it, in order; more than one stretch when it is laid down between. */
  parts: { start: number; end: number; window: number }[];
  hand: number;
  /** Minutes of opening and cleaning up that come after it. */
  cleanUpMin: number;
  bound: Bound;
}

export const startOf = ({ parts }: Placement): number => parts[0]!.start;
export const endOf = ({ parts }: Placement): number => parts[parts.length - 1]!.end;

export interface Schedule {
  placements: ReadonlyMap<string, Placement>;
  /** Jobs that find no window, with why. */
  unplaced: readonly { id: string; why: 'too_long' | 'no_window' | 'air' | 'waits' }[];
  /** When each group can be collected; none for one that is not all placed. */
  ready: ReadonlyMap<string, number>;
  cost: Cost;
}

export interface Cost {
  lateMin: number;
  /** Mean over groups of how long it takes until they are ready. */
  readyMin: number;
  cleanUps: number;
  unplaced: number;
  total: number;
}

/*
 * Due dates first, then the time pieces are ready, then cleaning up: an hour late weighs as much as a thousand hours of
 * waiting, a clean-up as a quarter of an hour (the order is the owner's; the weights only keep it).
 */
const LATE_WEIGHT = 1000;
const CLEAN_UP_WEIGHT = 15;
const UNPLACED_WEIGHT = 1e9;

/** Cost of a schedule; `ready` as in `Schedule`, all in minutes. */
export function priceSchedule(
  { now, groups }: Pick<Problem, 'now' | 'groups'>,
  ready: ReadonlyMap<string, number>,
  cleanUps: number,
  unplaced: number,
): Cost {
  let [lateMin, sum, count] = [0, 0, 0];
  for (const { id, due } of groups) {
    const at = ready.get(id);
    if (at === undefined) continue;
    count += 1;
    sum += at - now;
    if (due !== undefined) lateMin += Math.max(0, at - due);
  }
  const readyMin = count === 0 ? 0 : sum / count;
  const total = lateMin * LATE_WEIGHT + readyMin + cleanUps * CLEAN_UP_WEIGHT + unplaced * UNPLACED_WEIGHT;
  return { lateMin, readyMin, cleanUps, unplaced, total };
}

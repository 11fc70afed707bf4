import type { Climate } from '../climate';
import type { Dossier, ShelfItem } from '../dossier';
import { listClocks, type Clock } from '../work';

/** What may be done with a painted piece, each with from when. All instants ISO. */
export interface Cure {
  /** When the last coat went on. */
  lastAt: string;
  /** Handled with care, and refitted. */
  handleAt: string;
  /** Things put down on it. */
  putDownAt: string;
  /** Wiped with water and mild soap. */
  washAt: string;
  /** Used, washed and taped like any other. */
  curedAt: string;
  /** The coat that takes longest. */
  slowest: Clock;
}

export type CureMoment = 'handle' | 'put_down' | 'wash' | 'cured';
export const CURE_MOMENTS: readonly CureMoment[] = ['handle', 'put_down', 'wash', 'cured'];
export const momentsOf = (cure: Cure): Record<CureMoment, string> => ({
  handle: cure.handleAt,
  put_down: cure.putDownAt,
  wash: cure.washAt,
  cured: cure.curedAt,
});

const HOUR_MS = 3_600_000;
/** Nothing is put down on a coat before a week, in the air of the label (common practice). */
const PUT_DOWN_H = 7 * 24;
/** Nor is it washed before a fortnight (common practice). */
const WASH_H = 14 * 24;

/**
 * When what may be done with a piece, from the last coat on each of its zones in this air and from the labels of its tins;
 * null before anything was painted. Cold and damp stretch all but the cure, and nothing waits longer than the cure.
 * `now`: ISO instant. Example: a coat that may be handled after a day and is cured after 21: put down on after 7, washed
 * after 14.
 */
export function readCure(dossier: Dossier, tins: readonly ShelfItem[], climate: Climate, now: string): Cure | null {
  const clocks = listClocks(dossier, tins, climate, now);
  if (clocks.length === 0) return null;
  const latest = (of: (clock: Clock) => number): string => new Date(Math.max(...clocks.map(of))).toISOString();
  const after = (clock: Clock, hours: number): number =>
    Math.min(
      Date.parse(clock.curedAt),
      Math.max(Date.parse(clock.handleAt), Date.parse(clock.at) + hours * Math.max(1, clock.times.factor) * HOUR_MS),
    );
  return {
    lastAt: latest(({ at }) => Date.parse(at)),
    handleAt: latest(({ handleAt }) => Date.parse(handleAt)),
    putDownAt: latest((clock) => after(clock, PUT_DOWN_H)),
    washAt: latest((clock) => after(clock, WASH_H)),
    curedAt: latest(({ curedAt }) => Date.parse(curedAt)),
    slowest: clocks.reduce((slow, clock) => (clock.curedAt > slow.curedAt ? clock : slow)),
  };
}

/** How a piece may travel: not at all, wrapped so that nothing touches the paint, or as it is. */
export type Transport = 'not_yet' | 'wrapped' | 'free';

/** Before a coat may be handled it stays; before things may be put down on it, it travels wrapped (common practice). `now`: ISO instant. */
export function judgeTransport(cure: Cure | null, now: string): Transport {
  if (!cure || Date.parse(now) >= Date.parse(cure.putDownAt)) return 'free';
  return Date.parse(now) >= Date.parse(cure.handleAt) ? 'wrapped' : 'not_yet';
}

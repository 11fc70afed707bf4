import type { Dossier } from '../dossier';
import { redoMinutes } from '../knowledge';
import { hourRateOf } from '../ledger';
import { makeRandom } from '../shared';
import type { PiecePace } from '../work';
import type { Door } from './door';
import type { PieceCost } from '../systems';
import type { PieceSurfaces, ZoneSurfaces } from './surfaces';

/** One way it may turn out. */
export interface Draw {
  /** The surface of each zone, by its place in the list. */
  picks: number[];
  sale: number;
  hours: number;
  cost: Door['cost'];
  /** The most that could be paid in this draw for the target to be met. */
  most: number;
}

/** How far off the class table an owner's hours are, as a factor either way, where nothing says so (estimate). */
const HOURS_PCT = 25;

/**
 * The faces of a piece are mostly of one make: so often a face is drawn by the same chance as the others (estimate). What
 * is seen on one then speaks for the piece.
 */
const ALIKE = 0.75;

/** The owner's pace over whole pieces: a multiple of the class table, and the spread of its logarithm. */
export type OwnPace = Pick<PiecePace, 'factor' | 'spread'>;

export function drawAll(
  dossier: Dossier,
  { zones, addUp }: PieceSurfaces,
  { seed, count, own: ownPace }: { seed: number; count: number; own: OwnPace | undefined },
): Draw[] {
  const money = dossier.money!;
  const { low, likely, high } = money.sale!;
  const random = makeRandom(seed);
  const rate = hourRateOf(money);
  const stated = money.spread?.hours_pct;
  const spread = stated === undefined && ownPace ? ownPace.spread : Math.log(1 + (stated ?? HOURS_PCT) / 100);
  const factor = ownPace?.factor ?? 1;
  const known = new Map<string, PieceCost>();
  return Array.from({ length: count }, (): Draw => {
    const sale = money.spread?.sale === 'exact' ? likely : triangular(random(), low, likely, high);
    const pace = factor * Math.exp(spread * normal(random(), random()));
    const shared = random();
    const picks = zones.map(({ surfaces }) => {
      const [alone, u] = [random(), random()];
      return pickBy(surfaces, alone < ALIKE ? shared : u);
    });
    const own = zones.flatMap(({ surfaces, area: m2 }, z) => {
      const surface = surfaces[picks[z]!];
      return surface ? [{ ...surface, m2 }] : [];
    });
    const key = picks.join();
    const whole = known.get(key) ?? addUp(own);
    known.set(key, whole);
    const { minutes, materials, consumables } = whole;
    const hours = (minutes / 60) * pace;
    const redo = own.reduce(
      (sum, { risk, again, minutes: anew, m2 }) => sum + risk * (((redoMinutes(m2) + anew) / 60) * pace * rate + again),
      0,
    );
    const cost = {
      materials,
      consumables,
      hardware: money.hardware ?? 0,
      ownTime: hours * rate,
      fees: (sale * (money.fees_pct ?? 0)) / 100 + (money.fees_fixed ?? 0),
      transport: money.transport ?? 0,
      redo,
    };
    const left = sale - sumOf(cost);
    const byProfit = left - (money.target?.profit ?? 0);
    const byHour =
      money.target?.per_hour === undefined ? Infinity : left + cost.ownTime - money.target.per_hour * hours;
    return { picks, sale, hours, cost, most: Math.min(byProfit, byHour) };
  });
}

export const sumOf = (cost: Door['cost']): number => Object.values(cost).reduce((sum, own) => sum + own, 0);

function pickBy(surfaces: ZoneSurfaces['surfaces'], u: number): number {
  let left = u;
  for (let i = 0; i < surfaces.length - 1; i += 1) {
    left -= surfaces[i]!.p;
    if (left < 0) return i;
  }
  return surfaces.length - 1;
}

/** Inverse of the triangular distribution. Source: textbook form. Example: u = 0 → low, u = 1 → high. */
export function triangular(u: number, low: number, likely: number, high: number): number {
  if (high <= low) return likely;
  const at = (likely - low) / (high - low);
  return u < at
    ? low + Math.sqrt(u * (high - low) * (likely - low))
    : high - Math.sqrt((1 - u) * (high - low) * (high - likely));
}

/** A standard normal number from two uniform ones. Source: Box and Muller (1958). */
const normal = (u: number, v: number): number => Math.sqrt(-2 * Math.log(1 - u)) * Math.cos(2 * Math.PI * v);

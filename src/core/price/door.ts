import type { Dossier } from '../dossier';
import { CHECKS, WORK_RATES, type Check } from '../knowledge';
import { CONSUMABLES_PER_M2 } from '../ledger';
import { makeRandom } from '../shared';
import { foreseeAnswer, listHazards, mayCheck, type Hazard } from '../survey';
import { listSurfaces, type ZoneSurfaces } from './surfaces';

/* The most that may be paid for a piece at the door. Figures in the major unit; what is shown of them is rounded. */

export interface Range {
  low: number;
  median: number;
  high: number;
}

/** A gentle look with what it is expected to be worth before buying. */
export interface LookWorth {
  zone: string;
  check: string;
  worth: number;
}

export type Verdict = 'take' | 'take_below' | 'look_first' | 'leave';

export interface Door {
  /** The most to pay from now: with it the target is met in four draws of five. Rounded down to what is haggled in. */
  walkAway: number;
  /** That before rounding; below nothing where the target is met at no price. */
  exact: number;
  verdict: Verdict;
  /** What is left at `atPrice` after everything, one's own time with it; one in ten is worse than the low, or better than the high. */
  profit: Range;
  atPrice: number;
  hours: Range;
  /** Means over the draws. */
  cost: {
    materials: number;
    consumables: number;
    hardware: number;
    ownTime: number;
    fees: number;
    transport: number;
    redo: number;
  };
  movesMost: LookWorth[];
  hazards: Hazard[];
  draws: number;
  seed: number;
}

const DRAWS = 2000;
/** With the price the target is to be met in so many of the draws. */
const MET = 0.8;
/** How far off the class table an owner's hours are, as a factor either way, where nothing says so (estimate). */
const HOURS_PCT = 25;
const MOST_LOOKS = 3;
/** Stripping what failed and doing it again, minutes, as the planner has it (estimate). */
const REDO = { once: 60, perM2: 200 };

interface Draw {
  /** The surface of each zone, by its place in the list. */
  picks: number[];
  sale: number;
  hours: number;
  cost: Door['cost'];
  /** The most that could be paid in this draw for the target to be met. */
  most: number;
}

/**
 * What a piece may cost at the door, given how little is known of it. Surfaces are drawn from the belief, hours from the
 * spread of the owner's pace, the sale from its range; the same numbers for every question (`seed`), so that comparisons are
 * smooth. `dossier.money.sale` is needed. Source of the check of worth: expected value of sample information (Raiffa and
 * Schlaifer, Applied Statistical Decision Theory, 1961).
 */
export function judgeDoor(
  dossier: Dossier,
  { seed = 1, draws: count = DRAWS }: { seed?: number; draws?: number } = {},
): Door {
  const money = dossier.money!;
  const zones = listSurfaces(dossier);
  const draws = drawAll(dossier, zones, seed, count);
  const exact = quantile(
    draws.map(({ most }) => most),
    1 - MET,
  );
  const walkAway = roundDown(exact);
  const atPrice = money.asking ?? dossier.piece.asking_price ?? walkAway;
  const hazards = (dossier.zones ?? []).flatMap((zone) => listHazards(dossier, zone));
  const movesMost = rankLooks(zones, draws, atPrice);
  const mean = (value: (draw: Draw) => number): number => draws.reduce((sum, draw) => sum + value(draw), 0) / count;
  const stops =
    hazards.some(({ gate }) => gate === 'certified_practice') || zones.some(({ surfaces }) => surfaces.length === 0);
  const asked = money.asking ?? dossier.piece.asking_price;
  return {
    walkAway: stops ? 0 : walkAway,
    exact,
    verdict:
      stops || walkAway === 0
        ? 'leave'
        : asked !== undefined && asked <= walkAway
          ? 'take'
          : asked !== undefined && movesMost.length > 0
            ? 'look_first'
            : 'take_below',
    profit: rangeOf(draws.map(({ sale, cost }) => sale - sumOf(cost) - atPrice)),
    atPrice,
    hours: rangeOf(draws.map(({ hours }) => hours)),
    cost: {
      materials: mean(({ cost }) => cost.materials),
      consumables: mean(({ cost }) => cost.consumables),
      hardware: mean(({ cost }) => cost.hardware),
      ownTime: mean(({ cost }) => cost.ownTime),
      fees: mean(({ cost }) => cost.fees),
      transport: mean(({ cost }) => cost.transport),
      redo: mean(({ cost }) => cost.redo),
    },
    movesMost,
    hazards,
    draws: count,
    seed,
  };
}

function drawAll(dossier: Dossier, zones: readonly ZoneSurfaces[], seed: number, count: number): Draw[] {
  const money = dossier.money!;
  const { low, likely, high } = money.sale!;
  const random = makeRandom(seed);
  const rate = money.hour_rate ?? 0;
  const area = zones.reduce((sum, own) => sum + own.area, 0);
  const consumables = money.consumables ?? CONSUMABLES_PER_M2 * area;
  const spread = Math.log(1 + (money.spread?.hours_pct ?? HOURS_PCT) / 100);
  const cleanUpMin = 2 * WORK_RATES.clean_up_water.once;
  return Array.from({ length: count }, (): Draw => {
    const sale = money.spread?.sale === 'exact' ? likely : triangular(random(), low, likely, high);
    const pace = Math.exp(spread * normal(random(), random()));
    const picks = zones.map(({ surfaces }) => pickBy(surfaces, random()));
    const own = zones.flatMap(({ surfaces, area: m2 }, z) => {
      const surface = surfaces[picks[z]!];
      return surface ? [{ ...surface, m2 }] : [];
    });
    const minutes = own.reduce((sum, surface) => sum + surface.minutes, cleanUpMin);
    const hours = (minutes / 60) * pace;
    const redo = own.reduce(
      (sum, { risk, materials, minutes: again, m2 }) =>
        sum + risk * (((REDO.once + REDO.perM2 * m2 + again) / 60) * pace * rate + materials),
      0,
    );
    const cost = {
      materials: own.reduce((sum, { materials }) => sum + materials, 0),
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

const sumOf = (cost: Door['cost']): number => Object.values(cost).reduce((sum, own) => sum + own, 0);

/**
 * Gentle looks at the kerb, by how much knowing their answer before buying is expected to be worth: what would be gained by
 * buying only after answers with which it pays, less what is gained without looking. Never below nothing.
 */
function rankLooks(zones: readonly ZoneSurfaces[], draws: readonly Draw[], price: number): LookWorth[] {
  const gains = draws.map(({ most }) => most - price);
  const now = Math.max(0, gains.reduce((sum, gain) => sum + gain, 0) / draws.length);
  const looks = CHECKS.filter((check) => mayCheck(check, { leadOpen: true, at: 'kerb' }));
  return zones
    .flatMap((own, z) =>
      looks
        .filter((check) => isOpen(check, own))
        .map((check): LookWorth => {
          const after = check.answers.reduce((sum, { code }) => {
            const by = own.surfaces.map(({ state, bleeds }) =>
              foreseeAnswer(check.code, code, own.belief, state, bleeds),
            );
            const gain = draws.reduce((all, { picks }, d) => all + by[picks[z]!]! * gains[d]!, 0) / draws.length;
            return sum + Math.max(0, gain);
          }, 0);
          return { zone: own.zone.id, check: check.code, worth: Math.max(0, after - now) };
        }),
    )
    .filter(({ worth }) => worth >= LEAST_WORTH)
    .sort((a, b) => b.worth - a.worth)
    .slice(0, MOST_LOOKS);
}

/** A look that is worth less than one unit of money is not named. */
const LEAST_WORTH = 1;

const isOpen = (check: Check, { zone, surfaces }: ZoneSurfaces): boolean =>
  surfaces.length > 1 &&
  (!check.roles || check.roles.includes(zone.role)) &&
  !zone.observations?.some((own) => own.check === check.code);

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

/** The value that a share of the list lies below. */
export function quantile(values: readonly number[], share: number): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]!;
}

const rangeOf = (values: readonly number[]): Range => ({
  low: quantile(values, 0.1),
  median: quantile(values, 0.5),
  high: quantile(values, 0.9),
});

/** Whole units below fifty, fives above, in any currency; never below nothing. */
export const roundDown = (amount: number): number =>
  amount <= 0 ? 0 : amount < 50 ? Math.floor(amount + 1e-9) : Math.floor(amount / 5 + 1e-9) * 5;

import { askingOf, type Dossier } from '../dossier';
import { quantile } from '../shared';
import { listHazards, type Hazard } from '../survey';
import { drawAll, sumOf, type Draw, type OwnPace } from './draws';
import { leastAfterLook, listWorth, weighLooks } from './looks';
import { findStops, listReasons, type DoorReason } from './reasons';
import { listSurfaces } from './surfaces';

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
  /** How far its answer moves the price, on average, either way. */
  moves: number;
}

export type Verdict = 'take' | 'take_below' | 'look_first' | 'leave';

export interface Door {
  /** The most to pay from now: with it the target is met in four draws of five. Rounded down to what is haggled in. */
  walkAway: number;
  /** That before rounding; below nothing where the target is met at no price. */
  exact: number;
  verdict: Verdict;
  /** The two strongest reasons for it. */
  reasons: DoorReason[];
  /** Share of the draws in which the target is met at the price asked; none where none is asked. */
  metAtAsking: number | null;
  /** One in ten pays no more than the low end, one in ten would still be met above the high one. */
  mostToPay: Range;
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
  /** The one look to make next: worth most, or else moving the price most. */
  nextLook: LookWorth | null;
  hazards: Hazard[];
  /** What is not set and counts in it by a figure of ours: to be asked. */
  asks: 'hour_rate'[];
  draws: number;
  seed: number;
}

const DRAWS = 2000;
/** Enough for a first figure. */
const ROUGH_DRAWS = 300;
/** With the price the target is to be met in so many of the draws. */
const MET = 0.8;

export interface DoorOptions {
  seed?: number;
  draws?: number;
  /** How long whole pieces take the owner, where that is known. */
  pace?: OwnPace;
  /** In haste: fewer draws, of the likeliest surfaces alone. */
  rough?: boolean;
}

/**
 * What a piece may cost at the door, given how little is known of it. Surfaces are drawn from the belief, hours from the
 * spread of the owner's pace, the sale from its range; the same numbers for every question (`seed`), so that comparisons are
 * smooth. `dossier.money.sale` is needed. Source of the check of worth: expected value of sample information (Raiffa and
 * Schlaifer, Applied Statistical Decision Theory, 1961).
 */
export function judgeDoor(
  dossier: Dossier,
  { seed = 1, rough = false, draws: count = rough ? ROUGH_DRAWS : DRAWS, pace }: DoorOptions = {},
): Door {
  const surfaces = listSurfaces(dossier, rough);
  const { zones } = surfaces;
  const draws = drawAll(dossier, surfaces, { seed, count, own: pace });
  const met = quantile(
    draws.map(({ most }) => most),
    1 - MET,
  );
  // Knowing nothing never pays more than what a look would find pays on average.
  const exact = Math.min(met, leastAfterLook(zones, draws, 1 - MET));
  const walkAway = roundDown(exact);
  const asked = askingOf(dossier);
  const atPrice = asked ?? walkAway;
  const found = (dossier.zones ?? []).flatMap((zone) =>
    listHazards(dossier, zone).map((hazard) => ({ zone: zone.id, hazard })),
  );
  const looks = weighLooks(zones, draws, atPrice);
  const movesMost = listWorth(looks);
  const mean = (value: (draw: Draw) => number): number => draws.reduce((sum, draw) => sum + value(draw), 0) / count;
  const stops = findStops(zones, found);
  const most = stops.length > 0 ? 0 : walkAway;
  return {
    walkAway: most,
    exact,
    verdict: judge(
      most,
      asked,
      movesMost.some(({ worth }) => worth > 0),
    ),
    reasons: listReasons(stops, zones, draws, { walkAway: most, asked }),
    metAtAsking: asked === undefined ? null : mean((draw) => (draw.most >= asked ? 1 : 0)),
    mostToPay: rangeOf(draws.map((draw) => draw.most)),
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
    nextLook: looks[0] ?? null,
    hazards: found.map(({ hazard }) => hazard),
    asks: dossier.money?.hour_rate === undefined ? ['hour_rate'] : [],
    draws: count,
    seed,
  };
}

function judge(most: number, asked: number | undefined, worthALook: boolean): Verdict {
  if (most === 0) return 'leave';
  if (asked !== undefined && asked <= most) return 'take';
  return asked !== undefined && worthALook ? 'look_first' : 'take_below';
}

const rangeOf = (values: readonly number[]): Range => ({
  low: quantile(values, 0.1),
  median: quantile(values, 0.5),
  high: quantile(values, 0.9),
});

/** Whole units below fifty, fives above, in any currency; never below nothing. */
export const roundDown = (amount: number): number =>
  amount <= 0 ? 0 : amount < 50 ? Math.floor(amount + 1e-9) : Math.floor(amount / 5 + 1e-9) * 5;

/** What a typed price stands for: three quarters of it to a third more (estimate), in whole units. Example: 200 → 150, 200, 260. */
export const rangeAbout = (likely: number): { low: number; likely: number; high: number } => ({
  low: Math.floor(likely * 0.75),
  likely,
  high: Math.ceil(likely * 1.3),
});

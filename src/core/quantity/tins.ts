/** A tin of a size one can buy. */
export interface TinSize {
  volumeMl: number;
  price: number;
}

export interface Purchase {
  /** Tins to buy, largest first. */
  tins: { volumeMl: number; count: number }[];
  price: number;
  /** What is left over after the job, ml. */
  leftMl: number;
}

export interface TinTable {
  /** The cheapest set of tins that holds at least so much; nothing needed, nothing bought. */
  choose: (neededMl: number) => Purchase;
  /** Its price. */
  price: (neededMl: number) => number;
}

/**
 * The cheapest sets of tins of some sizes; of equally cheap ones, the one with fewest tins. Exact: the least cost of at
 * least v is found for every v in steps of the sizes' common measure (10 ml), and kept as more is asked for. Sizes must
 * be multiples of 10 ml. Example: 900 ml from 250 ml at 9 and 750 ml at 20 → one of each, 29.
 */
export function tabulateTins(sizes: readonly TinSize[]): TinTable {
  const best: { price: number; count: number; pick: number }[] = [{ price: 0, count: 0, pick: -1 }];
  const look = (neededMl: number): number => {
    const steps = Math.ceil(Math.max(0, neededMl) / STEP_ML);
    for (let v = best.length; v <= steps; v += 1) {
      let top = { price: Infinity, count: Infinity, pick: -1 };
      sizes.forEach(({ volumeMl, price }, pick) => {
        const rest = best[Math.max(0, v - volumeMl / STEP_ML)]!;
        const here = { price: rest.price + price, count: rest.count + 1, pick };
        if (here.price < top.price - 1e-9 || (here.price < top.price + 1e-9 && here.count < top.count)) top = here;
      });
      best.push(top);
    }
    return steps;
  };
  return {
    price: (neededMl) => best[look(neededMl)]!.price,
    choose: (neededMl) => {
      const steps = look(neededMl);
      const counts = sizes.map(() => 0);
      for (let v = steps; v > 0;) {
        const { pick } = best[v]!;
        counts[pick] = counts[pick]! + 1;
        v = Math.max(0, v - sizes[pick]!.volumeMl / STEP_ML);
      }
      const bought = sizes.map(({ volumeMl }, i) => ({ volumeMl, count: counts[i]! })).filter(({ count }) => count > 0);
      const volume = bought.reduce((sum, { volumeMl, count }) => sum + volumeMl * count, 0);
      return {
        tins: bought.sort((a, b) => b.volumeMl - a.volumeMl),
        price: best[steps]!.price,
        leftMl: Math.round(volume - Math.max(0, neededMl)),
      };
    },
  };
}

const STEP_ML = 10;

/** Sizes most classes are sold in, and how much dearer a litre is in a small tin (estimates). */
export function listUsualTins(pricePerLitre: number): TinSize[] {
  return USUAL.map(({ volumeMl, factor }) => ({
    volumeMl,
    price: Math.round(((pricePerLitre * volumeMl) / 1000) * factor * 100) / 100,
  }));
}
/** Spray cans come in one size. */
export const listCans = (pricePerLitre: number, canMl: number): TinSize[] => [
  { volumeMl: canMl, price: Math.round((pricePerLitre * canMl) / 10) / 100 },
];

const USUAL = [
  { volumeMl: 250, factor: 1.6 },
  { volumeMl: 750, factor: 1.2 },
  { volumeMl: 2500, factor: 0.9 },
];

import type { Experience } from '../dossier';
import { makeRandom } from '../shared';
import { describePosterior, poolExperience, updateCounts, type Question } from './pool';
import { expectFailure } from './expect';

/*
 * Made-up shops, to see whether what is learned from tests deserves its intervals. In such a shop each treatment has a
 * true chance to hold that nobody knows: drawn around the class table, alike for products of a class and for
 * neighbouring surfaces, and never quite the same.
 */

/** How far true chances stray, in counts: from the class table, between surfaces, between products of a class. */
export interface Spread {
  table: number;
  surface: number;
  product: number;
}

/**
 * What the discounts were chosen for (an estimate, until real shops say otherwise): in long comparisons side by side
 * products of one class hold on and let go on the same board (common practice).
 */
export const USUAL_SPREAD: Spread = { table: 5, surface: 16, product: 8 };

interface Truth extends Question {
  holds: number;
}

const SURFACES = [
  { substrate: 'hpl_laminate', finish: 'factory_film' },
  { substrate: 'melamine_board', finish: 'factory_film' },
  { substrate: 'wood_veneer', finish: 'varnish_oil' },
  { substrate: 'wood_veneer', finish: 'nitro_lacquer' },
] as const;
const GROUPS = [
  [0, 1],
  [2, 3],
] as const;
const CLASSES = ['bonding_primer_wb', 'shellac_primer', 'allpurpose_primer_wb', 'stainblock_primer_wb'] as const;
const PRODUCTS = ['first', 'second'] as const;
const PREP = 'liquid_degloss';

/** The true chances of a shop: class on a group of surfaces, then on each surface, then of each product. */
export function drawShop(seed: number, spread: Spread): Truth[] {
  const random = makeRandom(seed);
  const beta = (mean: number, count: number): number =>
    drawBeta(random, Math.max(1e-3, mean * count), Math.max(1e-3, (1 - mean) * count));
  return CLASSES.flatMap((primer) =>
    GROUPS.flatMap((group) => {
      const expected = 1 - expectFailure('adhesion', SURFACES[group[0]], { prep: PREP, primer });
      const onGroup = beta(expected, spread.table);
      return group.flatMap((index) => {
        const onSurface = beta(onGroup, spread.surface);
        return PRODUCTS.map((product): Truth => {
          return {
            ...SURFACES[index]!,
            mode: 'adhesion',
            prep: PREP,
            primer,
            product,
            holds: beta(onSurface, spread.product),
          };
        });
      });
    }),
  );
}

/** Tests of a shop: some treatments often, some never, as it comes. */
export function drawTests(seed: number, shop: readonly Truth[], most: number): Experience[] {
  const random = makeRandom(seed + 1);
  return shop.flatMap(({ holds, ...question }) => {
    const tests = Math.floor(random() * random() * (most + 1));
    let held = 0;
    for (let i = 0; i < tests; i += 1) held += random() < holds ? 1 : 0;
    return tests === 0 ? [] : [{ ...question, held, failed: tests - held, tests, tests_held: held }];
  });
}

/** What is believed of one treatment, with all the shop's tests or with its own alone. */
function judge(question: Question, tests: readonly Experience[], pooling: boolean) {
  const own = tests.filter(
    (row) => row.product === question.product && row.substrate === question.substrate && row.finish === question.finish,
  );
  const expected = expectFailure('adhesion', question, question);
  return describePosterior(updateCounts(expected, poolExperience(question, pooling ? tests : own)));
}

export interface ShopFigures {
  /** Share of true chances inside their 90 % intervals. */
  coverage: number;
  /** Mean loss of chance to hold by taking what looks best instead of what is best, by surface. */
  regret: number;
}

export function measureShops(seeds: readonly number[], spread: Spread, most: number, pooling: boolean): ShopFigures {
  let [inside, all, regret, choices] = [0, 0, 0, 0];
  for (const seed of seeds) {
    const shop = drawShop(seed, spread);
    const tests = drawTests(seed, shop, most);
    for (const surface of SURFACES) {
      const options = shop
        .filter(({ substrate, finish }) => substrate === surface.substrate && finish === surface.finish)
        .map((truth) => ({ truth, belief: judge(truth, tests, pooling) }));
      for (const { truth, belief } of options) {
        all += 1;
        if (truth.holds >= belief.lo && truth.holds <= belief.hi) inside += 1;
      }
      const taken = options.reduce((best, option) => (option.belief.mean > best.belief.mean ? option : best));
      regret += Math.max(...options.map(({ truth }) => truth.holds)) - taken.truth.holds;
      choices += 1;
    }
  }
  return { coverage: inside / all, regret: regret / choices };
}

/** A Beta draw from two Gamma draws (Marsaglia and Tsang 2000). */
export function drawBeta(random: () => number, a: number, b: number): number {
  const [x, y] = [drawGamma(random, a), drawGamma(random, b)];
  return x / (x + y);
}

function drawGamma(random: () => number, shape: number): number {
  if (shape < 1) return drawGamma(random, shape + 1) * (1 - random()) ** (1 / shape);
  const d = shape - 1 / 3;
  const c = 1 / Math.sqrt(9 * d);
  for (;;) {
    const normal = Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
    const v = (1 + c * normal) ** 3;
    if (v > 0 && Math.log(1 - random()) < 0.5 * normal ** 2 + d - d * v + d * Math.log(v)) return d * v;
  }
}

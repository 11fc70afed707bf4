import { solve, type Constraint } from 'yalps';
import { listUsualTins, tabulateTins } from '../quantity';
import { makeRandom } from '../shared';
import { chooseJointly, priceJointly, type JointCandidate, type JointProblem } from './joint';

/*
 * Small choices over zones, drawn from fixed seeds, against two other ways to the optimum: trying every combination, and
 * a mixed-integer programme given to `yalps` (a published simplex and branch-and-cut solver).
 */

const STIR_ML = 40;
interface Drawn {
  problem: JointProblem;
  stocks: number[];
  opening: number;
  perLitre: number[];
}

function draw(seed: number, zoneCount: number, most: number): Drawn {
  const random = makeRandom(seed);
  const pick = (n: number): number => Math.floor(random() * n);
  const stocks = Array.from({ length: 4 }, () => (random() < 0.4 ? 50 * pick(8) : 0));
  const perLitre = Array.from({ length: 4 }, () => 20 + pick(30));
  const opening = 2.5;
  const candidate = (): JointCandidate => {
    const products = [0, 1, 2, 3].filter(() => random() < 0.45);
    return {
      cost: Math.round(random() * 4000) / 100,
      waitH: pick(5) * 12,
      uses: products.map((product) => [product, 5 * (1 + pick(60))] as const),
    };
  };
  const zones = Array.from({ length: zoneCount }, () => Array.from({ length: 2 + pick(most - 1) }, candidate));
  const tables = perLitre.map((money) => tabulateTins(listUsualTins(money)));
  const price = (product: number, ml: number): number =>
    opening + tables[product]!.price(ml + STIR_ML - stocks[product]!);
  return {
    problem: { zones, price, stock: (product) => stocks[product]!, hourPrice: 0.1 + random() },
    stocks,
    opening,
    perLitre,
  };
}

function tryAll(problem: JointProblem): number {
  const walk = (picks: readonly number[]): number =>
    picks.length === problem.zones.length
      ? priceJointly(problem, picks)
      : Math.min(...problem.zones[picks.length]!.map((_, pick) => walk([...picks, pick])));
  return walk([]);
}

function solveAsProgramme({ problem, stocks, opening, perLitre }: Drawn): number {
  const constraints = new Map<string, Constraint>();
  const variables = new Map<string, Record<string, number>>();
  problem.zones.forEach((candidates, z) => {
    constraints.set(`one ${z}`, { equal: 1 });
    constraints.set(`longest ${z}`, { max: 0 });
    candidates.forEach(({ cost, waitH, uses }, c) => {
      const column: Record<string, number> = { cost, [`one ${z}`]: 1, [`longest ${z}`]: waitH };
      for (const [product, ml] of uses) {
        column[`enough ${product}`] = ml;
        column[`open ${z} ${c} ${product}`] = 1;
        constraints.set(`open ${z} ${c} ${product}`, { max: 0 });
      }
      variables.set(`take ${z} ${c}`, column);
    });
  });
  const longest: Record<string, number> = { cost: problem.hourPrice };
  problem.zones.forEach((_, z) => (longest[`longest ${z}`] = -1));
  variables.set('wait', longest);
  stocks.forEach((stock, product) => {
    // What is used and stirred away, less the shelf, fits into the tins bought.
    constraints.set(`enough ${product}`, { max: stock });
    constraints.set(`either ${product}`, { max: 1 });
    const open: Record<string, number> = { cost: opening, [`enough ${product}`]: STIR_ML, [`either ${product}`]: 1 };
    for (const key of constraints.keys()) if (key.startsWith('open ') && key.endsWith(` ${product}`)) open[key] = -1;
    variables.set(`use ${product}`, open);
    for (const { volumeMl, price } of listUsualTins(perLitre[product]!))
      variables.set(`buy ${product} ${volumeMl}`, { cost: price, [`enough ${product}`]: -volumeMl });
  });
  const names = [...variables.keys()];
  const solution = solve(
    {
      direction: 'minimize',
      objective: 'cost',
      constraints,
      variables,
      integers: names.filter((name) => name.startsWith('buy')),
      binaries: names.filter((name) => name.startsWith('take') || name.startsWith('use')),
    },
    { tolerance: 0, maxIterations: 100_000 },
  );
  if (solution.status !== 'optimal') throw new Error(solution.status);
  return solution.result;
}

describe('the choice over all zones', () => {
  it('costs what trying every combination finds least', () => {
    let several = 0;
    for (let seed = 1; seed <= 200; seed += 1) {
      const { problem } = draw(seed, 4, 6);
      const choice = chooseJointly(problem)!;
      expect([seed, choice.cost]).toEqual([seed, expect.closeTo(tryAll(problem), 6)]);
      expect(choice.cost).toBeCloseTo(priceJointly(problem, choice.picks), 9);
      expect(choice.proven).toBe(true);
      if (new Set(choice.picks).size > 1) several += 1;
    }
    expect(several).toBeGreaterThan(60);
  });

  it('costs what a mixed-integer programme finds least', () => {
    for (let seed = 1; seed <= 25; seed += 1) {
      const drawn = draw(1000 + seed, 3, 4);
      expect([seed, chooseJointly(drawn.problem)!.cost]).toEqual([seed, expect.closeTo(solveAsProgramme(drawn), 4)]);
    }
  });

  it('is none when nothing is cheaper than the limit, or a zone has no way', () => {
    const { problem } = draw(7, 3, 5);
    const { cost } = chooseJointly(problem)!;
    expect(chooseJointly(problem, cost)).toBeNull();
    expect(chooseJointly(problem, cost + 0.01)?.cost).toBeCloseTo(cost, 9);
    expect(chooseJointly({ ...problem, zones: [...problem.zones, []] })).toBeNull();
  });

  it('prefers one product for all zones where that costs less than the best of each', () => {
    const each = (cheap: number, other: number): JointCandidate[] => [
      { cost: 10, waitH: 0, uses: [[cheap, 50]] },
      { cost: 11, waitH: 0, uses: [[other, 50]] },
    ];
    const problem: JointProblem = {
      zones: [each(0, 2), each(1, 2)],
      price: () => 8,
      stock: () => 0,
      hourPrice: 0,
    };
    expect(chooseJointly(problem)).toMatchObject({ picks: [1, 1], cost: 30 });
  });
});

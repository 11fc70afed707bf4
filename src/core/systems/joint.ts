/** One way to treat a zone, as far as the choice over all zones goes. */
export interface JointCandidate {
  /** What it costs whatever the other zones do. */
  cost: number;
  waitH: number;
  /** Products by number, and millilitres of each: a whole number of `ML_STEP`. */
  uses: readonly (readonly [product: number, ml: number])[];
}

export interface JointProblem {
  zones: readonly (readonly JointCandidate[])[];
  /** Price of using so much of a product at all: tins to buy, cleaning up, fumes. Never falls as `ml` grows. */
  price: (product: number, ml: number) => number;
  /** Millilitres of a product that cost nothing. Beyond them, buying together is never dearer than buying apart. */
  stock: (product: number) => number;
  /** Price of an hour of the longest chain of waits. */
  hourPrice: number;
}

export interface JointChoice {
  /** The candidate taken for each zone. */
  picks: number[];
  cost: number;
  /** Partial choices looked at. */
  expanded: number;
  /** No choice is cheaper. */
  proven: boolean;
}

/** Partial choices looked at before the best so far is taken as it is. */
const MOST_EXPANDED = 1200;
/** The same where there is a limit to beat: at the first looks it is, or hardly ever (`docs/architecture.md`). */
const MOST_AGAINST_LIMIT = 200;
const TIE = 1e-9;
export const ML_STEP = 5;

/**
 * One candidate for each zone so that the sum of their costs, the price of every product used at all and the longest
 * chain of waits is least. Where there is no limit to beat a start is improved zone by zone; branch and bound then looks
 * for anything cheaper and, within the choices it may look at, proves that there is nothing. `null` when nothing is
 * cheaper than `limit` or a zone has no candidate.
 */
export function chooseJointly(problem: JointProblem, limit = Infinity): JointChoice | null {
  if (problem.zones.some((candidates) => candidates.length === 0)) return null;
  const kept = problem.zones.map((candidates) => dropHopeless(candidates, problem));
  const reduced: JointProblem = {
    ...problem,
    zones: kept.map((numbers, z) => numbers.map((number) => problem.zones[z]![number]!)),
  };
  const found = branch(reduced, limit);
  return found && { ...found, picks: found.picks.map((pick, z) => kept[z]![pick]!) };
}

/** What a complete choice costs. */
export function priceJointly({ zones, price, hourPrice }: JointProblem, picks: readonly number[]): number {
  const used = new Map<number, number>();
  let [cost, waitH] = [0, 0];
  picks.forEach((pick, z) => {
    const candidate = zones[z]![pick]!;
    cost += candidate.cost;
    waitH = Math.max(waitH, candidate.waitH);
    for (const [product, ml] of candidate.uses) used.set(product, (used.get(product) ?? 0) + ml);
  });
  for (const [product, ml] of used) cost += price(product, ml);
  return cost + waitH * hourPrice;
}

const RIVALS = 16;

/**
 * The numbers of the candidates that may be in a best choice. One goes if another is cheaper by more than all its own
 * products bought new and its longer wait could ever add.
 */
function dropHopeless(candidates: readonly JointCandidate[], { price, stock, hourPrice }: JointProblem): number[] {
  const order = candidates.map((_, i) => i).sort((a, b) => candidates[a]!.cost - candidates[b]!.cost);
  const kept: number[] = [];
  for (const number of order) {
    const own = candidates[number]!;
    // The cheapest few settle nearly all; a candidate kept too many costs time only.
    const hopeless = kept.slice(0, RIVALS).some((better) => {
      const other = candidates[better]!;
      let most = other.cost + Math.max(0, other.waitH - own.waitH) * hourPrice;
      for (const [product, ml] of other.uses) {
        if (most > own.cost) return false;
        const more = ml - amountOf(own, product);
        if (more > 0) most += price(product, more + stock(product));
      }
      return most <= own.cost;
    });
    if (!hopeless) kept.push(number);
  }
  return kept;
}

function amountOf({ uses }: JointCandidate, product: number): number {
  for (const [used, ml] of uses) if (used === product) return ml;
  return 0;
}

const listUsed = (zones: JointProblem['zones']): number[] => [
  ...new Set(zones.flatMap((candidates) => candidates.flatMap(({ uses }) => uses.map(([product]) => product)))),
];

/** The cheapest candidate of each zone by itself, with one product given for nothing. */
const leanOn = ({ zones, price }: JointProblem, lead: number | null): number[] =>
  zones.map((candidates) => findLeast(candidates, (product, ml) => (product === lead ? 0 : price(product, ml))));

/** Changes a choice zone by zone for the better as long as one can be. */
function improve({ zones, price, hourPrice }: JointProblem, picks: number[]): void {
  const used: number[] = [];
  const count = (z: number, sign: 1 | -1): void => {
    for (const [product, ml] of zones[z]![picks[z]!]!.uses) used[product] = (used[product] ?? 0) + sign * ml;
  };
  picks.forEach((_, z) => count(z, 1));
  for (let changed = true; changed;) {
    changed = false;
    for (let z = 0; z < zones.length; z += 1) {
      count(z, -1);
      const otherWait = picks.reduce((most, pick, y) => (y === z ? most : Math.max(most, zones[y]![pick]!.waitH)), 0);
      const priceWith = ({ cost, uses, waitH }: JointCandidate): number => {
        let here = cost + Math.max(otherWait, waitH) * hourPrice;
        for (const [product, ml] of uses) {
          const before = used[product] ?? 0;
          here += price(product, before + ml) - (before > 0 ? price(product, before) : 0);
        }
        return here;
      };
      let least = priceWith(zones[z]![picks[z]!]!);
      zones[z]!.forEach((candidate, pick) => {
        const here = priceWith(candidate);
        if (here < least - TIE) [picks[z], least, changed] = [pick, here, true];
      });
      count(z, 1);
    }
  }
}

const MOST_STARTS = 6;

/** The best of the starts that lean on one product each, those most zones could use first, or on none, each improved. */
function findStart(problem: JointProblem): { picks: number[]; cost: number } {
  const couldUse = (product: number): number =>
    problem.zones.filter((candidates) => candidates.some((candidate) => amountOf(candidate, product) > 0)).length;
  const leads = listUsed(problem.zones)
    .map((product) => ({ product, zones: couldUse(product) }))
    .sort((a, b) => b.zones - a.zones)
    .slice(0, MOST_STARTS);
  const starts = [null, ...leads.map(({ product }) => product)].map((lead) => {
    const picks = leanOn(problem, lead);
    improve(problem, picks);
    return { picks, cost: priceJointly(problem, picks) };
  });
  return starts.reduce((best, other) => (other.cost < best.cost - TIE ? other : best));
}

function findLeast(candidates: readonly JointCandidate[], share: (product: number, ml: number) => number): number {
  let [pick, least] = [0, Infinity];
  candidates.forEach(({ cost, uses }, i) => {
    const here = uses.reduce((sum, [product, ml]) => sum + share(product, ml), cost);
    if (here < least) [pick, least] = [i, here];
  });
  return pick;
}

/** `base + rate × ml` is never above the price of a product, for any amount that all zones may come to use. */
interface Floor {
  base: number;
  rate: number;
}

const FLOOR_RATES = 4;
const FLOOR_AMOUNTS = 24;

/** The floor of each product's price that is highest at the amount the start uses. */
function findFloors({ zones, price }: JointProblem, start: readonly number[]): Map<number, Floor> {
  const floors = new Map<number, Floor>();
  for (const product of listUsed(zones)) {
    const amounts = zones.map((candidates) => candidates.map((candidate) => amountOf(candidate, product)));
    const most = amounts.reduce((sum, own) => sum + Math.max(...own), 0);
    const sure = amounts.reduce((sum, own) => sum + Math.min(...own), 0);
    const smallest = Math.min(...amounts.flat().filter((ml) => ml > 0));
    const least = Math.max(sure, smallest);
    const usual = Math.max(
      least,
      start.reduce((sum, pick, z) => sum + amounts[z]![pick]!, 0),
    );
    let best: Floor = { base: price(product, least), rate: 0 };
    // Between two amounts looked at, the price is at least that of the lower one.
    const stride = Math.max(ML_STEP, (most - least) / FLOOR_AMOUNTS);
    const prices: number[] = [];
    for (let ml = least; ml <= most; ml += stride) prices.push(price(product, ml));
    for (let share = 1; share <= FLOOR_RATES; share += 1) {
      const rate = ((price(product, most) / most) * share) / FLOOR_RATES;
      const base = prices.reduce((low, own, i) => Math.min(low, own - rate * (least + (i + 1) * stride)), Infinity);
      if (base >= 0 && base + rate * usual > best.base + best.rate * usual) best = { base, rate };
    }
    floors.set(product, best);
  }
  return floors;
}

interface Relaxed {
  /** The candidates with products numbered from nought, and the floor's rate in the cost. */
  zones: { pick: number; cost: number; floor: number; waitH: number; uses: JointCandidate['uses'] }[][];
  /** The product of each number, and the base of its floor. */
  products: number[];
  bases: number[];
  /** What each zone bears of a base that is not open yet. */
  shares: number[];
  /** No choice costs less. */
  bound: number;
}

/**
 * The problem with each product's price replaced by its floor and its base shared out equally: a bound on any choice.
 * Shares that a dual ascent moves to where they are wanted prove hardly more and take as long as looking at a fifth more
 * choices does (`docs/architecture.md`).
 */
function relax(problem: JointProblem, start: readonly number[]): Relaxed {
  const floors = findFloors(problem, start);
  const numbers = new Map([...floors.keys()].map((product, i) => [product, i]));
  const zones = problem.zones.map((candidates) =>
    candidates.map(({ cost, waitH, uses }, pick) => ({
      pick,
      cost,
      waitH,
      floor: uses.reduce((sum, [product, ml]) => sum + floors.get(product)!.rate * ml, cost),
      uses: uses.map(([product, ml]) => [numbers.get(product)!, ml] as const),
    })),
  );
  const bases = [...floors.values()].map(({ base }) => base);
  const shares = bases.map((base) => base / zones.length);
  const bound = zones.reduce((sum, candidates) => sum + leastOf(candidates, (product) => shares[product]!), 0);
  const longest = Math.max(0, ...zones.map((candidates) => Math.min(...candidates.map(({ waitH }) => waitH))));
  return { zones, products: [...floors.keys()], bases, shares, bound: bound + longest * problem.hourPrice };
}

/** The least a zone costs by the floors and what each product not open yet adds. */
function leastOf(candidates: Relaxed['zones'][number], opening: (product: number) => number): number {
  let least = Infinity;
  for (const { floor, uses } of candidates) {
    let here = floor;
    for (const [product] of uses) here += opening(product);
    if (here < least) least = here;
  }
  return least;
}

/** Branch and bound from the limit, or, without one, from the best start: `null` when nothing is cheaper than the limit. */
function branch(problem: JointProblem, limit: number): JointChoice | null {
  const { price, hourPrice } = problem;
  const beats = limit < Infinity;
  const { picks: first, cost } = beats ? { picks: leanOn(problem, null), cost: limit } : findStart(problem);
  const { zones, products, bases, shares, bound } = relax(problem, first);
  if (bound >= limit - TIE) return null;
  const order = zones.map((_, z) => z).sort((a, b) => zones[b]!.length - zones[a]!.length);
  const shortest = order.map((zone) => Math.min(...zones[zone]!.map(({ waitH }) => waitH)));
  const restWait = order.map((_, depth) => Math.max(0, ...shortest.slice(depth)));
  const most = beats ? MOST_AGAINST_LIMIT : MOST_EXPANDED;
  const used = products.map(() => 0);
  const best = { picks: beats ? [] : first, cost, expanded: 0 };
  const picks = zones.map(() => 0);
  const bounds = new Map<number, number>();

  /** Least that the zones from `depth` on add to the floor, given what is open. */
  const boundRest = (depth: number): number => {
    const key = used.reduce((bits, ml) => bits * 2 + (ml > 0 ? 1 : 0), 0) * order.length + depth;
    const known = bounds.get(key);
    if (known !== undefined) return known;
    let sum = 0;
    for (let d = depth; d < order.length; d += 1) {
      sum += leastOf(zones[order[d]!]!, (product) => (used[product] === 0 ? shares[product]! : 0));
    }
    bounds.set(key, sum);
    return sum;
  };

  /** `cost` with the prices of what is used so far; `floor` with the floors of those prices instead. */
  const descend = (depth: number, cost: number, floor: number, waitH: number): void => {
    if (depth === order.length) {
      if (cost + waitH * hourPrice < best.cost - TIE) {
        best.cost = cost + waitH * hourPrice;
        best.picks = [...picks];
      }
      return;
    }
    if (best.expanded >= most) return;
    best.expanded += 1;
    const wait = Math.max(waitH, restWait[depth]!) * hourPrice;
    if (wait + floor + boundRest(depth) >= best.cost - TIE) return;
    const zone = order[depth]!;
    const ways = zones[zone]!.map((candidate) => {
      let own = cost + candidate.cost;
      let below = floor + candidate.floor;
      for (const [product, ml] of candidate.uses) {
        const before = used[product]!;
        own += price(products[product]!, before + ml) - (before === 0 ? 0 : price(products[product]!, before));
        if (before === 0) below += bases[product]!;
      }
      return { candidate, own, below, rank: own + Math.max(waitH, candidate.waitH) * hourPrice };
    });
    for (const { candidate, own, below } of ways.sort((a, b) => a.rank - b.rank)) {
      picks[zone] = candidate.pick;
      for (const [product, ml] of candidate.uses) used[product]! += ml;
      descend(depth + 1, own, below, Math.max(waitH, candidate.waitH));
      for (const [product, ml] of candidate.uses) used[product]! -= ml;
    }
  };
  descend(0, 0, 0, 0);
  return best.picks.length > 0 ? { ...best, proven: best.expanded < most } : null;
}

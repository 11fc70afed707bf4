import type { PrimerCode } from '../knowledge';
import { chooseJointly, ML_STEP, type JointCandidate, type JointProblem } from './joint';
import { listPaintSets, paintsFor, paintsOf, type PaintSet } from './paint-sets';
import { AIMS, makeCandidate, priceElapsedHour, priceNumbered, stockNumbered, type Aim } from './prices';
import type { Product } from './product';
import type { Label, ZoneSearch } from './search';
import { thinLabels } from './thin';

/** Ways of a zone that go on by each ranking: fewer where many zones are to be weighed against each other. */
export const countFew = (zones: number): number => Math.min(30, Math.max(4, Math.ceil(48 / zones)));

/** A choice over all zones, with what it costs by the aim it was made for. */
export interface Found {
  labels: Label[];
  cost: number;
}

/** The choice over all zones of a piece: for each set of paints the best way of every zone, and the best of these. */
export class JointSearch {
  expanded = 0;
  private readonly sets: { paints: PaintSet; zones: Contenders[] }[];
  private readonly priced = Object.fromEntries(AIMS.map((aim) => [aim, [] as number[][]])) as Record<Aim, number[][]>;

  constructor(
    private readonly searches: readonly ZoneSearch[],
    private readonly products: readonly Product[],
  ) {
    const few = countFew(searches.length);
    const known = searches.map(() => new Map<string, Contenders>());
    this.sets = listPaintSets(searches).map((paints) => ({
      paints,
      zones: searches.map((search, z) => {
        const own = paintsFor(search, paints);
        const key = own.map(({ index }) => index).join();
        const contenders = known[z]!.get(key) ?? new Contenders(search, own, few);
        known[z]!.set(key, contenders);
        return contenders;
      }),
    }));
  }

  /** The best choice by an aim; without the systems that use a class, where other ways are left. */
  find(aim: Aim, without?: PrimerCode): Found | null {
    const prices = this.prices(aim);
    const rivals = this.sets.map(({ paints, zones }) => {
      const allowed = zones.map((own) => own.list(aim, without));
      const candidates = allowed.map((own) => own.candidates);
      return { allowed, candidates, hope: boundLoosely(candidates, paints, prices) };
    });
    // The paints that promise most go first; when some can no longer be cheaper, none after them can.
    rivals.sort((a, b) => a.hope - b.hope);
    let best: Found | null = null;
    for (const { allowed, candidates, hope } of rivals) {
      if (best && hope >= best.cost) break;
      const choice = chooseJointly({ zones: candidates, ...prices }, best?.cost);
      if (!choice) continue;
      this.expanded += choice.expanded;
      best = { labels: choice.picks.map((pick, z) => allowed[z]!.labels[pick]!), cost: choice.cost };
    }
    return best;
  }

  private prices(aim: Aim): Omit<JointProblem, 'zones'> {
    return {
      price: (product, ml) => {
        const known = (this.priced[aim][product] ??= []);
        const steps = Math.ceil(ml / ML_STEP);
        return (known[steps] ??= priceNumbered(this.products, product, steps * ML_STEP, aim));
      },
      stock: (product) => stockNumbered(this.products, product),
      hourPrice: priceElapsedHour(aim),
    };
  }
}

/** The best few ways of a zone that go with some paints, and what they weigh. */
class Contenders {
  private readonly labels: readonly Label[];
  private readonly known = new Map<string, { labels: readonly Label[]; candidates: JointCandidate[] }>();

  constructor(
    private readonly search: ZoneSearch,
    paints: readonly Product[],
    few: number,
  ) {
    const { ground, goals } = search;
    this.labels = thinLabels(
      goals.filter((goal) => {
        const own = paintsOf(goal);
        return own.length === paints.length && own.every((paint) => paints.includes(paint));
      }),
      ground,
      few,
    );
  }

  list(aim: Aim, without?: PrimerCode): { labels: readonly Label[]; candidates: JointCandidate[] } {
    const key = `${aim}/${without ?? ''}`;
    const known = this.known.get(key);
    if (known) return known;
    const others = this.labels.filter(({ state }) => !state.primers.some(({ code }) => code === without));
    const labels = without !== undefined && others.length > 0 ? others : this.labels;
    const found = { labels, candidates: labels.map((label) => makeCandidate(label, this.search.ground, aim)) };
    this.known.set(key, found);
    return found;
  }
}

/** What no choice with these paints goes below: each zone's least, the paints, the wait nobody can avoid. */
function boundLoosely(
  zones: readonly (readonly JointCandidate[])[],
  paints: PaintSet,
  { price, hourPrice }: Omit<JointProblem, 'zones'>,
): number {
  const least = (value: (candidate: JointCandidate) => number) => (candidates: readonly JointCandidate[]) =>
    candidates.reduce((low, candidate) => Math.min(low, value(candidate)), Infinity);
  const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0);
  const painted = [...new Set([...paints.values()].flat())].map(({ index }) => {
    const ml = sum(zones.map(least(({ uses }) => uses.find(([product]) => product === index)?.[1] ?? 0)));
    return ml > 0 ? price(index, ml) : 0;
  });
  return (
    sum(zones.map(least(({ cost }) => cost))) +
    sum(painted) +
    hourPrice * Math.max(0, ...zones.map(least(({ waitH }) => waitH)))
  );
}

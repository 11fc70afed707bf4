import { isPaint, type PaintCode } from '../knowledge';
import type { Ground } from './ground';
import type { Product } from './product';
import type { Label, ZoneSearch } from './search';

/** The paints that a way of a zone takes: one, or two where a second colour lies on it. */
export const paintsOf = ({ uses }: Label): Product[] =>
  uses.flatMap(({ product }) => (isPaint(product.class) ? [product] : []));

/** What a piece is painted with: by what its zones ask for, a product for each of their colours. */
export type PaintSet = ReadonlyMap<string, readonly Product[]>;

/** Sets that are weighed at most for zones that ask for the same; beyond it a colour goes without the last of its labels. */
const MOST_SETS = 96;

/** Zones that ask for the same share a paint: those with a paint of their own by its class, all others together. */
const groupOf = ({ paintOfItsOwn, paint }: Ground): string => (paintOfItsOwn && paint ? paint : '');

/**
 * The sets of paints that a piece may be painted with: zones that ask for the same share one class, in each colour one
 * product. One empty set where nothing is painted; none where no class serves all that share.
 */
export function listPaintSets(searches: readonly ZoneSearch[]): PaintSet[] {
  const groups = new Map<string, ZoneSearch[]>();
  for (const search of searches) {
    if (search.ground.look !== 'opaque') continue;
    const key = groupOf(search.ground);
    groups.set(key, [...(groups.get(key) ?? []), search]);
  }
  return [...groups].reduce<PaintSet[]>(
    (found, [key, zones]) => {
      const own = listOfGroup(zones);
      return found.flatMap((set) => own.map((products) => new Map([...set, [key, products]])));
    },
    [new Map()],
  );
}

/** The paints of a set that a zone takes. */
export function paintsFor({ ground, goals }: ZoneSearch, set: PaintSet): Product[] {
  if (ground.look !== 'opaque') return [];
  return (set.get(groupOf(ground)) ?? []).filter((paint) => goals.some((goal) => paintsOf(goal).includes(paint)));
}

function listOfGroup(zones: readonly ZoneSearch[]): (readonly Product[])[] {
  const ways = zones.map(({ goals, ground }) => ({ ground, paints: new Set(goals.flatMap(paintsOf)) }));
  const classes = [...new Set([...ways[0]!.paints].map((product) => product.class as PaintCode))];
  return classes.flatMap((code) => {
    const colours = new Map<string, Product[]>();
    for (const { ground, paints } of ways) {
      const wished = [ground.colour, ...(ground.second && ground.second.share > 0 ? [ground.second.colour] : [])];
      for (const colour of wished) {
        const here = [...paints].filter((own) => own.class === code && (own.colour ?? colour) === colour);
        const known = colours.get(colour);
        colours.set(colour, known ? known.filter((own) => here.includes(own)) : here);
      }
    }
    return combine(thin([...colours.values()])).map((set) => [...new Set(set)]);
  });
}

/** At most so many ways to take one of each: the longest list loses its last, which is dearer than what the shelf has. */
function thin(lists: readonly Product[][]): Product[][] {
  const kept = lists.map((list) => [...list].sort((a, b) => b.stockMl - a.stockMl));
  while (kept.reduce((product, { length }) => product * length, 1) > MOST_SETS)
    kept.reduce((longest, list) => (list.length > longest.length ? list : longest)).pop();
  return kept;
}

const combine = (lists: readonly Product[][]): Product[][] =>
  lists.reduce<Product[][]>((sets, list) => sets.flatMap((set) => list.map((own) => [...set, own])), [[]]);

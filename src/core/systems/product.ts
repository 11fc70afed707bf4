import { FILM_FACTS, findCarrier, findDrying, findProduct, type Carrier, type FilmFact } from '../knowledge';
import { computeDryingFactor, type Climate } from '../climate';
import type { ShelfItem } from '../dossier';

export type CoatClass = keyof typeof FILM_FACTS;

/** Something a coat can be taken from: tins of the owner's with the same label, or a class bought new. */
export interface Product {
  /** The first tin, or the class when it is to be bought. */
  key: string;
  class: CoatClass;
  /** Position in the list of products of this plan. */
  index: number;
  tins: readonly ShelfItem[];
  stockMl: number;
  film: FilmFact;
  carrier: Carrier;
  sprayCan: boolean;
  /** Recoat time in this air; never under the label's. */
  recoatH: number;
}

/**
 * Every product a plan may use: each label on the shelf, and each class as bought unless a tin of the owner's is at
 * least as good in every respect.
 */
export function listProducts(shelf: readonly ShelfItem[], climate: Climate): Product[] {
  const products: Product[] = [];
  for (const code of Object.keys(FILM_FACTS) as CoatClass[]) {
    const own = groupByLabel(shelf.filter((item) => item.class === code && item.volume_ml !== 0));
    for (const tins of own) products.push(makeProduct(code, tins, climate, products.length));
    const bought = makeProduct(code, [], climate, products.length);
    if (!products.some((product) => product.class === code && servesAsWell(product, bought))) products.push(bought);
  }
  return products;
}

const servesAsWell = (own: Product, bought: Product): boolean =>
  own.recoatH <= bought.recoatH && measureThirst(own.film) <= measureThirst(bought.film);

/** Wet film of one coat, in µm: what a coat takes of a product. */
const measureThirst = ({ dryFilmUm, solidsPct }: FilmFact): number => (100 * dryFilmUm) / solidsPct;

function makeProduct(code: CoatClass, tins: readonly ShelfItem[], climate: Climate, index: number): Product {
  const film = readLabel(code, tins[0]);
  const factor = computeDryingFactor(findDrying(code), climate);
  return {
    key: tins[0]?.id ?? code,
    class: code,
    index,
    tins,
    stockMl: tins.reduce((sum, { volume_ml }) => sum + (volume_ml ?? 0), 0),
    film,
    carrier: findCarrier(code),
    sprayCan: findProduct(code)?.sprayCan === true,
    recoatH: Math.round(film.recoatH * factor * 2) / 2,
  };
}

/** Label data of the owner's tin where it has some, class data otherwise. */
function readLabel(code: CoatClass, tin: ShelfItem | undefined): FilmFact {
  const film = FILM_FACTS[code];
  if (!tin) return film;
  const solidsPct = tin.solids_pct || film.solidsPct;
  return {
    ...film,
    solidsPct,
    recoatH: tin.recoat_h ?? film.recoatH,
    // Spreading rate m²/L = 10 × solids % ÷ dry film µm, turned round: the film the label's coverage means.
    dryFilmUm: tin.coverage_m2_l ? (10 * solidsPct) / tin.coverage_m2_l : film.dryFilmUm,
  };
}

function groupByLabel(tins: readonly ShelfItem[]): ShelfItem[][] {
  const groups = new Map<string, ShelfItem[]>();
  for (const tin of tins) {
    const label = [tin.recoat_h, tin.solids_pct, tin.coverage_m2_l].join('/');
    groups.set(label, [...(groups.get(label) ?? []), tin]);
  }
  return [...groups.values()];
}

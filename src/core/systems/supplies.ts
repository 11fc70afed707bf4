import { FILM_FACTS, labelProduct, type ProductClass } from '../knowledge';
import { buyTins, pricePerMl, priceTins, withLoss, type Purchase } from '../quantity';
import type { Step } from './choice';
import type { Product } from './product';

/** One product a system uses: what it takes, what the shelf gives, what is to be bought. */
export interface Supply {
  class: ProductClass;
  label: string;
  /** Of paint. */
  colour?: string;
  neededMl: number;
  fromShelf: { id: string; ml: number }[];
  buy: Purchase;
  /** What is taken from the shelf, at what its tins cost, and what is to be bought. */
  cost: number;
}

/** Money for the tins that are to be bought. */
export const priceToBuy = (supplies: readonly Pick<Supply, 'buy'>[]): number =>
  supplies.reduce((sum, { buy }) => sum + buy.price, 0);

/** Glue, filler, caulk, cleaner: what comes by the splash and is priced with the small things. */
export interface SmallSupply {
  label: string;
  ml: number;
}

/** What the steps of a system take of things that are no coats, each once. */
export function listSmallSupplies(steps: readonly Step[]): SmallSupply[] {
  const amounts = new Map<string, number>();
  for (const { material, class: code, ml = 0 } of steps) {
    if (material === undefined && (code === undefined || code in FILM_FACTS)) continue;
    const label = material ?? labelProduct(code!);
    amounts.set(label, (amounts.get(label) ?? 0) + ml);
  }
  return [...amounts].map(([label, ml]) => ({ label, ml: Math.ceil(ml / 5) * 5 }));
}

/** What a product gives from the shelf of so many ml, tin by tin. */
function takeFromShelf({ tins }: Product, ml: number): Supply['fromShelf'] {
  let open = ml;
  return tins.flatMap(({ id, volume_ml = 0 }) => {
    const take = Math.min(open, volume_ml);
    open -= take;
    return take > 0 ? [{ id, ml: take }] : [];
  });
}

/** Money for all that is used of a product: what the shelf gives at what its tins cost, the rest in whole tins. */
export function priceUse(product: Product, ml: number): number {
  const needed = withLoss(ml);
  const shelf = takeFromShelf(product, needed);
  const own = shelf.reduce((sum, taken) => {
    const tin = product.tins.find(({ id }) => id === taken.id);
    return sum + taken.ml * pricePerMl(tin, product.class);
  }, 0);
  return own + pricePurchase(product, ml);
}

/** What all zones of a system take of each product: the shelf first, then the cheapest tins to buy. */
export const listSupplies = (used: ReadonlyMap<Product, number>): Supply[] =>
  [...used].map(([product, ml]) => {
    const neededMl = withLoss(ml);
    const fromShelf = takeFromShelf(product, neededMl);
    const open = fromShelf.reduce((left, own) => left - own.ml, neededMl);
    return {
      class: product.class,
      label: labelProduct(product.class),
      ...(product.colour ? { colour: product.colour } : {}),
      neededMl,
      fromShelf,
      buy: buyTins(product.class, open),
      cost: priceUse(product, ml),
    };
  });

/** Money for what has to be bought so that `ml` of a product can be used. Never falls as `ml` grows. */
export const pricePurchase = (product: Product, ml: number): number =>
  priceTins(product.class, withLoss(ml) - product.stockMl);

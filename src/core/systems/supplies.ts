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

/** What all zones of a system take of each product: the shelf first, then the cheapest tins to buy. */
export function listSupplies(used: ReadonlyMap<Product, number>): Supply[] {
  return [...used].map(([product, ml]) => {
    const neededMl = withLoss(ml);
    const fromShelf: Supply['fromShelf'] = [];
    let [open, cost] = [neededMl, 0];
    for (const item of product.tins) {
      const take = Math.min(open, item.volume_ml ?? 0);
      if (take <= 0) continue;
      fromShelf.push({ id: item.id, ml: take });
      open -= take;
      cost += take * pricePerMl(item, product.class);
    }
    const buy = buyTins(product.class, open);
    return {
      class: product.class,
      label: labelProduct(product.class),
      ...(product.colour ? { colour: product.colour } : {}),
      neededMl,
      fromShelf,
      buy,
      cost: cost + buy.price,
    };
  });
}

/** Money for what has to be bought so that `ml` of a product can be used. Never falls as `ml` grows. */
export const pricePurchase = (product: Product, ml: number): number =>
  priceTins(product.class, withLoss(ml) - product.stockMl);

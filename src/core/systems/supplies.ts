import { FILM_FACTS, labelProduct, type ProductClass } from '../knowledge';
import { chooseTins, listUsualTins, type Purchase } from '../quantity';
import type { CoatClass, Product } from './product';

/** One product a system uses: what it takes, what the shelf gives, what is to be bought. */
export interface Supply {
  class: ProductClass;
  label: string;
  neededMl: number;
  fromShelf: { id: string; ml: number }[];
  buy: Purchase;
}

/** Left in tray, roller and stirring stick, ml for each product (common practice: 30–50). */
const STIR_LOSS_ML = 40;

/** What all zones of a system take of each product: the shelf first, then the cheapest tins to buy. */
export function listSupplies(used: ReadonlyMap<Product, number>): Supply[] {
  return [...used].map(([product, ml]) => {
    const neededMl = Math.round(ml + STIR_LOSS_ML);
    const fromShelf: Supply['fromShelf'] = [];
    let open = neededMl;
    for (const item of product.tins) {
      const take = Math.min(open, item.volume_ml ?? 0);
      if (take <= 0) continue;
      fromShelf.push({ id: item.id, ml: take });
      open -= take;
    }
    return { class: product.class, label: labelProduct(product.class), neededMl, fromShelf, buy: buy(product, open) };
  });
}

const PURCHASES = new Map<CoatClass, Map<number, Purchase>>();

/** Prices hang on the class and the volume alone, so each is worked out once. */
function buy({ class: code }: Product, ml: number): Purchase {
  const known = PURCHASES.get(code) ?? new Map<number, Purchase>();
  PURCHASES.set(code, known);
  const purchase = known.get(ml) ?? chooseTins(ml, listUsualTins(FILM_FACTS[code].pricePerLitre));
  known.set(ml, purchase);
  return purchase;
}

/** Money for what has to be bought so that `ml` of a product can be used. Never falls as `ml` grows. */
export const pricePurchase = (product: Product, ml: number): number =>
  buy(product, Math.max(0, Math.round(ml + STIR_LOSS_ML) - product.stockMl)).price;

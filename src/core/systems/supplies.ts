import { CAN_ML, FILM_FACTS, findProduct, labelProduct, type ProductClass } from '../knowledge';
import { listCans, listUsualTins, tabulateTins, type Purchase, type TinSize, type TinTable } from '../quantity';
import type { Step } from './choice';
import type { CoatClass, Product } from './product';

/** One product a system uses: what it takes, what the shelf gives, what is to be bought. */
export interface Supply {
  class: ProductClass;
  label: string;
  /** Of paint. */
  colour?: string;
  neededMl: number;
  fromShelf: { id: string; ml: number }[];
  buy: Purchase;
}

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
    return {
      class: product.class,
      label: labelProduct(product.class),
      ...(product.colour ? { colour: product.colour } : {}),
      neededMl,
      fromShelf,
      buy: tableOf(product).choose(open),
    };
  });
}

const TABLES = new Map<CoatClass, TinTable>();

/** What a class is sold in. */
export const listSizes = (code: CoatClass): TinSize[] => {
  const { pricePerLitre } = FILM_FACTS[code];
  return findProduct(code)?.sprayCan ? listCans(pricePerLitre, CAN_ML) : listUsualTins(pricePerLitre);
};

/** Prices hang on the class alone, so each class has one table. */
function tableOf({ class: code }: Product): TinTable {
  const table = TABLES.get(code) ?? tabulateTins(listSizes(code));
  TABLES.set(code, table);
  return table;
}

/** Money for what has to be bought so that `ml` of a product can be used. Never falls as `ml` grows. */
export const pricePurchase = (product: Product, ml: number): number =>
  tableOf(product).price(Math.round(ml + STIR_LOSS_ML) - product.stockMl);

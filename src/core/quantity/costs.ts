import type { ShelfItem } from '../dossier';
import { CAN_ML, CONSUMABLES, FILM_FACTS, findProduct } from '../knowledge';
import { listCans, listUsualTins, tabulateTins, type Purchase, type TinSize, type TinTable } from './tins';

/*
 * What work costs in materials, the same whoever asks: the price at the door, a plan, what is to be bought and the account.
 * Whole tins where the shelf is empty, what is left in them is stock; otherwise what is taken from the shelf at what its tin
 * cost; small things by the splash; paper, rollers, rags and tape by zones and sittings. Money in the major unit.
 */

export type FilmClass = keyof typeof FILM_FACTS;
/** Whether something is put on as a film, and is reckoned by the millilitre. */
export const isFilmClass = (code: string): code is FilmClass => code in FILM_FACTS;

/** Left in tray, roller and stirring stick, ml for each product (common practice: 30–50). */
const STIR_LOSS_ML = 40;

/** What is taken of a product for the whole of a job, with what stays in tray and roller. */
export const withLoss = (ml: number): number => Math.round(ml + STIR_LOSS_ML);

const TABLES = new Map<FilmClass, TinTable>();

/** What a class is sold in. */
export const listSizes = (code: FilmClass): TinSize[] => {
  const { pricePerLitre } = FILM_FACTS[code];
  return findProduct(code)?.sprayCan ? listCans(pricePerLitre, CAN_ML) : listUsualTins(pricePerLitre);
};

/** Prices hang on the class alone, so each class has one table. */
function tableOf(code: FilmClass): TinTable {
  const table = TABLES.get(code) ?? tabulateTins(listSizes(code));
  TABLES.set(code, table);
  return table;
}

/** The cheapest whole tins of a class that hold so much; nothing needed, nothing bought. */
export const buyTins = (code: FilmClass, ml: number): Purchase => tableOf(code).choose(ml);
/** Their price. Never falls as `ml` grows. */
export const priceTins = (code: FilmClass, ml: number): number => tableOf(code).price(ml);

/** What a millilitre of a tin cost; of a tin that tells nothing, or of none, what its class costs; nothing where it is no coat. */
export function pricePerMl(tin: ShelfItem | undefined, code: string | undefined): number {
  if (tin?.price !== undefined && tin.size_ml) return tin.price / tin.size_ml;
  const kind = tin?.class ?? code;
  return kind !== undefined && isFilmClass(kind) ? FILM_FACTS[kind].pricePerLitre / 1000 : 0;
}

/** Glue, filler, caulk, cleaner: what comes by the splash, for each step of a zone. */
export const priceSplashes = (splashes: number): number => splashes * CONSUMABLES.splash;

/** Paper, rags and tape for each zone; a roller, a tray's liner and gloves for each sitting in which a product is put on. */
export const priceConsumables = ({ zones, sittings }: { zones: number; sittings: number }): number =>
  zones * CONSUMABLES.zone + sittings * CONSUMABLES.sitting;

/**
 * Sittings in which products are put on: zones that are coated with one product share them, so the zone with most coats of
 * it decides.
 */
export function countSittings(coats: readonly { zone: string; product: string; coats: number }[]): number {
  const perZone = new Map<string, Map<string, number>>();
  for (const { zone, product, coats: count } of coats) {
    const zones = perZone.get(product) ?? new Map<string, number>();
    zones.set(zone, (zones.get(zone) ?? 0) + count);
    perZone.set(product, zones);
  }
  return [...perZone.values()].reduce((sum, zones) => sum + Math.max(...zones.values()), 0);
}

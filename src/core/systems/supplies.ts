import { FILM_FACTS, labelProduct, type FilmFact, type ProductClass } from '../knowledge';
import type { Dossier } from '../dossier';
import { chooseTins, listUsualTins, type Purchase } from '../quantity';

export type ShelfItem = NonNullable<Dossier['shelf']>[number];
type CoatClass = keyof typeof FILM_FACTS;

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

/** The owner's tin of a class, unless it is known to be empty. */
export const findTin = (code: CoatClass, shelf: readonly ShelfItem[]): ShelfItem | undefined =>
  shelf.find((item) => item.class === code && item.volume_ml !== 0);

/** Label data of the owner's tin of a class where there is one, class data otherwise. */
export function findFilm(code: CoatClass, shelf: readonly ShelfItem[]): FilmFact {
  const tin = findTin(code, shelf);
  const film = FILM_FACTS[code];
  if (!tin) return film;
  const solidsPct = tin.solids_pct ?? film.solidsPct;
  return {
    ...film,
    solidsPct,
    recoatH: tin.recoat_h ?? film.recoatH,
    // Spreading rate m²/L = 10 × solids % ÷ dry film µm, turned round: the film the label's coverage means.
    dryFilmUm: tin.coverage_m2_l ? (10 * solidsPct) / tin.coverage_m2_l : film.dryFilmUm,
  };
}

/** What all zones of a system use together, tins counted once: the shelf first, then the cheapest tins to buy. */
export function listSupplies(used: ReadonlyMap<ProductClass, number>, shelf: readonly ShelfItem[]): Supply[] {
  return [...used].map(([code, ml]) => {
    const neededMl = Math.round(ml + STIR_LOSS_ML);
    const fromShelf: Supply['fromShelf'] = [];
    let open = neededMl;
    for (const item of shelf) {
      const take = item.class === code ? Math.min(open, item.volume_ml ?? 0) : 0;
      if (take <= 0) continue;
      fromShelf.push({ id: item.id, ml: take });
      open -= take;
    }
    const buy = chooseTins(open, listUsualTins(FILM_FACTS[code as CoatClass].pricePerLitre));
    return { class: code, label: labelProduct(code), neededMl, fromShelf, buy };
  });
}

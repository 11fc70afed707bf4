import {
  estimateContrastRatio,
  FILM_FACTS,
  findCarrier,
  findDrying,
  findProduct,
  isRubbedOn,
  PAINT_FACTS,
  type Carrier,
  type FilmFact,
} from '../knowledge';
import { computeDryingFactor, LABEL_CLIMATE, type Climate } from '../climate';
import { computeDeltaE00, labOfHex, readHex } from '../colour';
import { measureSitting } from './sitting-minutes';
import { colourOfPiece, listColours, type Dossier, type ShelfItem } from '../dossier';

export type CoatClass = keyof typeof FILM_FACTS;

/** Something a coat can be taken from: tins of the owner's with the same label, or a class bought new. */
export interface Product {
  /** The first tin, or the class when it is to be bought. */
  key: string;
  class: CoatClass;
  /** What a paint dries to: one product for each colour that is wished. None: it serves any. */
  colour?: string;
  /** How well one coat of it hides, 0–1: measured from the owner's own card, else by its colour. Of paints of a colour. */
  contrastRatio?: number;
  /** Position in the list of products of this plan. */
  index: number;
  tins: readonly ShelfItem[];
  stockMl: number;
  film: FilmFact;
  carrier: Carrier;
  sprayCan: boolean;
  /** Minutes of getting it out and putting it away, once a sitting. */
  sittingMin: number;
  /** Recoat time in this air, and until it may be handled; never under the label's. */
  recoatH: number;
  handleH: number;
}

/** Every product that a plan of a piece may use, its paints in each colour that is wished. */
export function productsOf(dossier: Pick<Dossier, 'shelf' | 'climate' | 'goal' | 'zones'>): Product[] {
  const colours = listColours(dossier).map(({ colour }) => colour);
  const own = readHex(colourOfPiece(dossier));
  return listProducts(dossier.shelf ?? [], dossier.climate ?? LABEL_CLIMATE, {
    colours,
    unnamed: colours.find((colour) => colour === own) ?? colours[0],
    gun: dossier.goal?.application === 'spray',
  });
}

/** The colours that paint is wished in, and which of them a tin is taken for that says none; whether coats are sprayed. */
interface WishedColours {
  colours: readonly string[];
  unnamed?: string | undefined;
  gun?: boolean;
}

/**
 * Every product a plan may use: each label on the shelf, and each class as bought unless a tin of the owner's is at
 * least as good in every respect. Paints once for each colour, from the tins that have it.
 */
export function listProducts(
  shelf: readonly ShelfItem[],
  climate: Climate,
  { colours, unnamed, gun = false }: WishedColours = { colours: [] },
): Product[] {
  const products: Product[] = [];
  for (const code of Object.keys(FILM_FACTS) as CoatClass[]) {
    const tins = shelf.filter((item) => item.class === code && item.volume_ml !== 0);
    for (const colour of code in PAINT_FACTS && colours.length > 0 ? colours : [undefined]) {
      const same = colour === undefined ? tins : tins.filter((tin) => isOfColour(tin, colour, unnamed));
      const start = products.length;
      for (const own of groupByLabel(same))
        products.push(makeProduct(code, own, climate, products.length, colour, gun));
      const bought = makeProduct(code, [], climate, products.length, colour, gun);
      if (!products.slice(start).some((product) => servesAsWell(product, bought))) products.push(bought);
    }
  }
  return products;
}

/** Two tins this near are one colour to whoever looks at the piece (ΔE00; common practice: a difference few notice). */
const SAME_COLOUR = 2;

/** Whether a tin of paint is of a colour; one that says none is taken for the piece's own. */
const isOfColour = (tin: ShelfItem, colour: string, unnamed: string | undefined): boolean =>
  tin.colour === undefined
    ? colour === unnamed
    : computeDeltaE00(labOfHex(tin.colour), labOfHex(colour)) <= SAME_COLOUR;

/** Whether a product is of this colour, or of any. */
export const isOffered = ({ colour }: Product, wished: string): boolean => colour === undefined || colour === wished;

const servesAsWell = (own: Product, bought: Product): boolean =>
  own.recoatH <= bought.recoatH &&
  measureThirst(own.film) <= measureThirst(bought.film) &&
  (own.contrastRatio ?? 0) >= (bought.contrastRatio ?? 0);

/** Wet film of one coat, in µm: what a coat takes of a product. */
const measureThirst = ({ dryFilmUm, solidsPct }: FilmFact): number => (100 * dryFilmUm) / solidsPct;

function makeProduct(
  code: CoatClass,
  tins: readonly ShelfItem[],
  climate: Climate,
  index: number,
  colour: string | undefined,
  gun: boolean,
): Product {
  const film = readLabel(code, tins[0]);
  const sprayCan = findProduct(code)?.sprayCan === true;
  const factor = computeDryingFactor(findDrying(code), climate);
  return {
    key: tins[0]?.id ?? code,
    class: code,
    ...(colour === undefined ? {} : { colour }),
    ...(colour === undefined ? {} : { contrastRatio: tins[0]?.contrast_ratio ?? estimateContrastRatio(colour) }),
    index,
    tins,
    stockMl: tins.reduce((sum, { volume_ml }) => sum + (volume_ml ?? 0), 0),
    film,
    carrier: findCarrier(code),
    sprayCan,
    sittingMin: measureSitting({ carrier: findCarrier(code), sprayCan, gun: gun && !isRubbedOn(code) }),
    recoatH: Math.round(film.recoatH * factor * 2) / 2,
    handleH: Math.max(film.recoatH, Math.round(film.handleH * factor * 2) / 2),
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
    const label = [tin.recoat_h, tin.solids_pct, tin.coverage_m2_l, tin.contrast_ratio].join('/');
    groups.set(label, [...(groups.get(label) ?? []), tin]);
  }
  return [...groups.values()];
}

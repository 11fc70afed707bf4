import { FILM_FACTS, hasStrongFumes, redoMinutes } from '../knowledge';
import type { Dossier } from '../dossier';
import type { Ground } from './ground';
import { ML_STEP, type JointCandidate } from './joint';
import type { Product } from './product';
import type { Label, Use } from './search';
import { priceSplashes } from '../quantity';
import { pricePurchase } from './supplies';

/** What a plan is made for: how the owner weighs money, hands, waiting, failing and fumes. */
export type Aim = NonNullable<NonNullable<Dossier['goal']>['priority']> | 'balance';

interface Weights {
  materials: number;
  elapsedHour: number;
  redo: number;
  fumes: number;
}

/** Money for an hour of hands and of waiting, and for one more product with strong vapour: used only to rank (estimates). */
export const HOUR_PRICE = 15;
const BALANCE: Weights = { materials: 1, elapsedHour: 0.1, redo: 1, fumes: 6 };
const WEIGHTS: Record<Aim, Weights> = {
  balance: BALANCE,
  surest: { ...BALANCE, redo: 5 },
  soonest: { ...BALANCE, elapsedHour: 1.1 },
  cheapest: { ...BALANCE, materials: 4 },
  least_fumes: { ...BALANCE, fumes: 60 },
};
export const AIMS = Object.keys(WEIGHTS) as Aim[];

/** A failure also loses the week and the margin of the piece (estimate). */
export const LOST_WEEK_PRICE = 150;
/** A two-part product asks for more than open doors: it counts as this many of the others (estimate). */
const TWO_PART_FACTOR = 4;

/** Money lost if the zone fails: a wrongly primed face takes twice as long to strip as an old one, then all again. */
export function priceRedo(label: Label, ground: Ground): number {
  const hours = (redoMinutes(ground.area) + label.minutes) / 60;
  const coats = label.uses.reduce(
    (sum, { product, ml }) => sum + (ml / 1000) * FILM_FACTS[product.class].pricePerLitre,
    0,
  );
  return hours * HOUR_PRICE + priceSplashes(label.splashes) + coats;
}

/** What a zone's way costs whatever the other zones do, all in money. Lower is better. */
export function priceZone(label: Label, ground: Ground, aim: Aim): number {
  const failing = -Math.expm1(-label.loss) * priceFailure(label, ground, aim);
  return priceSplashes(label.splashes) * WEIGHTS[aim].materials + (label.minutes / 60) * HOUR_PRICE + failing;
}

/** What a failure of a zone weighs: redoing it and the week it loses, as much as the owner dreads it. */
export const priceFailure = (label: Label, ground: Ground, aim: Aim): number =>
  (priceRedo(label, ground) + LOST_WEEK_PRICE) * WEIGHTS[aim].redo;

/** A zone's way as far as the choice over all zones goes. */
export const makeCandidate = (label: Label, ground: Ground, aim: Aim): JointCandidate => ({
  cost: priceZone(label, ground, aim),
  waitH: label.waitH,
  uses: label.uses.flatMap(({ product, ml, sittings }) => [
    [product.index, ml] as const,
    ...Array.from({ length: sittings - 1 }, (_, i) => [product.index + SITTING * (i + 1), ML_STEP] as const),
  ]),
});

/** A further sitting with a product is numbered as a product of its own, that is opened once for all zones. */
const SITTING = 1000;

/** The price of a product, or of a further sitting with it, by its number in the choice over all zones. */
export function priceNumbered(products: readonly Product[], number: number, ml: number, aim: Aim): number {
  const product = products[number % SITTING]!;
  return number < SITTING ? priceProduct(product, ml, aim) : priceSitting(product);
}
/** What is in stock of it. */
export const stockNumbered = (products: readonly Product[], number: number): number =>
  number < SITTING ? products[number]!.stockMl : 0;

const priceSitting = ({ sittingMin }: Product): number => (sittingMin / 60) * HOUR_PRICE;

/** What is taken of products, as if nothing were open yet. */
export const priceOpening = (uses: readonly Use[], aim: Aim): number =>
  uses.reduce(
    (sum, { product, ml, sittings }) => sum + priceProduct(product, ml, aim) + (sittings - 1) * priceSitting(product),
    0,
  );

/** Using a product at all: tins to buy, a sitting with it, its vapour. */
export function priceProduct(product: Product, ml: number, aim: Aim): number {
  const { materials, fumes } = WEIGHTS[aim];
  const vapour = product.carrier === 'two_part' ? TWO_PART_FACTOR * fumes : hasStrongFumes(product.carrier) ? fumes : 0;
  return pricePurchase(product, ml) * materials + priceSitting(product) + vapour;
}

export const priceElapsedHour = (aim: Aim): number => WEIGHTS[aim].elapsedHour;

/** One zone's way as if it were alone: what it would cost with all its products. */
export const priceAlone = (label: Label, ground: Ground, aim: Aim): number =>
  priceZone(label, ground, aim) + priceOpening(label.uses, aim) + label.waitH * priceElapsedHour(aim);

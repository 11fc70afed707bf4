import type { PieceKind } from '../knowledge';
import type { PieceAccount } from './account';
import { estimateScatter, shrinkGroup, type Scatter } from './shrink';

/** What a piece is, as far as its sale goes by it. */
export type SaleTraits = Pick<PieceAccount, 'kind' | 'size' | 'ground' | 'way'>;

export interface SaleRange {
  low: number;
  likely: number;
  high: number;
}

/** What a piece is expected to be sold for, in the major unit, with what that stands on. */
export interface ForeseenSale extends SaleRange {
  /** Own sales of the kind, and of all kinds. */
  ofKind: number;
  inAll: number;
  from: 'own' | 'typed' | 'both';
}

/** A sale of the shop's, in the major unit. */
export interface Sale extends SaleTraits {
  price: number;
}

/** A range that is typed counts as so many own sales of the kind (estimate). */
const TYPED_COUNTS = 3;
/** What may go for nothing is taken to bring so much of what is likely, for ratios (estimate). */
const LEAST_LOW = 0.05;
/** Prices of one kind scatter so, as the standard deviation of their logarithm, where own sales cannot tell (estimate). */
const USUAL_SCATTER = 0.25;
/** Of a sale: one in twenty is below the low end, one in twenty above the high one. */
const ENDS = 1.6449;

/**
 * What a piece will sell for, from the owner's own sales: prices are compared as ratios; what its kind sells for is drawn
 * toward all sales, and then what its size, its ground and what was made of it add to that. Blended with the range that is typed,
 * which counts as three sales. Null where there is no sale of the kind and nothing is typed. All in the major unit.
 */
export function foreseeSale(sales: readonly Sale[], traits: SaleTraits, typed?: SaleRange): ForeseenSale | null {
  const priced = sales.filter(({ price }) => price > 0);
  const ofKind = priced.filter(({ kind }) => kind === traits.kind).length;
  const counts = { ofKind, inAll: priced.length };
  if (ofKind === 0) return typed ? { ...typed, ...counts, from: 'typed' } : null;
  const own = foreseeOwn(priced, traits, ofKind);
  if (!typed || typed.likely <= 0) return { ...own, ...counts, from: 'own' };
  const weight = ofKind / (ofKind + TYPED_COUNTS);
  const blend = (one: number, other: number): number =>
    Math.exp(weight * Math.log(one) + (1 - weight) * Math.log(other));
  return {
    low: blend(own.low, Math.max(typed.low, LEAST_LOW * typed.likely)),
    likely: blend(own.likely, typed.likely),
    high: blend(own.high, typed.high),
    ...counts,
    from: 'both',
  };
}

const TRAITS = [
  ({ kind }) => kind,
  ({ size }) => size,
  ({ ground }) => ground,
  ({ way }) => way,
] as const satisfies readonly ((traits: SaleTraits) => PieceKind | string | null)[];

function foreseeOwn(sales: readonly Sale[], traits: SaleTraits, ofKind: number): SaleRange {
  let left = sales.map((sale) => ({ sale, value: Math.log(sale.price) }));
  let expected = 0;
  for (const trait of TRAITS) {
    const groups = groupBy(left, ({ sale }) => String(trait(sale)));
    const scatter = estimateScatter([...groups.values()].map((list) => list.map(({ value }) => value)));
    const about: Scatter = scatter ?? {
      grand: mean(left.map(({ value }) => value)),
      within: USUAL_SCATTER ** 2,
      between: 0,
      ofGrand: 0,
    };
    const at = (key: string): number => {
      const list = groups.get(key);
      return list
        ? shrinkGroup(
            list.map(({ value }) => value),
            about,
          ).shrunk
        : about.grand;
    };
    expected += at(String(trait(traits)));
    left = left.map(({ sale, value }) => ({ sale, value: value - at(String(trait(sale))) }));
  }
  const rest = left.map(({ value }) => value);
  const freedom = rest.length - TRAITS.length;
  const variance =
    (SURE_COUNTS * USUAL_SCATTER ** 2 + rest.reduce((sum, own) => sum + own ** 2, 0)) /
    (SURE_COUNTS + Math.max(0, freedom));
  const spread = Math.sqrt(variance * (1 + 1 / ofKind));
  return {
    low: Math.exp(expected - ENDS * spread),
    likely: Math.exp(expected),
    high: Math.exp(expected + ENDS * spread),
  };
}
/** The usual scatter counts as so many sales beside those there are (estimate). */
const SURE_COUNTS = 4;

const mean = (values: readonly number[]): number => values.reduce((sum, own) => sum + own, 0) / values.length;

function groupBy<T>(list: readonly T[], key: (own: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const own of list) groups.set(key(own), [...(groups.get(key(own)) ?? []), own]);
  return groups;
}

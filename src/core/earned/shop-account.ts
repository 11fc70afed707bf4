import { levelOf, type ShelfItem } from '../dossier';
import type { CauseCode } from '../knowledge';
import { pricePerMl } from '../quantity';
import { toMinor, toMoney } from '../money';
import { median } from '../shared';
import type { Minor, PieceAccount } from './account';
import { COMPARED_BY, compareEarned, type CompareBy, type Comparison } from './compare';

/** A month of the shop's account, or all of it. */
interface Sums {
  sold: number;
  sale: Minor;
  beforeOwnTime: Minor;
  afterOwnTime: Minor;
  hours: number;
}

/** Everything a shop earned and what stands in the garage. Money in minor units of `currency`. */
export interface ShopAccount {
  currency: string;
  sums: Sums;
  /** Of all sold pieces with hours on record, an hour. */
  perHour: Minor | null;
  comparisons: Record<CompareBy, Comparison>;
  /** Money in pieces that are not sold. */
  tied: { now: Minor; pieces: TiedPiece[]; overTime: TiedAt[] };
  days: {
    median: number;
    low: number;
    high: number;
    list: { id: string; name: string; soldAt: string; days: number }[];
  } | null;
  redo: { cause: CauseCode | null; count: number; minutes: number; materials: Minor }[];
  refunds: Minor;
  saved: { faces: number; minutes: number };
  /** Paint that was taken off the shelf unused, at what its tin cost. */
  thrownAway: { tins: number; amount: Minor };
  /** Accounts in another currency, which are not in the sums. */
  foreign: number;
}

/** A piece that money is tied up in, with what it waits for. */
export type TiedPiece = Pick<PieceAccount, 'id' | 'name' | 'spent' | 'boughtAt' | 'next'>;

export interface TiedAt {
  /** The end of a month, or now. ISO. */
  at: string;
  amount: Minor;
}

/**
 * The account of a shop: what was sold, what it earned by the hour, money tied up over time, what failures cost and what
 * proof saved. `now`: ISO instant; `removed`: tins that were taken off the shelf, as they were then. An empty shop has sums of nothing.
 */
export function readShopAccount(
  all: readonly PieceAccount[],
  currency: string,
  now: string,
  removed: readonly ShelfItem[] = [],
): ShopAccount {
  const accounts = all.filter((own) => own.currency === currency || !isAboutMoney(own));
  const sold = accounts.flatMap(({ sold: own }) => own ?? []);
  const add = (of: (own: (typeof sold)[number]) => number): number => sold.reduce((sum, own) => sum + of(own), 0);
  const timed = sold.filter(({ hours }) => hours > 0);
  const hours = timed.reduce((sum, own) => sum + own.hours, 0);
  return {
    currency,
    sums: {
      sold: sold.length,
      sale: add(({ sale }) => sale),
      beforeOwnTime: add(({ beforeOwnTime }) => beforeOwnTime),
      afterOwnTime: add(({ afterOwnTime }) => afterOwnTime),
      hours: add((own) => own.hours),
    },
    perHour: hours > 0 ? Math.round(timed.reduce((sum, own) => sum + own.beforeOwnTime, 0) / hours) : null,
    comparisons: Object.fromEntries(COMPARED_BY.map((by) => [by, compareEarned(accounts, by)])) as Record<
      CompareBy,
      Comparison
    >,
    tied: readTied(accounts, now),
    days: readDays(accounts),
    redo: addUpRedo(accounts),
    refunds: accounts.reduce((sum, { refunds }) => sum + refunds, 0),
    saved: {
      faces: accounts.reduce((sum, { savedFaces }) => sum + savedFaces, 0),
      minutes: accounts.reduce((sum, { savedMinutes }) => sum + savedMinutes, 0),
    },
    thrownAway: addUpRest(removed, currency),
    foreign: all.length - accounts.length,
  };
}

const isAboutMoney = ({ sold, payments, spent }: PieceAccount): boolean =>
  sold !== null || payments.length > 0 || spent > 0;

function readTied(accounts: readonly PieceAccount[], now: string): ShopAccount['tied'] {
  const open = accounts.filter(({ sold, spent }) => !sold && spent > 0);
  const dated = accounts.flatMap(({ payments }) => payments.map(({ at }) => at));
  const first = dated.length > 0 ? dated.reduce((least, at) => (at < least ? at : least)) : null;
  const ends = first === null ? [] : listMonthEnds(first, now);
  return {
    now: open.reduce((sum, { spent }) => sum + spent, 0),
    pieces: open
      .map(({ id, name, spent, boughtAt, next }): TiedPiece => ({ id, name, spent, boughtAt, next }))
      .sort((a, b) => b.spent - a.spent),
    overTime: tieUp(accounts, ends),
  };
}

/**
 * Money in pieces at each of some moments, in order: what was paid by then for those that were not sold by then. All that
 * came and went is gone through once.
 */
function tieUp(accounts: readonly PieceAccount[], moments: readonly string[]): TiedAt[] {
  const moves = accounts.flatMap(({ payments, soldAt, sold }) => {
    // Sold on a day that nobody knows: it was never seen to be tied up.
    if (sold && soldAt === null) return [];
    const until = sold && soldAt !== null ? Date.parse(soldAt) : Infinity;
    return payments.flatMap(({ at, amount }) => {
      const from = Date.parse(at);
      if (from >= until) return [];
      return [{ at: from, amount }, ...(until < Infinity ? [{ at: until, amount: -amount }] : [])];
    });
  });
  moves.sort((a, b) => a.at - b.at);
  let [next, amount] = [0, 0];
  return moments.map((at) => {
    const end = Date.parse(at);
    for (; next < moves.length && moves[next]!.at <= end; next += 1) amount += moves[next]!.amount;
    return { at, amount };
  });
}

/** The ends of the months from the first to the last, and now. */
function listMonthEnds(first: string, now: string): string[] {
  const start = new Date(first);
  const ends: string[] = [];
  for (let month = 1; ends.length < MOST_MONTHS; month += 1) {
    const end = new Date(Date.UTC(start.getUTCFullYear(), start.getUTCMonth() + month, 1));
    if (end.getTime() >= Date.parse(now)) break;
    ends.push(end.toISOString());
  }
  return [...ends, now];
}
const MOST_MONTHS = 240;

function readDays(accounts: readonly PieceAccount[]): ShopAccount['days'] {
  const list = accounts
    .flatMap(({ id, name, soldAt, sold }) =>
      soldAt !== null && sold?.days !== undefined && sold.days !== null ? [{ id, name, soldAt, days: sold.days }] : [],
    )
    .sort((a, b) => a.soldAt.localeCompare(b.soldAt));
  if (list.length === 0) return null;
  const days = list.map((own) => own.days);
  return { median: median(days), low: Math.min(...days), high: Math.max(...days), list };
}

function addUpRedo(accounts: readonly PieceAccount[]): ShopAccount['redo'] {
  const causes = new Map<CauseCode | null, ShopAccount['redo'][number]>();
  for (const { cause, minutes, materials } of accounts.flatMap(({ redo }) => redo)) {
    const known = causes.get(cause) ?? { cause, count: 0, minutes: 0, materials: 0 };
    causes.set(cause, {
      cause,
      count: known.count + 1,
      minutes: known.minutes + minutes,
      materials: known.materials + materials,
    });
  }
  return [...causes.values()].sort((a, b) => b.minutes - a.minutes);
}

/** What was left in tins that are gone: paid for, and on no piece. Of a tin of unknown price or content nothing is told. */
function addUpRest(removed: readonly ShelfItem[], currency: string): ShopAccount['thrownAway'] {
  const rests = removed.flatMap((tin) => {
    const left = levelOf(tin);
    return tin.price !== undefined && tin.size_ml !== undefined && left !== undefined && left > 0
      ? [toMinor(toMoney(left * pricePerMl(tin, undefined), currency))]
      : [];
  });
  return { tins: rests.length, amount: rests.reduce((sum, own) => sum + own, 0) };
}

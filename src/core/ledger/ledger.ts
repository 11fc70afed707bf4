import { isCoat } from '../knowledge';
import { addSpent, type Dossier, type LogEntry, type ShelfItem } from '../dossier';
import {
  countSittings,
  isFilmClass,
  priceConsumables,
  pricePerMl,
  priceSplashes,
  priceTins,
  withLoss,
  type FilmClass,
} from '../quantity';
import { HOUR_PRICE } from '../systems';
import { addAll, DEFAULT_CURRENCY, fromMinor, less, toMajor, toMinor, toMoney, type Money } from '../money';

/** What a line of the account is about. */
export type LineOf =
  'sold' | 'fees' | 'delivery' | 'bought' | 'extra' | 'materials' | 'consumables' | 'hardware' | 'refund';

/** One line of the account of a piece; what came in is positive, what went out negative. */
export interface Line {
  what: LineOf;
  /** What an extra was for. */
  name?: string;
  amount: Money;
  at?: string;
  /** Worked out from the log, the shelf or the class table; given by the owner; or given in its place. */
  from: 'given' | 'worked_out' | 'corrected';
}

/** What a piece earned, once it was sold. */
export interface Earned {
  currency: string;
  lines: Line[];
  /** Sum of the lines. */
  beforeOwnTime: Money;
  /** That by the hour; none where no hour is on record. */
  perHour: Money | null;
  /** That less the hours at the owner's rate. */
  afterOwnTime: Money;
  hours: number;
  hoursFrom: Line['from'];
  /** Some of them nobody timed: those count as planned. */
  hoursEstimated: boolean;
  /** From bought to sold; none where one is not dated. */
  days: number | null;
}

const DAY_MS = 86_400_000;

/**
 * The account of a piece that was sold, in minor units, so that its lines add up exactly; null where it was not. Nothing
 * is asked twice: paint comes from the log at what its tin cost, hours from what was logged; what the owner puts right
 * replaces it and says so.
 */
export function closeAccount(dossier: Dossier): Earned | null {
  const { money } = dossier;
  if (!money?.sold) return null;
  const currency = money.currency ?? DEFAULT_CURRENCY;
  const of = (amount: number): Money => toMoney(amount, currency);
  const given = (what: LineOf, amount: number | undefined, more: Partial<Line> = {}): Line[] =>
    amount === undefined || amount === 0 ? [] : [{ what, amount: less(of(amount)), from: 'given', ...more }];
  const { sold, bought, corrections = {} } = money;
  const lines: Line[] = [
    { what: 'sold', amount: of(sold.amount), from: 'given', ...(sold.at ? { at: sold.at } : {}) },
    {
      what: 'fees',
      amount: less(sold.fees === undefined ? feesOn(sold.amount, money) : of(sold.fees)),
      from: sold.fees === undefined ? 'worked_out' : 'given',
    },
    ...given('delivery', sold.transport ?? money.transport),
    ...given('bought', bought?.amount, bought?.at ? { at: bought.at } : {}),
    ...(money.extras ?? []).flatMap(({ what: name, amount, at }) =>
      given('extra', amount, { name, ...(at ? { at } : {}) }),
    ),
    {
      what: 'materials',
      amount: less(of(corrections.materials ?? countMaterials(dossier))),
      from: corrections.materials === undefined ? 'worked_out' : 'corrected',
    },
    {
      what: 'consumables',
      amount: less(of(corrections.consumables ?? money.consumables ?? countConsumables(dossier))),
      from:
        corrections.consumables !== undefined ? 'corrected' : money.consumables === undefined ? 'worked_out' : 'given',
    },
    ...given('hardware', money.hardware),
    ...(money.refunds ?? []).flatMap(({ amount, at }) => given('refund', amount, at ? { at } : {})),
  ];
  const kept = lines.filter(({ amount }) => toMinor(amount) !== 0);
  const beforeOwnTime = addAll(
    kept.map(({ amount }) => amount),
    currency,
  );
  const spent = addSpent(dossier.log ?? []);
  const hours = corrections.hours ?? Math.round((spent.minutes / 60) * 100) / 100;
  const perHour = hours > 0 ? fromMinor(Math.round(toMinor(beforeOwnTime) / hours), currency) : null;
  const ownTime = of(hours * hourRateOf(money));
  return {
    currency,
    lines: kept,
    beforeOwnTime,
    perHour,
    afterOwnTime: addAll([beforeOwnTime, less(ownTime)], currency),
    hours,
    hoursFrom: corrections.hours === undefined ? 'worked_out' : 'corrected',
    hoursEstimated: corrections.hours === undefined && spent.estimated,
    days: countDays(bought?.at, sold.at),
  };
}

type MoneyFacts = NonNullable<Dossier['money']>;

/** What an hour of the owner's own counts at, in the major unit: as set, else a figure that is asked about, never nothing. */
export const hourRateOf = ({ hour_rate }: Pick<MoneyFacts, 'hour_rate'>): number => hour_rate ?? HOUR_PRICE;

/** What selling costs: a share of the price and a fixed part. */
const feesOn = (price: number, { currency = DEFAULT_CURRENCY, fees_pct = 0, fees_fixed = 0 }: MoneyFacts): Money =>
  toMoney((price * fees_pct) / 100 + fees_fixed, currency);

const listDone = ({ log = [] }: Dossier): LogEntry[] => log.filter(({ skipped }) => !skipped);

/**
 * What was logged, in the major unit: paint from a tin of the shelf at what that cost for each millilitre, any other in the
 * whole tins that had to be bought for it; and what comes by the splash.
 */
export function countMaterials(dossier: Dossier): number {
  const { shelf = [] } = dossier;
  const done = listDone(dossier);
  const poured = new Map<string, { tin: ShelfItem | undefined; code: FilmClass; ml: number }>();
  for (const { ml = 0, product, class: named, colour = '' } of done) {
    const tin = shelf.find(({ id }) => id === product);
    const code = tin?.class ?? named;
    if (ml <= 0 || code === undefined || !isFilmClass(code)) continue;
    const key = tin?.id ?? `${code} ${colour}`;
    poured.set(key, { tin, code, ml: (poured.get(key)?.ml ?? 0) + ml });
  }
  const paint = [...poured.values()].reduce(
    (sum, { tin, code, ml }) => sum + (tin ? withLoss(ml) * pricePerMl(tin, code) : priceTins(code, withLoss(ml))),
    0,
  );
  const splashes = done.filter(({ class: code }) => code !== undefined && !isFilmClass(code)).length;
  return paint + priceSplashes(splashes);
}

/** Paper, rollers, rags and tape of the zones that were worked on and the sittings in which they were coated. */
function countConsumables(dossier: Dossier): number {
  const done = listDone(dossier);
  const coats = done.flatMap(({ zone, op, class: code, product = code, coats: count = 1 }) =>
    isCoat(op) && product !== undefined ? [{ zone, product, coats: count }] : [],
  );
  return priceConsumables({ zones: new Set(done.map(({ zone }) => zone)).size, sittings: countSittings(coats) });
}

const countDays = (from: string | undefined, to: string | undefined): number | null =>
  from === undefined || to === undefined ? null : Math.round((Date.parse(to) - Date.parse(from)) / DAY_MS);

/** Lines in the major unit, for files: signed, and adding up to what is before own time. */
export const listAmounts = ({ lines }: Earned): { what: string; amount: number }[] =>
  lines.map(({ what, name, amount }) => ({ what: name ?? what, amount: toMajor(amount) }));

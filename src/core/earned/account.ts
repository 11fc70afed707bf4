import { addSpent, isOfNow, lookOf, recoveryOf, namePiece, wishOf, type Dossier, type Zone } from '../dossier';
import {
  isWholeCoat,
  redoMinutes,
  type CauseCode,
  type PieceKind,
  type SubstrateCode,
  type WayCode,
} from '../knowledge';
import { closeAccount, countMaterials } from '../ledger';
import { decimalsOf, DEFAULT_CURRENCY, toMinor, toMoney } from '../money';
import { judgeTest } from '../proof';
import { computeBelief } from '../survey';
import type { NextStep } from '../piece';
import { sizeOf, summarisePiece } from '../work';
import type { Sale, SaleTraits } from './foresee-sale';

/** Whole minor units of the account's currency (cents, pence, none). */
export type Minor = number;

/** What was done again because something failed, by what is held to have made it. */
export interface Redo {
  cause: CauseCode | null;
  minutes: number;
  materials: Minor;
}

/** What a shop's account keeps of a piece that money was spent on or earned with. */
export interface PieceAccount {
  id: string;
  name: string;
  kind: PieceKind;
  size: 'small' | 'large';
  /** What most of it is made of, as it is believed. */
  ground: SubstrateCode | null;
  /** What was made of most of it: painted, its old coat woken, or a clear one put on. */
  way: WayCode | null;
  /** The paint or clear coat most of it has. */
  system: string | null;
  /** The kind of place it was bought at, as its owner named it. */
  source: string | null;
  currency: string;
  boughtAt: string | null;
  soldAt: string | null;
  /** What comes next on a piece that is not sold; none where it is. */
  next: NextStep | null;
  /** What was paid for it so far: purchase, extras, paint from the log, hardware. */
  spent: Minor;
  /** What of that has a date, for money tied up over time: the purchase, extras, and paint when it was used. */
  payments: { at: string; amount: Minor }[];
  sold: {
    sale: Minor;
    beforeOwnTime: Minor;
    /** None where no hour is on record. */
    perHour: Minor | null;
    afterOwnTime: Minor;
    hours: number;
    days: number | null;
  } | null;
  refunds: Minor;
  redo: Redo[];
  /** Hands that a patch saved: minutes of redoing the faces on which a treatment failed before it was on the piece. */
  savedMinutes: number;
  savedFaces: number;
}

/** What of a piece goes into the shop's account; null where no money and no patch of it is on record. */
export function tellAccount(dossier: Dossier): PieceAccount | null {
  const { money, piece } = dossier;
  const saved = findSaved(dossier);
  const redo = listRedo(dossier);
  if (!money?.bought && !money?.sold && saved.length === 0 && redo.length === 0) return null;
  const currency = money?.currency ?? DEFAULT_CURRENCY;
  const minor = (amount: number): Minor => toMinor(toMoney(amount, currency));
  const main = findMainZone(dossier);
  const payments = [
    ...(money?.bought?.at ? [{ at: money.bought.at, amount: minor(money.bought.amount) }] : []),
    ...(money?.extras ?? []).flatMap(({ at, amount }) => (at ? [{ at, amount: minor(amount) }] : [])),
    ...(dossier.log ?? []).flatMap((entry) => {
      const amount = minor(countMaterials({ ...dossier, log: [entry] }));
      return entry.at && amount > 0 ? [{ at: entry.at, amount }] : [];
    }),
  ];
  const earned = closeAccount(dossier);
  return {
    id: piece.id ?? '',
    name: namePiece(piece),
    kind: piece.kind,
    size: sizeOf(dossier),
    ...readMain(dossier, main),
    source: money?.bought?.from?.toLocaleLowerCase() ?? null,
    currency,
    boughtAt: money?.bought?.at ?? null,
    soldAt: money?.sold?.at ?? null,
    next: money?.bought && !money.sold ? summarisePiece(dossier).next : null,
    spent: minor(
      (money?.bought?.amount ?? 0) +
        (money?.extras ?? []).reduce((sum, { amount }) => sum + amount, 0) +
        countMaterials(dossier) +
        (money?.hardware ?? 0),
    ),
    payments,
    sold: earned && {
      sale: minor(money!.sold!.amount),
      beforeOwnTime: toMinor(earned.beforeOwnTime),
      perHour: earned.perHour && toMinor(earned.perHour),
      afterOwnTime: toMinor(earned.afterOwnTime),
      hours: earned.hours,
      days: earned.days,
    },
    refunds: minor((money?.refunds ?? []).reduce((sum, { amount }) => sum + amount, 0)),
    redo,
    savedMinutes: saved.reduce((sum, zone) => sum + redoMinutes(zone.area_m2 ?? 0), 0),
    savedFaces: saved.length,
  };
}

/** What a piece was sold for, as far as the sale of another goes by it; null where it was not sold. */
export function tellSale({ kind, size, ground, way, currency, sold }: PieceAccount): Sale | null {
  return sold && { kind, size, ground, way, price: toShown(sold.sale, currency) };
}

/** The zone with most paint on it: the largest that is not left as it is. */
function findMainZone(dossier: Dossier): Zone | undefined {
  const treated = (dossier.zones ?? []).filter((zone) => lookOf(dossier, zone) !== 'leave');
  return treated.reduce<Zone | undefined>(
    (most, zone) => (!most || (zone.area_m2 ?? 0) > (most.area_m2 ?? 0) ? zone : most),
    undefined,
  );
}

/** What its sale goes by, of a piece that is not sold yet. */
export function tellTraits(dossier: Dossier): SaleTraits {
  const { ground, way } = readMain(dossier, findMainZone(dossier));
  return { kind: dossier.piece.kind, size: sizeOf(dossier), ground, way };
}

function readMain(dossier: Dossier, main: Zone | undefined): Pick<PieceAccount, 'ground' | 'way' | 'system'> {
  if (!main) return { ground: null, way: null, system: null };
  const { substrate } = computeBelief(dossier, main);
  const stack = dossier.chosen?.zones.find(({ id }) => id === main.id)?.stack;
  const coats = (dossier.log ?? []).filter(
    ({ zone, op, skipped }) => zone === main.id && (op === 'paint' || op === 'topcoat') && !skipped,
  );
  return {
    ground: substrate[0]?.code ?? null,
    way: wayOf(dossier, main),
    system: stack?.paint ?? coats.find(({ op }) => op === 'paint')?.class ?? coats[0]?.class ?? null,
  };
}

/** What was made of a zone, by what is put on; before that, by what is wished. */
function wayOf(dossier: Dossier, main: Zone): WayCode {
  if (lookOf(dossier, main) === 'opaque') return 'paint';
  const renewed = dossier.chosen?.zones.find(({ id }) => id === main.id)?.stack?.renewed;
  return (renewed ?? wishOf(dossier, main).keep) === 'refresh' ? 'refresh' : 'refinish';
}

/** Work on zones that was taken up again, after what failed there. */
function listRedo(dossier: Dossier): Redo[] {
  const { log = [], troubles = [], chosen } = dossier;
  const currency = dossier.money?.currency ?? DEFAULT_CURRENCY;
  return troubles.flatMap((trouble): Redo[] => {
    const zones = new Set(
      (chosen?.zones ?? []).flatMap(({ id, recovery }) => (recovery?.trouble === trouble.id ? [id] : [])),
    );
    const again = log.filter(
      (entry) => zones.has(entry.zone) && !entry.skipped && recoveryOf(dossier, entry.zone) && isOfNow(dossier, entry),
    );
    if (again.length === 0) return [];
    return [
      {
        cause: trouble.found?.causes[0]?.code ?? null,
        minutes: addSpent(again).minutes,
        materials: toMinor(toMoney(countMaterials({ ...dossier, log: again }), currency)),
      },
    ];
  });
}

/** Faces on which a treatment failed on a patch before a whole coat of anything was on them. */
function findSaved(dossier: Dossier): Zone[] {
  const { log = [], tests = [], zones = [] } = dossier;
  const firstCoat = (zone: string): number =>
    Math.min(
      ...log.flatMap((entry) =>
        entry.zone === zone && entry.at !== undefined && !entry.skipped && isWholeCoat(entry.op)
          ? [Date.parse(entry.at)]
          : [],
      ),
    );
  return zones.filter((zone) =>
    tests.some(
      (test) =>
        test.zone === zone.id &&
        test.at !== undefined &&
        Date.parse(test.at) < firstCoat(zone.id) &&
        judgeTest(test, dossier).verdict === 'fail',
    ),
  );
}

/** Decimals of the account's currency, for what shows minor units. */
export const toShown = (amount: Minor, currency: string): number => amount / 10 ** decimalsOf(currency);

import { toShown, type PieceAccount } from './account';

/** Pieces with what they cost and earned, a row each, for spreadsheets: amounts in the major unit, ISO dates. */
export const ACCOUNT_TABLE = {
  columns: [
    'piece',
    'name',
    'kind',
    'ground',
    'way',
    'system',
    'source',
    'currency',
    'bought_at',
    'sold_at',
    'days',
    'spent',
    'sold',
    'before_own_time',
    'per_hour',
    'after_own_time',
    'hours',
  ],
  rows: (account: PieceAccount): (string | number | undefined)[][] => {
    const { id, name, kind, ground, way, system, source, currency, boughtAt, soldAt, spent, sold } = account;
    const money = (minor: number | null | undefined): number | undefined =>
      minor === null || minor === undefined ? undefined : toShown(minor, currency);
    return [
      [
        id,
        name,
        kind,
        ground ?? undefined,
        way ?? undefined,
        system ?? undefined,
        source ?? undefined,
        currency,
        boughtAt ?? undefined,
        soldAt ?? undefined,
        sold?.days ?? undefined,
        money(spent),
        money(sold?.sale),
        money(sold?.beforeOwnTime),
        money(sold?.perHour),
        money(sold?.afterOwnTime),
        sold?.hours,
      ],
    ];
  },
} as const;

import { median } from '../shared';
import type { PieceAccount } from './account';
import { canTell, estimateScatter, shrinkGroup, type Shrunk } from './shrink';

/** What pieces are compared by. */
export type CompareBy = 'kind' | 'ground' | 'system' | 'source' | 'month';
export const COMPARED_BY: readonly CompareBy[] = ['kind', 'ground', 'system', 'source', 'month'];

const KEY: Record<CompareBy, (account: PieceAccount) => string | null> = {
  kind: ({ kind }) => kind,
  ground: ({ ground }) => ground,
  system: ({ system }) => system,
  source: ({ source }) => source,
  month: ({ soldAt }) => soldAt?.slice(0, 7) ?? null,
};

/** What the pieces of a group earned by the hour, in minor units. */
export interface Group {
  key: string;
  count: number;
  median: number;
  low: number;
  high: number;
  /** Drawn toward the whole; none under three pieces: it cannot be told yet. */
  expected: Shrunk | null;
  pieces: { id: string; name: string; perHour: number }[];
}

export interface Comparison {
  by: CompareBy;
  /** Best first. */
  groups: Group[];
  /** Sold pieces with hours on record. */
  count: number;
  /** Mean of all, an hour. */
  whole: number;
  /** What stands out: a group that is better than the rest with its evidence, or why nothing can be said. */
  advice: Advice;
}

export type Advice =
  | { code: 'buy_more'; key: string; count: number; expected: number; others: number }
  | { code: 'buy_fewer'; key: string; count: number; expected: number; others: number }
  | { code: 'cannot_tell'; count: number }
  | { code: 'too_few'; count: number };

/** Under so many of a group it cannot be told what it earns. */
const LEAST_TOLD = 3;

/**
 * What each kind, ground, system, source or month earned by the hour. Groups are drawn toward the whole: few pieces make
 * little of a difference. `accounts`: all of one currency.
 */
export function compareEarned(accounts: readonly PieceAccount[], by: CompareBy): Comparison {
  const told = accounts.flatMap((account) => {
    const key = KEY[by](account);
    const perHour = account.sold?.perHour;
    return key === null || perHour === undefined || perHour === null ? [] : [{ key, account, perHour }];
  });
  const keys = [...new Set(told.map(({ key }) => key))];
  const lists = keys.map((key) => told.filter((own) => own.key === key));
  const scatter = estimateScatter(lists.map((list) => list.map(({ perHour }) => perHour)));
  const groups = lists.map((list, i): Group => {
    const values = list.map(({ perHour }) => perHour);
    return {
      key: keys[i]!,
      count: values.length,
      median: median(values),
      low: Math.min(...values),
      high: Math.max(...values),
      expected: scatter && values.length >= LEAST_TOLD ? shrinkGroup(values, scatter) : null,
      pieces: list.map(({ account: { id, name }, perHour }) => ({ id, name, perHour })),
    };
  });
  groups.sort((a, b) => (b.expected?.shrunk ?? b.median) - (a.expected?.shrunk ?? a.median));
  const values = told.map(({ perHour }) => perHour);
  return {
    by,
    groups,
    count: values.length,
    whole: values.length > 0 ? values.reduce((sum, own) => sum + own, 0) / values.length : 0,
    advice: adviseOn(groups, values.length),
  };
}

/** The group that stands out from each of the others: the best if it does, else the worst. */
function adviseOn(groups: readonly Group[], count: number): Advice {
  const told = groups.flatMap(({ key, count: own, expected }) => (expected ? [{ key, count: own, expected }] : []));
  if (told.length < 2) return { code: 'too_few', count };
  const outstanding = told.flatMap((group) => {
    const others = told.filter((own) => own !== group);
    return others.every((own) => canTell(group.expected, own.expected))
      ? [{ ...group, others: weigh(others.map(({ expected }) => expected)) }]
      : [];
  });
  // What to buy more of says more than what to leave.
  const most = outstanding.sort((a, b) => b.expected.shrunk - b.others - (a.expected.shrunk - a.others))[0];
  if (!most) return { code: 'cannot_tell', count };
  const { key, count: own, expected, others } = most;
  const code = expected.shrunk > others ? 'buy_more' : 'buy_fewer';
  return { code, key, count: own, expected: expected.shrunk, others };
}

const weigh = (list: readonly Shrunk[]): number =>
  list.reduce((sum, { shrunk, count }) => sum + shrunk * count, 0) / list.reduce((sum, { count }) => sum + count, 0);

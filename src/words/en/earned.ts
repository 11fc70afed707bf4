import type { Advice, CompareBy } from '@/core/earned';
import {
  labelProduct,
  SUBSTRATE_FACTS,
  type PieceKind,
  type ProductClass,
  type SubstrateCode,
  KIND_LABELS,
} from '@/core/knowledge';
import type { LineOf } from '@/core/ledger';
import { lowerFirst } from '@/core/shared';

/** What pieces are compared by. */
export const COMPARED: Record<CompareBy, string> = {
  kind: 'Kind',
  ground: 'What it is made of',
  system: 'Paint',
  source: 'Where bought',
  month: 'Month sold',
};

const KEYS: Record<CompareBy, (key: string, sayMonth: (month: string) => string) => string> = {
  kind: (key) => KIND_LABELS[key as PieceKind] ?? key,
  ground: (key) => SUBSTRATE_FACTS[key as SubstrateCode]?.label ?? key,
  system: (key) => labelProduct(key as ProductClass),
  source: (key) => key.charAt(0).toLocaleUpperCase() + key.slice(1),
  month: (key, sayMonth) => sayMonth(key),
};
export const nameGroup = (by: CompareBy, key: string, sayMonth: (month: string) => string): string =>
  KEYS[by](key, sayMonth);

/** What to buy next, with its evidence. `sayHour` writes an amount by the hour in minor units. */
export function sayAdvice(
  advice: Advice,
  by: CompareBy,
  sayHour: (minor: number) => string,
  sayMonth: (month: string) => string,
): string {
  switch (advice.code) {
    case 'too_few':
      return `Nothing can be said yet: it takes three sold pieces with hours in two groups, and there are ${advice.count} in all.`;
    case 'cannot_tell':
      return `These cannot be told apart yet, from ${advice.count} sold pieces.`;
    case 'buy_more':
    case 'buy_fewer': {
      const name = lowerFirst(nameGroup(by, advice.key, sayMonth));
      const evidence = `${advice.count} sold, about ${sayHour(advice.expected)} against ${sayHour(advice.others)} for the others`;
      return advice.code === 'buy_more'
        ? `More like these: ${name}. ${evidence}.`
        : `Fewer like these: ${name}. ${evidence}.`;
    }
  }
}

/** Lines of the account of a piece. */
export const LINES: Record<LineOf, string> = {
  sold: 'Sold',
  fees: 'Fees of selling',
  delivery: 'Delivery',
  bought: 'Bought',
  extra: 'Extra',
  materials: 'Paint and primer',
  consumables: 'Paper, rollers, tape, rags',
  hardware: 'Handles and fittings',
  refund: 'Refund',
};

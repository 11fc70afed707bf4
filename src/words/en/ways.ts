import { DEFECT_FACTS, type WayCode } from '@/core/knowledge';
import { lowerFirst } from '@/core/shared';
import { sayDecimal } from './numbers';
import type { AgainstWood, Way, Ways } from '@/core/ways';

const NAMES: Record<WayCode, string> = { paint: 'Paint', refresh: 'Refresh', refinish: 'Refinish' };

/** What a way is called, with the zone it is for where the rest is painted. */
export const nameWay = ({ way, zone }: Pick<Way, 'way' | 'zone'>, zoneName?: string): string =>
  zone === undefined ? NAMES[way] : `${NAMES[way]} ${lowerFirst(zoneName ?? zone)}, paint the rest`;

const AGAINST: { [C in AgainstWood['code']]: (against: Extract<AgainstWood, { code: C }>) => string } = {
  fault: ({ defect }) => `${DEFECT_FACTS[defect].label} would show.`,
  mixed_woods: () => 'It is of more than one wood.',
  colour_asked: () => 'You asked for a colour.',
};
const sayAgainst = (against: AgainstWood): string => (AGAINST[against.code] as (own: AgainstWood) => string)(against);

/** Whether this wood is liked as wood, and what speaks against showing it. */
export const sayWood = ({ admired, against }: Pick<Ways, 'admired' | 'against'>): string =>
  [
    admired
      ? 'Wood like this mostly brings more as wood than painted.'
      : 'Plain wood mostly brings more painted than shown.',
    ...against.map(sayAgainst),
  ].join(' ');

/** Told once, where paint is wished and the wood would leave more; `sayMoney`: an amount in the major unit. */
export function sayWorthMore(
  { best, ways }: Pick<Ways, 'best' | 'ways'>,
  sayMoney: (amount: number) => string,
): string | null {
  if (!best || best.way === 'paint' || best.wished) return null;
  const painted = ways.find(({ way }) => way === 'paint')?.leaves;
  const against = painted === null || painted === undefined ? '' : `, painted ${sayMoney(painted)}`;
  return `Worth more as wood: ${lowerFirst(NAMES[best.way])} it. Leaves about ${sayMoney(best.leaves!)}${against}.`;
}

export const WAYS_WORDS = {
  title: 'Paint it, or keep the wood?',
  noWay: 'The rules leave no way.',
  takes: (minutes: number, hours: number, chance: string) =>
    `${sayDecimal(minutes / 60, 1)} h of hands, ${sayDays(hours)}, ${chance} go wrong`,
  brings: (sells: string, leaves: string, bySales: boolean) =>
    `Sells for about ${sells}${bySales ? ' by your own sales' : ''}, leaves ${leaves}`,
  estimate: 'Prices that are not by your own sales are estimates.',
  noPrice: 'Say under Buy what it should sell for, and each way shows what it leaves.',
  best: 'leaves most',
};

const sayDays = (hours: number): string =>
  hours < 20 ? `${Math.round(hours)} h in all` : `${Math.round(hours / 24)} ${hours < 36 ? 'day' : 'days'}`;

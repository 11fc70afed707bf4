import { DEFECT_FACTS } from '@/core/knowledge';
import { lowerFirst } from '@/core/shared';
import type { AgainstWood, Way, WayCode, Ways } from '@/core/systems';

const NAMES: Record<WayCode, string> = { paint: 'Paint', refresh: 'Refresh', refinish: 'Refinish' };
const WHAT: Record<WayCode, string> = {
  paint: 'A primer and paint over it.',
  refresh: 'The coat stays: washed, waxed or oiled, buffed.',
  refinish: 'A new clear finish, on the old coat or on bare wood.',
};

/** What a way is called, with the zone it is for where the rest is painted. */
export const nameWay = ({ way, zone }: Pick<Way, 'way' | 'zone'>, zoneName?: string): string =>
  zone === undefined ? NAMES[way] : `${NAMES[way]} ${lowerFirst(zoneName ?? zone)}, paint the rest`;

export const sayWay = ({ way }: Pick<Way, 'way'>): string => WHAT[way];

const AGAINST: { [C in AgainstWood['code']]: (against: Extract<AgainstWood, { code: C }>) => string } = {
  fault: ({ defect }) => `${DEFECT_FACTS[defect].label} would show.`,
  mixed_woods: () => 'It is of more than one wood.',
  colour_asked: () => 'You asked for a colour.',
};
export const sayAgainst = (against: AgainstWood): string =>
  (AGAINST[against.code] as (own: AgainstWood) => string)(against);

/** Whether this wood is liked as wood, and what speaks against showing it. */
export const sayWood = ({ admired, against }: Pick<Ways, 'admired' | 'against'>): string =>
  [
    admired
      ? 'Wood like this mostly brings more as wood than painted.'
      : 'Plain wood mostly brings more painted than shown.',
    ...against.map(sayAgainst),
  ].join(' ');

/** Told once, where paint is wished and the wood would leave more. */
export const sayWorthMore = ({ best }: Pick<Ways, 'best'>): string | null =>
  best && best.way !== 'paint' && !best.wished ? `Worth more as wood: ${lowerFirst(NAMES[best.way])} it.` : null;

export const WAYS_WORDS = {
  title: 'Paint it, or keep the wood?',
  take: 'Plan it so',
  taken: 'Planned so',
  noWay: 'The rules leave no way.',
  sells: (amount: string) => `Should sell for about ${amount}`,
  leaves: (amount: string) => `leaves ${amount}`,
  estimate: 'Prices by way are estimates: your own sales take their place.',
  best: 'Leaves most',
};

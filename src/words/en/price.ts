import { nameZone, type Dossier } from '@/core/dossier';
import { findCheck } from '@/core/knowledge';
import type { LookWorth, Verdict } from '@/core/price';
import { lowerFirst } from '@/core/shared';

/** What to do at the door. */
export const VERDICTS: Record<Verdict, string> = {
  take: 'Take it: it meets what you aim for at this price.',
  take_below: 'Take it below this price.',
  look_first: 'Look first: at this price it hangs on what one cannot see yet.',
  leave: 'Leave it.',
};

/** What a look is worth before buying. */
export const sayLookWorth = ({ zone, check, worth }: LookWorth, dossier: Pick<Dossier, 'zones'>): string =>
  `${findCheck(check)?.title ?? check}, on the ${lowerFirst(nameZone(dossier, zone))}: worth about ${Math.round(worth)} before you buy.`;

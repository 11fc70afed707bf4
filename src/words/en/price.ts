import { nameZone, type Dossier } from '@/core/dossier';
import { FINISH_FACTS, findCheck, SUBSTRATE_FACTS } from '@/core/knowledge';
import type { Door, DoorReason, LookWorth, Verdict } from '@/core/price';
import type { ForeseenSale } from '@/core/earned';
import { lowerFirst } from '@/core/shared';
import { lookUp, type Words } from './look-up';
import { describeChance, describeShare } from './chances';

/** What to do at the door. */
export const VERDICTS: Record<Verdict, string> = {
  take: 'Take it: it meets what you aim for at this price.',
  take_below: 'Take it below this price.',
  look_first: 'Look first: at this price it hangs on what one cannot see yet.',
  leave: 'Leave it.',
};

/** The verdict in two words or three, for a heading. */
export const VERDICT_HEADS: Record<Verdict, string> = {
  take: 'Take it',
  take_below: 'Take it below',
  look_first: 'Look first',
  leave: 'Leave it',
};

/** What a look is worth before buying. */
export function sayLookWorth({ zone, check, worth, moves }: LookWorth, dossier: Pick<Dossier, 'zones'>): string {
  const brings = worth > 0 ? `worth about ${Math.round(worth)}` : `moves the price by about ${Math.round(moves)}`;
  return `${findCheck(check)?.title ?? check}, on the ${lowerFirst(nameZone(dossier, zone))}: ${brings} before you buy.`;
}

/** What making a look brings: money, or how far it moves the price. */
export const sayLookGain = ({ worth, moves }: LookWorth, sayMoney: (sum: number) => string): string =>
  worth > 0
    ? `Worth about ${sayMoney(worth)} before you pay.`
    : `Its answer moves the price by about ${sayMoney(moves)}, up or down.`;

type ReasonOf<C extends DoorReason['code']> = Extract<DoorReason, { code: C }> & {
  where: string;
  money: string;
  sayMoney: (sum: number) => string;
};
const REASONS: { [C in DoorReason['code']]: Words<ReasonOf<C>> } = {
  lead_found: ({ where }) => `Lead was found on the ${where}: work on it is for someone licensed.`,
  lead_nursery: ({ where }) => `It is for a child’s room and the ${where} is old enough for lead.`,
  woodworm: ({ where }) => `Woodworm may be alive in the ${where}: it would come into the shop.`,
  no_system: ({ where }) => `No coat that the rules allow holds on the ${where}.`,
  costs_more: ({ sale, costs, sayMoney }) =>
    `It sells for about ${sayMoney(sale)} and takes about ${sayMoney(costs)} of work and things.`,
  asking_over: ({ money }) => `They ask ${money} more than it is worth to you.`,
  asking_under: ({ money }) => `They ask ${money} less than it is worth to you.`,
  surface: ({ where, substrate, finish, bleeds, p, money }) =>
    `If the ${where} is ${lowerFirst(SUBSTRATE_FACTS[substrate].label)}${finish === 'factory_film' ? '' : ` with ${FINISH_FACTS[finish].label}`}${bleeds ? ' that bleeds' : ''} (${describeChance(p)}), that takes ${money} off.`,
  own_time: ({ hours, money }) => `About ${Math.round(hours)} h of your own time, ${money} at your rate.`,
  redo: ({ money }) => `What may fail and be done again costs ${money} on average.`,
  materials: ({ money }) => `Paint and primer cost about ${money}.`,
};

/** Why a piece is worth what it is at the door. `sayMoney` writes an amount in the major unit. */
export const sayDoorReason = (
  reason: DoorReason,
  dossier: Pick<Dossier, 'zones'>,
  sayMoney: (sum: number) => string,
): string =>
  lookUp(REASONS, reason.code, {
    ...reason,
    where: 'zone' in reason ? lowerFirst(nameZone(dossier, reason.zone)) : '',
    money: sayMoney(reason.amount),
    sayMoney,
  });

/** What an asking price means. */
export const sayAsked = ({ metAtAsking }: Door, sayMoney: (sum: number) => string, asked: number): string =>
  metAtAsking === null ? '' : `At ${sayMoney(asked)} it meets what you aim for ${describeShare(metAtAsking)}.`;

/** What a sale that is foreseen stands on. */
export const saySaleBasis = ({ ofKind, inAll, from }: ForeseenSale): string => {
  const sales = `${ofKind} ${ofKind === 1 ? 'sale' : 'sales'} of your own of this kind, ${inAll} in all`;
  if (from === 'typed') return 'Your own range; you have sold none of this kind yet.';
  return from === 'own' ? `From ${sales}.` : `Your range and ${sales}.`;
};

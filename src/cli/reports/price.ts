import type { Dossier } from '@/core/dossier';
import { closeAccount, listAmounts } from '@/core/ledger';
import { DEFAULT_CURRENCY, toMajor, toMoney } from '@/core/money';
import { judgeDoor, type Door } from '@/core/price';
import { sayDoorReason, sayLookWorth, VERDICTS } from '@/words';

/** `bricolage.price/1`: what a piece may cost at the door, and what it earned, as an open format. `seed`: of the draws. */
export function reportPrice(dossier: Dossier, seed: number) {
  const currency = dossier.money?.currency ?? DEFAULT_CURRENCY;
  const round = (amount: number): number => toMajor(toMoney(amount, currency));
  const earned = closeAccount(dossier);
  return {
    format: 'bricolage.price/1' as const,
    currency,
    door: dossier.money?.sale ? reportDoor(judgeDoor(dossier, { seed }), dossier, round) : undefined,
    earned: earned
      ? {
          before_own_time: toMajor(earned.beforeOwnTime),
          per_hour: earned.perHour ? toMajor(earned.perHour) : null,
          after_own_time: toMajor(earned.afterOwnTime),
          hours: earned.hours,
          days: earned.days ?? undefined,
          lines: listAmounts(earned),
          corrected: earned.lines.flatMap(({ what, from }) => (from === 'corrected' ? [what] : [])),
        }
      : undefined,
  };
}

function reportDoor(door: Door, dossier: Dossier, round: (amount: number) => number) {
  const { walkAway, verdict, profit, atPrice, hours, cost, movesMost, draws, seed } = door;
  const tenth = (value: number): number => Math.round(value * 10) / 10;
  return {
    walk_away: walkAway,
    verdict,
    asks: door.asks.length > 0 ? door.asks : undefined,
    why: [
      VERDICTS[verdict],
      ...door.reasons.map((reason) => sayDoorReason(reason, dossier, (sum) => String(Math.round(sum)))),
    ].join(' '),
    profit: { low: round(profit.low), median: round(profit.median), high: round(profit.high) },
    at_price: atPrice,
    hours: { low: tenth(hours.low), median: tenth(hours.median), high: tenth(hours.high) },
    cost: {
      materials: round(cost.materials),
      consumables: round(cost.consumables),
      hardware: round(cost.hardware),
      own_time: round(cost.ownTime),
      fees: round(cost.fees),
      transport: round(cost.transport),
      redo: round(cost.redo),
    },
    moves_most: movesMost.map((look) => ({
      check: look.check,
      zone: look.zone,
      worth: round(look.worth),
      why: sayLookWorth(look, dossier),
    })),
    draws,
    seed,
  };
}

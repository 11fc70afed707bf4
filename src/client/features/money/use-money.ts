import { useMemo } from 'react';
import { useWorkshop } from '@/client/store';
import type { Dossier, MoneyFacts, PieceChange } from '@/core/dossier';
import { DEFAULT_CURRENCY } from '@/core/money';
import { definedOnly } from '@/core/shared';
import { startMoney } from '@/core/workshop';

export interface MoneyView {
  /** The account of the piece, with what the shop goes by where it has nothing of its own. */
  money: MoneyFacts;
  currency: string;
  /** Sets a part of it; what is undefined is taken out. */
  set: (part: { [F in keyof MoneyFacts]?: MoneyFacts[F] | undefined }) => void;
}

/** What a piece costs and brings. The first thing that is set keeps with it what the shop goes by now. */
export function useMoney({ money }: Pick<Dossier, 'money'>, change: (change: PieceChange) => void): MoneyView {
  const { setup } = useWorkshop().workshop;
  const whole = useMemo(() => startMoney(setup, money), [setup, money]);
  return {
    money: whole,
    currency: whole.currency ?? DEFAULT_CURRENCY,
    set: (part) => {
      const next = definedOnly({ ...whole, ...part }) as MoneyFacts;
      change({ type: 'money_set', money: next });
    },
  };
}

import { AmountField } from '@/client/features/money';
import { useSetup } from '@/client/store';
import { Card, Heading, Row, Small } from '@/client/ui';
import { DEFAULT_CURRENCY } from '@/core/money';
import { definedOnly } from '@/core/shared';
import type { Setup, Workshop } from '@/core/workshop';
import { MONEY_CARD_WORDS } from '@/words';

type ShopMoney = NonNullable<Setup['money']>;

/** What pieces are reckoned with: an hour of the owner's, fees of selling, a van, and what is aimed for. */
export function MoneyCard({ workshop }: { workshop: Workshop }) {
  const set = useSetup(workshop);
  const { money = {}, currency = DEFAULT_CURRENCY } = workshop.setup;
  const keep = (part: { [F in keyof ShopMoney]?: ShopMoney[F] | undefined }): void =>
    set({ money: definedOnly({ ...money, ...part }) as ShopMoney });
  const { target = {} } = money;
  return (
    <Card role="region" aria-label={MONEY_CARD_WORDS.money} gap="$m">
      <Heading>{MONEY_CARD_WORDS.money}</Heading>
      <Small>{MONEY_CARD_WORDS.everyPieceStartsFromTheseOn}</Small>
      <Row gap="$m">
        <AmountField
          label={MONEY_CARD_WORDS.anHourOfYours}
          currency={currency}
          value={money.hour_rate}
          onSet={(hour_rate) => keep({ hour_rate })}
        />
        <AmountField
          label={MONEY_CARD_WORDS.profitAimedFor}
          currency={currency}
          value={target.profit}
          onSet={(profit) => keep({ target: definedOnly({ ...target, profit }) })}
        />
      </Row>
      <Row gap="$m">
        <AmountField
          label={MONEY_CARD_WORDS.feesOfSelling}
          unit="%"
          most={100}
          value={money.fees_pct}
          onSet={(fees_pct) => keep({ fees_pct })}
        />
        <AmountField
          label={MONEY_CARD_WORDS.andFixed}
          currency={currency}
          value={money.fees_fixed}
          onSet={(fees_fixed) => keep({ fees_fixed })}
        />
      </Row>
      <AmountField
        label={MONEY_CARD_WORDS.fetchingAndDeliveryAPiece}
        currency={currency}
        value={money.transport}
        onSet={(transport) => keep({ transport })}
      />
    </Card>
  );
}

import { AmountField } from '@/client/features/money';
import { useSetup } from '@/client/store';
import { Card, Heading, Row, Small } from '@/client/ui';
import { DEFAULT_CURRENCY } from '@/core/money';
import { definedOnly } from '@/core/shared';
import type { Setup, Workshop } from '@/core/workshop';

type ShopMoney = NonNullable<Setup['money']>;

/** What pieces are reckoned with: an hour of the owner's, fees of selling, a van, and what is aimed for. */
export function MoneyCard({ workshop }: { workshop: Workshop }) {
  const set = useSetup(workshop);
  const { money = {}, currency = DEFAULT_CURRENCY } = workshop.setup;
  const keep = (part: { [F in keyof ShopMoney]?: ShopMoney[F] | undefined }): void =>
    set({ money: definedOnly({ ...money, ...part }) as ShopMoney });
  const { target = {} } = money;
  return (
    <Card role="region" aria-label="Money" gap="$m">
      <Heading>Money</Heading>
      <Small>
        Every piece starts from these; on its last tab it can have its own. The currency is picked on Shelf.
      </Small>
      <Row gap="$m">
        <AmountField
          label="An hour of yours"
          currency={currency}
          value={money.hour_rate}
          onSet={(hour_rate) => keep({ hour_rate })}
        />
        <AmountField
          label="Profit aimed for"
          currency={currency}
          value={target.profit}
          onSet={(profit) => keep({ target: definedOnly({ ...target, profit }) })}
        />
      </Row>
      <Row gap="$m">
        <AmountField
          label="Fees of selling"
          unit="%"
          most={100}
          value={money.fees_pct}
          onSet={(fees_pct) => keep({ fees_pct })}
        />
        <AmountField
          label="and fixed"
          currency={currency}
          value={money.fees_fixed}
          onSet={(fees_fixed) => keep({ fees_fixed })}
        />
      </Row>
      <AmountField
        label="Fetching and delivery, a piece"
        currency={currency}
        value={money.transport}
        onSet={(transport) => keep({ transport })}
      />
    </Card>
  );
}

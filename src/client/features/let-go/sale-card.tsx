import { useState } from 'react';
import { AmountField, type MoneyView } from '@/client/features/money';
import { timeNow, useMeasures, useToday, useWorkshop, zoneOfShop } from '@/client/store';
import { Button, Card, Column, Heading, MomentField, Notice, Row, Small, Strong } from '@/client/ui';
import { sayDate } from '@/client/features/shop-plan';
import { dateOf, minuteOf } from '@/core/schedule';
import { definedOnly } from '@/core/shared';
import type { Gate } from '@/core/proof';

interface SaleCardProps {
  view: MoneyView;
  gate: Gate | null;
  goneAt: string | null;
  onHandOver: () => void;
}

/** Sold for how much, handed over when. */
export function SaleCard({ view, gate, goneAt, onHandOver }: SaleCardProps) {
  const { money, currency, set } = view;
  const { saySum } = useMeasures();
  const [amount, setAmount] = useState<number | undefined>(undefined);
  const today = useToday();
  const { workshop } = useWorkshop();
  const thisDay = dateOf(minuteOf(today), zoneOfShop(workshop));
  const [day, setDay] = useState(thisDay);
  const { sold, bought } = money;
  const early = bought?.at !== undefined && day !== '' && day < bought.at.slice(0, 10);
  if (!sold)
    return (
      <Card gap="$m" render="section" aria-label="Sale">
        <Heading>Sold?</Heading>
        <Row gap="$m">
          <AmountField label="For" currency={currency} value={amount} onSet={setAmount} step={5} />
          <MomentField
            label="On"
            value={day}
            onChange={setDay}
            error={early ? `It was bought on ${sayDate(bought.at!, today)}. Put one of the two right.` : undefined}
          />
        </Row>
        <Button
          look="main"
          disabled={amount === undefined || day === '' || early}
          onPress={() => set({ sold: { amount: amount!, at: day === thisDay ? timeNow() : day } })}
        >
          It is sold
        </Button>
      </Card>
    );
  return (
    <Card gap="$m" render="section" aria-label="Sale">
      <Heading>{`Sold for ${saySum(sold.amount)}`}</Heading>
      <Small>{sold.at ? sayDate(sold.at, today) : 'Day not known'}</Small>
      <Row gap="$m">
        <AmountField
          label="Fees of selling"
          currency={currency}
          value={sold.fees}
          most={sold.amount}
          onSet={(fees) => set({ sold: definedOnly({ ...sold, fees }) })}
        />
        <AmountField
          label="Delivery"
          currency={currency}
          value={sold.transport}
          onSet={(transport) => set({ sold: definedOnly({ ...sold, transport }) })}
        />
      </Row>
      {goneAt ? (
        <Strong>{`Handed over ${sayDate(goneAt, today)}.`}</Strong>
      ) : (
        <Column gap="$s">
          {gate?.state === 'waiting' ? (
            <Notice tone="wait" title="Not cured yet">
              {`${sayCure(gate, today)} Handed over before, it marks and sticks; say so, and wrap it. It is kept in the record either way.`}
            </Notice>
          ) : null}
          <Button look="main" onPress={onHandOver}>
            Handed over
          </Button>
        </Column>
      )}
      <Row>
        <Button look="quiet" onPress={() => set({ sold: undefined })}>
          Not sold after all
        </Button>
      </Row>
    </Card>
  );
}

const sayCure = ({ because }: Gate, today: string): string =>
  because.code === 'cures' ? `It is cured right through on ${sayDate(because.until, today)}.` : '';

import { useState } from 'react';
import { AmountField, type MoneyView } from '@/client/features/money';
import { timeNow, useMeasures, useToday, useWorkshop, zoneOfShop } from '@/client/store';
import { Button, Card, Column, Heading, MomentField, Notice, Row, Small, Strong } from '@/client/ui';
import { sayDate } from '@/client/features/shop-plan';
import { dateOf, minuteOf } from '@/core/schedule';
import { definedOnly } from '@/core/shared';
import type { Gate } from '@/core/proof';
import { SALE_CARD_WORDS } from '@/words';

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
      <Card gap="$m" render="section" aria-label={SALE_CARD_WORDS.sale}>
        <Heading>{SALE_CARD_WORDS.sold}</Heading>
        <Row gap="$m">
          <AmountField label={SALE_CARD_WORDS.forIt} currency={currency} value={amount} onSet={setAmount} step={5} />
          <MomentField
            label={SALE_CARD_WORDS.on}
            value={day}
            onChange={setDay}
            error={early ? SALE_CARD_WORDS.itWasBoughtOnPutOne(sayDate(bought.at!, today)) : undefined}
          />
        </Row>
        <Button
          look="main"
          disabled={amount === undefined || day === '' || early}
          onPress={() => set({ sold: { amount: amount!, at: day === thisDay ? timeNow() : day } })}
        >
          {SALE_CARD_WORDS.itIsSold}
        </Button>
      </Card>
    );
  return (
    <Card gap="$m" render="section" aria-label={SALE_CARD_WORDS.sale}>
      <Heading>{SALE_CARD_WORDS.soldFor(saySum(sold.amount))}</Heading>
      <Small>{sold.at ? sayDate(sold.at, today) : SALE_CARD_WORDS.dayNotKnown}</Small>
      <Row gap="$m">
        <AmountField
          label={SALE_CARD_WORDS.feesOfSelling}
          currency={currency}
          value={sold.fees}
          most={sold.amount}
          onSet={(fees) => set({ sold: definedOnly({ ...sold, fees }) })}
        />
        <AmountField
          label={SALE_CARD_WORDS.delivery}
          currency={currency}
          value={sold.transport}
          onSet={(transport) => set({ sold: definedOnly({ ...sold, transport }) })}
        />
      </Row>
      {goneAt ? (
        <Strong>{SALE_CARD_WORDS.handedOverOn(sayDate(goneAt, today))}</Strong>
      ) : (
        <Column gap="$s">
          {gate?.state === 'waiting' ? (
            <Notice tone="wait" title={SALE_CARD_WORDS.notCuredYet}>
              {SALE_CARD_WORDS.handedOverBeforeItMarksAnd(sayCure(gate, today))}
            </Notice>
          ) : null}
          <Button look="main" onPress={onHandOver}>
            {SALE_CARD_WORDS.handedOver}
          </Button>
        </Column>
      )}
      <Row>
        <Button look="quiet" onPress={() => set({ sold: undefined })}>
          {SALE_CARD_WORDS.notSoldAfterAll}
        </Button>
      </Row>
    </Card>
  );
}

const sayCure = ({ because }: Gate, today: string): string =>
  because.code === 'cures' ? SALE_CARD_WORDS.itIsCuredRightThroughOn(sayDate(because.until, today)) : '';

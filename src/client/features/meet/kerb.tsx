import { View } from '@tamagui/core';
import { router } from 'expo-router';
import { useMemo } from 'react';
import { AmountField, useMoney, type MoneyView } from '@/client/features/money';
import type { PieceParts } from '@/client/features/piece-frame';
import { BrokenSearch, usePlanner } from '@/client/features/planner';
import { useGetKerbQuery, useListTimesQuery, useMeasures, useWithShop, useWorkshop } from '@/client/store';
import {
  Body,
  Button,
  Card,
  Column,
  Disclosure,
  Figure,
  Heading,
  Notice,
  Row,
  Small,
  Strong,
  useIsWide,
  type Tone,
} from '@/client/ui';
import { askingOf, type LogEntry } from '@/core/dossier';
import { hourRateOf } from '@/core/ledger';
import { definedOnly } from '@/core/shared';
import { foreseeSale, tellTraits, type ForeseenSale } from '@/core/earned';
import { rangeAbout, type Door, type Verdict } from '@/core/price';
import { KERB_WORDS, sayAsked, sayDoorReason, saySaleBasis, VERDICT_HEADS, VERDICTS } from '@/words';
import { WorthAsWood } from '@/client/features/ways';
import { KerbLook } from './kerb-look';
import { PriceBar } from './price-bar';

/** At the door: the most it may cost, what moves that, and the one look worth making before paying. */
export function Kerb({ dossier, change }: PieceParts) {
  const whole = useWithShop(dossier);
  const view = useMoney(dossier, change);
  const { data } = useGetKerbQuery(undefined, { refetchOnMountOrArgChange: true });
  const { data: paced } = useListTimesQuery();
  const { workshop } = useWorkshop();
  const { money } = view;
  const sale = useMemo(
    () => foreseeSale(data?.sales ?? [], tellTraits(dossier), money.sale),
    [data, dossier, money.sale],
  );
  const request = useMemo(
    () =>
      sale && {
        kind: 'door' as const,
        paced: paced ?? NO_TIMES,
        ...definedOnly({ start: workshop.setup.pace }),
        dossier: { ...whole, money: { ...money, sale: { low: sale.low, likely: sale.likely, high: sale.high } } },
      },
    [whole, money, sale, paced, workshop.setup.pace],
  );
  const { answer: door, fresh, failed } = usePlanner(request);
  return (
    <Card gap="$m" render="section" aria-label={KERB_WORDS.atTheDoor} aria-busy={request !== null && !fresh}>
      {failed ? <BrokenSearch /> : null}
      {door && sale ? <Judged door={door} dossier={dossier} change={change} view={view} /> : null}
      {request && !door && !failed ? <Small role="status">{KERB_WORDS.workingOutWhatItMayCost}</Small> : null}
      <Prices view={view} sale={sale} />
    </Card>
  );
}

const NO_TIMES: { log: LogEntry[] }[] = [];
const TONES: Record<Verdict, Tone> = { take: 'go', take_below: 'act', look_first: 'wait', leave: 'stop' };

function Judged({ door, dossier, change, view }: PieceParts & { door: Door; view: MoneyView }) {
  const { sayMoney } = useMeasures();
  const wide = useIsWide();
  const asked = askingOf(dossier);
  const look = door.nextLook;
  const { verdict, walkAway, hours, profit } = door;
  return (
    <Column gap="$m">
      <Column gap="$xs" role="status">
        <Row alignItems="flex-end" gap="$s" flexWrap="wrap">
          {verdict === 'leave' ? null : (
            <>
              <Heading>{KERB_WORDS.atMost}</Heading>
              <Figure fontSize={52} lineHeight={54}>
                {sayMoney(walkAway)}
              </Figure>
            </>
          )}
          <Heading color={`$${TONES[verdict]}`}>{VERDICT_HEADS[verdict]}</Heading>
        </Row>
        <Small>{asked === undefined ? VERDICTS[verdict] : sayAsked(door, sayMoney, asked)}</Small>
      </Column>
      <PriceBar door={door} asked={asked} width={wide ? 480 : 318} say={sayMoney} />
      <Column gap="$xs" role="list">
        {door.reasons.map((reason, i) => (
          <Body key={i} role="listitem">
            {sayDoorReason(reason, dossier, sayMoney)}
          </Body>
        ))}
      </Column>
      <WorthAsWood dossier={dossier} />
      {door.asks.includes('hour_rate') ? <NoRate /> : null}
      {look && verdict !== 'leave' ? (
        <KerbLook look={look} dossier={dossier} change={change} sayMoney={sayMoney} />
      ) : null}
      <Disclosure label={KERB_WORDS.howThatIsReckoned}>
        {() => (
          <Column gap="$xs">
            <Small>
              {KERB_WORDS.leftToYouAtAfterYour(
                sayMoney(door.atPrice),
                sayMoney(profit.median),
                sayMoney(profit.low),
                sayMoney(profit.high),
                Math.round(hours.low),
                Math.round(hours.high),
                door.draws,
              )}
            </Small>
            {COSTS.map(([cost, label]) => (
              <Row key={cost} justifyContent="space-between">
                <Small>{label}</Small>
                <Small fontVariant={['tabular-nums']}>{sayMoney(door.cost[cost])}</Small>
              </Row>
            ))}
          </Column>
        )}
      </Disclosure>
    </Column>
  );
}

/** Without a price of its own an hour counts for nothing, and everything looks cheap. */
function NoRate() {
  const { sayMoney } = useMeasures();
  return (
    <Notice
      tone="wait"
      title={KERB_WORDS.anHourOfYoursCountsAs(sayMoney(hourRateOf({})))}
      action={<Button onPress={() => router.push('/workshop')}>{KERB_WORDS.sayWhatAnHourIsWorth}</Button>}
    />
  );
}

const COSTS: readonly (readonly [keyof Door['cost'], string])[] = [
  ['materials', KERB_WORDS.paintAndPrimer],
  ['consumables', KERB_WORDS.paperRollersTapeRags],
  ['hardware', KERB_WORDS.handlesAndFittings],
  ['ownTime', KERB_WORDS.yourOwnTime],
  ['fees', KERB_WORDS.feesOfSelling],
  ['transport', KERB_WORDS.transport],
  ['redo', KERB_WORDS.whatMayFailAndBeDone],
];

/** What they ask, and what such a piece sells for. */
function Prices({ view, sale }: { view: MoneyView; sale: ForeseenSale | null }) {
  const { money, currency, set } = view;
  const { sayMoney } = useMeasures();
  const typed = money.sale;
  const likely = (value: number | undefined): void =>
    set({
      sale:
        value === undefined
          ? undefined
          : typed && typed.likely > 0
            ? scale(typed, value / typed.likely, value)
            : rangeAbout(value),
    });
  return (
    <Column gap="$m">
      <Row gap="$m">
        <View flex={1}>
          <AmountField
            label={KERB_WORDS.theyAsk}
            currency={currency}
            value={money.asking}
            onSet={(asking) => set({ asking })}
            step={5}
          />
        </View>
        <View flex={1}>
          <AmountField
            label={KERB_WORDS.sellsForAbout}
            currency={currency}
            value={typed?.likely}
            onSet={likely}
            step={10}
          />
        </View>
      </Row>
      {sale ? (
        <Small>
          {KERB_WORDS.reckonedWithToMostLikely(
            sayMoney(sale.low),
            sayMoney(sale.high),
            sayMoney(sale.likely),
            saySaleBasis(sale),
          )}
        </Small>
      ) : (
        <Strong>{KERB_WORDS.whatDoesOneLikeItSell}</Strong>
      )}
      {typed ? (
        <Disclosure label={KERB_WORDS.theRangeItSellsIn}>
          {() => (
            <Row gap="$m">
              <AmountField
                label={KERB_WORDS.atLeast}
                currency={currency}
                value={typed.low}
                most={typed.likely}
                onSet={(low) => low !== undefined && set({ sale: { ...typed, low } })}
              />
              <AmountField
                label={KERB_WORDS.atBest}
                currency={currency}
                value={typed.high}
                onSet={(high) => high !== undefined && set({ sale: { ...typed, high: Math.max(high, typed.likely) } })}
              />
            </Row>
          )}
        </Disclosure>
      ) : null}
    </Column>
  );
}

/** The same range about another price. */
const scale = (range: { low: number; high: number }, by: number, likely: number) => ({
  low: Math.floor(range.low * by),
  likely,
  high: Math.ceil(range.high * by),
});

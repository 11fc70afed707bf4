import { definedOnly } from '@/core/shared';
import { useState } from 'react';
import { sayDate } from '@/client/features/shop-plan';
import { timeNow, useMeasures, useToday } from '@/client/store';
import {
  Button,
  Card,
  Column,
  Disclosure,
  Field,
  Heading,
  MomentField,
  Row,
  Rule,
  Small,
  Strong,
  FigureBlock,
  KeptField,
} from '@/client/ui';
import type { Dossier, MoneyFacts } from '@/core/dossier';
import { closeAccount, correctAccount, countMaterials, type Line } from '@/core/ledger';
import { toMajor } from '@/core/money';
import { ACCOUNT_PANEL_WORDS, LINES } from '@/words';
import { AmountField } from './amount-field';
import type { MoneyView } from './use-money';

interface AccountPanelProps {
  /** With the shop's tins laid beside it: paint is counted at what its tin cost. */
  dossier: Dossier;
  view: MoneyView;
}

/** What the piece cost and earned: worked out of log, shelf and sale; anything can be put right. */
export function AccountPanel({ dossier, view }: AccountPanelProps) {
  const earned = closeAccount({ ...dossier, money: view.money });
  const { saySum } = useMeasures();
  const today = useToday();
  return (
    <Card gap="$m" render="section" aria-label={ACCOUNT_PANEL_WORDS.money}>
      <Heading>{earned ? ACCOUNT_PANEL_WORDS.whatItEarned : ACCOUNT_PANEL_WORDS.whatItHasCostSoFar}</Heading>
      {earned ? (
        <>
          <Row gap="$xl" flexWrap="wrap">
            <FigureBlock figure={saySum(toMajor(earned.beforeOwnTime))} words={ACCOUNT_PANEL_WORDS.beforeOwnTime} />
            <FigureBlock
              figure={earned.perHour ? saySum(toMajor(earned.perHour)) : '–'}
              words={ACCOUNT_PANEL_WORDS.anHourH(earned.hours)}
            />
            <FigureBlock figure={saySum(toMajor(earned.afterOwnTime))} words={ACCOUNT_PANEL_WORDS.afterOwnTime} />
          </Row>
          <Lines lines={earned.lines} />
          {earned.days === null ? null : <Small>{ACCOUNT_PANEL_WORDS.daysFromBoughtToSold(earned.days)}</Small>}
        </>
      ) : (
        <Small>{ACCOUNT_PANEL_WORDS.paintFromTheLogSoFar(saySum(countMaterials(dossier)))}</Small>
      )}
      <Bought view={view} today={today} />
      <Disclosure label={ACCOUNT_PANEL_WORDS.extrasHandlesRefunds}>{() => <Extras view={view} />}</Disclosure>
      <Disclosure label={ACCOUNT_PANEL_WORDS.putRightWhatWasWorkedOut}>{() => <Corrections view={view} />}</Disclosure>
      <Disclosure label={ACCOUNT_PANEL_WORDS.whatIsAimedFor}>{() => <Aims view={view} />}</Disclosure>
    </Card>
  );
}

const FROM: Record<Line['from'], string> = {
  given: '',
  worked_out: ACCOUNT_PANEL_WORDS.workedOut,
  corrected: ACCOUNT_PANEL_WORDS.putRightByYou,
};

function Lines({ lines }: { lines: readonly Line[] }) {
  const { saySum } = useMeasures();
  return (
    <Column role="list" gap="$xs">
      {lines.map(({ what, name, amount, from }, i) => (
        <Row key={i} role="listitem" justifyContent="space-between" gap="$s">
          <Small color="$ink" flexShrink={1}>
            {[name ?? LINES[what], FROM[from]].filter(Boolean).join(', ')}
          </Small>
          <Strong fontVariant={['tabular-nums']}>{saySum(toMajor(amount))}</Strong>
        </Row>
      ))}
      <Rule />
    </Column>
  );
}

function Bought({ view: { money, currency, set }, today }: { view: MoneyView; today: string }) {
  const { bought } = money;
  const keep = (part: { [F in keyof NonNullable<MoneyFacts['bought']>]?: unknown }): void =>
    set({ bought: { ...(bought ?? { amount: 0, at: timeNow() }), ...part } as NonNullable<MoneyFacts['bought']> });
  return (
    <Column gap="$m">
      <Row gap="$m">
        <AmountField
          label={ACCOUNT_PANEL_WORDS.boughtFor}
          currency={currency}
          value={bought?.amount}
          onSet={(amount) => (amount === undefined ? set({ bought: undefined }) : keep({ amount }))}
        />
        {bought ? (
          <MomentField
            label={ACCOUNT_PANEL_WORDS.on}
            value={bought.at?.slice(0, 10) ?? ''}
            onChange={(at) => at !== '' && keep({ at })}
            error={
              bought.at && money.sold?.at && money.sold.at.slice(0, 10) < bought.at.slice(0, 10)
                ? ACCOUNT_PANEL_WORDS.soldOnPutOneOfThe(sayDate(money.sold.at, today))
                : undefined
            }
          />
        ) : null}
      </Row>
      {bought ? (
        <KeptField
          label={ACCOUNT_PANEL_WORDS.where}
          placeholder={ACCOUNT_PANEL_WORDS.houseClearanceMarketFound}
          value={bought.from}
          most={60}
          onSet={(from) => keep({ from })}
        />
      ) : null}
    </Column>
  );
}

function Extras({ view: { money, currency, set } }: { view: MoneyView }) {
  const { saySum } = useMeasures();
  const [what, setWhat] = useState('');
  const [amount, setAmount] = useState<number | undefined>(undefined);
  const [refund, setRefund] = useState<number | undefined>(undefined);
  const { extras = [], refunds = [] } = money;
  const add = (): void => {
    set({ extras: [...extras, { what: what.trim(), amount: amount!, at: timeNow() }] });
    setWhat('');
    setAmount(undefined);
  };
  return (
    <Column gap="$m">
      {extras.map((extra, i) => (
        <Row key={i} alignItems="center" justifyContent="space-between" gap="$s">
          <Small color="$ink" flex={1}>{`${extra.what}, ${saySum(extra.amount)}`}</Small>
          <Button
            label={ACCOUNT_PANEL_WORDS.removeNamed(extra.what)}
            onPress={() => set({ extras: extras.filter((_, own) => own !== i) })}
          >
            {ACCOUNT_PANEL_WORDS.remove}
          </Button>
        </Row>
      ))}
      <Row gap="$m">
        <Field label={ACCOUNT_PANEL_WORDS.whatFor} value={what} onChange={(text) => setWhat(text.slice(0, 80))} />
        <AmountField label={ACCOUNT_PANEL_WORDS.cost} currency={currency} value={amount} onSet={setAmount} />
      </Row>
      <Button disabled={what.trim() === '' || amount === undefined} onPress={add}>
        {ACCOUNT_PANEL_WORDS.addThisCost}
      </Button>
      <AmountField
        label={ACCOUNT_PANEL_WORDS.handlesAndFittings}
        currency={currency}
        value={money.hardware}
        onSet={(hardware) => set({ hardware })}
      />
      {refunds.map((own, i) => (
        <Row key={i} alignItems="center" justifyContent="space-between" gap="$s">
          <Small color="$ink" flex={1}>
            {ACCOUNT_PANEL_WORDS.givenBack(saySum(own.amount))}
          </Small>
          <Button
            label={ACCOUNT_PANEL_WORDS.removeRefund(i + 1)}
            onPress={() => set({ refunds: refunds.filter((_, k) => k !== i) })}
          >
            {ACCOUNT_PANEL_WORDS.remove}
          </Button>
        </Row>
      ))}
      {money.sold ? (
        <Row gap="$m" alignItems="flex-end">
          <AmountField
            label={ACCOUNT_PANEL_WORDS.givenBackToTheBuyer}
            currency={currency}
            value={refund}
            most={money.sold.amount}
            onSet={setRefund}
          />
          <Button
            disabled={refund === undefined || refund === 0}
            onPress={() => {
              set({ refunds: [...refunds, { amount: refund!, at: timeNow() }] });
              setRefund(undefined);
            }}
          >
            {ACCOUNT_PANEL_WORDS.keep}
          </Button>
        </Row>
      ) : null}
    </Column>
  );
}

const MOST_HOURS = 10_000;

function Corrections({ view: { money, currency, set } }: { view: MoneyView }) {
  const { corrections = {} } = money;
  const keep = (part: { [F in 'hours' | 'materials' | 'consumables']?: number | undefined }): void =>
    set({ corrections: correctAccount(corrections, part, timeNow()) });
  return (
    <Column gap="$m">
      <Small>{ACCOUNT_PANEL_WORDS.whatStandsHereTakesThePlace}</Small>
      <AmountField
        label={ACCOUNT_PANEL_WORDS.hours}
        unit={ACCOUNT_PANEL_WORDS.hoursUnit}
        most={MOST_HOURS}
        value={corrections.hours}
        onSet={(hours) => keep({ hours })}
      />
      <AmountField
        label={ACCOUNT_PANEL_WORDS.paintAndPrimer}
        currency={currency}
        value={corrections.materials}
        onSet={(materials) => keep({ materials })}
      />
      <AmountField
        label={ACCOUNT_PANEL_WORDS.paperRollersTapeRags}
        currency={currency}
        value={corrections.consumables}
        onSet={(consumables) => keep({ consumables })}
      />
      <Earlier corrections={corrections} />
    </Column>
  );
}

/** What stood there before, newest first. */
function Earlier({ corrections }: { corrections: NonNullable<MoneyFacts['corrections']> }) {
  const { saySum } = useMeasures();
  const today = useToday();
  const say = ({ hours, materials, consumables }: NonNullable<typeof corrections.earlier>[number]): string =>
    [
      hours === undefined ? '' : ACCOUNT_PANEL_WORDS.h(hours),
      materials === undefined ? '' : ACCOUNT_PANEL_WORDS.ofPaint(saySum(materials)),
      consumables === undefined ? '' : ACCOUNT_PANEL_WORDS.ofSmallThings(saySum(consumables)),
    ]
      .filter(Boolean)
      .join(', ') || ACCOUNT_PANEL_WORDS.asItWasWorkedOut;
  return (
    <Column role="list" aria-label={ACCOUNT_PANEL_WORDS.whatStoodThereBefore}>
      {corrections.earlier?.toReversed().map((own, i) => (
        <Small key={i} role="listitem">
          {ACCOUNT_PANEL_WORDS.until(sayDate(own.at, today), say(own))}
        </Small>
      ))}
    </Column>
  );
}

function Aims({ view: { money, currency, set } }: { view: MoneyView }) {
  const { target = {} } = money;
  const keep = (part: { [F in 'profit' | 'per_hour']?: number | undefined }): void =>
    set({
      target: definedOnly({ ...target, ...part }),
    });
  return (
    <Column gap="$m">
      <AmountField
        label={ACCOUNT_PANEL_WORDS.whatAnHourIsWorth}
        currency={currency}
        value={money.hour_rate}
        onSet={(hour_rate) => set({ hour_rate })}
      />
      <AmountField
        label={ACCOUNT_PANEL_WORDS.profitAfterOwnTime}
        currency={currency}
        value={target.profit}
        onSet={(profit) => keep({ profit })}
      />
      <AmountField
        label={ACCOUNT_PANEL_WORDS.orEarnedAnHour}
        currency={currency}
        value={target.per_hour}
        onSet={(per_hour) => keep({ per_hour })}
      />
    </Column>
  );
}

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
import { LINES } from '@/words';
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
    <Card gap="$m" render="section" aria-label="Money">
      <Heading>{earned ? 'What it earned' : 'What it has cost so far'}</Heading>
      {earned ? (
        <>
          <Row gap="$xl" flexWrap="wrap">
            <FigureBlock figure={saySum(toMajor(earned.beforeOwnTime))} words="before own time" />
            <FigureBlock
              figure={earned.perHour ? saySum(toMajor(earned.perHour)) : '–'}
              words={`an hour, ${earned.hours} h`}
            />
            <FigureBlock figure={saySum(toMajor(earned.afterOwnTime))} words="after own time" />
          </Row>
          <Lines lines={earned.lines} />
          {earned.days === null ? null : <Small>{`${earned.days} days from bought to sold.`}</Small>}
        </>
      ) : (
        <Small>
          {`Paint from the log so far: ${saySum(countMaterials(dossier))}. What it earned is told once it is sold.`}
        </Small>
      )}
      <Bought view={view} today={today} />
      <Disclosure label="Extras, handles, refunds">{() => <Extras view={view} />}</Disclosure>
      <Disclosure label="Put right what was worked out">{() => <Corrections view={view} />}</Disclosure>
      <Disclosure label="What is aimed for">{() => <Aims view={view} />}</Disclosure>
    </Card>
  );
}

const FROM: Record<Line['from'], string> = { given: '', worked_out: 'worked out', corrected: 'put right by you' };

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
          label="Bought for"
          currency={currency}
          value={bought?.amount}
          onSet={(amount) => (amount === undefined ? set({ bought: undefined }) : keep({ amount }))}
        />
        {bought ? (
          <MomentField
            label="On"
            value={bought.at?.slice(0, 10) ?? ''}
            onChange={(at) => at !== '' && keep({ at })}
            error={
              bought.at && money.sold?.at && money.sold.at.slice(0, 10) < bought.at.slice(0, 10)
                ? `Sold on ${sayDate(money.sold.at, today)}: put one of the two right.`
                : undefined
            }
          />
        ) : null}
      </Row>
      {bought ? (
        <KeptField
          label="Where"
          placeholder="House clearance, market, found…"
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
          <Button label={`Remove ${extra.what}`} onPress={() => set({ extras: extras.filter((_, own) => own !== i) })}>
            Remove
          </Button>
        </Row>
      ))}
      <Row gap="$m">
        <Field label="What for" value={what} onChange={(text) => setWhat(text.slice(0, 80))} />
        <AmountField label="Cost" currency={currency} value={amount} onSet={setAmount} />
      </Row>
      <Button disabled={what.trim() === '' || amount === undefined} onPress={add}>
        Add this cost
      </Button>
      <AmountField
        label="Handles and fittings"
        currency={currency}
        value={money.hardware}
        onSet={(hardware) => set({ hardware })}
      />
      {refunds.map((own, i) => (
        <Row key={i} alignItems="center" justifyContent="space-between" gap="$s">
          <Small color="$ink" flex={1}>{`Given back: ${saySum(own.amount)}`}</Small>
          <Button label={`Remove refund ${i + 1}`} onPress={() => set({ refunds: refunds.filter((_, k) => k !== i) })}>
            Remove
          </Button>
        </Row>
      ))}
      {money.sold ? (
        <Row gap="$m" alignItems="flex-end">
          <AmountField
            label="Given back to the buyer"
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
            Keep
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
      <Small>What stands here takes the place of what the log and the shelf say; empty it, and they count again.</Small>
      <AmountField
        label="Hours"
        unit="h"
        most={MOST_HOURS}
        value={corrections.hours}
        onSet={(hours) => keep({ hours })}
      />
      <AmountField
        label="Paint and primer"
        currency={currency}
        value={corrections.materials}
        onSet={(materials) => keep({ materials })}
      />
      <AmountField
        label="Paper, rollers, tape, rags"
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
      hours === undefined ? '' : `${hours} h`,
      materials === undefined ? '' : `${saySum(materials)} of paint`,
      consumables === undefined ? '' : `${saySum(consumables)} of small things`,
    ]
      .filter(Boolean)
      .join(', ') || 'as it was worked out';
  return (
    <Column role="list" aria-label="What stood there before">
      {corrections.earlier?.toReversed().map((own, i) => (
        <Small key={i} role="listitem">{`Until ${sayDate(own.at, today)}: ${say(own)}`}</Small>
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
        label="What an hour is worth"
        currency={currency}
        value={money.hour_rate}
        onSet={(hour_rate) => set({ hour_rate })}
      />
      <AmountField
        label="Profit, after own time"
        currency={currency}
        value={target.profit}
        onSet={(profit) => keep({ profit })}
      />
      <AmountField
        label="Or earned an hour"
        currency={currency}
        value={target.per_hour}
        onSet={(per_hour) => keep({ per_hour })}
      />
    </Column>
  );
}

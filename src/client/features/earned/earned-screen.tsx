import { View } from '@tamagui/core';
import { useMemo, useState } from 'react';
import { Screen, ShopHeader, Skeleton, Unreachable } from '@/client/features/piece-frame';
import { makeMeasures, useGetEarnedQuery } from '@/client/store';
import {
  Body,
  Card,
  Choices,
  Column,
  FileLink,
  Heading,
  Notice,
  Row,
  Small,
  Strong,
  useIsWide,
  FigureBlock,
} from '@/client/ui';
import { COMPARED_BY, toShown, type CompareBy, type ShopAccount } from '@/core/earned';
import { COMPARED, nameCause, sayAdvice } from '@/words';
import { DaysChart } from './days-chart';
import { GroupChart } from './group-chart';
import { sayMonth } from './months';
import { TiedChart } from './tied-chart';

/** Earned: what each hour brought, by kind and ground and more; what is tied up; what failures cost and proof saved. */
export function EarnedScreen() {
  const { data, error, refetch } = useGetEarnedQuery(undefined, { refetchOnMountOrArgChange: true });
  return (
    <Screen title="Earned" header={<ShopHeader title="Earned" />}>
      {data ? <Earned account={data} /> : error ? <Unreachable retry={() => void refetch()} /> : <Skeleton />}
    </Screen>
  );
}

/** Amounts of the shop's account, which are whole minor units, in words. */
function useSums(currency: string): { say: (minor: number) => string; sayHour: (minor: number) => string } {
  return useMemo(() => {
    const { sayMoney, saySum } = makeMeasures('metric', currency);
    return {
      say: (minor) => sayMoney(toShown(minor, currency)),
      sayHour: (minor) => `${saySum(toShown(Math.round(minor), currency))} an hour`,
    };
  }, [currency]);
}

function Earned({ account }: { account: ShopAccount }) {
  const wide = useIsWide();
  const { sums, perHour, currency, foreign } = account;
  const { say, sayHour } = useSums(currency);
  const nothing = sums.sold === 0 && account.tied.pieces.length === 0;
  if (nothing)
    return (
      <Notice tone="wait" title="Nothing bought or sold yet">
        What a piece was bought and sold for stands on its last tab, Let go. From the first sale on it is told here what
        an hour of yours brings.
      </Notice>
    );
  return (
    <Column gap="$l">
      <Row gap="$xl" flexWrap="wrap">
        <FigureBlock figure={say(sums.beforeOwnTime)} words={`before own time, ${sums.sold} sold`} />
        <FigureBlock figure={perHour === null ? '–' : sayHour(perHour)} words={`over ${Math.round(sums.hours)} h`} />
        <FigureBlock figure={say(sums.afterOwnTime)} words="after own time" />
      </Row>
      {foreign > 0 ? (
        <Small>{`${foreign} ${foreign === 1 ? 'piece is' : 'pieces are'} in another currency and not counted.`}</Small>
      ) : null}
      <View flexDirection={wide ? 'row' : 'column'} gap="$xl" alignItems="stretch">
        <Column flex={wide ? 1 : undefined} gap="$l" minWidth={0}>
          <Compared account={account} sayHour={sayHour} />
          <Failures account={account} say={say} />
        </Column>
        <Column flex={wide ? 1 : undefined} gap="$l" minWidth={0}>
          <TiedChart tied={account.tied} say={say} />
          {account.days ? <DaysChart days={account.days} /> : null}
          <Row>
            <FileLink href="/api/lists/earned.csv">Save the accounts as a table (CSV)</FileLink>
          </Row>
        </Column>
      </View>
    </Column>
  );
}

function Compared({ account, sayHour }: { account: ShopAccount; sayHour: (minor: number) => string }) {
  const [by, setBy] = useState<CompareBy>('kind');
  const comparison = account.comparisons[by];
  return (
    <Card gap="$m" render="section" aria-label="What an hour brought">
      <Heading>What an hour brought</Heading>
      <Choices
        label="Compared by"
        options={COMPARED_BY.map((code) => ({ code, label: COMPARED[code] }))}
        value={by}
        onPick={setBy}
      />
      <Strong>{sayAdvice(comparison.advice, by, sayHour, sayMonth)}</Strong>
      {comparison.groups.length > 0 ? <GroupChart comparison={comparison} sayHour={sayHour} /> : null}
      <Small>
        The mark is what the next one may be expected to bring, drawn toward all pieces; its bar holds the truth nine
        times in ten. Dots are single pieces. Under three nothing is told.
      </Small>
    </Card>
  );
}

function Failures({ account, say }: { account: ShopAccount; say: (minor: number) => string }) {
  const { redo, refunds, saved, thrownAway } = account;
  const hours = (minutes: number): string => `${Math.round(minutes / 6) / 10} h`;
  return (
    <Card gap="$m" render="section" aria-label="What failed, and what proof saved">
      <Heading>What failed, and what proof saved</Heading>
      {redo.length === 0 ? <Body>Nothing had to be done again.</Body> : null}
      <Column role="list" gap="$xs">
        {redo.map(({ cause, count, minutes, materials }) => (
          <Row key={cause ?? 'unknown'} role="listitem" justifyContent="space-between" gap="$m">
            <Body
              flex={1}
            >{`${cause ? nameCause(cause) : 'Not found out'}${count > 1 ? `, ${count} times` : ''}`}</Body>
            <Strong>{`${hours(minutes)}, ${say(materials)}`}</Strong>
          </Row>
        ))}
      </Column>
      {refunds > 0 ? <Body>{`Given back to buyers: ${say(refunds)}.`}</Body> : null}
      {thrownAway.tins > 0 ? (
        <Body>{`Left in ${thrownAway.tins} ${thrownAway.tins === 1 ? 'tin' : 'tins'} that went off the shelf: ${say(thrownAway.amount)}.`}</Body>
      ) : null}
      <Body>
        {saved.faces === 0
          ? 'No patch has failed before a piece was painted yet.'
          : `Patches failed on ${saved.faces} ${saved.faces === 1 ? 'face' : 'faces'} before they were painted: about ${hours(saved.minutes)} of stripping spared.`}
      </Body>
    </Card>
  );
}

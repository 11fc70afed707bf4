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
import { EARNED_SCREEN_WORDS, COMPARED, nameCause, sayAdvice } from '@/words';
import { DaysChart } from './days-chart';
import { GroupChart } from './group-chart';
import { sayMonth } from './months';
import { TiedChart } from './tied-chart';

/** Earned: what each hour brought, by kind and ground and more; what is tied up; what failures cost and proof saved. */
export function EarnedScreen() {
  const { data, error, refetch } = useGetEarnedQuery(undefined, { refetchOnMountOrArgChange: true });
  return (
    <Screen title={EARNED_SCREEN_WORDS.earned} header={<ShopHeader title={EARNED_SCREEN_WORDS.earned} />}>
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
      sayHour: (minor) => EARNED_SCREEN_WORDS.anHour(saySum(toShown(Math.round(minor), currency))),
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
      <Notice tone="wait" title={EARNED_SCREEN_WORDS.nothingBoughtOrSoldYet}>
        {EARNED_SCREEN_WORDS.whatAPieceWasBoughtAnd}
      </Notice>
    );
  return (
    <Column gap="$l">
      <Row gap="$xl" flexWrap="wrap">
        <FigureBlock figure={say(sums.beforeOwnTime)} words={EARNED_SCREEN_WORDS.beforeOwnTimeSold(sums.sold)} />
        <FigureBlock
          figure={perHour === null ? '–' : sayHour(perHour)}
          words={EARNED_SCREEN_WORDS.overH(Math.round(sums.hours))}
        />
        <FigureBlock figure={say(sums.afterOwnTime)} words={EARNED_SCREEN_WORDS.afterOwnTime} />
      </Row>
      {foreign > 0 ? <Small>{EARNED_SCREEN_WORDS.inAnotherCurrencyAndNotCounted(foreign)}</Small> : null}
      <View flexDirection={wide ? 'row' : 'column'} gap="$xl" alignItems="stretch">
        <Column flex={wide ? 1 : undefined} gap="$l" minWidth={0}>
          <Compared account={account} sayHour={sayHour} />
          <Failures account={account} say={say} />
        </Column>
        <Column flex={wide ? 1 : undefined} gap="$l" minWidth={0}>
          <TiedChart tied={account.tied} say={say} />
          {account.days ? <DaysChart days={account.days} /> : null}
          <Row>
            <FileLink href="/api/lists/earned.csv">{EARNED_SCREEN_WORDS.saveTheAccountsAsATable}</FileLink>
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
    <Card gap="$m" render="section" aria-label={EARNED_SCREEN_WORDS.whatAnHourBrought}>
      <Heading>{EARNED_SCREEN_WORDS.whatAnHourBrought}</Heading>
      <Choices
        label={EARNED_SCREEN_WORDS.comparedBy}
        options={COMPARED_BY.map((code) => ({ code, label: COMPARED[code] }))}
        value={by}
        onPick={setBy}
      />
      <Strong>{sayAdvice(comparison.advice, by, sayHour, sayMonth)}</Strong>
      {comparison.groups.length > 0 ? <GroupChart comparison={comparison} sayHour={sayHour} /> : null}
      <Small>{EARNED_SCREEN_WORDS.theMarkIsWhatTheNext}</Small>
    </Card>
  );
}

function Failures({ account, say }: { account: ShopAccount; say: (minor: number) => string }) {
  const { redo, refunds, saved, thrownAway } = account;
  const hours = (minutes: number): string => EARNED_SCREEN_WORDS.h(Math.round(minutes / 6) / 10);
  return (
    <Card gap="$m" render="section" aria-label={EARNED_SCREEN_WORDS.whatFailedAndWhatProofSaved}>
      <Heading>{EARNED_SCREEN_WORDS.whatFailedAndWhatProofSaved}</Heading>
      {redo.length === 0 ? <Body>{EARNED_SCREEN_WORDS.nothingHadToBeDoneAgain}</Body> : null}
      <Column role="list" gap="$xs">
        {redo.map(({ cause, count, minutes, materials }) => (
          <Row key={cause ?? 'unknown'} role="listitem" justifyContent="space-between" gap="$m">
            <Body
              flex={1}
            >{`${cause ? nameCause(cause) : EARNED_SCREEN_WORDS.notFoundOut}${count > 1 ? EARNED_SCREEN_WORDS.times(count) : ''}`}</Body>
            <Strong>{`${hours(minutes)}, ${say(materials)}`}</Strong>
          </Row>
        ))}
      </Column>
      {refunds > 0 ? <Body>{EARNED_SCREEN_WORDS.givenBackToBuyers(say(refunds))}</Body> : null}
      {thrownAway.tins > 0 ? (
        <Body>{EARNED_SCREEN_WORDS.leftInThatWentOffThe(thrownAway.tins, say(thrownAway.amount))}</Body>
      ) : null}
      <Body>
        {saved.faces === 0
          ? EARNED_SCREEN_WORDS.noPatchHasFailedBeforeA
          : EARNED_SCREEN_WORDS.patchesFailedOnBeforeTheyWere(saved.faces, hours(saved.minutes))}
      </Body>
    </Card>
  );
}

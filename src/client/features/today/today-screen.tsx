import { View } from '@tamagui/core';
import { Link, router } from 'expo-router';
import { useMemo } from 'react';
import { Screen, ShopHeader, Skeleton, Unreachable, WaysOn } from '@/client/features/piece-frame';
import { BrokenSearch, type ShopAnswer } from '@/client/features/planner';
import { makeTimes, useShopPlan, type ShopView, type Times } from '@/client/features/shop-plan';
import { useNow } from '@/client/store';
import { Button, Column, Row, Small, Strong, useIsWide } from '@/client/ui';
import { AirCard } from './air-card';
import { ByDateCard } from './by-date-card';
import { DoNow } from './do-now';
import { Drying } from './drying';
import { Blocked, Readings } from './due-and-blocked';
import { Free } from './free';
import { InTrouble } from './in-trouble';
import { Moved } from './moved';
import { Waiting } from './waiting';
import { TODAY_SCREEN_WORDS } from '@/words';

const MINUTE_MS = 60_000;

/** The first tab: what can be done now, what is drying, what is due, what is held back. */
export function TodayScreen() {
  const view = useShopPlan();
  const { answer, pieces, total, timeZone, loading, failed, retry } = view;
  const none = pieces !== undefined && total === 0;
  const times = useMemo(() => makeTimes(timeZone), [timeZone]);
  const now = useNow(MINUTE_MS / 2);
  const first = answer?.today.doNow[0];
  return (
    <Screen
      title={TODAY_SCREEN_WORDS.today}
      header={
        <ShopHeader title={TODAY_SCREEN_WORDS.today}>
          <Small>{times.day(now)}</Small>
        </ShopHeader>
      }
      action={
        first && answer ? (
          <Button look="main" grow onPress={() => openTask(first.piece, first.task)}>
            {TODAY_SCREEN_WORDS.start(nameTask(answer, first.task))}
          </Button>
        ) : undefined
      }
    >
      {failed ? <Unreachable retry={retry} /> : null}
      {view.broken ? <BrokenSearch /> : null}
      {loading || (pieces && !answer && view.question && !view.broken) ? <Skeleton /> : null}
      {none ? <WaysOn>{TODAY_SCREEN_WORDS.tellBricolageWhatYouHaveFound}</WaysOn> : null}
      {answer && pieces && !none ? <Day view={view} answer={answer} times={times} now={now} /> : null}
    </Screen>
  );
}

const openTask = (piece: string, task: string): void =>
  router.push(`/piece/${piece}/work?task=${encodeURIComponent(task)}`);

function nameTask({ pieces }: ShopAnswer, id: string): string {
  return pieces.flatMap(({ tasks }) => tasks).find((task) => task.id === id)?.label ?? TODAY_SCREEN_WORDS.theNextStep;
}

interface DayProps {
  view: ShopView;
  answer: ShopAnswer;
  times: Times;
  now: string;
}

function Day({ view, answer, times, now }: DayProps) {
  const wide = useIsWide();
  const { today } = answer;
  const main = (
    <Column flex={wide ? 1.2 : undefined} gap="$l" minWidth={0}>
      <Free now={now} times={times} until={today.until} />
      <Moved answer={answer} fresh={view.fresh} times={times} now={now} />
      <DoNow answer={answer} times={times} now={now} onOpen={openTask} />
      <Readings answer={answer} times={times} now={now} />
      <Blocked answer={answer} />
      <InTrouble pieces={view.pieces ?? []} />
    </Column>
  );
  const aside = (
    <Column flex={wide ? 1 : undefined} gap="$l" minWidth={0}>
      <AirCard today={today} times={times} now={now} />
      <Drying clocks={today.drying} times={times} now={now} />
      <Waiting pieces={view.pieces ?? []} now={now} />
      <ByDateCard view={view} answer={answer} times={times} now={now} />
      <Row gap="$s" flexWrap="wrap">
        <Way href="/ahead" label={TODAY_SCREEN_WORDS.twoWeeksAhead} />
        <Way href="/workshop" label={TODAY_SCREEN_WORDS.hoursPlacesAir} />
      </Row>
    </Column>
  );
  return wide ? (
    <Row gap="$xl" alignItems="flex-start">
      {main}
      {aside}
    </Row>
  ) : (
    <Column gap="$l">
      {main}
      {aside}
    </Column>
  );
}

function Way({ href, label }: { href: '/ahead' | '/workshop'; label: string }) {
  return (
    <Link href={href} style={{ textDecorationLine: 'none', flexGrow: 1 }}>
      <View
        minHeight="$target"
        paddingHorizontal="$l"
        justifyContent="center"
        alignItems="center"
        borderWidth={1}
        borderColor="$line"
        borderRadius="$corner"
        backgroundColor="$card"
        hoverStyle={{ borderColor: '$act' }}
      >
        <Strong>{label}</Strong>
      </View>
    </Link>
  );
}

import { View } from '@tamagui/core';
import { Link, router } from 'expo-router';
import { Fragment, useMemo, type ReactNode } from 'react';
import { Screen, ShopHeader, Skeleton, Unreachable, WaysOn } from '@/client/features/piece-frame';
import { BrokenSearch, type ShopAnswer } from '@/client/features/planner';
import { makeTimes, useShopPlan, type ShopView, type Times } from '@/client/features/shop-plan';
import { useNow } from '@/client/store';
import { balance, Button, Column, Row, Small, Strong, useIsWide } from '@/client/ui';
import { AirCard } from './air-card';
import { ByDateCard } from './by-date-card';
import { DoNow } from './do-now';
import { Drying } from './drying';
import { Blocked, Readings } from './due-and-blocked';
import { Free } from './free';
import { InTrouble } from './in-trouble';
import { Moved } from './moved';
import { Waiting } from './waiting';
import { listRuns, listShown } from '@/core/work';
import { TODAY_SCREEN_WORDS, nameTask } from '@/words';

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
            {TODAY_SCREEN_WORDS.start(nameById(answer, first.task))}
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

function nameById({ pieces }: ShopAnswer, id: string): string {
  const task = pieces.flatMap(({ tasks }) => tasks).find((own) => own.id === id);
  return task ? nameTask(task) : TODAY_SCREEN_WORDS.theNextStep;
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
  const { pieces = [] } = view;
  const { readings, blocked, drying } = today;
  const runs = listRuns(listShown(today));
  const main: Part[] = [
    { lines: 4, shown: <Free now={now} times={times} until={today.until} /> },
    { lines: 0, shown: <Moved answer={answer} fresh={view.fresh} times={times} now={now} /> },
    {
      // The first run lies open, of each other one the card.
      lines: 2 + 4 * Math.max(1, runs.length - 1 + (runs[0]?.length ?? 0)),
      shown: <DoNow answer={answer} times={times} now={now} onOpen={openTask} />,
    },
    { lines: 4 * readings.length, shown: <Readings answer={answer} times={times} now={now} /> },
  ];
  const held: Part[] = [
    { lines: 7 * blocked.length, shown: <Blocked answer={answer} /> },
    { lines: 8, shown: <InTrouble pieces={pieces} /> },
  ];
  const aside: Part[] = [
    { lines: 9, shown: <AirCard today={today} times={times} now={now} /> },
    {
      lines: drying.length === 0 ? 0 : 2 + 6 * Math.min(3, drying.length),
      shown: <Drying clocks={drying} times={times} now={now} />,
    },
    { lines: 4, shown: <Waiting pieces={pieces} now={now} /> },
    {
      lines: 6 + 2 * answer.plan.ready.length,
      shown: <ByDateCard view={view} answer={answer} times={times} now={now} />,
    },
    {
      lines: 3,
      shown: (
        <Row gap="$s" flexWrap="wrap">
          <Way href="/ahead" label={TODAY_SCREEN_WORDS.twoWeeksAhead} />
          <Way href="/workshop" label={TODAY_SCREEN_WORDS.hoursPlacesAir} />
        </Row>
      ),
    },
  ];
  // At a desk what is held back stands beside what is to be done; on a phone it comes right after it.
  const columns = wide ? balance(main, [...aside, ...held]) : [[...main, ...held, ...aside]];
  return (
    <Row gap="$xl" alignItems="flex-start">
      {columns.map((parts, i) => (
        <Column key={i} flex={1} gap="$l" minWidth={0}>
          {parts.map(({ shown }, k) => (
            <Fragment key={k}>{shown}</Fragment>
          ))}
        </Column>
      ))}
    </Row>
  );
}

interface Part {
  /** About how tall it is, in lines. */
  lines: number;
  shown: ReactNode;
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

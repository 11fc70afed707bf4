import { View } from '@tamagui/core';
import { router } from 'expo-router';
import { useMemo } from 'react';
import { Screen, ShopHeader, Skeleton, TodayLink, Unreachable } from '@/client/features/piece-frame';
import { type ShopAnswer, BrokenSearch } from '@/client/features/planner';
import { makeTimes, saySpan, useShopPlan, type Times } from '@/client/features/shop-plan';
import { useNow, useWorkshopChange, useMeasures } from '@/client/store';
import {
  Body,
  Button,
  Card,
  Column,
  Disclosure,
  Heading,
  Notice,
  Row,
  Small,
  StateMark,
  saveText,
  useIsWide,
} from '@/client/ui';
import { sayWhere, type Item, type Sitting } from '@/core/work';
import type { Workshop } from '@/core/workshop';
import { AheadChart } from './ahead-chart';
import { AHEAD_SCREEN_WORDS, nameTask, nameTasks, sayBound, sayCalendar } from '@/words';

const DAYS = 14;
const DAY_MS = 86_400_000;

/** Two weeks of sittings and waits: a chart where there is room, day by day on a phone. */
export function AheadScreen() {
  const { answer, question, broken, failed, retry, timeZone, workshop } = useShopPlan();
  const now = useNow(60_000);
  const wide = useIsWide();
  const times = useMemo(() => makeTimes(timeZone), [timeZone]);
  const until = new Date(Date.parse(now) + DAYS * DAY_MS).toISOString();
  return (
    <Screen
      title={AHEAD_SCREEN_WORDS.twoWeeksAhead}
      header={<ShopHeader title={AHEAD_SCREEN_WORDS.twoWeeksAhead} before={<TodayLink />} />}
    >
      {failed ? <Unreachable retry={retry} /> : null}
      {broken ? <BrokenSearch /> : null}
      {!answer && question && !broken ? <Skeleton /> : null}
      {answer && answer.plan.sittings.length === 0 ? (
        <Notice tone="act" title={AHEAD_SCREEN_WORDS.nothingIsPlanned}>
          {AHEAD_SCREEN_WORDS.workIsPlannedOnceASystem}
        </Notice>
      ) : null}
      {answer && answer.plan.sittings.length > 0 ? (
        <>
          <Closed answer={answer} until={until} times={times} now={now} />
          {wide ? <AheadChart answer={answer} now={now} days={DAYS} timeZone={timeZone} /> : null}
          <Sittings answer={answer} until={until} times={times} now={now} workshop={workshop} />
          <SaveCalendar answer={answer} now={now} />
        </>
      ) : null}
    </Screen>
  );
}

function Closed({ answer, until, times, now }: { answer: ShopAnswer; until: string; times: Times; now: string }) {
  const closed = answer.plan.closed.filter(({ startAt, waterborne }) => waterborne && startAt < until);
  const [first] = closed;
  const degrees = useMeasures().gauge('temperature_c');
  if (!first) return null;
  return (
    <Notice
      tone="wait"
      title={
        closed.length === 1
          ? AHEAD_SCREEN_WORDS.oneSittingIsClosedToWaterborne
          : AHEAD_SCREEN_WORDS.sittingsAreClosedToWaterborneCoats(closed.length)
      }
    >
      {AHEAD_SCREEN_WORDS.aboutAndAreExpectedByLast(
        degrees.say(first.climate.temperature_c),
        first.climate.humidity_pct,
        times.moment(first.startAt, now),
      )}
    </Notice>
  );
}

interface SittingsProps {
  answer: ShopAnswer;
  until: string;
  times: Times;
  now: string;
  workshop: Workshop;
}

function Sittings({ answer, until, times, now, workshop }: SittingsProps) {
  const near = answer.plan.sittings.filter(({ startAt }) => startAt < until);
  const later = answer.plan.sittings.length - near.length;
  const wide = useIsWide();
  return (
    <Column gap="$m">
      <View role="list" aria-label={AHEAD_SCREEN_WORDS.sittings} flexDirection="row" flexWrap="wrap" gap="$m">
        {near.map((sitting) => (
          <View key={sitting.startAt} role="listitem" width={wide ? '49%' : '100%'}>
            <SittingCard sitting={sitting} answer={answer} times={times} now={now} workshop={workshop} />
          </View>
        ))}
      </View>
      {later > 0 ? <Small>{AHEAD_SCREEN_WORDS.moreSittingsComeAfterTheseTwo(later)}</Small> : null}
      {answer.plan.unplaced.length > 0 ? (
        <Notice tone="stop" title={AHEAD_SCREEN_WORDS.jobsFindNoTime(answer.plan.unplaced.length)}>
          {AHEAD_SCREEN_WORDS.theyDoNotFitIntoAny}
        </Notice>
      ) : null}
    </Column>
  );
}

function SittingCard({ sitting, answer, times, now, workshop }: { sitting: Sitting } & Omit<SittingsProps, 'until'>) {
  const minutes = sitting.items.reduce(
    (sum, { startAt, endAt, cleanUpMin }) => sum + (Date.parse(endAt) - Date.parse(startAt)) / 60_000 + cleanUpMin,
    0,
  );
  return (
    <Card padding="$m" gap="$s">
      <Row justifyContent="space-between" alignItems="baseline" gap="$s">
        <Heading render="h2">{times.day(sitting.startAt)}</Heading>
        <Small>
          {AHEAD_SCREEN_WORDS.ofWork(times.clock(sitting.startAt), times.clock(sitting.endAt), saySpan(minutes))}
        </Small>
      </Row>
      {sitting.items.map((item) => (
        <ItemRow
          key={item.task + item.startAt}
          item={item}
          answer={answer}
          times={times}
          now={now}
          workshop={workshop}
        />
      ))}
    </Card>
  );
}

function ItemRow({ item, answer, times, now, workshop }: { item: Item } & Omit<SittingsProps, 'until'>) {
  const change = useWorkshopChange();
  const piece = answer.pieces.find(({ id }) => id === item.piece);
  const task = piece?.tasks.find(({ id }) => id === item.task);
  if (!piece || !task) return null;
  const pinned = workshop.pins.some((pin) => pin.task === item.task);
  return (
    <Column gap="$xs">
      <Disclosure label={`${times.clock(item.startAt)}  ${nameTask(task)}: ${piece.name}`}>
        {() => (
          <Column gap="$s" paddingLeft="$m">
            <Body>{`${sayWhere(piece, task)}. ${saySpan((Date.parse(item.endAt) - Date.parse(item.startAt)) / 60_000)}${item.goesOn ? AHEAD_SCREEN_WORDS.goesOnInTheNextSitting : ''}.`}</Body>
            <Small>{sayBound(item.bound, nameTasks(answer.pieces))}</Small>
            <Row gap="$s" flexWrap="wrap">
              <Button onPress={() => router.push(`/piece/${piece.id}/work?task=${encodeURIComponent(task.id)}`)}>
                {AHEAD_SCREEN_WORDS.open}
              </Button>
              {pinned ? (
                <Button onPress={() => change({ type: 'task_unpinned', task: task.id })}>
                  {AHEAD_SCREEN_WORDS.unpin}
                </Button>
              ) : (
                <Button onPress={() => change({ type: 'task_pinned', pin: { task: task.id, at: item.startAt } })}>
                  {AHEAD_SCREEN_WORDS.pinTo(times.moment(item.startAt, now))}
                </Button>
              )}
            </Row>
          </Column>
        )}
      </Disclosure>
      {pinned ? <StateMark tone="act">{AHEAD_SCREEN_WORDS.pinned}</StateMark> : null}
    </Column>
  );
}

function SaveCalendar({ answer, now }: { answer: ShopAnswer; now: string }) {
  const save = async (): Promise<void> => {
    // Few want the file: what writes it is fetched by those who do.
    const { writeEvents } = await import('@/core/calendar');
    saveText('workshop.ics', 'text/calendar', writeEvents(sayCalendar(answer.plan, answer.pieces), now));
  };
  return (
    <Row>
      <Button onPress={() => void save()}>{AHEAD_SCREEN_WORDS.saveAsACalendarFile}</Button>
    </Row>
  );
}

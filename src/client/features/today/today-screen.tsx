import { View } from '@tamagui/core';
import { Link, router } from 'expo-router';
import { useCallback, useEffect, useMemo } from 'react';
import { useDispatch, useSelector } from 'react-redux';
import { Screen, ShopHeader, Skeleton, Unreachable } from '@/client/features/piece-frame';
import { type ShopAnswer, BrokenSearch } from '@/client/features/planner';
import { makeTimes, useShopPlan, type ShopView, type Times } from '@/client/features/shop-plan';
import { planSeen, sittingBegun, useNow, type AppDispatch, type RootState } from '@/client/store';
import {
  Body,
  Button,
  Card,
  Choices,
  Column,
  Heading,
  Notice,
  Row,
  Small,
  StateMark,
  Strong,
  useIsWide,
  useKeys,
} from '@/client/ui';
import { agreeOn, listMoves } from '@/core/work';
import { AirCard } from './air-card';
import { ByDateCard } from './by-date-card';
import { DoNow } from './do-now';
import { Drying } from './drying';
import { nameTasks, sayMove, sayBlock } from '@/words';

const MINUTE_MS = 60_000;

/** The first tab: what can be done now, what is drying, what is due, what is held back. */
export function TodayScreen() {
  const view = useShopPlan();
  const { answer, pieces, total, timeZone, loading, failed, retry } = view;
  const none = pieces !== undefined && total === 0;
  const times = useMemo(() => makeTimes(timeZone), [timeZone]);
  const now = useNow(MINUTE_MS / 2);
  useKeys(useMemo(() => ({ n: () => router.push('/new'), '/': () => router.push('/pieces') }), []));
  const first = answer?.today.doNow[0];
  return (
    <Screen
      title="Today"
      header={
        <ShopHeader title="Today">
          <Small>{times.day(now)}</Small>
        </ShopHeader>
      }
      action={
        none ? (
          <Button look="main" grow onPress={() => router.push('/new')}>
            New piece
          </Button>
        ) : first && answer ? (
          <Button look="main" grow onPress={() => openTask(first.piece, first.task)}>
            {`Start: ${nameTask(answer, first.task)}`}
          </Button>
        ) : undefined
      }
    >
      {failed ? <Unreachable retry={retry} /> : null}
      {view.broken ? <BrokenSearch /> : null}
      {loading || (pieces && !answer && view.question && !view.broken) ? <Skeleton /> : null}
      {none ? <NoPieces /> : null}
      {answer && pieces && !none ? <Day view={view} answer={answer} times={times} now={now} /> : null}
    </Screen>
  );
}

const openTask = (piece: string, task: string): void =>
  router.push(`/piece/${piece}/work?task=${encodeURIComponent(task)}`);

function nameTask({ pieces }: ShopAnswer, id: string): string {
  return pieces.flatMap(({ tasks }) => tasks).find((task) => task.id === id)?.label ?? 'the next step';
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
    </Column>
  );
  const aside = (
    <Column flex={wide ? 1 : undefined} gap="$l" minWidth={0}>
      <AirCard today={today} times={times} now={now} />
      <Drying clocks={today.drying} times={times} now={now} />
      <ByDateCard view={view} answer={answer} times={times} now={now} />
      <Row gap="$s" flexWrap="wrap">
        <Way href="/ahead" label="Two weeks ahead" />
        <Way href="/workshop" label="Hours, places, air" />
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

const SPANS = [
  { code: '20', label: '20 min' },
  { code: '40', label: '40 min' },
  { code: '60', label: '1 h' },
  { code: '120', label: '2 h' },
] as const;

/** How long the owner has: by what they say, or by their hours. */
function Free({ now, times, until }: { now: string; times: Times; until: string | null }) {
  const dispatch = useDispatch<AppDispatch>();
  const freeUntil = useSelector((state: RootState) => state.bench.freeUntil);
  const said = freeUntil !== null && freeUntil > now;
  const pick = (minutes: number): void => {
    const at = new Date();
    const until = minutes === 0 ? null : new Date(at.getTime() + minutes * MINUTE_MS).toISOString();
    dispatch(sittingBegun({ until, at: at.toISOString() }));
  };
  const end = said ? freeUntil : until;
  return (
    <Column gap="$s">
      <Heading>{end ? `You have until ${times.clock(end)}` : 'How long have you got?'}</Heading>
      <Choices label="How long have you got?" options={SPANS} onPick={(code) => pick(Number(code))} />
      {said ? (
        <Button look="quiet" onPress={() => pick(0)}>
          Go by my hours again
        </Button>
      ) : null}
    </Column>
  );
}

/** What moved since the plan was last looked at, until it has been seen. */
function Moved({ answer, fresh, times, now }: { answer: ShopAnswer; fresh: boolean; times: Times; now: string }) {
  const dispatch = useDispatch<AppDispatch>();
  const agreed = useSelector((state: RootState) => state.bench.agreed);
  const moves = useMemo(
    () => (agreed && fresh && !answer.rough ? listMoves(agreed, answer.plan, answer.pieces) : []),
    [agreed, fresh, answer],
  );
  const see = useCallback(() => void dispatch(planSeen(agreeOn(answer.plan))), [dispatch, answer]);
  const settled = fresh && !answer.rough;
  const name = nameTasks(answer.pieces);
  if (!settled || (agreed !== null && moves.length === 0)) return null;
  if (agreed === null) return <FirstPlan onSeen={see} />;
  return (
    <Notice
      tone="act"
      title={moves.length === 1 ? 'One job has moved' : `${moves.length} jobs have moved`}
      action={
        <Column gap="$s">
          {moves.slice(0, 4).map(({ task, piece, label, from, to, because }) => (
            <Column key={task}>
              <Strong>{`${label}, ${answer.pieces.find(({ id }) => id === piece)?.name ?? ''}`}</Strong>
              <Small>{`${times.moment(from, now)} → ${times.moment(to, now)}. ${sayMove({ because }, name)}`}</Small>
            </Column>
          ))}
          {moves.length > 4 ? <Small>{`and ${moves.length - 4} more`}</Small> : null}
          <Button onPress={see}>Seen</Button>
        </Column>
      }
    />
  );
}

/** The first plan has nothing to be compared with: it is taken as seen. */
function FirstPlan({ onSeen }: { onSeen: () => void }) {
  useEffect(onSeen, [onSeen]);
  return null;
}

function Readings({ answer, times, now }: { answer: ShopAnswer; times: Times; now: string }) {
  const { readings } = answer.today;
  if (readings.length === 0) return null;
  return (
    <Column gap="$s">
      <Heading>Patches to read</Heading>
      {readings.map(({ piece, name, reading }) => (
        <Link
          key={`${piece}${reading.panel}${reading.dueAt}`}
          href={`/piece/${piece}/prove`}
          style={{ textDecorationLine: 'none' }}
        >
          <Card padding="$m" gap="$xs" hoverStyle={{ borderColor: '$act' }}>
            <Strong>{`${reading.moment.what}: ${name}`}</Strong>
            <StateMark tone={reading.state === 'overdue' ? 'stop' : 'act'}>
              {reading.state === 'overdue' ? `Overdue since ${times.moment(reading.dueAt, now)}` : 'Due now'}
            </StateMark>
            <Small>{`Strips ${reading.strips.join(', ')}`}</Small>
          </Card>
        </Link>
      ))}
    </Column>
  );
}

const GO_TO: Record<string, string> = { read: 'Go to Read', choose: 'Choose again', prove: 'Go to Prove' };

function Blocked({ answer }: { answer: ShopAnswer }) {
  const { blocked } = answer.today;
  if (blocked.length === 0) return null;
  return (
    <Column gap="$s">
      <Heading>Held back</Heading>
      {blocked.map(({ piece, name, gate, because, goTo }) => (
        <Notice
          key={piece + gate}
          tone="stop"
          title={name}
          action={
            <Button
              onPress={() => router.push(`/piece/${piece}/${goTo as 'read'}`)}
              label={`${GO_TO[goTo] ?? ''}: ${name}`}
            >
              {GO_TO[goTo] ?? 'Open'}
            </Button>
          }
        >
          {sayBlock({ because })}
        </Notice>
      ))}
    </Column>
  );
}

function NoPieces() {
  return (
    <Card padding="$xl" gap="$m">
      <Heading>No piece yet</Heading>
      <Body>
        Tell Bricolage what you have found. It asks what it needs to know of each surface, says which preparation and
        primer will hold, and then fits the work into your evenings.
      </Body>
    </Card>
  );
}

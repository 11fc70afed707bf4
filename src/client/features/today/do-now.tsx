import { router } from 'expo-router';
import { useState } from 'react';
import ChevronDown from 'lucide-react-native/icons/chevron-down';
import ChevronRight from 'lucide-react-native/icons/chevron-right';
import type { ShopAnswer } from '@/client/features/planner';
import type { Times } from '@/client/features/shop-plan';
import { useMeasures } from '@/client/store';
import { Body, Button, Column, Heading, Notice, Pressed, Small, Strong, Swatch, useTones } from '@/client/ui';
import { listRuns, listShown, measurePour, sayWhere, type Item } from '@/core/work';
import { lowerFirst } from '@/core/shared';
import { DO_NOW_WORDS, nameTask } from '@/words';

interface DoNowProps {
  answer: ShopAnswer;
  times: Times;
  now: string;
  onOpen: (piece: string, task: string) => void;
}

/** What to do in the time there is, in an order that keeps coats drying while hands are elsewhere. */
export function DoNow({ answer, times, now, onOpen }: DoNowProps) {
  const { doNow, next, nextAt } = answer.today;
  if (answer.pieces.length === 0) {
    return (
      <Notice
        tone="act"
        title={DO_NOW_WORDS.nothingIsInWork}
        action={<Button onPress={() => router.push('/pieces')}>{DO_NOW_WORDS.seeThePieces}</Button>}
      >
        {DO_NOW_WORDS.workBeginsWhenASystemHas}
      </Notice>
    );
  }
  const items = listShown(answer.today);
  if (items.length === 0)
    return (
      <Notice tone="go" title={DO_NOW_WORDS.nothingNeedsYou}>
        {nextAt ? DO_NOW_WORDS.readBefore(times.moment(nextAt, now)) : DO_NOW_WORDS.noOpenJobWaitsForYour}
      </Notice>
    );
  const isLater = doNow.length === 0 && next !== null;
  return (
    <Column gap="$s" role="region" aria-label={isLater ? DO_NOW_WORDS.doNext : DO_NOW_WORDS.doNow}>
      <Heading>{isLater ? times.sitting(items[0]!.startAt, now) : DO_NOW_WORDS.nowInThisOrder}</Heading>
      {isLater ? (
        <Small>
          {nextAt !== null && nextAt < items[0]!.startAt
            ? DO_NOW_WORDS.readBefore(times.moment(nextAt, now))
            : DO_NOW_WORDS.haveTimeNow}
        </Small>
      ) : null}
      <Column role="list" gap="$s">
        {listRuns(items).map((run, i) => (
          <Run key={`${run[0]!.task}${run[0]!.startAt}`} run={run} first={i === 0} {...{ answer, times, onOpen }} />
        ))}
      </Column>
    </Column>
  );
}

interface RunProps extends Pick<NowItemProps, 'answer' | 'times' | 'onOpen'> {
  run: readonly Item[];
  first: boolean;
}

/** Steps that follow each other on one piece are one card, opened by a tap; those to be done now lie open. */
function Run({ run, first, answer, times, onOpen }: RunProps) {
  const [open, setOpen] = useState(first || run.length === 1);
  const [head] = run;
  const piece = answer.pieces.find(({ id }) => id === head!.piece);
  if (!piece) return null;
  if (open)
    return run.map((item, i) => (
      <NowItem
        key={`${item.task}${item.startAt}`}
        item={item}
        first={first && i === 0}
        answer={answer}
        times={times}
        onOpen={onOpen}
      />
    ));
  const steps = run.flatMap(({ task }) => piece.tasks.find(({ id }) => id === task) ?? []).map(nameTask);
  const minutes = run.reduce((sum, { startAt, endAt }) => sum + (Date.parse(endAt) - Date.parse(startAt)) / 60_000, 0);
  const words = steps.map((step, i) => (i === 0 ? step : lowerFirst(step))).join(', ');
  const time = DO_NOW_WORDS.minOfJob(Math.round(minutes), run.at(-1)!.goesOn);
  return (
    <Card
      at={times.clock(head!.startAt)}
      lines={[piece.name, words, time]}
      says={`${piece.name}: ${words}. ${time}`}
      folded
      onPress={() => setOpen(true)}
    />
  );
}

interface NowItemProps {
  item: Item;
  first: boolean;
  answer: ShopAnswer;
  times: Times;
  onOpen: (piece: string, task: string) => void;
}

function NowItem({ item, first, answer, times, onOpen }: NowItemProps) {
  const { sayVolume } = useMeasures();
  const piece = answer.pieces.find(({ id }) => id === item.piece);
  const task = piece?.tasks.find(({ id }) => id === item.task);
  if (!piece || !task) return null;
  const minutes = Math.round((Date.parse(item.endAt) - Date.parse(item.startAt)) / 60_000);
  const pour = measurePour(task);
  const facts = [
    DO_NOW_WORDS.minOfJob(minutes, item.goesOn),
    pour === null ? '' : DO_NOW_WORDS.pour(sayVolume(pour)),
    task.waitH > 0 ? DO_NOW_WORDS.thenByItself(sayHours(task.waitH)) : '',
    item.cleanUpMin > 0 ? DO_NOW_WORDS.cleanUpMin(item.cleanUpMin) : '',
  ].filter(Boolean);
  const where = sayWhere(piece, task);
  return (
    <Card
      at={times.clock(item.startAt)}
      lines={[nameTask(task), `${piece.name}: ${lowerFirst(where)}`, facts.join(' · ')]}
      says={`${nameTask(task)}, ${piece.name}: ${where}. ${facts.join(', ')}`}
      first={first}
      colour={task.colour}
      onPress={() => onOpen(item.piece, item.task)}
    />
  );
}

interface CardProps {
  at: string;
  lines: readonly [title: string, body: string, small: string];
  /** What it is called, after its time. */
  says: string;
  first?: boolean;
  colour?: string | undefined;
  /** It opens where it stands, and leads nowhere. */
  folded?: boolean;
  onPress: () => void;
}

/** A card of the list: when, what, where and for how long. */
function Card({ at, lines: [title, body, small], says, first = false, colour, folded = false, onPress }: CardProps) {
  const tones = useTones();
  const Sign = folded ? ChevronDown : ChevronRight;
  return (
    <Column role="listitem">
      <Pressed
        paddingHorizontal="$m"
        flexDirection="row"
        gap="$m"
        alignItems="center"
        justifyContent="flex-start"
        borderColor={first ? '$act' : '$line'}
        borderWidth={first ? 2 : 1}
        aria-label={`${at} ${says}`}
        {...(folded ? { 'aria-expanded': false } : {})}
        onPress={onPress}
        {...{ type: 'button' }}
      >
        <Heading render="span" width={56} fontVariant={['tabular-nums']}>
          {at}
        </Heading>
        <Column flex={1} gap={2} alignItems="flex-start">
          <Strong textAlign="left">{title}</Strong>
          <Body textAlign="left">{body}</Body>
          <Small textAlign="left">{small}</Small>
        </Column>
        {colour ? <Swatch colour={colour} /> : null}
        <Sign size={18} color={tones.softInk} aria-hidden />
      </Pressed>
    </Column>
  );
}

const sayHours = (hours: number): string =>
  hours < 1 ? DO_NOW_WORDS.min(Math.round(hours * 60)) : DO_NOW_WORDS.h(Math.round(hours * 10) / 10);

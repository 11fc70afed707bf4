import { View } from '@tamagui/core';
import Svg, { Defs, G, Line, Pattern, Path, Rect, Text } from 'react-native-svg';
import type { ShopAnswer } from '@/client/features/planner';
import { makeTimes } from '@/client/features/shop-plan';
import { FONT, useTones } from '@/client/ui';
import { addDays, dateOf, minuteAt, minuteOf } from '@/core/schedule';
import { AHEAD_CHART_WORDS, nameBlock } from '@/words';
import { lowerFirst } from '@/core/shared';

const [LEFT, ROW, TOP, WIDTH] = [170, 40, 34, 1120];
const HOUR_MIN = 60;

/** Pieces down, days across: a block is hands on it, the hatched band behind is drying, a flag is when it can be collected. */
export function AheadChart({
  answer,
  now,
  days,
  timeZone,
}: {
  answer: ShopAnswer;
  now: string;
  days: number;
  timeZone: string;
}) {
  const tones = useTones();
  const times = makeTimes(timeZone);
  const { pieces, plan } = answer;
  const first = dateOf(minuteOf(now), timeZone);
  const start = minuteAt(first, '00:00', timeZone);
  const end = minuteAt(addDays(first, days), '00:00', timeZone);
  const x = (minute: number): number => LEFT + ((minute - start) / (end - start)) * (WIDTH - LEFT - 8);
  const height = TOP + pieces.length * ROW + 8;
  const items = plan.sittings.flatMap((sitting) => sitting.items);
  const dates = Array.from({ length: days }, (_, i) => addDays(first, i));
  const daysOf = (id: string): number =>
    new Set(items.filter(({ piece }) => piece === id).map(({ startAt }) => startAt.slice(0, 10))).size;
  const label = AHEAD_CHART_WORDS.twoWeeks(
    pieces.map(({ id, name }) => AHEAD_CHART_WORDS.daysWithWork(name, daysOf(id))).join('; '),
  );
  return (
    <View
      role="img"
      aria-label={label}
      backgroundColor="$card"
      borderWidth={1}
      borderColor="$line"
      borderRadius="$corner"
    >
      <Svg width="100%" viewBox={`0 0 ${WIDTH} ${height}`}>
        <Defs>
          <Pattern id="drying" width={6} height={6} patternUnits="userSpaceOnUse">
            <Path d="M0 6L6 0" stroke={tones.wait} strokeWidth={1} />
          </Pattern>
        </Defs>
        {dates.map((date) => {
          const at = x(minuteAt(date, '00:00', timeZone));
          const noon = new Date(minuteAt(date, '12:00', timeZone) * 60_000).toISOString();
          const weekend = [0, 6].includes(new Date(`${date}T12:00:00Z`).getUTCDay());
          const next = x(minuteAt(addDays(date, 1), '00:00', timeZone));
          return (
            <G key={date}>
              {weekend ? <Rect x={at} y={0} width={next - at} height={height} fill={tones.ground} /> : null}
              <Line x1={at} x2={at} y1={0} y2={height} stroke={tones.line} strokeWidth={1} />
              <Text
                x={(at + next) / 2}
                y={22}
                fontSize={13}
                fontFamily={FONT.display}
                textAnchor="middle"
                fill={tones.ink}
              >
                {times.shortDay(noon)}
              </Text>
            </G>
          );
        })}
        {pieces.map((piece, row) => {
          const own = items.filter((item) => item.piece === piece.id);
          const y = TOP + row * ROW;
          const ready = plan.ready.find((one) => one.piece === piece.id);
          return (
            <G key={piece.id}>
              <Line x1={0} x2={WIDTH} y1={y} y2={y} stroke={tones.line} strokeWidth={1} />
              <Text x={12} y={y + 25} fontSize={14} fontFamily={FONT.display} fontWeight="600" fill={tones.ink}>
                {piece.name.length > 21 ? `${piece.name.slice(0, 20)}…` : piece.name}
              </Text>
              {own.map((item) => {
                const task = piece.tasks.find(({ id }) => id === item.task);
                const from = minuteOf(item.endAt);
                const until = Math.min(end, from + (task?.waitH ?? 0) * HOUR_MIN);
                return item.goesOn || until <= from || from > end ? null : (
                  <Rect
                    key={`w${item.task}${item.startAt}`}
                    x={x(from)}
                    y={y + 14}
                    width={Math.max(1, x(until) - x(from))}
                    height={12}
                    fill="url(#drying)"
                  />
                );
              })}
              {own.map((item) =>
                minuteOf(item.startAt) >= end ? null : (
                  <Rect
                    key={`h${item.task}${item.startAt}`}
                    x={x(minuteOf(item.startAt))}
                    y={y + 8}
                    width={Math.max(3, x(minuteOf(item.endAt)) - x(minuteOf(item.startAt)))}
                    height={24}
                    fill={tones.act}
                  />
                ),
              )}
              {ready && minuteOf(ready.at) < end ? (
                <Path
                  d={`M${x(minuteOf(ready.at))} ${y + 6}v28m0 -28l12 6l-12 6`}
                  fill={tones.go}
                  stroke={tones.go}
                  strokeWidth={2}
                />
              ) : null}
              {piece.blocks.length > 0 ? (
                <Text x={LEFT + 6} y={y + 25} fontSize={12} fill={tones.stop}>
                  {AHEAD_CHART_WORDS.heldBack(lowerFirst(nameBlock(piece.blocks[0]!)))}
                </Text>
              ) : null}
            </G>
          );
        })}
        <Line
          x1={x(minuteOf(now))}
          x2={x(minuteOf(now))}
          y1={TOP - 6}
          y2={height}
          stroke={tones.stop}
          strokeWidth={1.6}
        />
      </Svg>
    </View>
  );
}

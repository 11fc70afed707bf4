import { View } from '@tamagui/core';
import { router } from 'expo-router';
import { useState } from 'react';
import Svg, { Circle, Line, Path, Rect } from 'react-native-svg';
import { Button, Column, Pressed, Row, Small, Strong, useIsWide, useTones } from '@/client/ui';
import type { Comparison, Group } from '@/core/earned';
import { GROUP_CHART_WORDS, nameGroup } from '@/words';
import { sayMonth } from './months';

interface GroupChartProps {
  comparison: Comparison;
  sayHour: (minor: number) => string;
}

/** Groups one under the other on one axis: single pieces as dots, what is to be expected as a mark with its interval. */
export function GroupChart({ comparison, sayHour }: GroupChartProps) {
  const { groups, by, whole } = comparison;
  const [open, setOpen] = useState<string | null>(null);
  const ends = groups.flatMap(({ low, high, expected }) => [
    low,
    high,
    ...(expected ? [expected.low, expected.high] : []),
  ]);
  const [from, to] = [Math.min(0, ...ends), Math.max(...ends, whole)];
  return (
    <Column gap="$s" role="list" aria-label={GROUP_CHART_WORDS.groups}>
      {groups.map((group) => {
        const name = nameGroup(by, group.key, sayMonth);
        return (
          <Column key={group.key} role="listitem" gap="$xs">
            <Pressed
              gap={2}
              paddingHorizontal="$s"
              aria-expanded={open === group.key}
              aria-label={`${name}: ${sayGroup(group, sayHour)}`}
              onPress={() => setOpen(open === group.key ? null : group.key)}
              {...{ type: 'button' }}
            >
              <Row justifyContent="space-between" gap="$s">
                <Strong textAlign="left" flexShrink={1}>
                  {name}
                </Strong>
                <Small>{GROUP_CHART_WORDS.sold(group.count)}</Small>
              </Row>
              <GroupLine group={group} from={from} to={to} whole={whole} />
              <Small textAlign="left">{sayGroup(group, sayHour)}</Small>
            </Pressed>
            {open === group.key ? (
              <Row gap="$s" flexWrap="wrap">
                {group.pieces.map(({ id, name: own, perHour }) => (
                  <Button key={id} onPress={() => router.push(`/piece/${id}/let-go`)}>
                    {`${own}, ${sayHour(perHour)}`}
                  </Button>
                ))}
              </Row>
            ) : null}
          </Column>
        );
      })}
      <Small>{GROUP_CHART_WORDS.fromToTheUprightLineIs(sayHour(from), sayHour(to), sayHour(whole))}</Small>
    </Column>
  );
}

const sayGroup = ({ expected, low, high, median, count }: Group, sayHour: (minor: number) => string): string =>
  expected
    ? GROUP_CHART_WORDS.toBeExpectedMedian(sayHour(expected.shrunk), sayHour(median))
    : GROUP_CHART_WORDS.cannotTellYetFrom(count, sayHour(median), sayHour(low), sayHour(high));

const NARROW = 300;
const WIDE = 490;

function GroupLine({ group, from, to, whole }: { group: Group; from: number; to: number; whole: number }) {
  const tones = useTones();
  const width = useIsWide() ? WIDE : NARROW;
  const x = (value: number): number => 8 + ((value - from) / Math.max(1, to - from)) * (width - 16);
  const { expected, pieces } = group;
  return (
    <View aria-hidden>
      <Svg width={width} height={24}>
        <Line x1={8} x2={width - 8} y1={12} y2={12} stroke={tones.line} />
        <Line x1={x(whole)} x2={x(whole)} y1={2} y2={22} stroke={tones.softInk} strokeWidth={1.5} />
        {expected ? (
          <Rect
            x={x(expected.low)}
            y={8}
            width={Math.max(2, x(expected.high) - x(expected.low))}
            height={8}
            fill={tones.act}
            opacity={0.35}
          />
        ) : null}
        {pieces.map(({ id, perHour }) => (
          <Circle key={id} cx={x(perHour)} cy={12} r={2.5} fill={tones.ink} />
        ))}
        {expected ? <Path d={`M${x(expected.shrunk)} 4l5 8l-5 8l-5 -8z`} fill={tones.act} /> : null}
      </Svg>
    </View>
  );
}

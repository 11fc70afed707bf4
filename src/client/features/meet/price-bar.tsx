import { View } from '@tamagui/core';
import Svg, { Line, Path, Rect, Text } from 'react-native-svg';
import { FONT, useTones } from '@/client/ui';
import type { Door } from '@/core/price';
import { PRICE_BAR_WORDS } from '@/words';

interface PriceBarProps {
  door: Pick<Door, 'mostToPay' | 'walkAway'>;
  asked: number | undefined;
  width: number;
  say: (sum: number) => string;
}

const HIGH = 74;
const TOP = 30;
/** What the words of the axis' beginning need, so that no other ones run into them. */
const ZERO_WIDE = 40;

/**
 * What may be paid, drawn on one axis: the band from the bad to the good case, the price that holds in four of five, and
 * what they ask as an arrow from above. It says nothing that does not stand beside it in words.
 */
export function PriceBar({ door, asked, width, say }: PriceBarProps) {
  const tones = useTones();
  const { low, high } = door.mostToPay;
  const most = Math.max(high, asked ?? 0, door.walkAway, 1) * 1.12;
  const at = (sum: number): number => (Math.min(Math.max(sum, 0), most) / most) * (width - 2) + 1;
  // Words run inwards from the outer thirds, so that long ones are not cut.
  const label = (sum: number): { x: number; textAnchor: 'start' | 'middle' | 'end' } => {
    const x = at(sum);
    return { x, textAnchor: x < width / 3 ? 'start' : x > (width * 2) / 3 ? 'end' : 'middle' };
  };
  const words = { fontFamily: FONT.text, fontSize: 13, fill: tones.ink };
  return (
    <View aria-hidden>
      <Svg width={width} height={HIGH}>
        <Line x1={0} x2={width} y1={TOP + 20} y2={TOP + 20} stroke={tones.line} strokeWidth={1} />
        <Rect
          x={at(low)}
          y={TOP + 4}
          width={Math.max(2, at(high) - at(low))}
          height={16}
          fill={tones.actTint}
          stroke={tones.act}
        />
        <Line x1={at(door.walkAway)} x2={at(door.walkAway)} y1={TOP} y2={TOP + 26} stroke={tones.ink} strokeWidth={3} />
        {asked === undefined ? null : (
          <>
            <Path d={`M${at(asked) - 6} ${TOP - 10}h12l-6 10z`} fill={asked > door.walkAway ? tones.stop : tones.go} />
            <Text {...label(asked)} y={TOP - 15} {...words}>
              {PRICE_BAR_WORDS.theyAsk(say(asked))}
            </Text>
          </>
        )}
        {at(high) < ZERO_WIDE ? null : (
          <Text x={0} y={HIGH - 6} textAnchor="start" {...words}>
            {say(0)}
          </Text>
        )}
        <Text {...label(high)} y={HIGH - 6} {...words}>
          {say(high)}
        </Text>
      </Svg>
    </View>
  );
}

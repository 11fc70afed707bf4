import Svg, { Circle, G, Line, Text } from 'react-native-svg';
import { Body, Card, FONT, Heading, useTones } from '@/client/ui';
import type { ShopAccount } from '@/core/earned';
import { sayMonth } from './months';
import { DAYS_CHART_WORDS } from '@/words';

const WIDTH = 320;
const HEIGHT = 120;
const LEFT = 34;
const BOTTOM = 22;

/** Days from bought to sold, a dot a piece, by when it was sold. */
export function DaysChart({ days }: { days: NonNullable<ShopAccount['days']> }) {
  const tones = useTones();
  const { list, median, low, high } = days;
  const times = list.map(({ soldAt }) => Date.parse(soldAt));
  const [from, to] = [Math.min(...times), Math.max(...times)];
  const x = (at: number): number => LEFT + 8 + ((at - from) / Math.max(1, to - from)) * (WIDTH - LEFT - 24);
  const y = (own: number): number => 10 + (1 - own / Math.max(1, high)) * (HEIGHT - BOTTOM - 10);
  const words = { fontFamily: FONT.text, fontSize: 12, fill: tones.softInk };
  return (
    <Card gap="$m" render="section" aria-label={DAYS_CHART_WORDS.daysFromBoughtToSold}>
      <Heading>{DAYS_CHART_WORDS.daysFromBoughtToSold}</Heading>
      <Body>{DAYS_CHART_WORDS.halfOfTookDaysOrLess(list.length, Math.round(median), low, high)}</Body>
      <Svg width="100%" height={HEIGHT} viewBox={`0 0 ${WIDTH} ${HEIGHT}`} aria-hidden>
        {[0, high].map((own) => (
          <G key={own}>
            <Line x1={LEFT} x2={WIDTH} y1={y(own)} y2={y(own)} stroke={tones.line} />
            <Text x={LEFT - 6} y={y(own) + 4} textAnchor="end" {...words}>
              {String(own)}
            </Text>
          </G>
        ))}
        <Line x1={LEFT} x2={WIDTH} y1={y(median)} y2={y(median)} stroke={tones.act} strokeDasharray="5 4" />
        {list.map(({ id, days: own }, i) => (
          <Circle key={id} cx={x(times[i]!)} cy={y(own)} r={4} fill={tones.ink} />
        ))}
        {[from, to].map((at, i) => (
          <Text key={i} x={x(at)} y={HEIGHT - 6} textAnchor={i === 0 ? 'start' : 'end'} {...words}>
            {sayMonth(new Date(at).toISOString())}
          </Text>
        ))}
      </Svg>
    </Card>
  );
}

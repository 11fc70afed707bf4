import { View } from '@tamagui/core';
import { useMemo, useState } from 'react';
import Svg, { Line, Polyline, Text } from 'react-native-svg';
import { makeTimes } from '@/client/features/shop-plan';
import { useMeasureAir, useNow, useWorkshopChange, zoneOfShop, useMeasures, timeNow } from '@/client/store';
import { Button, Card, Column, Disclosure, Field, Heading, Row, Small, StateMark, Strong, useTones } from '@/client/ui';
import { airSchema, judgeAir, type Air, type Workshop } from '@/core/workshop';
import { readNumber } from '@/core/shared';

const WEEK_MS = 7 * 86_400_000;
const LISTED = 12;

/** The air: typed or from the instrument, with the last week of it. */
export function AirHistory({ workshop }: { workshop: Workshop }) {
  const change = useWorkshopChange();
  const now = useNow(60_000);
  const times = useMemo(() => makeTimes(zoneOfShop(workshop)), [workshop]);
  const { measure } = useMeasureAir();
  const { gauge } = useMeasures();
  const record = (air: Omit<Air, 'at'>): void =>
    change({ type: 'air_recorded', air: { ...air, at: timeNow() } as Air });
  const week = workshop.air.filter(({ at }) => Date.parse(now) - Date.parse(at) <= WEEK_MS);
  return (
    <Card role="region" aria-label="Air" gap="$m">
      <Heading>Air</Heading>
      <AirForm onRecord={record} />
      <Button onPress={() => void measure()}>Read the instrument (simulated)</Button>
      {week.length > 1 ? <AirChart air={week} now={now} /> : <Small>Two readings or more make a history here.</Small>}
      {week.length > 0 ? (
        <Disclosure label={`${week.length} readings this week`}>
          {() => (
            <Column gap="$s">
              {[...week]
                .reverse()
                .slice(0, LISTED)
                .map((air) => (
                  <Row key={air.at} alignItems="center" gap="$s">
                    <Column flex={1}>
                      <Strong>{`${gauge('temperature_c').say(air.temperature_c)}, ${air.humidity_pct} %`}</Strong>
                      <Small>{`${times.moment(air.at, now)}, ${gauge('temperature_gap_c').say(judgeAir(air).marginC)} above the dew point`}</Small>
                    </Column>
                    <Button
                      label={`Take back the reading of ${times.moment(air.at, now)}`}
                      onPress={() => change({ type: 'air_withdrawn', at: air.at })}
                    >
                      Take back
                    </Button>
                  </Row>
                ))}
            </Column>
          )}
        </Disclosure>
      ) : null}
    </Card>
  );
}

function AirForm({ onRecord }: { onRecord: (air: Omit<Air, 'at'>) => void }) {
  const [texts, setTexts] = useState({ temperature: '', humidity: '', surface: '' });
  const { gauge } = useMeasures();
  const degrees = gauge('temperature_c');
  const [temperature, humidity, surface] = [
    degrees.read(texts.temperature),
    readNumber(texts.humidity),
    degrees.read(texts.surface),
  ];
  const air = {
    temperature_c: temperature ?? NaN,
    humidity_pct: humidity ?? NaN,
    ...(surface === undefined ? {} : { surface_c: surface }),
    source: 'typed' as const,
  };
  const right = airSchema.omit({ at: true }).safeParse(air).success && (texts.surface === '' || surface !== undefined);
  const error = (text: string, value: number | undefined, low: number, high: number, words: string) =>
    text !== '' && (value === undefined || value < low || value > high) ? words : undefined;
  const set = (name: keyof typeof texts) => (text: string) => setTexts({ ...texts, [name]: text });
  const verdict = right ? judgeAir(air) : null;
  return (
    <Column gap="$s">
      <Row gap="$s">
        <Field
          label="Air"
          unit={degrees.unit}
          numeric
          value={texts.temperature}
          onChange={set('temperature')}
          error={error(texts.temperature, temperature, -40, 60, degrees.sayRange(-40, 60))}
        />
        <Field
          label="Humidity"
          unit="%"
          numeric
          value={texts.humidity}
          onChange={set('humidity')}
          error={error(texts.humidity, humidity, 0, 100, 'A number from 0 to 100.')}
        />
        <Field
          label="Surface"
          unit={degrees.unit}
          numeric
          value={texts.surface}
          onChange={set('surface')}
          placeholder="as air"
          error={error(texts.surface, surface, -40, 60, degrees.sayRange(-40, 60))}
        />
      </Row>
      {verdict ? (
        <StateMark tone={verdict.stops.waterborne ? 'stop' : verdict.slow ? 'wait' : 'go'}>
          {`Dew point ${degrees.say(verdict.dewPointC)}, surface ${gauge('temperature_gap_c').say(verdict.marginC)} above it`}
        </StateMark>
      ) : null}
      <Button
        disabled={!right}
        onPress={() => {
          onRecord(air);
          setTexts({ temperature: '', humidity: '', surface: '' });
        }}
      >
        Record this air
      </Button>
    </Column>
  );
}

const [WIDTH, HEIGHT, LEFT] = [320, 130, 30];

/** A week of warmth, dew point and the line a surface must keep above it. */
function AirChart({ air, now }: { air: readonly Air[]; now: string }) {
  const tones = useTones();
  const degrees = useMeasures().gauge('temperature_c');
  const rows = air.map((own) => ({ at: Date.parse(own.at), t: own.temperature_c, limit: judgeAir(own).dewPointC + 3 }));
  const values = rows.flatMap(({ t, limit }) => [t, limit]);
  const [low, high] = [Math.floor(Math.min(...values, 8)), Math.ceil(Math.max(...values, 22))];
  const x = (at: number): number => LEFT + ((at - (Date.parse(now) - WEEK_MS)) / WEEK_MS) * (WIDTH - LEFT - 6);
  const y = (value: number): number => 8 + ((high - value) / (high - low)) * (HEIGHT - 26);
  const line = (value: (row: (typeof rows)[number]) => number): string =>
    rows.map((row) => `${x(row.at)},${y(value(row))}`).join(' ');
  const closed = rows.filter(({ t, limit }) => t < limit || t < 10).length;
  const words = `Air of the last week, ${degrees.write(low)} to ${degrees.say(high)}: the full line is the air, the dashed one the least a surface may have. ${closed === 0 ? 'Always fit for coating.' : `${closed} of ${rows.length} readings forbid waterborne coats.`}`;
  return (
    <Column gap="$xs">
      <View role="img" aria-label={words}>
        <Svg width="100%" height={HEIGHT} viewBox={`0 0 ${WIDTH} ${HEIGHT}`}>
          {[low, 10, 15, 20, high]
            .filter((mark, i, all) => mark >= low && mark <= high && all.indexOf(mark) === i)
            .map((mark) => (
              <Line
                key={mark}
                x1={LEFT}
                x2={WIDTH - 4}
                y1={y(mark)}
                y2={y(mark)}
                stroke={mark === 10 ? tones.stop : tones.line}
                strokeWidth={mark === 10 ? 1.2 : 0.8}
              />
            ))}
          {[low, 10, high].map((mark) => (
            <Text key={mark} x={LEFT - 4} y={y(mark) + 4} fontSize={11} textAnchor="end" fill={tones.softInk}>
              {`${degrees.write(mark)}°`}
            </Text>
          ))}
          <Polyline
            points={line(({ limit }) => limit)}
            fill="none"
            stroke={tones.wait}
            strokeWidth={1.6}
            strokeDasharray="4 3"
          />
          <Polyline points={line(({ t }) => t)} fill="none" stroke={tones.ink} strokeWidth={1.8} />
          <Text x={LEFT} y={HEIGHT - 4} fontSize={11} fill={tones.softInk}>
            a week ago
          </Text>
          <Text x={WIDTH - 4} y={HEIGHT - 4} fontSize={11} textAnchor="end" fill={tones.softInk}>
            now
          </Text>
        </Svg>
      </View>
      <Small>{words}</Small>
    </Column>
  );
}

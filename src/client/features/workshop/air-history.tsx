import { View } from '@tamagui/core';
import { useMemo, useState } from 'react';
import Svg, { Line, Polyline, Text } from 'react-native-svg';
import { makeTimes } from '@/client/features/shop-plan';
import {
  useInstruments,
  useMeasureAir,
  useNow,
  useWorkshopChange,
  zoneOfShop,
  useMeasures,
  timeNow,
} from '@/client/store';
import { Button, Card, Column, Disclosure, Field, Heading, Row, Small, StateMark, Strong, useTones } from '@/client/ui';
import { airSchema, isMeasured, judgeAir, type Air, type Workshop } from '@/core/workshop';
import { readNumber } from '@/core/shared';
import { AIR_HISTORY_WORDS } from '@/words';

const WEEK_MS = 7 * 86_400_000;
const LISTED = 12;

/** The air: typed or from the instrument, with the last week of it. */
export function AirHistory({ workshop }: { workshop: Workshop }) {
  const change = useWorkshopChange();
  const now = useNow(60_000);
  const times = useMemo(() => makeTimes(zoneOfShop(workshop)), [workshop]);
  const { measure } = useMeasureAir();
  const device = useInstruments();
  const { gauge } = useMeasures();
  const record = (air: Omit<Air, 'at'>): void =>
    change({ type: 'air_recorded', air: { ...air, at: timeNow() } as Air });
  const week = workshop.air.filter(({ at }) => Date.parse(now) - Date.parse(at) <= WEEK_MS);
  const measured = week.filter(isMeasured);
  return (
    <Card role="region" aria-label={AIR_HISTORY_WORDS.air} gap="$m">
      <Heading>{AIR_HISTORY_WORDS.air}</Heading>
      <AirForm onRecord={record} />
      {device ? (
        <Column gap="$xs">
          <Button onPress={() => void measure()}>{AIR_HISTORY_WORDS.readDevice(device.name, device.simulated)}</Button>
          {device.simulated ? <Small>{AIR_HISTORY_WORDS.simulatedCountsForNothing}</Small> : null}
        </Column>
      ) : null}
      {measured.length > 1 ? (
        <AirChart air={measured} now={now} />
      ) : (
        <Small>{AIR_HISTORY_WORDS.twoReadingsOrMoreMakeA}</Small>
      )}
      {week.length > 0 ? (
        <Disclosure label={AIR_HISTORY_WORDS.readingsThisWeek(week.length)}>
          {() => (
            <Column gap="$s">
              {[...week]
                .reverse()
                .slice(0, LISTED)
                .map((air) => (
                  <Row key={air.at} alignItems="center" gap="$s">
                    <Column flex={1}>
                      <Strong>{`${gauge('temperature_c').say(air.temperature_c)}, ${air.humidity_pct} %`}</Strong>
                      {isMeasured(air) ? null : <StateMark tone="wait">{AIR_HISTORY_WORDS.simulated}</StateMark>}
                      <Small>
                        {AIR_HISTORY_WORDS.aboveTheDewPoint(
                          times.moment(air.at, now),
                          gauge('temperature_gap_c').say(judgeAir(air).marginC),
                        )}
                      </Small>
                    </Column>
                    <Button
                      label={AIR_HISTORY_WORDS.takeBackTheReadingOf(times.moment(air.at, now))}
                      onPress={() => change({ type: 'air_withdrawn', at: air.at })}
                    >
                      {AIR_HISTORY_WORDS.takeBack}
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
    source: 'owner' as const,
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
          label={AIR_HISTORY_WORDS.air}
          unit={degrees.unit}
          numeric
          value={texts.temperature}
          onChange={set('temperature')}
          error={error(texts.temperature, temperature, -40, 60, degrees.sayRange(-40, 60))}
        />
        <Field
          label={AIR_HISTORY_WORDS.humidity}
          unit="%"
          numeric
          value={texts.humidity}
          onChange={set('humidity')}
          error={error(texts.humidity, humidity, 0, 100, AIR_HISTORY_WORDS.aNumberFrom0To100)}
        />
        <Field
          label={AIR_HISTORY_WORDS.surface}
          unit={degrees.unit}
          numeric
          value={texts.surface}
          onChange={set('surface')}
          placeholder={AIR_HISTORY_WORDS.asAir}
          error={error(texts.surface, surface, -40, 60, degrees.sayRange(-40, 60))}
        />
      </Row>
      {verdict ? (
        <StateMark tone={verdict.stops.waterborne ? 'stop' : verdict.slow ? 'wait' : 'go'}>
          {AIR_HISTORY_WORDS.dewPointSurfaceAboveIt(
            degrees.say(verdict.dewPointC),
            gauge('temperature_gap_c').say(verdict.marginC),
          )}
        </StateMark>
      ) : null}
      <Button
        disabled={!right}
        onPress={() => {
          onRecord(air);
          setTexts({ temperature: '', humidity: '', surface: '' });
        }}
      >
        {AIR_HISTORY_WORDS.recordThisAir}
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
  const words = AIR_HISTORY_WORDS.airOfTheLastWeekTo(degrees.write(low), degrees.say(high), closed, rows.length);
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
            {AIR_HISTORY_WORDS.aWeekAgo}
          </Text>
          <Text x={WIDTH - 4} y={HEIGHT - 4} fontSize={11} textAnchor="end" fill={tones.softInk}>
            {AIR_HISTORY_WORDS.now}
          </Text>
        </Svg>
      </View>
      <Small>{words}</Small>
    </Column>
  );
}

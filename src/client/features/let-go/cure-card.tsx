import { View } from '@tamagui/core';
import Svg, { Circle, Line, Rect } from 'react-native-svg';
import type { Times } from '@/client/features/shop-plan';
import { Body, Button, Card, Column, Heading, Row, Small, StateMark, Strong, saveText, useTones } from '@/client/ui';
import { CURE_MOMENTS, judgeTransport, listCureEntries, momentsOf, type Cure } from '@/core/handover';
import { CURE_CARD_WORDS, nameCureMoment, sayUntil, TRANSPORTS } from '@/words';

interface CureCardProps {
  cure: Cure | null;
  id: string;
  name: string;
  times: Times;
  now: string;
}

/** From when what may be done with the piece, and how it may travel today. */
export function CureCard({ cure, id, name, times, now }: CureCardProps) {
  if (!cure) return <Small>{CURE_CARD_WORDS.nothingIsPaintedYetTheDays}</Small>;
  const moments = momentsOf(cure);
  const save = async (): Promise<void> => {
    const { writeEvents } = await import('@/core/calendar');
    saveText(`${id}-cure.ics`, 'text/calendar', writeEvents(listCureEntries(cure, id, name, nameCureMoment), now));
  };
  return (
    <Card gap="$m" render="section" aria-label={CURE_CARD_WORDS.cure}>
      <Heading>{CURE_CARD_WORDS.whatMayBeDoneWithIt}</Heading>
      <CureLine cure={cure} now={now} />
      <Column role="list" gap="$m">
        {CURE_MOMENTS.map((moment) => {
          const open = Date.parse(now) >= Date.parse(moments[moment]);
          return (
            <Column key={moment} role="listitem" gap={2}>
              <Row justifyContent="space-between" gap="$s" flexWrap="wrap">
                <Strong flexShrink={1}>{nameCureMoment(moment)}</Strong>
                <StateMark tone={open ? 'go' : 'wait'}>
                  {open
                    ? CURE_CARD_WORDS.since(times.day(moments[moment]))
                    : CURE_CARD_WORDS.fromIt(sayFrom(moments[moment], now, times))}
                </StateMark>
              </Row>
              {open ? null : <Small>{sayUntil(moment)}</Small>}
            </Column>
          );
        })}
      </Column>
      <Column gap="$xs">
        <Strong>{CURE_CARD_WORDS.ifItTravelsToday}</Strong>
        <Body>{TRANSPORTS[judgeTransport(cure, now)]}</Body>
      </Column>
      <Small>{CURE_CARD_WORDS.slowestIsOnInThisAir(cure.slowest.what, cure.slowest.where)}</Small>
      <Row>
        <Button onPress={() => void save()}>{CURE_CARD_WORDS.saveTheseDaysForACalendar}</Button>
      </Row>
    </Card>
  );
}

const DAY_MS = 86_400_000;
/** The hour matters within a day; beyond, the day. */
const sayFrom = (at: string, now: string, times: Times): string =>
  Date.parse(at) - Date.parse(now) < DAY_MS ? times.moment(at, now) : times.day(at);

const WIDTH = 318;

/** The cure as a line from the last coat to the end, with how far it has come. */
function CureLine({ cure, now }: { cure: Cure; now: string }) {
  const tones = useTones();
  const [from, to] = [Date.parse(cure.lastAt), Date.parse(cure.curedAt)];
  const x = (at: string): number => 8 + Math.min(1, Math.max(0, (Date.parse(at) - from) / (to - from))) * (WIDTH - 16);
  const moments = momentsOf(cure);
  return (
    <View aria-hidden>
      <Svg width={WIDTH} height={24}>
        <Rect x={8} y={9} width={WIDTH - 16} height={6} fill={tones.line} />
        <Rect x={8} y={9} width={Math.max(0, x(now) - 8)} height={6} fill={tones.go} />
        {CURE_MOMENTS.map((moment) => {
          const open = Date.parse(now) >= Date.parse(moments[moment]);
          return (
            <Circle
              key={moment}
              cx={x(moments[moment])}
              cy={12}
              r={6}
              fill={open ? tones.go : tones.card}
              stroke={open ? tones.go : tones.wait}
              strokeWidth={2}
            />
          );
        })}
        <Line x1={x(now)} x2={x(now)} y1={1} y2={23} stroke={tones.ink} strokeWidth={2} />
      </Svg>
    </View>
  );
}

import { router } from 'expo-router';
import type { Times } from '@/client/features/shop-plan';
import { useInstruments, useMeasureAir, useMeasures } from '@/client/store';
import { Button, Card, Figure, Heading, Row, Small, StateMark, type Tone } from '@/client/ui';
import { type StopReason, DEW_MARGIN_C } from '@/core/climate';
import type { Today } from '@/core/work';
import { AIR_CARD_WORDS } from '@/words';

const STOPS: Record<StopReason, string> = {
  cold: AIR_CARD_WORDS.tooColdToCoat,
  hot: AIR_CARD_WORDS.tooHotToCoat,
  damp: AIR_CARD_WORDS.tooDampToCoat,
  dew: AIR_CARD_WORDS.tooNearTheDewPointTo,
};

/** The damp-and-dew line: may anything be coated in this air? */
export function AirCard({ today, times, now }: { today: Today; times: Times; now: string }) {
  const { climate, verdict, measuredAt } = today.air;
  const { measure, measuring } = useMeasureAir();
  const device = useInstruments();
  const { gauge } = useMeasures();
  const [degrees, gap] = [gauge('temperature_c'), gauge('temperature_gap_c')];
  const { tone, words } = sayVerdict(verdict);
  return (
    <Card padding="$m" gap="$s" role="region" aria-label={AIR_CARD_WORDS.air}>
      <Row justifyContent="space-between" alignItems="baseline" gap="$s" flexWrap="wrap">
        <Heading>{AIR_CARD_WORDS.air}</Heading>
        <StateMark tone={tone}>{words}</StateMark>
      </Row>
      <Row gap="$xl" flexWrap="wrap">
        <Reading
          value={degrees.say(climate.temperature_c)}
          words={
            verdict.surfaceC === climate.temperature_c
              ? AIR_CARD_WORDS.airAndSurface
              : AIR_CARD_WORDS.airSurface(degrees.say(verdict.surfaceC))
          }
        />
        <Reading value={`${Math.round(climate.humidity_pct)} %`} words={AIR_CARD_WORDS.humidity} />
        <Reading
          value={gap.say(verdict.marginC)}
          words={AIR_CARD_WORDS.aboveTheDewPointIsThe(degrees.say(verdict.dewPointC), gap.write(DEW_MARGIN_C))}
        />
      </Row>
      <Small>
        {measuredAt ? AIR_CARD_WORDS.measured(times.moment(measuredAt, now)) : AIR_CARD_WORDS.notMeasuredInTheLastSix}
      </Small>
      <Row gap="$s" flexWrap="wrap">
        {device && !device.simulated ? (
          <Button onPress={() => void measure()} disabled={measuring}>
            {AIR_CARD_WORDS.readDevice(device.name)}
          </Button>
        ) : null}
        <Button onPress={() => router.push('/workshop')}>{AIR_CARD_WORDS.typeItIn}</Button>
      </Row>
    </Card>
  );
}

function Reading({ value, words }: { value: string; words: string }) {
  return (
    <Row flexDirection="column" flexShrink={1} maxWidth={150}>
      <Figure>{value}</Figure>
      <Small>{words}</Small>
    </Row>
  );
}

function sayVerdict({ stops, slow }: Today['air']['verdict']): { tone: Tone; words: string } {
  const { waterborne, solvent } = stops;
  if (waterborne && solvent) return { tone: 'stop', words: STOPS[waterborne] };
  if (waterborne) return { tone: 'stop', words: AIR_CARD_WORDS.withWaterborne(STOPS[waterborne]) };
  return slow
    ? { tone: 'wait', words: AIR_CARD_WORDS.coatsDrySlowly }
    : { tone: 'go', words: AIR_CARD_WORDS.fitForCoating };
}

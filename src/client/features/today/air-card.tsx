import { router } from 'expo-router';
import type { Times } from '@/client/features/shop-plan';
import { useMeasureAir, useMeasures } from '@/client/store';
import { Button, Card, Figure, Heading, Row, Small, StateMark, type Tone } from '@/client/ui';
import { type StopReason, DEW_MARGIN_C } from '@/core/climate';
import type { Today } from '@/core/work';

const STOPS: Record<StopReason, string> = {
  cold: 'Too cold to coat',
  hot: 'Too hot to coat',
  damp: 'Too damp to coat',
  dew: 'Too near the dew point to coat',
};

/** The damp-and-dew line: may anything be coated in this air? */
export function AirCard({ today, times, now }: { today: Today; times: Times; now: string }) {
  const { climate, verdict, measuredAt } = today.air;
  const { measure, measuring } = useMeasureAir();
  const { gauge } = useMeasures();
  const [degrees, gap] = [gauge('temperature_c'), gauge('temperature_gap_c')];
  const { tone, words } = sayVerdict(verdict);
  return (
    <Card padding="$m" gap="$s" role="region" aria-label="Air">
      <Row justifyContent="space-between" alignItems="baseline" gap="$s" flexWrap="wrap">
        <Heading>Air</Heading>
        <StateMark tone={tone}>{words}</StateMark>
      </Row>
      <Row gap="$xl" flexWrap="wrap">
        <Reading
          value={degrees.say(climate.temperature_c)}
          words={
            verdict.surfaceC === climate.temperature_c
              ? 'air and surface'
              : `air; surface ${degrees.say(verdict.surfaceC)}`
          }
        />
        <Reading value={`${Math.round(climate.humidity_pct)} %`} words="humidity" />
        <Reading
          value={gap.say(verdict.marginC)}
          words={`above the dew point (${degrees.say(verdict.dewPointC)}); ${gap.write(DEW_MARGIN_C)} is the least`}
        />
      </Row>
      <Small>
        {measuredAt
          ? `Measured ${times.moment(measuredAt, now)}.`
          : 'Not measured in the last six hours: what is usual here at this time of day, or the label’s air.'}
      </Small>
      <Row gap="$s" flexWrap="wrap">
        <Button onPress={() => void measure()} disabled={measuring}>
          Read the instrument
        </Button>
        <Button onPress={() => router.push('/workshop')}>Type it in</Button>
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
  if (waterborne) return { tone: 'stop', words: `${STOPS[waterborne]} with waterborne` };
  return slow ? { tone: 'wait', words: 'Coats dry slowly' } : { tone: 'go', words: 'Fit for coating' };
}

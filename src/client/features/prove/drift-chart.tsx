import Svg, { Circle, G, Line, Polyline, Text } from 'react-native-svg';
import { Column, Row, Small, StateMark, Subheading, useTones, type Tone } from '@/client/ui';
import { BLEED_MOMENTS } from '@/core/dossier';
import type { Drift } from '@/core/proof';
import { DRIFT_CHART_WORDS, sayDecimal } from '@/words';

const WIDTH = 320;
const HEIGHT = 120;
const LEFT = 28;
const BOTTOM = 20;
const MOMENTS: readonly string[] = BLEED_MOMENTS;
const LABELS = [
  DRIFT_CHART_WORDS.oneHour,
  DRIFT_CHART_WORDS.night,
  DRIFT_CHART_WORDS.lastCoat,
  DRIFT_CHART_WORDS.twoDays,
  DRIFT_CHART_WORDS.sevenDays,
];
const VERDICTS: Record<Drift['verdict'], { tone: Tone; words: string }> = {
  rising: { tone: 'stop', words: DRIFT_CHART_WORDS.colourIsComingThrough },
  steady: { tone: 'go', words: DRIFT_CHART_WORDS.steady },
  cannot_tell: { tone: 'wait', words: DRIFT_CHART_WORDS.cannotTellAChangeFromThese },
};

/** How far each strip is from its reference, reading by reading, with what the pictures leave open. */
export function DriftChart({ drifts }: { drifts: readonly Drift[] }) {
  const tones = useTones();
  if (drifts.length === 0) return null;
  const most = Math.max(2.2, ...drifts.flatMap(({ points }) => points.map(({ mean, spread }) => mean + spread)));
  const x = (at: string): number => LEFT + 16 + (MOMENTS.indexOf(at) * (WIDTH - LEFT - 40)) / (MOMENTS.length - 1);
  const y = (value: number): number => (HEIGHT - BOTTOM) * (1 - Math.max(0, value) / most) + 4;
  return (
    <Column gap="$s" role="group" aria-label={DRIFT_CHART_WORDS.bleedOverTime}>
      <Subheading>{DRIFT_CHART_WORDS.bleedE00FromTheReference}</Subheading>
      <Svg width="100%" height={HEIGHT + 10} viewBox={`0 0 ${WIDTH} ${HEIGHT + 10}`} aria-hidden>
        <Line x1={LEFT} y1={y(1)} x2={WIDTH} y2={y(1)} stroke={tones.stop} strokeDasharray="4 3" />
        <Text x={2} y={y(1) + 4} fontSize={11} fill={tones.softInk}>
          1.0
        </Text>
        <Line x1={LEFT} y1={y(0)} x2={WIDTH} y2={y(0)} stroke={tones.line} />
        {LABELS.map((label, i) => (
          <Text key={label} x={x(MOMENTS[i]!)} y={HEIGHT + 6} fontSize={11} textAnchor="middle" fill={tones.softInk}>
            {label}
          </Text>
        ))}
        {drifts.map(({ strip, points }) => (
          <G key={strip} stroke={tones.act} fill={tones.act}>
            <Polyline
              points={points.map(({ at, mean }) => `${x(at)},${y(mean)}`).join(' ')}
              fill="none"
              strokeWidth={1.5}
            />
            {points.map(({ at, mean, spread }) => (
              <G key={at}>
                <Line x1={x(at)} y1={y(mean - spread)} x2={x(at)} y2={y(mean + spread)} strokeWidth={1} />
                <Circle cx={x(at)} cy={y(mean)} r={3} />
              </G>
            ))}
            {points.length > 0 ? (
              <Text
                x={x(points.at(-1)!.at) + 8}
                y={y(points.at(-1)!.mean) + 4}
                fontSize={12}
                stroke="none"
                fill={tones.ink}
              >
                {strip}
              </Text>
            ) : null}
          </G>
        ))}
      </Svg>
      {drifts.map(({ strip, points, verdict }) => (
        <Row key={strip} gap="$s" justifyContent="space-between">
          <Small>{DRIFT_CHART_WORDS.strip(strip, points.map(({ mean }) => sayDecimal(mean, 1)).join(' → '))}</Small>
          {points.length > 1 ? <StateMark tone={VERDICTS[verdict].tone}>{VERDICTS[verdict].words}</StateMark> : null}
        </Row>
      ))}
    </Column>
  );
}

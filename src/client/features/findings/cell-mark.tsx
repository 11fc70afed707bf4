import Svg, { G, Line, Path, Rect } from 'react-native-svg';
import { useTones } from '@/client/ui';
import type { Cell } from '@/core/learning';

const WIDTH = 120;
const HEIGHT = 28;
/** A mark is 14 wide: at the ends of the scale it stays inside the picture. */
const FROM = 9;
const TO = WIDTH - 9;
const TICKS = [0, 0.5, 1];

/** Surely good, surely bad, or not known: by the whole of the interval, not by its middle. */
const GOOD = 0.9;
const BAD = 0.7;

/** A chance to hold with its interval on a line from never to always; the mark's shape says what may be said of it. */
export function CellMark({ cell: { mean, lo, hi, tests } }: { cell: Cell }) {
  const tones = useTones();
  const x = (chance: number): number => FROM + chance * (TO - FROM);
  const good = mean >= GOOD && lo >= BAD && tests > 0;
  const bad = mean < BAD && tests > 0;
  const tone = tests === 0 ? tones.softInk : good ? tones.go : bad ? tones.stop : tones.wait;
  return (
    <Svg width={WIDTH} height={HEIGHT} viewBox={`0 0 ${WIDTH} ${HEIGHT}`} aria-hidden>
      <Line x1={FROM} y1={14} x2={TO} y2={14} stroke={tones.line} strokeWidth={2} />
      {TICKS.map((share) => (
        <Line key={share} x1={x(share)} y1={6} x2={x(share)} y2={22} stroke={tones.line} strokeWidth={2} />
      ))}
      <Line x1={x(lo)} y1={14} x2={x(hi)} y2={14} stroke={tone} strokeWidth={6} opacity={0.45} />
      <G x={x(mean)} y={14} fill={tests === 0 ? tones.card : tone} stroke={tone} strokeWidth={2}>
        {good ? <Rect x={-6} y={-6} width={12} height={12} /> : null}
        {bad ? <Path d="M-7 -6 h14 l-7 12 z" /> : null}
        {good || bad ? null : <Path d="M0 -7 L7 0 L0 7 L-7 0 Z" />}
      </G>
    </Svg>
  );
}

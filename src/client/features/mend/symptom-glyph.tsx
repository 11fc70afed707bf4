import type { ReactNode } from 'react';
import Svg, { Circle, Ellipse, Line, Path, Rect } from 'react-native-svg';
import { useTones } from '@/client/ui';
import type { SymptomCode } from '@/core/knowledge';

/* What troubles look like: a painted face, and what is wrong with it. One hand for all; shape tells, not colour. */

type Tones = ReturnType<typeof useTones>;
type Draw = (tones: Tones) => ReactNode;

const face = (more: Draw): Draw =>
  function Face(tones) {
    return (
      <>
        <Rect x={3} y={4} width={66} height={38} fill={tones.card} stroke={tones.ink} strokeWidth={1.6} />
        {more(tones)}
      </>
    );
  };
const ink = (d: string, width = 1.5): Draw =>
  face((tones) => (
    <Path d={d} fill="none" stroke={tones.ink} strokeWidth={width} strokeLinejoin="round" strokeLinecap="round" />
  ));
const dots = (points: readonly (readonly [number, number, number])[], filled: boolean): Draw =>
  face((tones) =>
    points.map(([x, y, r]) => (
      <Circle
        key={`${x}/${y}`}
        cx={x}
        cy={y}
        r={r}
        fill={filled ? tones.ink : 'none'}
        stroke={tones.ink}
        strokeWidth={1.4}
      />
    )),
  );
/** Seen from the side: the board, the film on it. */
const side = (more: Draw): Draw =>
  function Side(tones) {
    return (
      <>
        <Rect x={3} y={30} width={66} height={12} fill={tones.line} stroke={tones.ink} strokeWidth={1.4} />
        {more(tones)}
      </>
    );
  };

const DRAWINGS: Record<SymptomCode, Draw> = {
  bleed: face((tones) => (
    <>
      <Circle cx={26} cy={22} r={11} fill={tones.waitTint} stroke={tones.wait} strokeWidth={1.6} />
      <Circle cx={26} cy={22} r={5} fill={tones.wait} opacity={0.7} />
      <Path d="M46 34 q6 -8 14 -3" fill="none" stroke={tones.wait} strokeWidth={3} opacity={0.7} />
    </>
  )),
  scratches_off: face((tones) => (
    <>
      <Path d="M16 34 L42 12 M22 37 L48 15 M28 39 L53 18" stroke={tones.ink} strokeWidth={2.6} />
      <Path d="M50 8 q10 -2 12 7 q-5 7 -11 3 z" fill={tones.ground} stroke={tones.ink} strokeWidth={1.4} />
    </>
  )),
  peels_in_sheets: side((tones) => (
    <Path d="M3 27 H34 Q44 27 50 14 Q58 4 66 12" fill="none" stroke={tones.ink} strokeWidth={3} />
  )),
  chips_within_weeks: face((tones) => (
    <>
      <Path d="M3 12 l7 3 l2 8 l-9 3 z" fill={tones.line} stroke={tones.ink} strokeWidth={1.4} />
      <Path d="M52 42 l3 -8 l9 -1 l2 9 z" fill={tones.line} stroke={tones.ink} strokeWidth={1.4} />
      <Path d="M36 18 l5 -3 l4 4 l-5 4 z" fill={tones.line} stroke={tones.ink} strokeWidth={1.4} />
    </>
  )),
  lifts_or_wrinkles: ink(
    'M8 14 q5 -6 9 0 t9 0 t9 0 t9 0 t9 0 t8 0 M8 26 q5 -6 9 0 t9 0 t9 0 t9 0 t9 0 t8 0 M8 37 q5 -6 9 0 t9 0 t9 0 t9 0 t9 0 t8 0',
  ),
  crackle: ink(
    'M3 16 L18 22 L28 10 L42 18 L56 8 L69 16 M18 22 L14 42 M18 22 L34 30 L42 18 M34 30 L30 42 M34 30 L52 34 L56 8 M52 34 L50 42 M52 34 L69 30',
    1.3,
  ),
  fisheyes: dots(
    [
      [18, 16, 6],
      [42, 14, 4],
      [54, 28, 7],
      [28, 32, 5],
    ],
    false,
  ),
  haze: face((tones) => (
    <>
      <Path
        d="M12 28 q-2 -8 7 -9 q3 -9 13 -6 q7 -6 14 1 q11 0 10 9 q0 6 -9 6 H20 q-7 0 -8 -1 z"
        fill={tones.line}
        stroke={tones.softInk}
        strokeWidth={1.4}
      />
      <Path d="M14 36 H58" stroke={tones.softInk} strokeWidth={1.2} strokeDasharray="3 4" />
    </>
  )),
  yellowing: face((tones) => (
    <>
      <Rect x={36} y={5} width={32} height={36} fill={tones.waitTint} />
      <Line x1={36} y1={4} x2={36} y2={42} stroke={tones.ink} strokeWidth={1.2} strokeDasharray="3 3" />
      <Circle cx={19} cy={16} r={5} fill="none" stroke={tones.ink} strokeWidth={1.4} />
    </>
  )),
  grain_shows: ink(
    'M6 12 h14 M26 12 h20 M52 12 h12 M10 20 h22 M40 20 h24 M6 28 h12 M24 28 h26 M56 28 h9 M12 36 h18 M36 36 h24',
  ),
  brush_marks: ink('M6 10 H66 M6 16 H66 M6 22 H66 M6 28 H66 M6 34 H66', 1.2),
  roller_texture: dots(
    Array.from({ length: 24 }, (_, i) => [11 + (i % 6) * 10, 11 + Math.floor(i / 6) * 8, 1.5] as const),
    true,
  ),
  orange_peel: dots(
    Array.from(
      { length: 18 },
      (_, i) => [12 + (i % 6) * 10 + (Math.floor(i / 6) % 2) * 4, 12 + Math.floor(i / 6) * 11, 3.4] as const,
    ),
    false,
  ),
  dry_spray: dots(
    Array.from({ length: 30 }, (_, i) => [9 + ((i * 17) % 56), 9 + ((i * 11) % 30), 0.9] as const),
    true,
  ),
  runs: ink('M14 5 q0 18 3 22 q4 6 7 0 q3 -6 2 -22 M44 5 q0 10 3 26 q3 7 6 0 q2 -8 1 -26', 1.6),
  grit: dots(
    [
      [16, 14, 1.8],
      [30, 28, 2.4],
      [44, 12, 1.5],
      [52, 32, 2],
      [22, 36, 1.4],
      [60, 20, 2.2],
      [38, 20, 1.2],
    ],
    true,
  ),
  bubbles: side((tones) => (
    <>
      <Path d="M3 28 H14 Q20 12 27 28 H40 Q48 8 57 28 H69" fill="none" stroke={tones.ink} strokeWidth={2.4} />
      <Circle cx={33} cy={26} r={1.6} fill={tones.ink} />
    </>
  )),
  patchy_sheen: face((tones) => (
    <>
      <Ellipse cx={24} cy={20} rx={13} ry={9} fill={tones.line} />
      <Ellipse cx={52} cy={30} rx={11} ry={7} fill={tones.line} />
      <Path d="M40 10 L48 18 M46 8 L54 16" stroke={tones.ink} strokeWidth={1.6} />
    </>
  )),
  tape_tore_paint: face((tones) => (
    <>
      <Path
        d="M36 4 l3 6 l-4 5 l5 6 l-4 6 l3 6 l-3 9 H69 V4 z"
        fill={tones.line}
        stroke={tones.ink}
        strokeWidth={1.3}
      />
      <Path d="M46 10 L66 30 M54 8 L68 22" stroke={tones.softInk} strokeWidth={1.2} />
    </>
  )),
  sticky_drawers: (tones) => (
    <>
      <Rect x={5} y={4} width={62} height={38} fill="none" stroke={tones.ink} strokeWidth={1.6} />
      <Rect x={9} y={12} width={54} height={26} fill={tones.card} stroke={tones.ink} strokeWidth={1.6} />
      <Path d="M10 8 h12 M26 8 h20 M50 8 h12" stroke={tones.stop} strokeWidth={2.4} />
      <Circle cx={36} cy={25} r={2.6} fill={tones.ink} />
    </>
  ),
  blocking: (tones) => (
    <>
      <Rect x={3} y={5} width={26} height={37} fill={tones.card} stroke={tones.ink} strokeWidth={1.6} />
      <Rect x={43} y={5} width={26} height={37} fill={tones.card} stroke={tones.ink} strokeWidth={1.6} />
      <Path d="M29 12 q7 4 14 0 M29 24 q7 4 14 0 M29 36 q7 4 14 0" fill="none" stroke={tones.ink} strokeWidth={2} />
    </>
  ),
  soft_prints: ink(
    'M28 36 q-8 -14 2 -22 q8 -6 14 2 q6 12 -2 20 M32 34 q-5 -10 1 -15 q5 -4 8 1 q3 8 -1 14 M36 32 q-2 -6 0 -9',
  ),
  edge_swell: (tones) => (
    <>
      <Path d="M3 14 H44 Q56 4 69 8 V40 Q56 44 44 34 H3 z" fill={tones.line} stroke={tones.ink} strokeWidth={1.6} />
      <Path d="M58 14 l4 3 M56 24 l6 1 M58 34 l4 -2" stroke={tones.ink} strokeWidth={1.4} />
    </>
  ),
  odour_returns: (tones) => (
    <>
      <Rect x={8} y={28} width={56} height={14} fill={tones.card} stroke={tones.ink} strokeWidth={1.6} />
      <Path
        d="M20 24 q-5 -5 0 -10 t0 -10 M36 24 q-5 -5 0 -10 t0 -10 M52 24 q-5 -5 0 -10 t0 -10"
        fill="none"
        stroke={tones.ink}
        strokeWidth={1.8}
      />
    </>
  ),
  blotchy: face((tones) => (
    <>
      <Path d="M10 12 q10 -6 18 1 q9 5 2 12 q-11 7 -19 0 q-6 -7 -1 -13 z" fill={tones.line} />
      <Path d="M40 22 q9 -7 17 0 q9 6 1 13 q-10 5 -17 0 q-5 -7 -1 -13 z" fill={tones.line} />
      <Path d="M6 10 H66 M6 24 H66 M6 37 H66" stroke={tones.softInk} strokeWidth={1.1} />
    </>
  )),
  stays_sticky: side((tones) => (
    <Path
      d="M3 28 H69 M24 27 q3 -8 2 -16 M36 27 q1 -8 0 -18 M48 27 q-3 -8 -2 -16 M20 9 h32"
      fill="none"
      stroke={tones.ink}
      strokeWidth={2}
    />
  )),
  white_rings: face((tones) => (
    <>
      <Rect x={4} y={5} width={64} height={36} fill={tones.line} />
      <Circle cx={27} cy={24} r={11} fill="none" stroke={tones.card} strokeWidth={4} />
      <Circle cx={50} cy={18} r={8} fill="none" stroke={tones.card} strokeWidth={3} />
    </>
  )),
  clear_peels: side((tones) => (
    <>
      <Path d="M3 28 H30 M52 28 H69" stroke={tones.ink} strokeWidth={2} />
      <Path
        d="M30 28 q-2 -14 10 -19 q10 -3 14 5"
        fill="none"
        stroke={tones.ink}
        strokeWidth={2}
        strokeDasharray="5 3"
      />
    </>
  )),
  rust_spots: face((tones) => (
    <>
      {(
        [
          [20, 16],
          [50, 28],
        ] as const
      ).map(([x, y]) => (
        <Path
          key={x}
          d={`M${x - 7} ${y} q3 -8 9 -5 q7 0 5 7 q-2 8 -9 5 q-6 0 -5 -7 z`}
          fill={tones.stopTint}
          stroke={tones.stop}
          strokeWidth={1.6}
        />
      ))}
      <Path d="M17 16 h6 M20 13 v6 M47 28 h6 M50 25 v6" stroke={tones.ink} strokeWidth={1.6} />
    </>
  )),
};

/** A drawing of what is seen; the words stand beside it. */
export function SymptomGlyph({ symptom }: { symptom: SymptomCode }) {
  const tones = useTones();
  return (
    <Svg width={72} height={46} viewBox="0 0 72 46" aria-hidden>
      {DRAWINGS[symptom](tones)}
    </Svg>
  );
}

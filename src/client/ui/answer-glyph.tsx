import Svg, { Circle, Path, Rect } from 'react-native-svg';
import type { ReactNode } from 'react';
import type { Tones } from './tokens';
import { useTones } from './use-tones';

type Draw = (tones: Tones) => ReactNode;

/* Small line drawings of what to look for, 72 × 44. One place, so that they stay of one hand. */
const box = (tones: Tones, more?: ReactNode): ReactNode => (
  <>
    <Rect x={4} y={6} width={64} height={34} fill="none" stroke={tones.ink} strokeWidth={1.6} />
    {more}
  </>
);
const lines = (d: string, width = 1.4): Draw =>
  function Lines(tones) {
    return box(tones, <Path d={d} fill="none" stroke={tones.ink} strokeWidth={width} />);
  };
const spots = (points: readonly (readonly [number, number])[], radius: number, colour?: string): Draw =>
  function Spots(tones) {
    return box(
      tones,
      points.map(([x, y]) => <Circle key={`${x},${y}`} cx={x} cy={y} r={radius} fill={colour ?? tones.ink} />),
    );
  };
const rag = (colour: string | null): Draw =>
  function Rag(tones) {
    return (
      <>
        <Path
          d="M8 14 Q20 4 36 10 T66 10 L62 36 Q46 44 32 37 T10 38 Z"
          fill="none"
          stroke={tones.ink}
          strokeWidth={1.6}
        />
        {colour ? <Path d="M26 18 Q38 12 48 20 Q52 30 40 32 Q26 32 26 18 Z" fill={colour} opacity={0.8} /> : null}
      </>
    );
  };
const drop = (d: string, filled: boolean): Draw =>
  function Drop(tones) {
    return (
      <>
        <Path d="M4 34 H68" stroke={tones.ink} strokeWidth={1.6} />
        <Path d={d} fill={filled ? tones.act : 'none'} stroke={tones.act} strokeWidth={1.6} />
      </>
    );
  };

/** A flat board seen from its edge, with what lies on it. */
const onBoard = (more: (tones: Tones) => ReactNode): Draw =>
  function OnBoard(tones) {
    return (
      <>
        <Path d="M4 36 H68 M4 42 H68" stroke={tones.ink} strokeWidth={1.6} />
        {more(tones)}
      </>
    );
  };
const stroke = (d: string, width = 1.8): Draw =>
  onBoard((tones) => <Path d={d} fill="none" stroke={tones.ink} strokeWidth={width} strokeLinejoin="round" />);
const dab = (colour: string | null): Draw =>
  onBoard((tones) => (
    <>
      <Path d="M16 36 Q16 22 36 22 Q56 22 56 36 Z" fill={tones.card} stroke={tones.ink} strokeWidth={1.6} />
      {colour ? <Path d="M26 36 Q28 27 36 27 Q45 27 47 36 Z" fill={colour} /> : null}
    </>
  ));
const coat = (thickness: number, top: string): Draw =>
  onBoard((tones) => (
    <>
      <Rect x={4} y={36 - thickness} width={64} height={thickness} fill={tones.softInk} opacity={0.45} />
      <Path d={top} fill="none" stroke={tones.ink} strokeWidth={1.6} />
    </>
  ));
const shine = (lines: string): Draw =>
  function Shine(tones) {
    return box(tones, <Path d={lines} stroke={tones.ink} strokeWidth={2.2} />);
  };
const swatch = (colour: string, grain: boolean): Draw =>
  function Swatch(tones) {
    return (
      <>
        <Rect x={4} y={6} width={64} height={34} fill={colour} stroke={tones.ink} strokeWidth={1.6} />
        {grain ? <Path d={GRAIN} fill="none" stroke="#161D19" strokeWidth={0.9} /> : null}
      </>
    );
  };
const sanded = (patch: string, more: string): Draw =>
  function Sanded(tones) {
    return box(
      tones,
      <>
        <Path d="M20 12 H52 L56 34 H16 Z" fill={patch} stroke={tones.ink} strokeWidth={1.2} />
        <Path d={more} fill="none" stroke={tones.ink} strokeWidth={1.4} />
      </>,
    );
  };
const swab = (found: boolean): Draw =>
  function Swab(tones) {
    return (
      <>
        <Path d="M6 38 L44 16" stroke={tones.ink} strokeWidth={3} />
        <Circle cx={50} cy={12} r={8} fill={found ? tones.stop : tones.card} stroke={tones.ink} strokeWidth={1.6} />
        {found ? <Path d="M46 8 L54 16 M54 8 L46 16" stroke={tones.card} strokeWidth={2} /> : null}
      </>
    );
  };
const drawer = (d: string): Draw =>
  function Drawer(tones) {
    return (
      <>
        <Path d="M10 26 H62 V42 H10 Z M30 34 H42" fill="none" stroke={tones.ink} strokeWidth={1.6} />
        <Path d={d} fill="none" stroke={tones.ink} strokeWidth={1.8} />
      </>
    );
  };
/** A cut lattice with some of its squares gone. */
const lattice = (gone: readonly number[]): Draw =>
  function Lattice(tones) {
    return (
      <>
        {gone.map((cell) => (
          <Rect
            key={cell}
            x={18 + (cell % 6) * 6}
            y={5 + Math.floor(cell / 6) * 6}
            width={6}
            height={6}
            fill={tones.ink}
          />
        ))}
        <Path
          d="M18 3 V43 M24 3 V43 M30 3 V43 M36 3 V43 M42 3 V43 M48 3 V43 M54 3 V43 M16 5 H56 M16 11 H56 M16 17 H56 M16 23 H56 M16 29 H56 M16 35 H56 M16 41 H56"
          stroke={tones.softInk}
          strokeWidth={1}
        />
      </>
    );
  };
const EDGE_FLAKES = [1, 8, 15, 20, 27, 32];

const GRAIN = 'M6 14 Q20 9 36 14 T66 14 M6 23 Q20 28 36 23 T66 23 M6 32 Q20 27 36 32 T66 32';
const CHIPS =
  'M10 14 l8 -3 l3 5 l-8 3 z M28 28 l7 1 l1 5 l-9 0 z M44 14 l8 2 l-4 5 z M54 28 l7 -2 l2 6 l-7 1 z M14 28 l6 2 l-3 5 z M32 13 l6 1 l-3 5 z';

const GLYPHS: Readonly<Record<string, Draw>> = {
  'edge_line.grain_continues': lines('M6 14 Q30 10 50 14 T66 24 M6 22 Q30 18 46 22 T66 34 M6 30 Q24 28 40 32'),
  'edge_line.thin_wood_layer': (tones) =>
    box(
      tones,
      <Path
        d="M4 12 H68 M10 22 h2 M24 28 h2 M40 22 h2 M54 32 h2 M18 34 h2 M46 34 h2"
        stroke={tones.ink}
        strokeWidth={1.8}
      />,
    ),
  'edge_line.dark_line': (tones) => box(tones, <Rect x={4} y={6} width={64} height={7} fill={tones.ink} />),
  'edge_line.plastic_strip': (tones) => box(tones, <Rect x={56} y={6} width={8} height={34} fill={tones.ink} />),
  'edge_line.wraps_no_line': (tones) => (
    <Path d="M4 40 V20 Q4 6 20 6 H68" fill="none" stroke={tones.ink} strokeWidth={2.4} />
  ),
  'edge_line.raw_fuzzy': (tones) => (
    <Path
      d={`M4 6 H68 M4 6 v4 l3 2 l-3 3 l3 3 l-3 3 l3 4 l-3 4 l3 4 l-3 3 M68 6 v4 l-3 3 l3 3 l-3 4 l3 3 l-3 4 l3 4 l-3 5 ${CHIPS}`}
      fill="none"
      stroke={tones.ink}
      strokeWidth={1.2}
    />
  ),
  'pattern_repeat.repeats': lines('M12 32 Q20 4 28 32 M28 32 Q36 4 44 32 M44 32 Q52 4 60 32'),
  'pattern_repeat.no_repeat': lines('M8 30 Q20 8 30 30 M26 34 Q44 14 58 34 M46 14 Q54 8 62 18'),
  'pattern_repeat.plain_colour': (tones) => box(tones),
  'core_view.long_fibre': lines(GRAIN),
  'core_view.chips': lines(CHIPS, 1.2),
  'core_view.fine_fibre': spots(
    [
      [12, 14],
      [22, 20],
      [32, 13],
      [44, 19],
      [56, 14],
      [16, 30],
      [28, 34],
      [40, 29],
      [52, 33],
      [62, 26],
    ],
    1.3,
  ),
  'core_view.plies': lines('M4 14 H68 M4 23 H68 M4 32 H68 M16 14 v9 M32 14 v9 M48 14 v9 M24 32 v8 M40 32 v8 M56 32 v8'),
  'core_view.thin_brown_sheet': (tones) => (
    <Rect x={4} y={20} width={64} height={6} fill={tones.softInk} stroke={tones.ink} strokeWidth={1.2} />
  ),
  'corner_lift.plastic_skin': (tones) => (
    <Path d="M4 40 V20 H44 M4 12 H40 Q58 12 64 2" fill="none" stroke={tones.ink} strokeWidth={1.8} />
  ),
  'corner_lift.brittle_chip': (tones) => (
    <Path d="M4 40 V6 H40 l6 8 l6 -2 l4 10 l12 4 v14 Z" fill="none" stroke={tones.ink} strokeWidth={1.8} />
  ),
  'corner_lift.paper_tear': (tones) => (
    <Path
      d="M4 40 V6 H46 l-4 5 l7 4 l-5 5 l8 4 l-4 6 l6 10 Z"
      fill="none"
      stroke={tones.ink}
      strokeWidth={1.4}
      strokeDasharray="5 2"
    />
  ),
  'corner_lift.wood_flake': (tones) =>
    box(tones, <Path d="M44 6 L68 24 M50 6 L68 18 M36 6 L68 31" stroke={tones.ink} strokeWidth={1.3} />),
  'corner_lift.paint_flake': (tones) =>
    box(tones, <Path d="M40 10 Q52 8 58 16 Q62 26 52 28 Q40 28 40 18 Z" fill={tones.ink} opacity={0.75} />),
  'corner_lift.none_found': (tones) =>
    box(tones, <Path d="M26 23 l7 7 l14 -14" fill="none" stroke={tones.ink} strokeWidth={2} />),
  'pores.open_felt': lines('M12 12 v9 M20 20 v12 M29 11 v10 M37 24 v10 M45 12 v12 M54 22 v11 M61 11 v9', 2.2),
  'pores.medium_felt': lines('M12 14 v4 M20 24 v5 M29 13 v5 M37 27 v4 M45 14 v5 M54 25 v5 M61 13 v4', 1.4),
  'pores.none_felt_wood': lines(GRAIN, 0.9),
  'pores.seen_not_felt': spots(
    [
      [14, 14],
      [24, 26],
      [34, 15],
      [44, 30],
      [54, 16],
      [62, 28],
    ],
    1.6,
  ),
  'knots_seen.many': spots(
    [
      [16, 15],
      [30, 30],
      [46, 14],
      [58, 30],
      [38, 22],
    ],
    3.4,
  ),
  'knots_seen.few': spots(
    [
      [24, 18],
      [50, 29],
    ],
    3.4,
  ),
  'knots_seen.none': lines(GRAIN, 0.9),
  'nail_dent.dents': (tones) =>
    box(tones, <Path d="M26 26 Q36 10 46 26" fill="none" stroke={tones.ink} strokeWidth={2.6} />),
  'nail_dent.no_mark': (tones) => box(tones),
  'water_drop.beads': drop('M26 34 Q22 16 36 16 Q50 16 46 34 Z', true),
  'water_drop.soaks_slow': drop('M20 34 Q28 26 36 26 Q46 26 52 34 Z', true),
  'water_drop.soaks_fast': drop('M16 35 Q24 42 36 42 Q48 42 56 35', false),
  'damp_rag.clean': rag(null),
  'damp_rag.grease_brown': rag('#8A6A2F'),
  'damp_rag.red_pink': rag('#C2556A'),
  'damp_rag.paint_colour': rag('#5E8A9A'),
  'spirit_rub.waxy_film': rag('#C9A23F'),
  'spirit_rub.clean': rag(null),
  'grease_wipe.clean': rag(null),
  'grease_wipe.yellow_film': rag('#C9A23F'),
  'grease_wipe.slippery': rag('#9AA8A0'),
  'tape_pull.nothing': (tones) => (
    <Rect x={14} y={10} width={44} height={26} fill="none" stroke={tones.ink} strokeWidth={1.6} strokeDasharray="4 3" />
  ),
  'tape_pull.specks': spots(
    [
      [20, 16],
      [34, 28],
      [48, 18],
      [56, 31],
    ],
    1.6,
  ),
  'wood_colour.pale_yellow': swatch('#E9D7A4', true),
  'wood_colour.honey_tan': swatch('#C99B58', true),
  'wood_colour.red_brown': swatch('#A0563C', true),
  'wood_colour.dark_brown': swatch('#8A6A4C', true),
  'wood_colour.grey_white_plain': swatch('#D9DAD6', false),
  'weight.heavy_for_size': (tones) => (
    <Path d="M20 20 H52 V40 H20 Z M36 2 V14 M30 9 L36 15 L42 9" fill="none" stroke={tones.ink} strokeWidth={2.4} />
  ),
  'weight.light_for_size': (tones) => (
    <Path d="M20 6 H52 V26 H20 Z M36 44 V32 M30 37 L36 31 L42 37" fill="none" stroke={tones.ink} strokeWidth={1.6} />
  ),
  'alcohol_rub.softens_sticky': stroke('M14 36 Q20 20 22 12 M34 36 Q34 22 36 10 M54 36 Q50 22 48 12 M14 12 H56', 1.8),
  'alcohol_rub.paint_softens': stroke('M10 36 Q22 24 34 31 T62 34', 4),
  'alcohol_rub.no_effect': stroke('M14 14 H56 M20 22 H50', 1.6),
  'alcohol_dab.softens': stroke('M14 36 Q20 20 22 12 M34 36 Q34 22 36 10 M54 36 Q50 22 48 12 M14 12 H56', 1.8),
  'alcohol_dab.whitens': dab('#FFFFFF'),
  'alcohol_dab.soaks_in': drop('M16 35 Q24 42 36 42 Q48 42 56 35', false),
  'alcohol_dab.no_effect': drop('M26 34 Q22 16 36 16 Q50 16 46 34 Z', false),
  'thinner_dab.softens': stroke('M8 30 H20 Q36 44 52 30 H64 M30 20 v6 M42 16 v8', 2),
  'thinner_dab.wrinkles': stroke('M6 30 q5 -10 10 0 t10 0 t10 0 t10 0 t10 0 t10 0 t10 0', 2),
  'thinner_dab.soaks_in': drop('M16 35 Q24 42 36 42 Q48 42 56 35', false),
  'thinner_dab.no_effect': drop('M26 34 Q22 16 36 16 Q50 16 46 34 Z', false),
  'edge_wrap.one_skin': stroke('M6 14 H50 Q62 14 62 26 V36 M6 18 H48 Q58 18 58 28 V36', 1.6),
  'edge_wrap.seam_with_band': stroke('M6 16 H54 V36 M58 14 V36 M54 14 H62 V36', 1.6),
  'edge_wrap.raw_edge': stroke('M6 16 H58 V36 M50 20 h2 M54 24 h2 M49 28 h2 M54 31 h2', 1.6),
  'edge_wrap.wood_edge': stroke('M6 14 H60 V36 M46 20 Q54 20 58 24 M44 26 Q52 26 58 30', 1.4),
  'pattern_end.runs_over': stroke('M6 14 H50 Q62 14 62 26 V36 M14 22 H48 Q55 22 55 30 M20 28 H44 Q49 28 49 34', 1.4),
  'pattern_end.stops_at_band': stroke('M6 14 H52 M52 10 V36 M60 10 V36 M12 22 H46 M12 28 H46', 1.4),
  'pattern_end.into_end_grain': stroke(
    'M6 14 H44 L62 22 V36 M44 14 V36 M12 22 H40 M12 28 H40 M48 24 Q54 22 60 28',
    1.4,
  ),
  'pattern_end.no_pattern': stroke('M6 14 H58 V36', 1.6),
  'thinner_rub.dissolves': stroke('M8 30 H20 Q36 44 52 30 H64 M30 20 v6 M42 16 v8', 2),
  'thinner_rub.wrinkles': stroke('M6 30 q5 -10 10 0 t10 0 t10 0 t10 0 t10 0 t10 0', 2),
  'thinner_rub.no_effect': stroke('M14 14 H56 M20 22 H50', 1.6),
  'sand_spot.wood_dust': sanded('#D9B98A', 'M22 18 Q36 14 50 18 M20 28 Q36 24 52 28'),
  'sand_spot.white_then_dark': sanded('#F2F2EE', 'M26 20 H46 V28 H26 Z M28 22 H44 M28 25 H44'),
  'sand_spot.paper_brown': sanded('#B08A5A', 'M22 16 l6 5 l-5 5 l8 4 M44 15 l-4 6 l6 4 l-5 5'),
  'sand_spot.gums_up': sanded(
    '#CFCFC6',
    'M24 22 a4 4 0 1 0 8 0 a4 4 0 1 0 -8 0 M40 26 a5 4 0 1 0 10 0 a5 4 0 1 0 -10 0',
  ),
  'sand_spot.fine_chalk': sanded(
    '#EDEDE6',
    'M24 18 h.5 M30 24 h.5 M36 17 h.5 M42 25 h.5 M48 19 h.5 M28 30 h.5 M40 31 h.5',
  ),
  'sand_spot.hard_colour': sanded('#7E97A3', 'M24 18 l3 3 M34 26 l3 3 M44 17 l3 3 M28 29 l3 3 M46 28 l3 3'),
  'cross_cut_old.0': lattice([]),
  'cross_cut_old.1': lattice([14]),
  'cross_cut_old.2': lattice([8, 14, 21]),
  'cross_cut_old.3': lattice([7, 8, 14, 15, 21, 22, 27]),
  'cross_cut_old.4': lattice([...EDGE_FLAKES, 7, 9, 13, 14, 16, 21, 22, 26, 28, 33]),
  'cross_cut_old.5': lattice([
    ...EDGE_FLAKES,
    0,
    2,
    3,
    7,
    9,
    10,
    13,
    14,
    16,
    17,
    19,
    21,
    22,
    24,
    25,
    26,
    28,
    29,
    33,
    34,
  ]),
  'gloss_look.matt': shine(''),
  'gloss_look.satin': shine('M30 28 L42 16'),
  'gloss_look.semi_gloss': shine('M22 28 L34 16 M36 30 L50 16'),
  'gloss_look.high_gloss': shine('M14 32 L36 10 M26 34 L50 10 M40 34 L60 14'),
  'coat_thickness.thin': coat(3, 'M4 33 H68'),
  'coat_thickness.thick': coat(10, 'M4 26 q4 -3 8 0 t8 0 t8 0 t8 0 t8 0 t8 0 t8 0 t8 0'),
  'coat_thickness.caked': coat(24, 'M4 14 q8 -8 16 0 t16 -2 t16 3 t16 -2'),
  'crawl_dab.lies_flat': stroke('M12 36 Q12 28 36 28 Q60 28 60 36', 2),
  'crawl_dab.crawls': stroke('M8 36 Q10 26 18 30 Q22 34 24 36 M30 36 Q36 24 44 36 M52 36 Q56 28 64 36', 2),
  'bleed_probe.stays_white': dab(null),
  'bleed_probe.yellow': dab('#D9B23A'),
  'bleed_probe.pink_red': dab('#C2556A'),
  'bleed_probe.brown': dab('#7A5230'),
  'lead_test.negative': swab(false),
  'lead_test.positive': swab(true),
  'odour.none': drawer(''),
  'odour.smoke': drawer('M24 22 q-5 -5 0 -9 t0 -9 M36 22 q-5 -5 0 -9 t0 -9 M48 22 q-5 -5 0 -9 t0 -9'),
  'odour.pet': drawer('M32 18 a4 3.4 0 1 0 8 0 a4 3.4 0 1 0 -8 0 M28 10 h.5 M33 6 h.5 M39 6 h.5 M44 10 h.5'),
  'odour.musty': drawer('M26 6 q-6 8 0 11 q6 -3 0 -11 M44 6 q-6 8 0 11 q6 -3 0 -11'),
  'tape_pull.sheets': (tones) => box(tones, <Path d="M14 12 H44 L50 30 H22 Z" fill={tones.ink} opacity={0.75} />),
};

/** Which answers have a drawing, as `check.answer`. */
export const DRAWN_ANSWERS: readonly string[] = Object.keys(GLYPHS);

/** The drawing of an answer. */
export function AnswerGlyph({ check, answer }: { check: string; answer: string }) {
  const tones = useTones();
  const draw = GLYPHS[`${check}.${answer}`];
  if (!draw) return null;
  return (
    <Svg width={72} height={44} viewBox="0 0 72 46" aria-hidden>
      {draw(tones)}
    </Svg>
  );
}

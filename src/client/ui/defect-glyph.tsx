import Svg, { Path, Rect } from 'react-native-svg';
import type { DefectCode, RepairStepCode } from '@/core/knowledge';
import type { Tones } from './tokens';
import { useTones } from './use-tones';

/** What a drawing stands on: a face seen from above, a board from its edge, a front with its drawer, or nothing. */
type Ground = 'face' | 'board' | 'drawer' | 'none';

interface Drawing {
  on: Ground;
  /** Lines in ink; `marks` are filled. */
  lines?: string;
  marks?: string;
  /** Marks in another tone than ink. */
  tone?: 'soft' | 'stop' | 'act';
  width?: number;
}

const GROUNDS: Record<Ground, string> = {
  face: 'M4 6 H68 V40 H4 Z',
  board: 'M4 18 H68 V38 H4 Z',
  drawer: 'M8 8 H64 V40 H8 Z M14 16 H58 V34 H14 Z',
  none: '',
};
const GRAIN = 'M6 13 Q20 9 36 13 T66 13 M6 33 Q20 37 36 33 T66 33';
const HOLES = 'M22 20 a3 3 0 1 0 6 0 a3 3 0 1 0 -6 0 Z M44 20 a3 3 0 1 0 6 0 a3 3 0 1 0 -6 0 Z';
const RING = 'M22 23 a14 11 0 1 0 28 0 a14 11 0 1 0 -28 0 M26 23 a10 7.5 0 1 0 20 0 a10 7.5 0 1 0 -20 0';
const SMELL = 'M22 34 Q16 26 22 20 T22 8 M36 34 Q30 26 36 20 T36 8 M50 34 Q44 26 50 20 T50 8';

/* Small drawings of what the eye meets, 72 × 44, of one hand with those of the answers. */
const DEFECT_DRAWINGS: Record<DefectCode, Drawing> = {
  knot: { on: 'face', lines: GRAIN, marks: 'M28 23 a8 6 0 1 0 16 0 a8 6 0 1 0 -16 0 Z' },
  resin_pocket: { on: 'face', lines: GRAIN, marks: 'M18 24 Q36 12 54 24 Q36 30 18 24 Z', tone: 'soft' },
  tannin_bleed: { on: 'face', marks: 'M8 30 Q16 18 26 28 T46 26 T64 32 V38 H8 Z', tone: 'soft' },
  prior_bleed: { on: 'face', lines: 'M4 16 H68', marks: 'M14 18 Q24 34 34 22 T56 26 L60 18 Z', tone: 'soft' },
  water_ring: { on: 'face', lines: RING },
  drink_stain: { on: 'face', marks: 'M20 14 Q40 8 50 20 Q60 34 42 34 Q22 36 18 24 Z', tone: 'soft' },
  water_damage: {
    on: 'face',
    lines: 'M8 36 Q16 24 24 34 T42 32 T64 36',
    marks: 'M34 10 q6 9 0 12 q-6 -3 0 -12 Z',
    tone: 'act',
  },
  ink_stain: {
    on: 'face',
    marks: 'M30 14 Q44 10 46 22 Q48 32 36 32 Q26 30 28 22 Z M50 30 a2 2 0 1 0 4 0 a2 2 0 1 0 -4 0 Z',
  },
  burn: {
    on: 'face',
    lines: 'M20 22 a16 11 0 1 0 32 0 a16 11 0 1 0 -32 0',
    marks: 'M28 22 a8 6 0 1 0 16 0 a8 6 0 1 0 -16 0 Z',
  },
  smoke_odour: { on: 'none', lines: `${SMELL} M12 40 H60` },
  pet_odour: { on: 'none', lines: `${SMELL} M12 40 H60`, marks: 'M58 36 a3 3 0 1 0 6 0 a3 3 0 1 0 -6 0 Z' },
  musty_odour: {
    on: 'drawer',
    lines: 'M26 30 Q22 25 26 21 T26 12 M36 30 Q32 25 36 21 T36 12 M46 30 Q42 25 46 21 T46 12',
  },
  mould: {
    on: 'face',
    marks:
      'M12 34 a3 3 0 1 0 6 0 Z M20 28 a4 4 0 1 0 8 0 a4 4 0 1 0 -8 0 Z M14 20 a2 2 0 1 0 4 0 a2 2 0 1 0 -4 0 Z M32 34 a3 3 0 1 0 6 0 a3 3 0 1 0 -6 0 Z M36 22 a1.6 1.6 0 1 0 3 0 a1.6 1.6 0 1 0 -3 0 Z',
    tone: 'soft',
  },
  open_grain: {
    on: 'face',
    lines:
      'M10 12 h8 M24 12 h10 M42 12 h14 M14 20 h12 M34 20 h8 M50 20 h12 M8 28 h10 M26 28 h14 M48 28 h8 M16 35 h10 M36 35 h16',
    width: 2,
  },
  raised_grain: {
    on: 'board',
    lines: 'M6 18 l3 -5 l3 5 M16 18 l2 -7 l3 7 M28 18 l3 -5 l3 5 M40 18 l2 -8 l3 8 M52 18 l3 -5 l3 5',
  },
  dent: { on: 'none', lines: 'M4 16 H24 Q36 34 48 16 H68 V40 H4 Z' },
  scratch: { on: 'face', lines: 'M14 34 L58 12 M18 36 L44 23' },
  gouge: { on: 'none', lines: 'M4 16 H26 L32 32 L42 28 L46 16 H68 V40 H4 Z' },
  crack: { on: 'face', lines: 'M8 26 L22 22 L30 28 L44 20 L52 25 L68 18', width: 2.2 },
  gap_joint: { on: 'none', lines: 'M4 8 H32 V40 H4 Z M40 8 H68 V40 H40 Z', marks: 'M34 8 H38 V40 H34 Z' },
  chipped_veneer: { on: 'none', lines: 'M4 14 H50 L54 20 L60 18 L64 24 H68 V40 H4 Z M4 20 H52' },
  lifting_veneer: { on: 'board', lines: 'M4 14 H34 Q52 14 66 4' },
  bubbled_veneer: { on: 'board', lines: 'M4 14 H20 Q36 -2 52 14 H68' },
  lifting_foil: { on: 'board', lines: 'M4 14 H30 Q46 14 52 8 Q58 0 48 4' },
  chipped_foil: { on: 'face', marks: 'M52 6 H68 V20 L62 16 L58 18 Z M4 34 L12 36 L14 40 H4 Z' },
  swollen_edge: { on: 'none', lines: 'M4 14 H48 Q58 4 68 12 V40 Q56 44 48 34 H4 Z M58 18 v3 M52 24 v3 M62 28 v3' },
  raw_mdf_edge: {
    on: 'board',
    marks:
      'M10 24 h1 v1 h-1 Z M20 30 h1 v1 h-1 Z M30 25 h1 v1 h-1 Z M40 32 h1 v1 h-1 Z M50 24 h1 v1 h-1 Z M60 30 h1 v1 h-1 Z M26 33 h1 v1 h-1 Z M54 34 h1 v1 h-1 Z',
    width: 2.4,
  },
  raw_chip_edge: {
    on: 'board',
    lines: 'M10 24 l7 -2 l3 5 l-8 2 Z M28 30 l8 1 l1 4 l-9 0 Z M44 23 l8 2 l-4 5 Z M56 31 l7 -2 l1 5 Z',
    width: 1.2,
  },
  loose_edge_band: { on: 'none', lines: 'M4 10 H54 V40 H4 Z M56 40 V22 Q58 10 68 4' },
  old_holes: { on: 'face', marks: HOLES },
  brush_marks: {
    on: 'face',
    lines: 'M8 12 Q30 8 64 13 M8 18 Q30 22 64 17 M8 24 Q34 20 64 25 M8 30 Q30 34 64 29 M8 36 Q34 32 64 36',
  },
  runs: { on: 'face', marks: 'M18 6 v16 a3 3 0 1 0 6 0 v-16 Z M38 6 v22 a3.5 3.5 0 1 0 7 0 v-22 Z', tone: 'soft' },
  flaking: {
    on: 'face',
    lines: 'M20 12 L34 9 L42 18 L36 28 L22 26 Z M44 26 L54 24 L58 34 L48 36 Z M40 30 L47 33',
    width: 1.6,
  },
  alligatoring: {
    on: 'face',
    lines:
      'M4 16 L20 18 L26 6 M20 18 L24 32 L8 40 M24 32 L40 30 L44 16 L26 6 M44 16 L62 18 L68 10 M40 30 L48 40 M62 18 L60 32 L48 40 M60 32 L68 34',
  },
  chalking: {
    on: 'face',
    marks:
      'M14 14 h2 v2 h-2 Z M24 20 h2 v2 h-2 Z M36 12 h2 v2 h-2 Z M48 18 h2 v2 h-2 Z M18 30 h2 v2 h-2 Z M32 28 h2 v2 h-2 Z M44 33 h2 v2 h-2 Z M56 28 h2 v2 h-2 Z M58 12 h2 v2 h-2 Z',
    tone: 'soft',
  },
  thick_paint: { on: 'none', lines: 'M4 40 H68', marks: 'M4 36 V20 Q16 14 26 20 T48 20 T68 22 V36 Z', tone: 'soft' },
  bare_patches: { on: 'face', lines: 'M18 14 Q34 8 44 18 Q48 30 30 30 Q14 28 18 14 Z M22 18 h16 M22 24 h14' },
  high_gloss: { on: 'face', lines: 'M14 36 L32 8 M24 38 L44 8 M46 38 L62 14', width: 2.4 },
  rust: {
    on: 'face',
    lines: 'M26 23 a10 10 0 1 0 20 0 a10 10 0 1 0 -20 0 M30 23 H42',
    marks: 'M40 34 Q46 30 50 38 Z M24 34 Q20 28 18 38 Z',
    tone: 'stop',
  },
  woodworm: {
    on: 'face',
    lines: 'M14 38 q3 -4 6 0 M40 38 q3 -4 6 0',
    marks:
      'M16 16 a1.6 1.6 0 1 0 3 0 a1.6 1.6 0 1 0 -3 0 Z M28 24 a1.6 1.6 0 1 0 3 0 a1.6 1.6 0 1 0 -3 0 Z M38 14 a1.6 1.6 0 1 0 3 0 a1.6 1.6 0 1 0 -3 0 Z M48 26 a1.6 1.6 0 1 0 3 0 a1.6 1.6 0 1 0 -3 0 Z M56 16 a1.6 1.6 0 1 0 3 0 a1.6 1.6 0 1 0 -3 0 Z',
  },
  loose_joint: { on: 'none', lines: 'M8 40 V8 H16 V40 Z M20 14 L64 8 V16 L20 22 Z M16 16 h4 M16 20 h4' },
  loose_runner: { on: 'drawer', lines: 'M4 44 L68 38', width: 2.2 },
  dark_drawer_sides: {
    on: 'none',
    lines: 'M12 12 H60 L68 4 H20 Z M12 12 V36 H60 V12 M60 36 L68 28 V4',
    marks: 'M60 12 L68 4 V28 L60 36 Z',
  },
  sticker_residue: { on: 'face', lines: 'M22 14 H50 V32 H28 L22 26 Z M22 26 H28 V32' },
};

/** What the hands do: one drawing for each kind of repair. */
const SCRAPE: Drawing = { on: 'board', lines: 'M30 18 L54 2 L60 8 L36 20 Z M26 18 q-6 -4 -12 0' };
const GLUE: Drawing = {
  on: 'none',
  lines: 'M6 26 H66 V32 H6 Z M6 34 H66 V40 H6 Z M22 26 V6 H50 V26 M30 6 V2 M42 6 V2 M36 6 V22',
};
const FILL: Drawing = {
  on: 'none',
  lines: 'M4 24 H24 M48 24 H68 V40 H4 V24 M44 20 L62 4 L66 8 L50 22 Z',
  marks: 'M24 24 Q36 16 48 24 Q36 38 24 24 Z',
  tone: 'soft',
};
const SAND: Drawing = {
  on: 'none',
  lines: 'M4 36 H68 M20 20 H50 V32 H20 Z M10 14 H60 M56 10 L60 14 L56 18 M14 10 L10 14 L14 18',
};
const WASH: Drawing = {
  on: 'board',
  lines: 'M20 16 Q28 4 38 10 T56 12 L52 18 M16 24 q4 6 0 8 q-4 -2 0 -8 M60 24 q4 6 0 8 q-4 -2 0 -8',
};
const WAIT: Drawing = { on: 'none', lines: 'M20 23 a16 16 0 1 0 32 0 a16 16 0 1 0 -32 0 M36 12 V23 L44 28' };
const CAULK: Drawing = {
  on: 'none',
  lines: 'M4 40 H34 V6 M38 6 V40 H68 M36 24 L56 6 L62 12 L42 28 Z',
  marks: 'M34 40 Q36 34 38 40 Z',
};
const SCREW: Drawing = { on: 'drawer', lines: 'M36 4 V18 M32 4 H40 M32 8 L40 11 M32 13 L40 16' };
const PEEL: Drawing = { on: 'board', lines: 'M4 14 H24 Q44 12 52 2 M52 2 l-1 6 M52 2 l-6 2' };

const REPAIR_DRAWINGS: Record<RepairStepCode, Drawing> = {
  hold_woodworm: WAIT,
  hold_mould: WAIT,
  lift_stickers: PEEL,
  clean_mould: WASH,
  wash_chalk: WASH,
  air_out: WAIT,
  scrape_resin: SCRAPE,
  scrape_char: SCRAPE,
  glue_joint: GLUE,
  glue_crack: GLUE,
  glue_veneer: GLUE,
  glue_foil: GLUE,
  remove_foil: PEEL,
  glue_band: GLUE,
  harden_edge: WASH,
  tighten_runner: SCREW,
  brush_rust: SAND,
  replace_screws: SCREW,
  steam_dent: WASH,
  fill_soft: FILL,
  fill_hard: FILL,
  level_marks: SAND,
  shave_runs: SCRAPE,
  sand_scratch: SAND,
  sand_raised: SAND,
  sand_softened: SAND,
  feather_flakes: SCRAPE,
  free_detail: SAND,
  dull_gloss: SAND,
  caulk_gap: CAULK,
  sand_sides: SAND,
  wax_runners: WASH,
};

/** A defect as the eye meets it. The words beside it say what it is. */
export const DefectGlyph = ({ code }: { code: DefectCode }) => <Sketch drawing={DEFECT_DRAWINGS[code]} />;

/** What is done about it; nothing for a repair of a later version. */
export function RepairGlyph({ code }: { code: string }) {
  const drawing = (REPAIR_DRAWINGS as Partial<Record<string, Drawing>>)[code];
  return drawing ? <Sketch drawing={drawing} /> : null;
}

function Sketch({ drawing }: { drawing: Drawing }) {
  const tones = useTones();
  const { on, lines, marks, tone, width = 1.6 } = drawing;
  const fill: Record<NonNullable<Drawing['tone']> | 'ink', string> = {
    ink: tones.ink,
    soft: tones.softInk,
    stop: tones.stop,
    act: tones.act,
  } satisfies Record<string, Tones[keyof Tones]>;
  return (
    <Svg width={72} height={44} viewBox="0 0 72 44" aria-hidden>
      <Rect x={0} y={0} width={72} height={44} fill="none" />
      {on === 'none' ? null : <Path d={GROUNDS[on]} fill="none" stroke={tones.ink} strokeWidth={1.6} />}
      {marks ? <Path d={marks} fill={fill[tone ?? 'ink']} opacity={tone === 'soft' ? 0.7 : 1} /> : null}
      {lines ? <Path d={lines} fill="none" stroke={tones.ink} strokeWidth={width} strokeLinejoin="round" /> : null}
    </Svg>
  );
}

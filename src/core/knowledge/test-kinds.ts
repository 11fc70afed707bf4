import type { CautionCode } from './cautions';
import type { Basis, TestKind } from './codes';

/** What a kind of test is to the shop, all on its row. */
export interface TestKindFact {
  label: string;
  /** How it is done, in a word or two. */
  hint: string;
  /** What it speaks of: how a coat grips, colour coming through, or only how hard and cured the film is. */
  shows: 'grip' | 'bleed' | 'cure';
  /** What is written down, and so how it comes to the one scale of severity. */
  reads: 'score' | 'lattice' | 'x_cut' | 'double_rubs' | 'pencil' | 'bleed';
  /** What severities 0 to 5 look like; left out where a number or a grade is written instead. */
  anchors?: readonly string[];
  /** The picture the answers are drawn with. */
  drawing?: 'strokes' | 'lattice' | 'x_cut' | 'stain' | 'specks' | 'ring';
  /** What it shows that is wanted before paint; of the kinds that show one thing the first is the usual one. */
  opens?: 'nail' | 'cross_cut' | 'no_bleed';
  /** In daily use: offered first, and for panels. */
  common?: true;
  /** Something may come off, and it is asked where it let go. */
  letsGo?: true;
  cautions?: readonly CautionCode[];
  /** Of the scale and its limits. */
  basis: Basis;
  source?: string;
}

// prettier-ignore
const SCRATCH = ['Nothing', 'A mark only', 'Polished or dented, no loss', 'Flakes at the edge', 'Comes off in lines', 'Peels'] as const;

/** In the order they are offered. */
// prettier-ignore
export const TEST_KIND_FACTS: Record<TestKind, TestKindFact> = {
  nail: { label: 'Thumbnail', hint: 'five hard strokes', shows: 'grip', reads: 'score', anchors: SCRATCH, drawing: 'strokes', opens: 'nail', common: true, letsGo: true, basis: 'practice' },
  cross_cut: { label: 'Cross-cut', hint: 'lattice and tape', shows: 'grip', reads: 'lattice', anchors: ['Edges quite smooth', 'Small flakes at crossings, up to 5 %', 'Flakes along edges, 5 to 15 %', 'Ribbons, whole squares, 15 to 35 %', 'Large ribbons, 35 to 65 %', 'More than that'], drawing: 'lattice', opens: 'cross_cut', common: true, letsGo: true, cautions: ['blades'], basis: 'published', source: 'ISO 2409; ASTM D3359 method B (wording shortened)' },
  fork: { label: 'Fork', hint: 'tine, firm', shows: 'grip', reads: 'score', anchors: SCRATCH, drawing: 'strokes', opens: 'cross_cut', common: true, letsGo: true, basis: 'practice' },
  bleed_watch: { label: 'Bleed watch', hint: 'beside a clean card', shows: 'bleed', reads: 'bleed', anchors: ['Nothing', 'Barely, beside the reference', 'Seen when looked for', 'Seen at once', 'Strong', 'All over'], drawing: 'stain', opens: 'no_bleed', common: true, basis: 'practice' },
  tape: { label: 'Tape', hint: 'press, pull flat', shows: 'grip', reads: 'score', anchors: ['Nothing', 'Specks', 'Spots', 'Patches', 'Strips', 'A whole sheet'], drawing: 'specks', letsGo: true, basis: 'practice' },
  coin: { label: 'Coin', hint: 'edge, firm', shows: 'grip', reads: 'score', anchors: SCRATCH, drawing: 'strokes', opens: 'cross_cut', letsGo: true, basis: 'practice' },
  blade: { label: 'Blade corner', hint: 'dug in; the board’s own damage does not count', shows: 'grip', reads: 'score', anchors: SCRATCH, drawing: 'strokes', letsGo: true, cautions: ['blades'], basis: 'practice' },
  x_cut: { label: 'X-cut', hint: 'thick films', shows: 'grip', reads: 'x_cut', anchors: ['Nothing', 'A trace along the cuts', 'Jagged, up to 1.6 mm', 'Jagged, up to 3.2 mm', 'Most of the X', 'Beyond the X'], drawing: 'x_cut', opens: 'cross_cut', letsGo: true, cautions: ['blades'], basis: 'published', source: 'ASTM D3359 method A (wording shortened)' },
  solvent_rub: { label: 'Alcohol rub', hint: 'double rubs till colour', shows: 'cure', reads: 'double_rubs', basis: 'estimate' },
  pencil: { label: 'Pencil', hint: 'hardest that leaves no mark', shows: 'cure', reads: 'pencil', basis: 'estimate' },
  water: { label: 'Wet ring', hint: 'damp cloth, 1 h', shows: 'cure', reads: 'score', anchors: ['Nothing', 'A faint edge', 'A ring that fades', 'A ring that stays', 'Soft or blistered', 'Lifts'], drawing: 'ring', basis: 'practice' },
};

export const listTestKinds = (): TestKind[] => Object.keys(TEST_KIND_FACTS) as TestKind[];

export const showsBleed = (kind: TestKind): boolean => TEST_KIND_FACTS[kind].shows === 'bleed';

/** The row of a code that may be of no kind known here: steps of a system taken long ago name theirs as text. */
export const findTestKind = (code: string): TestKindFact | undefined =>
  (TEST_KIND_FACTS as Partial<Record<string, TestKindFact>>)[code];

import { ASTM_A_CLASSES, PENCIL_GRADES, type Test } from '@/core/dossier';
import type { InterfaceCode, TestKind } from '@/core/knowledge';
import { CROSS_CUT_WORDS, SCORE_WORDS } from '@/core/proof';
import type { BleedMoment } from '@/core/panel';
import type { ChoiceOption } from '@/client/ui';

/** Every kind of test in words, the ones a gate asks for first. */
export const KIND_OPTIONS: readonly ChoiceOption<TestKind>[] = [
  { code: 'nail', label: 'Thumbnail', hint: 'five hard strokes' },
  { code: 'cross_cut', label: 'Cross-cut', hint: 'lattice and tape' },
  { code: 'fork', label: 'Fork', hint: 'tine, firm' },
  { code: 'bleed_watch', label: 'Bleed watch', hint: 'beside a clean card' },
  { code: 'tape', label: 'Tape', hint: 'press, pull flat' },
  { code: 'coin', label: 'Coin', hint: 'edge, firm' },
  { code: 'blade', label: 'Blade corner', hint: 'dug in; the board’s own damage does not count' },
  { code: 'x_cut', label: 'X-cut', hint: 'thick films' },
  { code: 'solvent_rub', label: 'Alcohol rub', hint: 'double rubs till colour' },
  { code: 'pencil', label: 'Pencil', hint: 'hardest that leaves no mark' },
  { code: 'water', label: 'Wet ring', hint: 'damp cloth, 1 h' },
];

// prettier-ignore
export const MOMENTS: Record<BleedMoment, { label: string }> = {
  '1h': { label: '1 hour' }, overnight: { label: 'Next morning' }, after_clear: { label: 'After the last coat' },
  '48h': { label: '48 hours' }, '7d': { label: 'A week' },
};

export const WHERE: Record<InterfaceCode, string> = {
  paint_from_paint: 'Between paint coats',
  paint_from_primer: 'Paint off primer',
  primer_from_substrate: 'Primer off the surface',
  old_coat_from_substrate: 'Old coat off the surface',
  substrate_itself: 'In the surface itself',
};

/** ASTM D3359 method A, shortened. */
const X_CUT_WORDS = [
  'Nothing',
  'A trace along the cuts',
  'Jagged, up to 1.6 mm',
  'Jagged, up to 3.2 mm',
  'Most of the X',
  'Beyond the X',
];
const WATER_WORDS = ['Nothing', 'A faint edge', 'A ring that fades', 'A ring that stays', 'Soft or blistered', 'Lifts'];

const SCALES: Partial<Record<TestKind, readonly string[]>> = {
  nail: SCORE_WORDS.scratch,
  fork: SCORE_WORDS.scratch,
  coin: SCORE_WORDS.scratch,
  blade: SCORE_WORDS.scratch,
  tape: SCORE_WORDS.tape,
  bleed_watch: SCORE_WORDS.bleed,
  cross_cut: CROSS_CUT_WORDS,
  x_cut: X_CUT_WORDS,
  water: WATER_WORDS,
};

/** The answers of a kind of test; none where a number is written. */
export function listAnswers(kind: TestKind): { code: string; label: string; hint: string; score: number }[] {
  if (kind === 'pencil') return PENCIL_GRADES.map((grade, score) => ({ code: grade, label: grade, hint: '', score }));
  return (SCALES[kind] ?? []).map((hint, score) => {
    const label = kind === 'cross_cut' ? `Class ${score}` : kind === 'x_cut' ? ASTM_A_CLASSES[score]! : String(score);
    return { code: kind === 'x_cut' ? ASTM_A_CLASSES[score]! : String(score), label, hint, score };
  });
}

/** The reading in the shape its kind has; `value` is an answer's code or a number. */
export function makeReading(kind: TestKind, value: string, at: BleedMoment): Test['reading'] {
  switch (kind) {
    case 'cross_cut':
      return { iso_class: Number(value) };
    case 'x_cut':
      return { astm: value };
    case 'solvent_rub':
      return { double_rubs: Number(value) };
    case 'pencil':
      return { grade: value };
    case 'bleed_watch':
      return { at, score: Number(value) };
    default:
      return { score: Number(value) };
  }
}

/** Something came off: it is asked where. */
export const letGo = (kind: TestKind, value: string): boolean =>
  ['nail', 'fork', 'coin', 'blade', 'tape', 'cross_cut'].includes(kind)
    ? Number(value) >= 1
    : kind === 'x_cut' && value !== '' && value !== '5A';

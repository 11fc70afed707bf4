/**
 * A class read from a photograph with less confidence than this (0–1) is a guess: it proves nothing, and the picture is
 * taken again or the lattice looked at (estimate).
 */
export const LEAST_CONFIDENCE = 0.5;

/** 0 nothing, 5 worst: one scale for every kind of test. */
export type Severity = 0 | 1 | 2 | 3 | 4 | 5;

/**
 * ISO 2409 class of a lattice from the area removed, % (0–100). A limit counts to the better class: 5 % → 1.
 */
export function toIsoClass(removedPct: number): Severity {
  const index = CLASS_LIMITS.findIndex((limit) => removedPct <= limit);
  return (index === -1 ? CLASS_LIMITS.length : index) as Severity;
}

/** Most area removed, %, of each ISO class but the worst. */
export const CLASS_LIMITS = [0, 5, 15, 35, 65] as const;

export type AstmB = '5B' | '4B' | '3B' | '2B' | '1B' | '0B';

/**
 * ASTM D3359 method B class from the area removed, % (0–100). 4B is *less than* 5 %; 3B is 5–15 %, 2B 15–35 %,
 * 1B 35–65 %, whose shared end points are counted to the better class here: 15 % → 3B.
 */
export function toAstmClass(removedPct: number): AstmB {
  if (removedPct <= 0) return '5B';
  if (removedPct < 5) return '4B';
  if (removedPct <= 15) return '3B';
  if (removedPct <= 35) return '2B';
  return removedPct <= 65 ? '1B' : '0B';
}

/** 5B → 0 … 0B → 5; the same for method A (5A → 0). */
export const severityOfAstm = (grade: string): Severity => (5 - Number(grade.charAt(0))) as Severity;
export const astmOfSeverity = (severity: Severity): AstmB => `${(5 - severity) as Severity}B`;

/** How to cut. Film in µm. ISO 2409 and ASTM D3359; wood and board count as soft substrates. */
export interface CutSpec {
  standard: 'ISO 2409' | 'ASTM D3359 A';
  cuts: number;
  spacing_mm: number;
  squares: number;
}

/** ISO 2409: 1 mm to 60 µm on hard substrates, 2 mm on soft ones, 2 mm to 120 µm, 3 mm to 250 µm; above, the X-cut. */
export function specifyCut(filmUm: number, substrate: 'hard' | 'soft'): CutSpec {
  if (filmUm > 250) return { standard: 'ASTM D3359 A', cuts: 2, spacing_mm: 0, squares: 0 };
  const spacing = filmUm <= 60 ? (substrate === 'hard' ? 1 : 2) : filmUm <= 120 ? 2 : 3;
  return { standard: 'ISO 2409', cuts: 6, spacing_mm: spacing, squares: 25 };
}

/** ASTM D3359 method B: 11 cuts 1 mm apart to 50 µm, 6 cuts 2 mm apart to 125 µm; above, method A. */
export function specifyAstmCut(filmUm: number): {
  method: 'A' | 'B';
  cuts: number;
  spacing_mm: number;
  squares: number;
} {
  if (filmUm <= 50) return { method: 'B', cuts: 11, spacing_mm: 1, squares: 100 };
  if (filmUm <= 125) return { method: 'B', cuts: 6, spacing_mm: 2, squares: 25 };
  return { method: 'A', cuts: 2, spacing_mm: 0, squares: 0 };
}

/** Double rubs with alcohol until colour comes off: fewer is worse (estimate). */
export function severityOfRubs(rubs: number): Severity {
  const limits = [100, 50, 25, 10, 3];
  const index = limits.findIndex((limit) => rubs >= limit);
  return (index === -1 ? 5 : index) as Severity;
}

/** Hardest pencil that leaves no mark: HB or harder is cured enough for use (estimate). */
export function severityOfPencil(grades: readonly string[], grade: string): Severity {
  const stepsBelow = grades.indexOf('HB') - grades.indexOf(grade);
  return Math.max(0, Math.min(5, stepsBelow)) as Severity;
}

/** Bleed by colour difference: mean under 1.0 and worst under 2.0 ΔE00 pass (common practice). */
export function severityOfBleed(deMean: number, deWorst: number): Severity {
  const size = Math.max(deMean, deWorst / 2);
  if (size < 0.5) return 0;
  if (size < 1) return 1;
  if (size < 2) return 2;
  if (size < 4) return 3;
  return size < 8 ? 4 : 5;
}

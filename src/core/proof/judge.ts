import { FILM_FACTS, PRIMER_FACTS, type PrimerCode } from '../knowledge';
import { PENCIL_GRADES, type Dossier, type Test, type Treatment } from '../dossier';
import {
  astmOfSeverity,
  LEAST_CONFIDENCE,
  severityOfAstm,
  severityOfBleed,
  severityOfPencil,
  severityOfRubs,
  toAstmClass,
  toIsoClass,
  type AstmB,
  type CutSpec,
  type Severity,
} from '../scales';
import { specifyCutOn } from './cut';
import { lowerFirst } from '../shared';

export interface JudgedTest {
  id: string | undefined;
  kind: Test['kind'];
  severity: Severity;
  verdict: 'pass' | 'fail' | 'early' | 'incomplete';
  early: boolean;
  countsFromH: number;
  isoClass?: Severity;
  astm?: AstmB;
  cut?: CutSpec;
  /** What came of it in words; `why` names the test besides. */
  says: string;
  why: string;
}

/** What passes, unless the owner says otherwise: nothing or a mark only; no colour that is seen beside the reference. */
export const DEFAULT_LIMITS = { scratch_most: 1, bleed_mean: 1, bleed_worst: 2, bleed_at: '48h' } as const;
export type Limits = { [Name in Exclude<keyof typeof DEFAULT_LIMITS, 'bleed_at'>]: number } & {
  bleed_at: '48h' | '7d';
};

export const limitsOf = ({ goal }: Pick<Dossier, 'goal'>): Limits => ({ ...DEFAULT_LIMITS, ...goal?.gates });
/** A label's dry time is not known for an unprimed control: next morning is usual (common practice). */
const UNPRIMED_FROM_H = 12;

/**
 * One reading on the common scale, with its verdict. A reading taken before the film's hardening time is kept but does
 * not count. `age_h` left out means incomplete: a reading without an age proves nothing.
 */
export function judgeTest(test: Test, dossier: Pick<Dossier, 'piece' | 'zones' | 'goal'>): JudgedTest {
  const reading = test.reading as Record<string, unknown>;
  const severity = readSeverity(test.kind, reading);
  const countsFromH = countsFrom(test);
  const age = test.age_h;
  const early = age !== undefined && age < countsFromH;
  const limits = limitsOf(dossier);
  const held = holds(test.kind, reading, severity, limits);
  const lacks = findLack(test);
  const verdict = lacks ? 'incomplete' : early ? 'early' : held ? 'pass' : 'fail';
  const says = explain(test, severity, verdict, { countsFromH, limits, lacks });
  return {
    id: test.id,
    kind: test.kind,
    severity,
    verdict,
    early,
    countsFromH,
    ...lattice(test, reading, severity, dossier),
    says,
    why: `${KIND_WORDS[test.kind]}: ${lowerFirst(says)}`,
  };
}

type Lack = 'treatment' | 'age' | 'confidence';

/** What a reading lacks to be judged; a class guessed from a poor picture is no more than a missing one. */
function findLack({ treatment, age_h, reading }: Test): Lack | null {
  if (!treatment) return 'treatment';
  if (age_h === undefined) return 'age';
  return typeof reading.confidence === 'number' && reading.confidence < LEAST_CONFIDENCE ? 'confidence' : null;
}

const LACK_WORDS: Record<Lack, string> = {
  treatment: 'the record lacks what was put on the patch',
  age: 'the record lacks the age of the patch',
  confidence: 'the picture leaves the class a guess: take it again, or look and log it by eye',
};

/** Bleed that was measured is held against the limits of colour; all else against the limit of severity. */
function holds(kind: Test['kind'], reading: Record<string, unknown>, severity: Severity, limits: Limits): boolean {
  if (kind !== 'bleed_watch') return severity <= limits.scratch_most;
  if (typeof reading.de_mean !== 'number') return severity <= EYE_LIMIT;
  return reading.de_mean < limits.bleed_mean && Number(reading.de_worst) < limits.bleed_worst;
}

/** By eye: barely to be seen beside the reference. */
const EYE_LIMIT = 1;

function readSeverity(kind: Test['kind'], reading: Record<string, unknown>): Severity {
  switch (kind) {
    case 'cross_cut':
      if (typeof reading.removed_pct === 'number') return toIsoClass(reading.removed_pct);
      return typeof reading.iso_class === 'number'
        ? (reading.iso_class as Severity)
        : severityOfAstm(String(reading.astm));
    case 'x_cut':
      return severityOfAstm(String(reading.astm));
    case 'solvent_rub':
      return severityOfRubs(Number(reading.double_rubs));
    case 'pencil':
      return severityOfPencil(PENCIL_GRADES, String(reading.grade));
    case 'bleed_watch':
      if (typeof reading.de_mean !== 'number') return Number(reading.score) as Severity;
      return severityOfBleed(reading.de_mean, Number(reading.de_worst));
    case 'nail':
    case 'fork':
    case 'coin':
    case 'blade':
    case 'tape':
    case 'water':
      return Number(reading.score) as Severity;
  }
}

function countsFrom(test: Test): number {
  // A stain may show at any hour.
  return test.kind === 'bleed_watch' ? 0 : countsFromHours(test.treatment);
}

/** Hours from which a scratch of this patch counts: the slower of its paint and its primer. */
export function countsFromHours({ paint, primer }: Treatment = {}): number {
  const layers = [paint, primer === 'none' ? undefined : primer].filter((code) => code !== undefined);
  return layers.length === 0 ? UNPRIMED_FROM_H : Math.max(...layers.map((code) => FILM_FACTS[code].testFromH));
}

function lattice(
  test: Test,
  reading: Record<string, unknown>,
  severity: Severity,
  dossier: Pick<Dossier, 'piece' | 'zones'>,
): Pick<JudgedTest, 'isoClass' | 'astm' | 'cut'> {
  if (test.kind !== 'cross_cut') return {};
  const astm = typeof reading.removed_pct === 'number' ? toAstmClass(reading.removed_pct) : astmOfSeverity(severity);
  return { isoClass: severity, astm, cut: specifyCutOn(dossier, test.zone, test.treatment) };
}

const WHERE: Readonly<Record<string, string>> = {
  paint_from_paint: 'between the paint coats',
  paint_from_primer: 'paint off the primer',
  primer_from_substrate: 'primer off the surface',
  old_coat_from_substrate: 'the old coat off the surface',
  substrate_itself: 'in the surface itself',
};

function explain(
  test: Test,
  severity: Severity,
  verdict: JudgedTest['verdict'],
  { countsFromH, limits, lacks }: { countsFromH: number; limits: Limits; lacks: Lack | null },
): string {
  const place = test.interface && severity > 0 ? ` It let go ${WHERE[test.interface] ?? ''}.` : '';
  switch (verdict) {
    case 'incomplete':
      return `Severity ${severity} of 5, but ${LACK_WORDS[lacks ?? 'age']}.`;
    case 'early':
      return `Severity ${severity} of 5 at ${test.age_h} h, early. Readings count from ${countsFromH} h.${place}`;
    case 'pass':
      return `Severity ${severity} of 5 at ${test.age_h} h. It holds.`;
    case 'fail':
      return `Severity ${severity} of 5 at ${test.age_h} h, and ${sayLimit(test, limits)} is the most that passes.${place}`;
  }
}

const sayLimit = ({ kind, reading }: Test, { scratch_most, bleed_mean, bleed_worst }: Limits): string =>
  kind !== 'bleed_watch'
    ? String(scratch_most)
    : typeof reading.de_mean === 'number'
      ? `a mean ΔE00 of ${bleed_mean} with ${bleed_worst} at the worst spot`
      : String(EYE_LIMIT);

// prettier-ignore
export const KIND_WORDS: Record<Test['kind'], string> = {
  nail: 'Thumbnail', fork: 'Fork', coin: 'Coin', blade: 'Blade corner', tape: 'Tape', cross_cut: 'Cross-cut', x_cut: 'X-cut',
  solvent_rub: 'Alcohol rub', pencil: 'Pencil', bleed_watch: 'Bleed watch', water: 'Wet ring',
};

export const describeTreatment = (treatment: Test['treatment']): string => {
  const primer =
    treatment?.primer && treatment.primer !== 'none' ? PRIMER_FACTS[treatment.primer as PrimerCode].label : 'no primer';
  const coats = (treatment?.coats ?? 1) > 1 ? ` ×${treatment?.coats}` : '';
  return `${PREP_LABELS[treatment?.prep ?? 'none']}, ${primer.toLowerCase()}${coats}`;
};

// prettier-ignore
export const PREP_LABELS: Readonly<Record<string, string>> = {
  none: 'Not dulled', scuff_120: 'Scuff 120', scuff_150: 'Scuff 150', scuff_180: 'Scuff 180', scuff_220: 'Scuff 220',
  liquid_degloss: 'Deglosser', strip: 'Stripped', sand_bare: 'Sanded bare',
};

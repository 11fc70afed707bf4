import {
  FILM_FACTS,
  PATCH_LOOKS,
  showsBleed,
  TEST_KIND_FACTS,
  type PatchLook,
  type TestKind,
  type TestKindFact,
} from '../knowledge';
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
  /** Hours since the patch was coated, where that was recorded. */
  ageH?: number;
  /** How the patch of a clear finish looks. */
  looks?: PatchLook[];
  /** What the record lacks to be judged. */
  lacks?: Lack;
  /** The most that passes. */
  limit: PassLimit;
  /** Where the coat let go, where it did. */
  letGo?: NonNullable<Test['interface']>;
}

/** The most that passes: a severity, or a mean and worst ΔE00 where bleed was measured. */
export type PassLimit = { severity: number } | { deMean: number; deWorst: number };

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
  const severity = severityOf(test.kind, reading);
  const countsFromH = countsFrom(test);
  const age = test.age_h;
  const early = age !== undefined && age < countsFromH;
  const limits = limitsOf(dossier);
  const limit = limitOf(test, limits);
  const held = 'severity' in limit ? severity <= limit.severity : isUnder(reading, limit);
  const lacks = findLack(test);
  const looks = (reading.looks ?? []) as PatchLook[];
  // What wrinkles or turns white does so at any age.
  const spoiled = looks.some((look) => PATCH_LOOKS[look].spoils);
  const shown = spoiled ? 'fail' : early ? 'early' : held ? 'pass' : 'fail';
  const verdict = lacks === null || (spoiled && lacks === 'age') ? shown : 'incomplete';
  return {
    id: test.id,
    kind: test.kind,
    severity,
    verdict,
    early,
    countsFromH,
    ...lattice(test, reading, severity, dossier),
    ...(age === undefined ? {} : { ageH: age }),
    ...(lacks ? { lacks } : {}),
    ...(looks.length > 0 ? { looks } : {}),
    limit,
    ...(test.interface && severity > 0 ? { letGo: test.interface } : {}),
  };
}

export type Lack = 'treatment' | 'age' | 'confidence';

/** What a reading lacks to be judged; a class guessed from a poor picture is no more than a missing one. */
function findLack({ treatment, age_h, reading }: Test): Lack | null {
  if (!treatment) return 'treatment';
  if (age_h === undefined) return 'age';
  return typeof reading.confidence === 'number' && reading.confidence < LEAST_CONFIDENCE ? 'confidence' : null;
}

/** Bleed that was measured is held against the limits of colour; all else against the limit of severity. */
function limitOf({ kind, reading }: Test, { scratch_most, bleed_mean, bleed_worst }: Limits): PassLimit {
  if (!showsBleed(kind)) return { severity: scratch_most };
  return typeof reading.de_mean === 'number' ? { deMean: bleed_mean, deWorst: bleed_worst } : { severity: EYE_LIMIT };
}

const isUnder = (reading: Record<string, unknown>, { deMean, deWorst }: { deMean: number; deWorst: number }): boolean =>
  Number(reading.de_mean) < deMean && Number(reading.de_worst) < deWorst;

/** By eye: barely to be seen beside the reference. */
const EYE_LIMIT = 1;

/** The severity of a reading that fits its kind. Example: a lattice of 12 % bare → 2. */
export const severityOf = (kind: TestKind, reading: Readonly<Record<string, unknown>>): Severity =>
  SEVERITIES[TEST_KIND_FACTS[kind].reads](reading);

const SEVERITIES: Record<TestKindFact['reads'], (reading: Readonly<Record<string, unknown>>) => Severity> = {
  score: ({ score }) => Number(score) as Severity,
  lattice: ({ removed_pct, iso_class, astm }) => {
    if (typeof removed_pct === 'number') return toIsoClass(removed_pct);
    return typeof iso_class === 'number' ? (iso_class as Severity) : severityOfAstm(String(astm));
  },
  x_cut: ({ astm }) => severityOfAstm(String(astm)),
  double_rubs: ({ double_rubs }) => severityOfRubs(Number(double_rubs)),
  pencil: ({ grade }) => severityOfPencil(PENCIL_GRADES, String(grade)),
  bleed: ({ score, de_mean, de_worst }) =>
    typeof de_mean === 'number' ? severityOfBleed(de_mean, Number(de_worst)) : (Number(score) as Severity),
};

function countsFrom(test: Test): number {
  // A stain may show at any hour.
  return showsBleed(test.kind) ? 0 : countsFromHours(test.treatment);
}

/** Hours from which a scratch of this patch counts: the slowest of what is on it. Over paint a clear coat is not asked. */
export function countsFromHours({ paint, primer, clear }: Treatment = {}): number {
  const last = paint ?? (clear === 'none' ? undefined : clear);
  const layers = [last, primer === 'none' ? undefined : primer].filter((code) => code !== undefined);
  return layers.length === 0 ? UNPRIMED_FROM_H : Math.max(...layers.map((code) => FILM_FACTS[code].testFromH));
}

function lattice(
  test: Test,
  reading: Record<string, unknown>,
  severity: Severity,
  dossier: Pick<Dossier, 'piece' | 'zones'>,
): Pick<JudgedTest, 'isoClass' | 'astm' | 'cut'> {
  if (TEST_KIND_FACTS[test.kind].reads !== 'lattice') return {};
  const astm = typeof reading.removed_pct === 'number' ? toAstmClass(reading.removed_pct) : astmOfSeverity(severity);
  return { isoClass: severity, astm, cut: specifyCutOn(dossier, test.zone, test.treatment) };
}

import { ASTM_A_CLASSES, PENCIL_GRADES, type BLEED_MOMENTS, type Test } from '../dossier';
import { TEST_KIND_FACTS, type TestKind, type TestKindFact } from '../knowledge';
import { severityOf } from './judge';

type BleedMoment = (typeof BLEED_MOMENTS)[number];
type Reads = TestKindFact['reads'];

/** How a reading is written from the code of an answer, or from a number. */
const WRITE: Record<Reads, (value: string, at: BleedMoment) => Test['reading']> = {
  score: (value) => ({ score: Number(value) }),
  lattice: (value) => ({ iso_class: Number(value) }),
  x_cut: (value) => ({ astm: value }),
  double_rubs: (value) => ({ double_rubs: Number(value) }),
  pencil: (value) => ({ grade: value }),
  bleed: (value, at) => ({ at, score: Number(value) }),
};

/** The reading in the shape its kind has; `value` is an answer's code or a number, `at` the moment of a bleed watch. */
export const makeReading = (kind: TestKind, value: string, at: BleedMoment): Test['reading'] =>
  WRITE[TEST_KIND_FACTS[kind].reads](value, at);

export interface Answer {
  code: string;
  hint: string;
  /** Place in the row of answers, the best first, but for pencils, softest first. */
  score: number;
}

/** The answers of a kind of test; none where a number is written. */
export function listAnswers(kind: TestKind): Answer[] {
  const { reads, anchors = [] } = TEST_KIND_FACTS[kind];
  if (reads === 'pencil') return PENCIL_GRADES.map((grade, score) => ({ code: grade, hint: '', score }));
  return anchors.map((hint, score) => ({
    code: reads === 'x_cut' ? ASTM_A_CLASSES[score]! : String(score),
    hint,
    score,
  }));
}

/** Did something come off, so that it is asked where? Example: a cross-cut of 3 % bare → true; any pencil → false. */
export const letsGo = (kind: TestKind, reading: Test['reading']): boolean =>
  TEST_KIND_FACTS[kind].letsGo === true && severityOf(kind, reading) > 0;

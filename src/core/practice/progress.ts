import { findCheck, MISREADING_RATE } from '../knowledge';
import { CONFIDENCES, EXERCISE_KINDS, type Confidence, type ExerciseKind, type PracticeAnswer } from '../workshop';

export interface Calibration {
  confidence: Confidence;
  answers: number;
  right: number;
  /** Share that was right, drawn to the share over all levels; null while there are too few to say. */
  share: number | null;
}

/** Fewer answers than this say nothing of how sure one may be. */
const LEAST_ANSWERS = 5;
/** The share over all levels counts as so many answers of each. */
const DRAWN_BY = 3;

/** How often one was right at each level of confidence. */
export function calibrate(answers: readonly PracticeAnswer[]): Calibration[] {
  const overall = answers.filter(({ right }) => right).length / Math.max(1, answers.length);
  return CONFIDENCES.map((confidence) => {
    const own = answers.filter((answer) => answer.confidence === confidence);
    const right = own.filter((answer) => answer.right).length;
    const share = own.length < LEAST_ANSWERS ? null : (right + DRAWN_BY * overall) / (own.length + DRAWN_BY);
    return { confidence, answers: own.length, right, share };
  });
}

export interface KindProgress {
  kind: ExerciseKind;
  answers: number;
  /** Share right after each answer, recent ones counting most. */
  curve: number[];
}

/** Each answer takes this share of the figure. */
const NEW_SHARE = 0.15;

/** How the share of right answers went, for each kind that was practised. */
export function tellProgress(answers: readonly PracticeAnswer[]): KindProgress[] {
  return EXERCISE_KINDS.flatMap((kind) => {
    const own = answers.filter((answer) => answer.kind === kind);
    if (own.length === 0) return [];
    let mean = 0;
    const curve = own.map(({ right }, i) => {
      const share = Math.max(NEW_SHARE, 1 / (i + 1));
      mean += share * ((right ? 1 : 0) - mean);
      return mean;
    });
    return [{ kind, answers: own.length, curve }];
  });
}

export interface MeasuredSlips {
  check: string;
  looks: number;
  slips: number;
  /** Share of answers given by mistake, spread evenly over the answers: as the diagnosis takes it. */
  rate: number;
}

/** What is assumed of everybody counts as so many looks. */
const GENERAL_LOOKS = 20;
const [LEAST_RATE, MOST_RATE] = [0.01, 0.5];

/**
 * How often each check is misread, by looks at pictures whose answer is known. A misreading may hit the right answer by
 * chance: of `k` answers one in `k`, so the rate is slips ÷ looks × k ÷ (k − 1), drawn to the general rate, 0.01–0.5.
 */
export function measureSlips(answers: readonly PracticeAnswer[]): MeasuredSlips[] {
  const tally = new Map<string, { looks: number; slips: number }>();
  for (const { looks } of answers)
    for (const { check, showed, said } of looks ?? []) {
      const own = tally.get(check) ?? { looks: 0, slips: 0 };
      tally.set(check, { looks: own.looks + 1, slips: own.slips + (showed === said ? 0 : 1) });
    }
  return [...tally].flatMap(([check, { looks, slips }]) => {
    const known = findCheck(check);
    // A measurement has slips of its own, which are no one's reading.
    if (!known || known.measures) return [];
    const k = known.answers.length;
    const drawn = (slips * (k / (k - 1)) + MISREADING_RATE * GENERAL_LOOKS) / (looks + GENERAL_LOOKS);
    return [{ check, looks, slips, rate: Math.min(MOST_RATE, Math.max(LEAST_RATE, drawn)) }];
  });
}

/** The measured rates by check, as a diagnosis takes them. */
export const ratesOf = (answers: readonly PracticeAnswer[]): Record<string, number> =>
  Object.fromEntries(measureSlips(answers).map(({ check, rate }) => [check, Math.round(rate * 1000) / 1000]));

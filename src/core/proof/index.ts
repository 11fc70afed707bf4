export {
  BLEED_LIMIT,
  bleedMomentAt,
  judgeBleedGate,
  judgeHandoverGate,
  judgePrimeGate,
  provesNoBleed,
  type Gate,
} from './gates';
export {
  countsFromHours,
  DEFAULT_LIMITS,
  describeTreatment,
  judgeTest,
  KIND_WORDS,
  limitsOf,
  PREP_LABELS,
  type JudgedTest,
  type Limits,
} from './judge';
export { specifyCutOn } from './cut';
export { joinShots, traceDrift, type Drift, type DriftPoint } from './drift';
export * from '../scales';

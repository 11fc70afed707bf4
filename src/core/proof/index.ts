export { judgeBleedGate, judgeHandoverGate, judgePrimeGate, treatmentKey, type Gate } from './gates';
export {
  countsFromHours,
  DEFAULT_LIMITS,
  describeTreatment,
  estimateFilm,
  judgeTest,
  KIND_WORDS,
  limitsOf,
  PREP_LABELS,
  type JudgedTest,
  type Limits,
} from './judge';
export { joinShots, SINGLE_SHOT, traceDrift, type Drift, type DriftPoint } from './drift';
export * from '../scales';

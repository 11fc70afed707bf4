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
} from './judge';
export * from '../scales';

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
  limitsOf,
  type JudgedTest,
  type Limits,
} from './judge';
export { letsGo, listAnswers, makeReading, sayReading } from './readings';
export { specifyCutOn } from './cut';
export { joinShots, traceDrift, type Drift, type DriftPoint } from './drift';
export * from '../scales';

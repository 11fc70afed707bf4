export {
  BLEED_LIMIT,
  bleedMomentAt,
  judgeBleedGate,
  judgeHandoverGate,
  judgePrimeGate,
  provesNoBleed,
  type Gate,
  type GateReason,
  type Touch,
} from './gates';
export {
  countsFromHours,
  DEFAULT_LIMITS,
  judgeTest,
  limitsOf,
  severityOf,
  type JudgedTest,
  type Lack,
  type Limits,
} from './judge';
export { letsGo, listAnswers, makeReading } from './readings';
export { specifyCutOn } from './cut';
export { treatmentKey } from './treatment-key';
export { joinShots, traceDrift, type Drift, type DriftPoint } from './drift';
export * from '../scales';

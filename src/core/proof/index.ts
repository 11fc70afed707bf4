export { listAlike } from './alike-zones';
export { closesAfterH, cureDaysOf } from './cure';
export { chanceOfBleed, computeLightness, expectsBleed, exposureOf, isPaleWish, type Exposure } from './bleeding';
export { judgeBleedGate, judgeHandoverGate, judgePrimeGate, listWanted, type Gate, type GateReason } from './gates';
export {
  bleedMomentAt,
  isOfGrip,
  listAskedKinds,
  listProofs,
  provesNoBleed,
  requirementsFor,
  withoutPaint,
  type Proof,
  type Requirement,
} from './requirements';
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
export { clearOf, treatmentKey, type Wanted } from './sameness';
export { joinShots, traceDrift, type Drift, type DriftPoint } from './drift';
export * from '../scales';

export { computeBelief, CREDIBLE, mostLikelyState, type Belief, type Ranked } from './belief';
export type { Misreadings } from './clues';
export { lookMisread, rateLooks } from './camera-looks';
export { labelState } from './labels';
export { assessZone, diagnosePiece, diagnoseZone, tellsMost, type EvidenceItem, type ZoneDiagnosis } from './diagnose';
export { mayCheck, type Circumstance, type NextCheck } from './next-check';
export type { Target } from './telling';
export { nextQuestion } from './next-question';
export type { Contradiction } from './contradictions';
export { mayBeHere, rankDefects } from './fits';
export { isStoppedByLead, listHazards, listStops, type Hazard, type Stop } from './hazards';
export { isAnswered, findServed, listAnswers, type Need } from './needs';
export {
  byInformation,
  byWorth,
  drawSurface,
  drawTrueAnswers,
  inFixedOrder,
  measurePractice,
  readSurface,
  type PracticeSurface,
} from './practice';
export { FACETS, STATES, type State } from './states';
export { foreseeAnswer } from './foresee';

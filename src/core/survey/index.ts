export { computeBelief, CREDIBLE, mostLikelyState, type Belief, type Ranked } from './belief';
export { diagnosePiece, diagnoseZone, labelState, type EvidenceItem, type ZoneDiagnosis } from './diagnose';
export { DEFAULT_AREA_M2, type NextCheck } from './next-check';
export type { Contradiction } from './contradictions';
export type { Hazard } from './hazards';
export { lastResult, SURFACE_NEEDS, type Need } from './needs';
export { byInformation, byWorth, drawSurface, inFixedOrder, makeReader, measurePractice } from './practice';
export { reportDiagnosis } from './report';
export { FACETS, STATES, type State } from './states';

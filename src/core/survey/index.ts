export { computeBelief, CREDIBLE, mostLikelyState, type Belief, type Ranked } from './belief';
export { diagnosePiece, diagnoseZone, labelState, type EvidenceItem, type ZoneDiagnosis } from './diagnose';
export { DEFAULT_AREA_M2, type NextCheck } from './next-check';
export { lastResult, type Hazard, type Need } from './needs';
export { reportDiagnosis } from './report';
export { FACETS, STATES, type State } from './states';

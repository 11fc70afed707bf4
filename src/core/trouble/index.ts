export { auditAhead, auditPiece, type Finding } from './audit';
export { judgeCauses, readClues, type CauseBelief, type CausesBelief, type Evidence } from './causes';
export {
  listRecoveries,
  noteFound,
  takeRecovery,
  type LeavingWay,
  type Recoveries,
  type RecoveryLabel,
  type RecoveryWay,
  type RuledOut,
} from './recover';
export { findNextClue, listCredible, type NextClue } from './remedies';
export {
  findPatterns,
  tellStory,
  type Pattern,
  type PatternFact,
  type PieceStory,
  type SymptomPattern,
} from './patterns';
export { drawStory, tellWork, type StoryRow } from './story';
export { findTaken, readTroubleState, type TakenRecovery, type TroubleState } from './trouble-state';
export { drawCauseCase } from './simulate';

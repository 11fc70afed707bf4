export { auditAhead, auditPiece, type Finding } from './audit';
export { ageOf, judgeCauses, readClues, type CauseBelief, type CausesBelief, type Evidence } from './causes';
export {
  listRecoveries,
  takeRecovery,
  type LeavingWay,
  type Recoveries,
  type RecoveryLabel,
  type RecoveryWay,
  type RuledOut,
} from './recover';
export { findNextClue, listCredible, type NextClue } from './remedies';

export { auditAhead, auditPiece, type Finding } from './audit';
export type { FindingCode } from './rules';

export { auditAhead, auditPiece, type Finding } from './audit';
export { AUDIT_RULES, FINDING_CODES, type AuditRule, type FindingCode, type Severity } from './rules';

import type { Dossier } from '@/core/dossier';
import { auditPiece } from '@/core/trouble';
import { sayFinding } from '@/words';

/** `bricolage.audit/1`: what the log of a piece has against it, as an open format. */
export function reportAudit(dossier: Dossier) {
  return {
    format: 'bricolage.audit/1' as const,
    findings: auditPiece(dossier).map((finding) => {
      const { code, zone, entry, severity, was, asked, unit } = finding;
      return { code, zone, entry, severity, was, asked, unit, why: sayFinding(finding) };
    }),
  };
}

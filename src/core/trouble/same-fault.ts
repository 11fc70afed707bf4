import { listTreated, type Dossier } from '../dossier';
import { CAUSE_FACTS } from '../knowledge';
import type { Air } from '../workshop';
import { auditPiece } from './audit';
import type { CausesBelief } from './causes';
import { listCredible } from './remedies';

/**
 * Other zones of the piece whose log has the same against it as what is likely to have made a trouble, and that nothing is
 * logged as wrong with: the same thinned coat lies on them, and mending one zone mends none of the others.
 */
export function listSameFault(dossier: Dossier, belief: CausesBelief, air: readonly Air[] = []): string[] {
  const pointing = new Set(listCredible(belief).flatMap(({ code }) => Object.keys(CAUSE_FACTS[code].findings ?? {})));
  const faults = belief.findings.filter(({ code, severity }) => severity !== 'unknown' && pointing.has(code));
  if (faults.length === 0) return [];
  const troubled = new Set((dossier.troubles ?? []).flatMap(({ zone, settled }) => (settled ? [] : [zone])));
  const others = listTreated(dossier).flatMap(({ id }) => (id === belief.trouble.zone || troubled.has(id) ? [] : [id]));
  const found = auditPiece(dossier, air, others);
  return others.filter((zone) =>
    found.some(
      (own) => own.zone === zone && faults.some(({ code, class: of }) => own.code === code && own.class === of),
    ),
  );
}

import type { Air } from '../workshop';
import type { Dossier, LogEntry } from '../dossier';
import { FINDING_CODES, type FindingCode } from '../knowledge';
import { AUDIT_RULES, type AuditRule, type Found, type Severity } from './rules';
import { viewZones, type ZoneView } from './zone-view';

/** Something in the log that speaks against a piece of work. */
export interface Finding extends Omit<Found, 'severity'> {
  code: FindingCode;
  zone: string;
  severity: Severity;
  unit?: AuditRule['unit'];
}

const GRAVITY: readonly Severity[] = ['major', 'minor', 'unknown'];

/**
 * The log of a piece held against the plan that was taken, the labels of the tins, the rules of the layers and the air, at
 * any time; the gravest first, then in the order of the log. `air`: the workshop's readings, for coats without their own; `only`: the zones to
 * look at, all without it.
 * Nothing is found in what was not written down but that it was not.
 */
export function auditPiece(dossier: Dossier, air: readonly Air[] = [], only?: readonly string[]): Finding[] {
  return byGravity(viewZones(dossier, air, only).flatMap(auditView));
}

/** As `auditPiece`, of one zone as it is viewed. */
export const auditZone = (view: ZoneView): Finding[] => byGravity(auditView(view));

const auditView = (view: ZoneView): Finding[] =>
  FINDING_CODES.flatMap((code) => {
    const { severity, unit, find } = AUDIT_RULES[code];
    return find(view).map((own): Finding => ({
      code,
      zone: view.zone.id,
      severity,
      ...own,
      ...(own.was === undefined || unit === undefined ? {} : { unit }),
    }));
  });

function byGravity(found: Finding[]): Finding[] {
  const rank = ({ severity, entry = Infinity }: Finding): [number, number] => [GRAVITY.indexOf(severity), entry];
  return found.sort((a, b) => {
    const [[ga, ea], [gb, eb]] = [rank(a), rank(b)];
    return ga - gb || (ea === eb ? 0 : ea - eb);
  });
}

/**
 * What would be found against some work if it were logged now: the same records, before the fault is made. `waiting`: what
 * has to dry first is shown beside it, and need not be said twice.
 */
export function auditAhead(
  dossier: Dossier,
  entries: readonly LogEntry[],
  { air, waiting }: { air: readonly Air[]; waiting: boolean },
): Finding[] {
  const log = dossier.log ?? [];
  const zones = entries.map(({ zone }) => zone);
  return auditPiece({ ...dossier, log: [...log, ...entries] }, air, zones).filter(
    ({ code, entry = -1, severity }) =>
      entry >= log.length && severity !== 'unknown' && !(waiting && AUDIT_RULES[code].waited),
  );
}

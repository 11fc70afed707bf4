import { isStoppedByLead, listStops, type ZoneDiagnosis } from '../survey';

/** How far a zone is read, for drawings and lists. */
export type ReadingState = 'stopped' | 'conflict' | 'settled' | 'part' | 'open';

/** The worst that holds: a stop or a clash is never hidden behind a tick. */
export function judgeReadingState(diagnosis: ZoneDiagnosis): ReadingState {
  if (isStoppedByLead(diagnosis.hazards)) return 'stopped';
  if (diagnosis.contradictions.length > 0) return 'conflict';
  const leadOpen = listStops(diagnosis.hazards).some(({ by }) => by === 'lead_possible');
  if (diagnosis.settled && !leadOpen) return 'settled';
  return diagnosis.evidence.length > 0 ? 'part' : 'open';
}

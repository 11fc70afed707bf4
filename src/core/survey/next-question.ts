import { findCheck } from '../knowledge';
import type { ZoneDiagnosis } from './diagnose';
import { isStoppedByLead, listStops } from './hazards';
import { isLook } from './next-check';

/**
 * The check to ask for now; none where nothing is worth asking, or where lead that was found stops everything. The gate
 * on dust and heat stands from the first second, but its test waits for looks of under a minute that are worth making:
 * one of them may show that there is no coat that could hold lead.
 */
export function nextQuestion({ hazards, nextChecks }: Pick<ZoneDiagnosis, 'hazards' | 'nextChecks'>): string | null {
  if (isStoppedByLead(hazards)) return null;
  const first = nextChecks[0]?.check ?? null;
  if (!listStops(hazards).some(({ by }) => by === 'lead_possible')) return first;
  const look = nextChecks.find(({ check }) => isLook(findCheck(check)!));
  return look?.check ?? 'lead_test';
}

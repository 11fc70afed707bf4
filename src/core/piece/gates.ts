import type { Dossier } from '../dossier';
import { judgeBleedGate, judgeHandoverGate, judgePrimeGate, type Gate } from '../proof';

/** The gates before painting, of every zone, or of one alone: proof of grip, and of no bleed where pale paint meets a bleed risk. */
export function judgeGates(dossier: Dossier, only?: string): Gate[] {
  return (dossier.zones ?? []).flatMap((zone) => {
    if (only !== undefined && zone.id !== only) return [];
    return [judgePrimeGate(dossier, zone), judgeBleedGate(dossier, zone)];
  });
}

/** The gate before the piece leaves: its coats have cured. */
export const judgeHandovers = (dossier: Dossier, now: string): Gate[] =>
  (dossier.zones ?? []).map((zone) => judgeHandoverGate(dossier, zone, now));

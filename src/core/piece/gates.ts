import { recoveryOf, type Dossier } from '../dossier';
import { judgeBleedGate, judgeHandoverGate, judgePrimeGate, type Gate } from '../proof';
import { computeBelief } from '../survey';
import { DEFAULT_COLOUR, isPaleColour } from '../systems';

export const isPale = (dossier: Pick<Dossier, 'goal'>): boolean => isPaleColour(dossier.goal?.colour ?? DEFAULT_COLOUR);

/** The gates before painting, of every zone, or of one alone: proof of grip, and of no bleed where pale paint meets a bleed risk. */
export function judgeGates(dossier: Dossier, only?: string): Gate[] {
  const pale = isPale(dossier);
  return (dossier.zones ?? []).flatMap((zone) => {
    if (only !== undefined && zone.id !== only) return [];
    const bleedRisk = Math.max(computeBelief(dossier, zone).present.bleed, recoveryOf(dossier, zone.id)?.bleeds ?? 0);
    return [judgePrimeGate(dossier, zone), judgeBleedGate(dossier, zone, bleedRisk, pale)];
  });
}

/** The gate before the piece leaves: its coats have cured. */
export const judgeHandovers = (dossier: Dossier, now: string): Gate[] =>
  (dossier.zones ?? []).map((zone) => judgeHandoverGate(dossier, zone, now));

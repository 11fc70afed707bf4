import { recoveryOf, wishOf, type Dossier, type Zone } from '../dossier';
import { judgeBleedGate, judgeHandoverGate, judgePrimeGate, type Gate } from '../proof';
import { computeBelief } from '../survey';
import { isPaleWish } from '../systems';

/** Whether a zone is to be of a colour that bleeding shows through. */
export const isPale = (dossier: Pick<Dossier, 'goal'>, zone: Zone): boolean => isPaleWish(wishOf(dossier, zone));

/** The gates before painting, of every zone, or of one alone: proof of grip, and of no bleed where pale paint meets a bleed risk. */
export function judgeGates(dossier: Dossier, only?: string): Gate[] {
  return (dossier.zones ?? []).flatMap((zone) => {
    if (only !== undefined && zone.id !== only) return [];
    const bleedRisk = Math.max(computeBelief(dossier, zone).present.bleed, recoveryOf(dossier, zone.id)?.bleeds ?? 0);
    return [judgePrimeGate(dossier, zone), judgeBleedGate(dossier, zone, bleedRisk, isPale(dossier, zone))];
  });
}

/** The gate before the piece leaves: its coats have cured. */
export const judgeHandovers = (dossier: Dossier, now: string): Gate[] =>
  (dossier.zones ?? []).map((zone) => judgeHandoverGate(dossier, zone, now));

import type { Dossier } from '../dossier';
import { judgeBleedGate, judgePrimeGate, reportProof, type Gate } from '../proof';
import { computeBelief } from '../survey';
import { computeLightness, DEFAULT_COLOUR } from '../systems';

/** The gates of every zone: proof of grip, and of no bleed where pale paint meets a bleed risk. */
export function judgeGates(dossier: Dossier): Gate[] {
  const pale = computeLightness(dossier.goal?.colour ?? DEFAULT_COLOUR) > 0.35;
  return (dossier.zones ?? []).flatMap((zone) => {
    const bleedRisk = computeBelief(dossier, zone).present.bleed;
    return [judgePrimeGate(dossier, zone), judgeBleedGate(dossier, zone, bleedRisk, pale)];
  });
}

export const reportGates = (dossier: Dossier) => reportProof(dossier, judgeGates(dossier));

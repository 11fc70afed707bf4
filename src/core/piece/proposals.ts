import type { Dossier, Treatment } from '../dossier';
import { needsBleedWatch, proposePanel, type Proposal } from '../panel';
import { computeBelief } from '../survey';
import { isPale, judgeGates } from './gates';

/** The panel that would tell most on one zone; null when there is nothing to paint there. */
export function proposeForZone(dossier: Dossier, zoneId: string, planned?: Treatment): Proposal | null {
  const zone = dossier.zones?.find(({ id }) => id === zoneId);
  if (!zone) return null;
  const bleeds = needsBleedWatch(computeBelief(dossier, zone).present.bleed, isPale(dossier, zone));
  return proposePanel(dossier, zone, bleeds, planned);
}

/** The panel that would tell most, over all zones whose gate still asks for proof. */
export function proposeNextPanel(dossier: Dossier): Proposal | null {
  return judgeGates(dossier)
    .filter(({ gate, state }) => gate === 'prime_to_paint' && (state === 'waiting' || state === 'closed'))
    .flatMap(({ zone }) => proposeForZone(dossier, zone) ?? [])
    .reduce<Proposal | null>((best, own) => (best && best.worth >= own.worth ? best : own), null);
}

import type { Dossier, Treatment } from '../dossier';
import { proposePanel, type Proposal } from '../panel';
import { judgeGates } from './gates';

/** The panel that would tell most on one zone; null when there is nothing to paint there. */
export function proposeForZone(dossier: Dossier, zoneId: string, planned?: Treatment): Proposal | null {
  const zone = dossier.zones?.find(({ id }) => id === zoneId);
  if (!zone) return null;
  return proposePanel(dossier, zone, planned);
}

/** The panel that would tell most, over all zones one of whose gates still asks for proof. */
export function proposeNextPanel(dossier: Dossier): Proposal | null {
  const asking = judgeGates(dossier).filter(({ state }) => state === 'waiting' || state === 'closed');
  return [...new Set(asking.map(({ zone }) => zone))]
    .flatMap((zone) => proposeForZone(dossier, zone) ?? [])
    .reduce<Proposal | null>((best, own) => (best && best.worth >= own.worth ? best : own), null);
}

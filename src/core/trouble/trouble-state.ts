import { recoveryOf, type Dossier, type Trouble } from '../dossier';
import { LABEL_CLIMATE } from '../climate';
import { listTasks } from '../work';

/** Where a trouble stands: to be found out, being worked on, worked on and to be looked at, or settled. */
export type TroubleState = 'open' | 'in_recovery' | 'recovered' | 'mended' | 'came_back' | 'left';

export function readTroubleState(dossier: Dossier, { id, zone, settled }: Trouble): TroubleState {
  if (settled) return settled.how === 'mended' || settled.how === 'came_back' ? settled.how : 'left';
  if (recoveryOf(dossier, zone)?.trouble !== id) return 'open';
  const open = listTasks(dossier, dossier.shelf ?? [], LABEL_CLIMATE).some(
    ({ openZones, op }) => openZones.includes(zone) && op !== 'cure' && op !== 'handover',
  );
  return open ? 'in_recovery' : 'recovered';
}

import { recoveryOf, type Dossier, type PlannedStep, type Recovery, type Trouble } from '../dossier';
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

/** The way out that was taken last for a trouble, as it was written down then. */
export interface TakenRecovery {
  recovery: Recovery;
  steps: PlannedStep[];
}

export function findTaken({ chosen, earlier_choices: earlier = [] }: Dossier, troubleId: string): TakenRecovery | null {
  const zones = [...earlier, ...(chosen ? [chosen] : [])].flatMap((choice) => choice.zones);
  const own = zones.findLast(({ recovery }) => recovery?.trouble === troubleId);
  return own?.recovery ? { recovery: own.recovery, steps: own.steps ?? [] } : null;
}

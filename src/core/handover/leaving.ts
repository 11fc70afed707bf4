import { handedOverAt, isLeft, type Dossier } from '../dossier';
import { OPERATION_FACTS } from '../knowledge';
import type { Task } from '../work';
import type { Cure } from './cure';
import type { ReadyItem } from './ready';

/**
 * How far a piece is from leaving: work is open; its coats ripen; something is to be seen to; it may be sold; it was sold
 * and waits for pick-up; it is gone.
 */
export type Leaving = 'at_work' | 'ripening' | 'to_see_to' | 'for_sale' | 'waits' | 'gone';

export function judgeLeaving(
  dossier: Dossier,
  { tasks, cure, ready, now }: { tasks: readonly Task[]; cure: Cure | null; ready: readonly ReadyItem[]; now: string },
): Leaving {
  if (handedOverAt(dossier) !== null) return 'gone';
  const sold = dossier.money?.sold !== undefined;
  if (tasks.some(({ state, op }) => state === 'open' && !OPERATION_FACTS[op].leaves)) return sold ? 'waits' : 'at_work';
  if (!dossier.chosen && !sold) return 'at_work';
  if (sold) return 'waits';
  if (cure && Date.parse(now) < Date.parse(cure.curedAt)) return 'ripening';
  return ready.some(({ doneAt }) => doneAt === null) ? 'to_see_to' : 'for_sale';
}

/** Zones that are handed over with the piece: all that were worked on. */
export const listWorked = (dossier: Dossier): string[] =>
  (dossier.zones ?? []).filter((zone) => !isLeft(dossier, zone)).map(({ id }) => id);

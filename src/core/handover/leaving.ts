import { handedOverAt, isLeft, type Dossier } from '../dossier';
import { OPERATION_FACTS } from '../knowledge';
import { judgeHandovers } from '../piece';
import type { Gate } from '../proof';
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

/** The gate before a piece leaves, over all of its zones: the one that is open last. Null where nothing is painted. */
export function judgeLeavingGate(dossier: Dossier, now: string): Gate | null {
  const gates = judgeHandovers(dossier, now).filter(
    ({ because }) => because.code !== 'left' && because.code !== 'no_coat_yet',
  );
  const waiting = gates.filter(({ state }) => state === 'waiting');
  const until = ({ because }: Gate): number => (because.code === 'cures' ? Date.parse(because.until) : 0);
  const last = waiting.reduce<Gate | null>((most, own) => (!most || until(own) > until(most) ? own : most), null);
  return last ?? gates.find(({ state }) => state === 'overridden') ?? gates[0] ?? null;
}

/** Zones that are handed over with the piece: all that were worked on. */
export const listWorked = (dossier: Dossier): string[] =>
  (dossier.zones ?? []).filter((zone) => !isLeft(dossier, zone)).map(({ id }) => id);

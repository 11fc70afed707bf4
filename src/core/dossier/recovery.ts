import type { Dossier, Recovery, Trouble } from './schema';

/** Where the work on a zone took up again after something failed, in the system that is taken now. */
export const recoveryOf = (dossier: Pick<Dossier, 'chosen'>, zoneId: string): Recovery | undefined =>
  dossier.chosen?.zones.find(({ id }) => id === zoneId)?.recovery;

/** What is wrong with a zone and neither settled nor being worked on. */
export const openTroubles = ({ troubles = [], chosen }: Pick<Dossier, 'troubles' | 'chosen'>): Trouble[] =>
  troubles.filter(({ id, zone, settled }) => !settled && recoveryOf({ chosen }, zone)?.trouble !== id);

/** Whether a record of a zone is of the coats on it now: what was done and proved before the work took up again is of others. */
export function isOfNow(
  dossier: Pick<Dossier, 'chosen'>,
  { zone, at }: { zone: string; at?: string | undefined },
): boolean {
  const since = recoveryOf(dossier, zone)?.at;
  return since === undefined || (at !== undefined && Date.parse(at) >= Date.parse(since));
}

import { isOfNow } from './recovery';
import type { Dossier } from './schema';

/** Whether a piece was handed over, as its coats are now, and when; null where it was not. A day that is not known is empty. */
export function handedOverAt(dossier: Dossier): string | null {
  const last = (dossier.log ?? []).findLast(
    (entry) => entry.op === 'handover' && !entry.skipped && isOfNow(dossier, entry),
  );
  return last ? (last.at ?? '') : null;
}

/** Sold, and still here. */
export const waitsForPickUp = (dossier: Dossier): boolean =>
  dossier.money?.sold !== undefined && !dossier.piece.archived && handedOverAt(dossier) === null;

import type { Experience } from '@/core/dossier';
import { addUp, type OpenReadings } from '@/core/learning';
import type { PieceStore } from './db';
import { keepByPiece, keepWhile, type Judge } from './judge';

/**
 * What the shop has learned from its tests. Working a piece out takes a belief for each zone tested, so what each piece
 * taught is kept until the piece changes.
 */
export interface ShopExperience {
  /** Counts over all pieces, or over all but one. */
  list: (except?: string) => Promise<Experience[]>;
  /** What stands on faces that are not known yet, over all pieces. */
  listOpen: () => Promise<OpenReadings[]>;
}

export function makeShopExperience(store: PieceStore, { judge }: Judge): ShopExperience {
  const rowsOf = keepByPiece<'experience'>(store, (dossier) => judge('experience', dossier));
  const addAll = keepWhile((rows: readonly Experience[][]) => addUp(rows.flat()));
  const tell = async (except?: string) =>
    (await rowsOf(store.listChanges().filter(({ id }) => id !== except))).map(({ judged }) => judged);
  return {
    list: async (except) => addAll((await tell(except)).map(({ filed }) => filed)),
    listOpen: async () => (await tell()).flatMap(({ open }) => open),
  };
}

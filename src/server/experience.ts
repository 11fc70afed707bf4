import type { Dossier, Experience } from '@/core/dossier';
import { addUp, collectExperience } from '@/core/learning';
import type { PieceStore } from './db';
import { keepByPiece } from './keep-by-piece';

/**
 * What the shop has learned from its tests. Working a piece out takes a belief for each zone tested, so what each piece
 * taught is kept until the piece changes.
 */
export interface ShopExperience {
  /** Counts over all pieces, or over all but one. */
  list: (except?: string) => Experience[];
}

export function makeShopExperience(store: PieceStore): ShopExperience {
  const rowsOf = keepByPiece(store, (id) => collectExperience(store.find(id) as Dossier));
  return {
    list: (except) =>
      addUp(store.listChanges().flatMap(({ id, changedAt }) => (id === except ? [] : rowsOf(id, changedAt)))),
  };
}

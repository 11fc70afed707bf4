import type { Dossier, Experience } from '@/core/dossier';
import { addUp, collectExperience } from '@/core/learning';
import type { PieceStore } from './db';

/**
 * What the shop has learned from its tests. Working a piece out takes a belief for each zone tested, so what each piece
 * taught is kept until the piece changes.
 */
export interface ShopExperience {
  /** Counts over all pieces, or over all but one. */
  list: (except?: string) => Experience[];
}

export function makeShopExperience(store: PieceStore): ShopExperience {
  const known = new Map<string, { changedAt: string; rows: Experience[] }>();
  const rowsOf = (id: string, changedAt: string): Experience[] => {
    const before = known.get(id);
    if (before?.changedAt === changedAt) return before.rows;
    const rows = collectExperience(store.find(id) as Dossier);
    known.set(id, { changedAt, rows });
    return rows;
  };
  return {
    list: (except) =>
      addUp(store.listChanges().flatMap(({ id, changedAt }) => (id === except ? [] : rowsOf(id, changedAt)))),
  };
}

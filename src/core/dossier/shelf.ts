import type { Dossier, ShelfItem } from './schema';

/** Everything that can happen to the shop's shelf. Tins belong to the shop, not to a piece; doing it twice is doing it once. */
export type ShelfChange = { type: 'tin_set'; tin: ShelfItem } | { type: 'tin_removed'; tinId: string };

export function applyShelfChange(tins: readonly ShelfItem[], change: ShelfChange): ShelfItem[] {
  if (change.type === 'tin_removed') return tins.filter(({ id }) => id !== change.tinId);
  const { tin } = change;
  return tins.some(({ id }) => id === tin.id) ? tins.map((own) => (own.id === tin.id ? tin : own)) : [...tins, tin];
}

export const isShelfChange = (change: { type: string }): change is ShelfChange =>
  change.type === 'tin_set' || change.type === 'tin_removed';

/** A piece with the shop's tins beside those its file came with. */
export function withShelf(dossier: Dossier, tins: readonly ShelfItem[]): Dossier {
  const own = dossier.shelf ?? [];
  const others = tins.filter(({ id }) => !own.some((tin) => tin.id === id));
  return others.length > 0 ? { ...dossier, shelf: [...own, ...others] } : dossier;
}

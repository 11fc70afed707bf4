import { LIMITS } from './limits';
import type { Dossier, Drawing, ShelfItem } from './schema';

/**
 * Everything that can happen to the shop's shelf. Tins belong to the shop, not to a piece; doing it twice is doing it
 * once. What is drawn off is a fact of its own, named by the tap of the work it was for, so that taking the tap back
 * gives back what it took and no more.
 */
export type ShelfChange =
  | { type: 'tin_set'; tin: ShelfItem }
  | { type: 'tin_removed'; tinId: string }
  | { type: 'tin_drawn'; tinId: string; drawing: Drawing }
  | { type: 'tin_given_back'; tinId: string; work: string };

export function applyShelfChange(tins: readonly ShelfItem[], change: ShelfChange): ShelfItem[] {
  switch (change.type) {
    case 'tin_removed':
      return tins.filter(({ id }) => id !== change.tinId);
    case 'tin_set': {
      const { tin } = change;
      return tins.some(({ id }) => id === tin.id)
        ? tins.map((own) => (own.id === tin.id ? setTin(own, tin) : own))
        : [...tins, tin];
    }
    case 'tin_drawn':
      return tins.map((tin) => (tin.id === change.tinId ? draw(tin, change.drawing) : tin));
    case 'tin_given_back':
      return tins.map((tin) => (tin.id === change.tinId ? without(tin, change.work) : tin));
  }
}

/** A tin with another level was measured anew: what was drawn before no longer counts. */
function setTin(before: ShelfItem, { drawn: _drawn, ...tin }: ShelfItem): ShelfItem {
  const measured = tin.volume_ml !== before.volume_ml;
  return { ...tin, ...(measured || !before.drawn ? {} : { drawn: before.drawn }) } as ShelfItem;
}

/** A tin is opened by the first that is drawn off it. */
function draw(tin: ShelfItem, drawing: Drawing): ShelfItem {
  const opened = tin.opened_on ?? drawing.on;
  const drawn = [...(without(tin, drawing.work).drawn ?? []), drawing];
  const next = { ...tin, ...(opened ? { opened_on: opened } : {}), drawn };
  if (drawn.length <= LIMITS.drawn) return next;
  // The oldest can no longer be given back one by one: they are taken off the measured level for good.
  const [old, kept] = [drawn.slice(0, -LIMITS.drawn / 2), drawn.slice(-LIMITS.drawn / 2)];
  const level = levelOf({ ...tin, drawn: old });
  return { ...next, ...(level === undefined ? {} : { volume_ml: level }), drawn: kept };
}

const without = (tin: ShelfItem, work: string): ShelfItem =>
  tin.drawn ? { ...tin, drawn: tin.drawn.filter((drawing) => drawing.work !== work) } : tin;

/** What is left in a tin, ml: what was last measured less what was drawn since; none where it was never measured. */
export const levelOf = ({ volume_ml, drawn = [] }: ShelfItem): number | undefined =>
  volume_ml === undefined ? undefined : Math.max(0, Math.round(volume_ml - drawn.reduce((sum, { ml }) => sum + ml, 0)));

/** A tin with its level as its measured volume, as plans and files have it. */
export function withLevel({ drawn: _drawn, ...tin }: ShelfItem): ShelfItem {
  const level = levelOf({ ...tin, drawn: _drawn } as ShelfItem);
  return { ...tin, ...(level === undefined ? {} : { volume_ml: level }) } as ShelfItem;
}

export const isShelfChange = (change: { type: string }): change is ShelfChange => change.type.startsWith('tin_');

/** A piece with the shop's tins beside those its file came with, each at its level. */
export function withShelf(dossier: Dossier, tins: readonly ShelfItem[]): Dossier {
  const own = dossier.shelf ?? [];
  const others = tins.filter(({ id }) => !own.some((tin) => tin.id === id)).map(withLevel);
  return others.length > 0 ? { ...dossier, shelf: [...own, ...others] } : dossier;
}

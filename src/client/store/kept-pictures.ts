import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { currentShop } from './shop-id';

/*
 * Pictures that wait to be sent, by their ids, in a database of the browser's under the shop's id. It is opened for them
 * alone: a tab that is still an older program must not keep them from being laid down.
 */
interface Kept extends DBSchema {
  pictures: { key: string; value: { picture: Blob; at: number } };
}

const opened = new Map<string, Promise<IDBPDatabase<Kept>>>();

async function within<T>(work: (db: IDBPDatabase<Kept>) => Promise<T>): Promise<T> {
  const shop = currentShop();
  if (shop === null) throw new Error('No shop was met yet.');
  let db = opened.get(shop);
  if (!db) {
    db = openDB<Kept>(`bricolage-${shop}-pictures`, 1, {
      upgrade: (fresh) => void fresh.createObjectStore('pictures'),
    });
    opened.set(shop, db);
  }
  return work(await db);
}

/** Pictures that were taken in this page, until they are sent: the browser may have no room for them, or clear what it kept. */
const inPage = new Map<string, Blob>();

/** Keeps a picture; false where this page alone has it. */
export async function keepPicture(id: string, picture: Blob): Promise<boolean> {
  inPage.set(id, picture);
  try {
    await within((db) => db.put('pictures', { picture, at: Date.now() }, id));
    return true;
  } catch {
    return false;
  }
}

/** Lays down anew what this page still has, after the browser's storage was cleared. */
export async function keepPicturesAgain(): Promise<void> {
  // The databases that were open were cleared with the rest.
  opened.clear();
  for (const [id, picture] of inPage) await keepPicture(id, picture);
}

export async function findPicture(id: string): Promise<Blob | undefined> {
  return inPage.get(id) ?? (await within((db) => db.get('pictures', id)).catch(() => undefined))?.picture;
}

export async function forgetPicture(id: string): Promise<void> {
  inPage.delete(id);
  await within((db) => db.delete('pictures', id)).catch(() => undefined);
}

/** A picture is laid down before its change is made, in this tab or another: so long it may be without one. */
const HOMELESS_MS = 86_400_000;

/** Forgets pictures that nothing waits for any more. */
export async function sweepPictures(waiting: ReadonlySet<string>): Promise<void> {
  await within(async (db) => {
    for (const id of await db.getAllKeys('pictures')) {
      const own = waiting.has(id) ? undefined : await db.get('pictures', id);
      if (own && own.at < Date.now() - HOMELESS_MS) await db.delete('pictures', id);
    }
  }).catch(() => undefined);
}

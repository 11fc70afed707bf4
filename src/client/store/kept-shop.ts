import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { ChangedPieces } from '@/contract';
import type { Dossier } from '@/core/dossier';
import { currentShop } from './shop-id';

/*
 * The last known data of the shop, in a database of the browser's under the shop's id: what was answered, by the path
 * that was asked, and the pieces, by their ids. It is a copy and never the only one: where the browser has no room for
 * it, only what opens without the server is less.
 */
interface Kept extends DBSchema {
  answers: { key: string; value: { data: unknown; at: string } };
  pieces: { key: string; value: KeptPiece };
}

export interface KeptPiece {
  dossier: Dossier;
  /** When the server had it so; none for what came as the answer to a change. */
  changedAt?: string;
}

const opened = new Map<string, Promise<IDBPDatabase<Kept>>>();

/** Works on what is kept of the shop; nothing where no shop was met or the browser keeps nothing. */
async function within<T>(work: (db: IDBPDatabase<Kept>) => Promise<T>): Promise<T | undefined> {
  const shop = currentShop();
  if (shop === null || !('indexedDB' in globalThis)) return undefined;
  try {
    let db = opened.get(shop);
    if (!db) {
      db = openDB<Kept>(`bricolage-${shop}`, 1, {
        upgrade: (fresh) => {
          fresh.createObjectStore('answers');
          fresh.createObjectStore('pieces');
        },
      });
      opened.set(shop, db);
    }
    return await work(await db);
  } catch {
    return undefined;
  }
}

export const keepAnswer = (path: string, data: unknown, at: string): Promise<unknown> =>
  within((db) => db.put('answers', { data, at }, path));

export const findAnswer = async (path: string): Promise<unknown> =>
  (await within((db) => db.get('answers', path)))?.data;

export const keepPieces = (pieces: readonly KeptPiece[]): Promise<unknown> =>
  within(async (db) => {
    const transaction = db.transaction('pieces', 'readwrite');
    for (const piece of pieces) {
      const { id } = piece.dossier.piece;
      // What comes as the answer to a change is newer, and does not say when the server had it so.
      if (id !== undefined) await transaction.store.put({ ...(await transaction.store.get(id)), ...piece }, id);
    }
    await transaction.done;
  });

export const findKeptPiece = async (id: string): Promise<Dossier | undefined> =>
  (await within((db) => db.get('pieces', id)))?.dossier;

/** Forgets pieces that the server no longer has. */
export const forgetPieces = (ids: readonly string[]): Promise<unknown> =>
  within(async (db) => {
    for (const id of ids) await db.delete('pieces', id);
  });

/** Up to where this browser knows the shop: a mark of the server's, handed back as it came. */
const MARK = 'mark';
export const findMark = async (): Promise<string> => String((await findAnswer(MARK)) ?? '');

/**
 * Keeps what changed, with the mark it was told by, or nothing of it. Where what is kept is of another time (a copy was put
 * back), it goes first. Whether that was so.
 */
export const keepChanged = async ({ pieces, gone, mark, whole }: ChangedPieces): Promise<boolean> => {
  const ofAnotherTime = whole && (await findMark()) !== '';
  await within(async (db) => {
    const transaction = db.transaction(['pieces', 'answers'], 'readwrite');
    const [kept, answers] = [transaction.objectStore('pieces'), transaction.objectStore('answers')];
    if (ofAnotherTime) await Promise.all([kept.clear(), answers.clear()]);
    for (const id of gone) await kept.delete(id);
    for (const piece of pieces) if (piece.dossier.piece.id !== undefined) await kept.put(piece, piece.dossier.piece.id);
    await answers.put({ data: mark, at: '' }, MARK);
    await transaction.done;
  });
  return ofAnotherTime;
};

/** Every piece that is kept, the one that changed last first. */
export const listKeptPieces = async (): Promise<Dossier[]> =>
  ((await within((db) => db.getAll('pieces'))) ?? [])
    .sort(({ changedAt: a = '' }, { changedAt: b = '' }) => (a < b ? 1 : -1))
    .map(({ dossier }) => dossier);

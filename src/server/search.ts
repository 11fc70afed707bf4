import Database from 'better-sqlite3';
import { findableTin, listFindable, wordsOf, type Findable } from '@/core/find';
import type { PieceStore, ShelfStore } from './db';

/** Everything of the shop that is written down, found by the beginnings of words. */
export interface Search {
  find: (question: string, most: number) => Promise<Findable[]>;
}

/** Pieces that are read in without a pause. */
const AT_A_TIME = 50;

/**
 * The index lies in memory and is made from the records when it is first asked, then from what changed since: there is
 * nothing to fall out of step with them.
 */
export function makeSearch(store: PieceStore, shelf: ShelfStore): Search {
  const db = new Database(':memory:');
  db.exec(
    `CREATE VIRTUAL TABLE found USING fts5(title, body, kind UNINDEXED, piece UNINDEXED, id UNINDEXED, at UNINDEXED,
     tokenize = 'unicode61 remove_diacritics 2', prefix = '2 3')`,
  );
  const put = db.prepare('INSERT INTO found VALUES (@title, @body, @kind, @piece, @id, @at)');
  const drop = db.prepare('DELETE FROM found WHERE piece = ?');
  // A word in the title counts five times one in the rest.
  const ask = db.prepare(
    'SELECT title, body, kind, piece, id, at FROM found WHERE found MATCH ? ORDER BY bm25(found, 5, 1), rowid LIMIT ?',
  );
  const write = db.transaction((piece: string, rows: readonly Findable[]) => {
    drop.run(piece);
    for (const row of rows) put.run({ at: null, ...row });
  });
  const known = new Map<string, string>();
  const bring = async (): Promise<void> => {
    const here = new Map(store.listDates().map(({ id, changed_at }) => [id, changed_at]));
    for (const id of known.keys())
      if (!here.has(id)) {
        write(id, []);
        known.delete(id);
      }
    let read = 0;
    for (const [id, changedAt] of here) {
      if (known.get(id) === changedAt) continue;
      const dossier = store.find(id);
      write(id, dossier ? listFindable(dossier) : []);
      known.set(id, changedAt);
      read += 1;
      if (read % AT_A_TIME === 0) await new Promise(setImmediate);
    }
    write('', shelf.list().map(findableTin));
  };
  return {
    find: async (question, most) => {
      const words = wordsOf(question);
      if (words.length === 0) return [];
      await bring();
      const rows = ask.all(words.map((word) => `"${word}"*`).join(' '), most) as (Findable & { at: string | null })[];
      return rows.map(({ at, ...row }) => ({ ...row, ...(at === null ? {} : { at }) }));
    },
  };
}

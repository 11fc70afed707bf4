import Database from 'better-sqlite3';
import { findableTin, wordsOf, type Findable } from '@/core/find';
import type { PieceStore, ShelfStore } from './db';
import { keepByPiece, type Judge } from './judge';

/** Everything of the shop that is written down, found by the beginnings of words. */
export interface Search {
  find: (question: string, most: number) => Promise<Findable[]>;
}

/**
 * The index lies in memory and is made from the records when it is first asked, then from what changed since: there is
 * nothing to fall out of step with them.
 */
export function makeSearch(store: PieceStore, shelf: ShelfStore, { judge }: Judge): Search {
  const db = new Database(':memory:');
  db.exec(
    `CREATE VIRTUAL TABLE found USING fts5(title, body, kind UNINDEXED, piece UNINDEXED, id UNINDEXED, at UNINDEXED,
     tokenize = 'unicode61 remove_diacritics 2', prefix = '2 3')`,
  );
  const put = db.prepare('INSERT INTO found VALUES (@title, @body, @kind, @piece, @id, @at)');
  const drop = db.prepare('DELETE FROM found WHERE rowid = ?');
  // A word in the title counts five times one in the rest.
  const ask = db.prepare(
    'SELECT title, body, kind, piece, id, at FROM found WHERE found MATCH ? ORDER BY bm25(found, 5, 1), rowid LIMIT ?',
  );
  /** Where the rows of a piece lie: to look for them would take going through all. */
  const places = new Map<string, (number | bigint)[]>();
  const write = db.transaction((piece: string, rows: readonly Findable[]) => {
    for (const place of places.get(piece) ?? []) drop.run(place);
    places.set(
      piece,
      rows.map((row) => put.run({ at: null, ...row }).lastInsertRowid),
    );
  });
  const findables = keepByPiece<'findable'>(store, (dossier) => judge('findable', dossier));
  const known = new Map<string, string>();
  const bringNow = async (): Promise<void> => {
    const here = new Map(store.listDates().map(({ id, changed_at }) => [id, changed_at]));
    for (const id of known.keys())
      if (!here.has(id)) {
        write(id, []);
        known.delete(id);
      }
    const changed = [...here].filter(([id, changedAt]) => known.get(id) !== changedAt);
    for (const [id, changedAt] of changed) {
      // One by one, and written as it comes: a search that is asked meanwhile finds what is there.
      for (const { judged } of await findables([{ id, changedAt }])) write(id, judged);
      known.set(id, changedAt);
    }
    write('', shelf.list().map(findableTin));
  };
  /** Those who ask while it is brought up to date wait for the same. */
  let bringing: Promise<void> | null = null;
  const bring = (): Promise<void> => (bringing ??= bringNow().finally(() => (bringing = null)));
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

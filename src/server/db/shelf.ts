import { LIMITS, tryShelfChange, tooMany, type ShelfChange, type ShelfItem } from '@/core/dossier';
import { succeed, type Result } from '@/core/shared';
import type { Db } from './connection';

/** The shop's tins. Every change answers with the shelf as it now is. */
export interface ShelfStore {
  list: () => ShelfItem[];
  /** Tins that were taken off it, as they were then. */
  listRemoved: () => ShelfItem[];
  apply: (change: ShelfChange, now: string) => Result<ShelfItem[]>;
  /** Puts tins back in their order. */
  restore: (tins: readonly ShelfItem[], now: string) => void;
}

/** Changes are the core's, as in the client; a tin taken off the shelf is marked and stays in the file. */
export function makeShelfStore(db: Db): ShelfStore {
  const tins = db.prepare('SELECT body FROM tin WHERE removed_at IS NULL ORDER BY created_at, id');
  const gone = db.prepare('SELECT body FROM tin WHERE removed_at IS NOT NULL ORDER BY created_at, id');
  const put = db.prepare(
    `INSERT INTO tin (id, class, volume_ml, body, created_at) VALUES (@id, @class, @volume, @body, @now)
     ON CONFLICT (id) DO UPDATE SET class = @class, volume_ml = @volume, body = @body, removed_at = NULL`,
  );
  const remove = db.prepare('UPDATE tin SET removed_at = ? WHERE id = ? AND removed_at IS NULL');
  const read = (rows: unknown[]): ShelfItem[] =>
    (rows as { body: string }[]).map(({ body }) => JSON.parse(body) as ShelfItem);
  const list = (): ShelfItem[] => read(tins.all());
  const write = (tin: ShelfItem, now: string): void =>
    void put.run({ id: tin.id, class: tin.class, volume: tin.volume_ml ?? null, body: JSON.stringify(tin), now });
  return {
    list,
    listRemoved: () => read(gone.all()),
    // The shelf is read by when each tin came: a millisecond apart keeps their order.
    restore: db.transaction((back: readonly ShelfItem[], now: string) =>
      back.forEach((tin, i) => write(tin, new Date(Date.parse(now) + i).toISOString())),
    ),
    apply: db.transaction((change: ShelfChange, now: string): Result<ShelfItem[]> => {
      const before = list();
      const made = tryShelfChange(before, change);
      if (!made.ok) return made;
      const after = made.value;
      if (after.length > LIMITS.shelf && after.length > before.length)
        return { ok: false, problem: tooMany('shelf', LIMITS.shelf) };
      if (change.type === 'tin_removed') remove.run(now, change.tinId);
      for (const tin of after) {
        if (before.includes(tin)) continue;
        write(tin, now);
      }
      return succeed(list());
    }),
  };
}

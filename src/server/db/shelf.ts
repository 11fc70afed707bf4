import type { ShelfChange, ShelfItem } from '@/core/dossier';
import type { Db } from './connection';

/** The shop's tins. Every change answers with the shelf as it now is. */
export interface ShelfStore {
  list: () => ShelfItem[];
  apply: (change: ShelfChange, now: string) => ShelfItem[];
}

export function makeShelfStore(db: Db): ShelfStore {
  const tins = db.prepare('SELECT body FROM tin WHERE removed_at IS NULL ORDER BY created_at, id');
  const put = db.prepare(
    `INSERT INTO tin (id, class, volume_ml, body, created_at) VALUES (@id, @class, @volume, @body, @now)
     ON CONFLICT (id) DO UPDATE SET class = @class, volume_ml = @volume, body = @body, removed_at = NULL`,
  );
  const remove = db.prepare('UPDATE tin SET removed_at = ? WHERE id = ? AND removed_at IS NULL');
  const list = (): ShelfItem[] => (tins.all() as { body: string }[]).map(({ body }) => JSON.parse(body) as ShelfItem);
  return {
    list,
    apply: db.transaction((change: ShelfChange, now: string): ShelfItem[] => {
      if (change.type === 'tin_removed') remove.run(now, change.tinId);
      else {
        const { tin } = change;
        put.run({ id: tin.id, class: tin.class, volume: tin.volume_ml ?? null, body: JSON.stringify(tin), now });
      }
      return list();
    }),
  };
}

import type { LogEntry } from '@/core/dossier';
import type { Db } from './connection';

/** The work log, a row an entry. What a change leaves alone is not written again, so a tap stays quick in a long log. */
export interface LogRows {
  read: (piece: string) => LogEntry[];
  write: (piece: string, before: readonly LogEntry[], after: readonly LogEntry[], now: string) => void;
}

interface Row {
  row: number;
  position: number;
  body: string;
}

export function makeLogRows(db: Db): LogRows {
  const read = db.prepare(
    'SELECT row, position, body FROM log_entry WHERE piece_id = ? AND withdrawn_at IS NULL ORDER BY position, row',
  );
  const insert = db.prepare('INSERT INTO log_entry (piece_id, position, body) VALUES (?, ?, ?)');
  const withdraw = db.prepare('UPDATE log_entry SET withdrawn_at = ? WHERE row = ?');
  /** Where an entry that was read lies; entries have no key of their own in files made by hand. */
  const places = new WeakMap<LogEntry, Pick<Row, 'row' | 'position'>>();

  return {
    read: (piece) =>
      (read.all(piece) as Row[]).map(({ row, position, body }) => {
        const entry = JSON.parse(body) as LogEntry;
        places.set(entry, { row, position });
        return entry;
      }),
    write: (piece, before, after, now) => {
      if (before === after) return;
      const left = new Set(after);
      for (const entry of before) if (!left.has(entry)) withdraw.run(now, places.get(entry)!.row);
      let last = -1;
      const next = nextPlaces(after, places);
      after.forEach((entry, i) => {
        const known = places.get(entry);
        if (known) {
          last = known.position;
          return;
        }
        // Entries put right stand where they stood; new ones behind all others.
        const until = next[i]!;
        const position = until === Infinity ? Math.floor(last) + 1 : (last + until) / 2;
        const { lastInsertRowid } = insert.run(piece, position, JSON.stringify(entry));
        places.set(entry, { row: Number(lastInsertRowid), position });
        last = position;
      });
    },
  };
}

/** For each entry the position of the first one behind it that has one. */
function nextPlaces(after: readonly LogEntry[], places: WeakMap<LogEntry, { position: number }>): number[] {
  const next: number[] = new Array<number>(after.length);
  let until = Infinity;
  for (let i = after.length - 1; i >= 0; i -= 1) {
    next[i] = until;
    until = places.get(after[i]!)?.position ?? until;
  }
  return next;
}

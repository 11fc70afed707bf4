import { fail, succeed, type Result } from '@/core/shared';
import { findAsker } from '../asker';
import type { Db } from './connection';
import type { PieceStore } from './pieces';
import type { ShelfStore } from './shelf';
import { LONGEST_DAYS } from './shop';
import type { WorkshopStore } from './workshop';

/** Changes that were taken, by their ids. */
export interface Taken {
  /** Makes a change once: where it was taken before, it is answered with what is now. */
  once: <T>(made: () => Result<T>, again: () => Result<T>, of: { piece?: string; now: string }) => Result<T>;
}

/** No device is away for longer than this and sends a change a second time: passes end as soon. */
const KEPT_DAYS = LONGEST_DAYS;
const DAY_MS = 86_400_000;

export function makeTaken(db: Db, now: string): Taken {
  db.prepare('DELETE FROM taken WHERE at < ?').run(new Date(Date.parse(now) - KEPT_DAYS * DAY_MS).toISOString());
  const known = db.prepare('SELECT 1 FROM taken WHERE change = ?').pluck();
  const note = db.prepare(
    'INSERT INTO taken (change, piece, at, made_at, device) VALUES (@change, @piece, @at, @made_at, @device)',
  );
  // The change and that it was taken are stored together, or neither is.
  const once = db.transaction(
    (made: () => Result<unknown>, again: () => Result<unknown>, of: { piece?: string; now: string }) => {
      const { change, madeAt, device } = findAsker();
      if (change !== undefined && known.get(change) !== undefined) return again();
      const result = made();
      if (result.ok && change !== undefined)
        note.run({ change, piece: of.piece ?? null, at: of.now, made_at: madeAt ?? null, device: device ?? null });
      return result;
    },
  );
  return { once: once as Taken['once'] };
}

interface Stores {
  store: PieceStore;
  shelf: ShelfStore;
  workshop: WorkshopStore;
}

/** The same stores, which make no change twice. */
export function onceOf({ store, shelf, workshop }: Stores, { once }: Taken): Stores {
  const findPiece = (id: string): ReturnType<PieceStore['apply']> => {
    const piece = store.find(id);
    return piece ? succeed(piece) : fail('piece_not_found');
  };
  return {
    store: {
      ...store,
      apply: (piece, change, now) =>
        once(
          () => store.apply(piece, change, now),
          () => findPiece(piece),
          { piece, now },
        ),
      addPhoto: (piece, photo, now) =>
        once(
          () => store.addPhoto(piece, photo, now),
          () => findPiece(piece),
          { piece, now },
        ),
    },
    shelf: {
      ...shelf,
      apply: (change, now) =>
        once(
          () => shelf.apply(change, now),
          () => succeed(shelf.list()),
          { now },
        ),
    },
    workshop: {
      ...workshop,
      apply: (change, now) =>
        once(
          () => workshop.apply(change, now),
          () => succeed(workshop.find()),
          { now },
        ),
    },
  };
}

import type { Writable } from 'node:stream';
import type { Db } from '../db';
import type { PhotoFiles } from '../photo-files';
import { makeBackups, type Backup } from './backups';
import { exportShop } from './export-shop';
import { withSnapshot } from './snapshot';

/** What the shop does as a whole: going out in one file, being copied, coming back from a copy. */
export interface ShopKeeping {
  /** Copies, newest first. */
  list: () => Backup[];
  makeBackup: () => Promise<void>;
  /** A copy where the last is of another day. */
  makeDaily: () => Promise<void>;
  /** Puts the shop back as it was in a copy; what it is now is copied first. Every device has to be let in again. */
  restore: (backup: Backup) => Promise<void>;
  exportTo: (out: Writable) => Promise<void>;
  /** The day, for the name of a file. */
  today: () => string;
}

interface KeepingParts {
  db: Db;
  /** Where what belongs to the shop lies. */
  folder: string;
  photos: Pick<PhotoFiles, 'pathOf'>;
  migrations: string;
  now: () => string;
  /** Closes the records, puts those of the copy in their place and opens them. */
  comeBack: (backup: Backup) => void;
}

export function makeKeeping({ db, folder, photos, migrations, now, comeBack }: KeepingParts): ShopKeeping {
  const backups = makeBackups(db, folder);
  // One at a time: nothing is put back while a copy is being made.
  let turn: Promise<unknown> = Promise.resolve();
  const inTurn = (work: () => Promise<unknown>): Promise<void> => {
    const own = turn.then(work);
    turn = own.catch(() => undefined);
    return own.then(() => undefined);
  };
  return {
    list: backups.list,
    makeBackup: () => inTurn(() => backups.make(now())),
    makeDaily: () => inTurn(() => backups.makeDaily(now())),
    restore: (backup) =>
      inTurn(async () => {
        await backups.make(now());
        comeBack(backup);
      }),
    exportTo: (out) => withSnapshot(db, folder, migrations, (copy) => exportShop(copy, photos, out, now())),
    today: () => now().slice(0, 10),
  };
}

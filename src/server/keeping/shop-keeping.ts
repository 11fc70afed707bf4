import { statfsSync, statSync } from 'node:fs';
import type { Writable } from 'node:stream';
import { fail, succeed, type Result } from '@/core/shared';
import { findStorageProblem, type Db } from '../db';
import type { PhotoFiles } from '../photo-files';
import type { SeenClock } from '../seen-clock';
import { isGood, makeBackups, type Backup } from './backups';
import { exportShop } from './export-shop';
import type { Keeper } from './keeper';
import { withSnapshot } from './snapshot';

/** What the shop does as a whole: going out in one file, being copied, coming back from a copy. */
export interface ShopKeeping {
  /** Copies, newest first. */
  list: () => Backup[];
  /** When the newest good copy was made, and how many cannot be used. */
  tellCopies: () => { newest: string | null; damaged: number };
  makeBackup: () => Promise<void>;
  /** All copies are looked at, and one is made where the last is of another day; then those no longer kept go. */
  makeDaily: () => Promise<void>;
  /**
   * Puts the shop back as it was in a copy, once that was found whole; what it is now is copied first. Every device has to be
   * let in again. Gives how many pictures of the copy are not there.
   */
  restore: (backup: Backup) => Promise<Result<{ pictures_missing: number }>>;
  exportTo: (out: Writable) => Promise<void>;
  /** Pictures the last zip had to do without, and when it was made. */
  lastExport: () => { at: string; missing: number } | null;
  clock: SeenClock;
  /** The day, for the name of a file. */
  today: () => string;
}

interface KeepingParts {
  db: Db;
  /** The id of the shop. */
  shop: string;
  /** The file of its records, and where what belongs to it lies. */
  file: string;
  folder: string;
  photos: Pick<PhotoFiles, 'pathOf'>;
  /** Hashes of the pictures its records have or had. */
  pictures: () => Iterable<string>;
  keeper: Keeper;
  clock: SeenClock;
  migrations: string;
  now: () => string;
  /** Closes the records, puts those of the copy in their place and opens them; where that fails, those of before again. */
  comeBack: (backup: Backup) => void;
}

/** Room that is left to the rest of the computer, bytes. */
const SPARE_BYTES = 64 * 2 ** 20;

export function makeKeeping(parts: KeepingParts): ShopKeeping {
  const { db, shop, file, folder, photos, pictures, keeper, clock, migrations, now, comeBack } = parts;
  const backups = makeBackups(db, folder, keeper, pictures);
  let exported: { at: string; missing: number } | null = null;
  // One at a time: nothing is put back while a copy is being made.
  let turn: Promise<unknown> = Promise.resolve();
  const inTurn = <T>(work: () => Promise<T>): Promise<T> => {
    const own = turn.then(work);
    turn = own.catch(() => undefined);
    return own;
  };
  /** A copy is whole, of this shop, and has room to come back; or why not. */
  const judge = async (backup: Backup): Promise<Result<{ pictures_missing: number }>> => {
    const [state] = await backups.look([backup], now());
    const records = await keeper.inspect(backup.file);
    if (!records.ok) return records;
    if (records.value.id !== null && records.value.id !== shop) return fail('copy_of_other_shop');
    const { bavail, bsize } = statfsSync(folder);
    if (bavail * bsize < 2 * statSync(backup.file).size + SPARE_BYTES) return fail('disk_full', '', { file });
    return succeed({ pictures_missing: state?.pictures_missing ?? 0 });
  };
  return {
    list: backups.list,
    tellCopies: () => {
      const all = backups.list();
      const good = all.filter(isGood);
      return { newest: good[0]?.at ?? null, damaged: all.length - good.length };
    },
    clock,
    makeBackup: async () => void (await inTurn(() => backups.make(now()))),
    makeDaily: () =>
      inTurn(async () => {
        await backups.makeDaily(now());
        if (clock.doubted() === null) backups.prune(now());
      }),
    restore: (backup) =>
      inTurn(async () => {
        const judged = await judge(backup);
        if (!judged.ok) return judged;
        await backups.make(now());
        try {
          comeBack(backup);
        } catch (error) {
          const problem = findStorageProblem(error);
          // It looked whole, and cannot be worked with all the same: the shop of before goes on.
          return problem ? { ok: false, problem } : fail('database_damaged', '', { file: backup.file });
        }
        return judged;
      }),
    exportTo: async (out) => {
      const { missing } = await withSnapshot(db, folder, migrations, (copy) => exportShop(copy, photos, out, now()));
      exported = { at: now(), missing: missing.length };
    },
    lastExport: () => exported,
    today: () => now().slice(0, 10),
  };
}

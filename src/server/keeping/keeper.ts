import path from 'node:path';
import type { Arrival, Clashes } from '@/contract';
import type { ShelfItem } from '@/core/dossier';
import { fail, type Result } from '@/core/shared';
import type { ShopRecords } from '../db';
import { makeHelperProcess } from '../helper-process';

/** What a look at a copy found. */
export interface CopyState {
  checked_at: string;
  /** Its records can be read, and are of this shop. */
  good: boolean;
  /** Pictures its records speak of that are not in it, or are no longer what they were. */
  pictures_missing: number;
}

/** What comes of a file, ready to be taken in: records in a file of their own, under the ids they are to have. */
export interface Coming {
  pieces: string[];
  tins: ShelfItem[];
}

/** What the process that reads files apart from the server is asked (`keep-apart`). */
export type KeeperQuestion =
  | { is: 'read'; folder: string; ours: string; migrations: string; now: string }
  | { is: 'gather'; folder: string; ours: string; migrations: string; clashes: Clashes; now: string }
  | { is: 'inspect'; file: string; migrations: string }
  | { is: 'check'; folders: readonly string[]; shop: string; migrations: string; now: string };

/**
 * Reads what comes from elsewhere or has lain on a disk, in a process of its own with an end to its time and memory: the
 * shop's own requests are answered meanwhile.
 */
export interface Keeper {
  readArrival: (folder: string, now: string) => Promise<Result<Omit<Arrival, 'id'>>>;
  gatherArrival: (folder: string, clashes: Clashes, now: string) => Promise<Result<Coming>>;
  inspect: (file: string) => Promise<Result<ShopRecords>>;
  /** What each copy holds, in their order. */
  checkCopies: (folders: readonly string[], now: string) => Promise<CopyState[]>;
  close: () => void;
}

interface KeeperParts {
  /** The built program. */
  program: () => string;
  file: string;
  migrations: string;
  /** The id of the shop that is open. */
  shop: () => string;
}

/** Pieces, zips and copies of a shop with all its pictures; what takes longer is no file of ours. */
const MOST_MS = 20 * 60_000;
const HEAP_MB = 256;

export function makeKeeper({ program, file, migrations, shop }: KeeperParts): Keeper {
  const helper = makeHelperProcess(program, HEAP_MB);
  const ask = async <T>(question: KeeperQuestion): Promise<Result<T>> => {
    const helped = await helper.ask<Result<T>>(question, { mostMs: MOST_MS });
    return helped.ok ? helped.value : fail('file_overladen');
  };
  const ours = path.resolve(file);
  return {
    readArrival: (folder, now) => ask({ is: 'read', folder, ours, migrations, now }),
    gatherArrival: (folder, clashes, now) => ask({ is: 'gather', folder, ours, migrations, clashes, now }),
    inspect: (copy) => ask({ is: 'inspect', file: copy, migrations }),
    checkCopies: async (folders, now) => {
      const checked = await ask<CopyState[]>({ is: 'check', folders, shop: shop(), migrations, now });
      if (!checked.ok) throw new Error('copies could not be looked at');
      return checked.value;
    },
    close: helper.close,
  };
}

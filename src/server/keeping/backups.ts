import Database from 'better-sqlite3';
import { existsSync, mkdirSync, readdirSync, readFileSync, renameSync, rmSync } from 'node:fs';
import path from 'node:path';
import { goneAt, listKept } from '@/core/keeping';
import { readJson } from '@/core/shared';
import type { Db } from '../db';
import { syncFolder, writeWhole } from '../disk';
import { linkPhotos } from '../photo-files';
import type { CopyState, Keeper } from './keeper';

export interface Backup {
  /** When it was made, an ISO instant: its name, too. */
  at: string;
  /** The records, and the folder of the pictures. */
  file: string;
  photos: string;
  /** By the last look at it; none where an earlier version made it and nobody has looked yet. */
  state: CopyState | null;
}

export interface Backups {
  list: () => Backup[];
  /** A copy of all as it is now. */
  make: (now: string) => Promise<Backup>;
  /** Looks at copies now, and remembers what was found. */
  look: (copies: readonly Backup[], now: string) => Promise<CopyState[]>;
  /** Looks at all of them, and where the last good one is of another day makes one. */
  makeDaily: (now: string) => Promise<void>;
  /** Those no longer kept go; never a good one before there are newer good ones in its place. */
  prune: (now: string) => void;
}

/** `2026-11-28T091200.000Z`: an instant as a name that any file system takes. */
const toName = (at: string): string => at.replaceAll(':', '');
const toInstant = (name: string): string | null => {
  const parts = /^(\d{4}-\d{2}-\d{2}T\d{2})(\d{2})(\d{2}\.\d{3}Z)$/.exec(name);
  return parts && `${parts[1]}:${parts[2]}:${parts[3]}`;
};

/** Not known to be damaged. */
export const isGood = ({ state }: Backup): boolean => state?.good !== false;

const stateFile = ({ file }: Pick<Backup, 'file'>): string => path.join(path.dirname(file), 'copy.json');

function readState(file: string): CopyState | null {
  if (!existsSync(file)) return null;
  const read = readJson(readFileSync(file));
  return read.ok ? (read.value as CopyState) : null;
}

/**
 * Copies of a shop beside it: the records by SQLite's own backup while the server works on, the pictures as second names
 * of the same files, which take no room. A copy takes its name when it was looked at and found good; one that was not
 * finished is none.
 */
export function makeBackups(db: Db, shopFolder: string, keeper: Keeper, pictures: () => Iterable<string>): Backups {
  const folder = path.join(shopFolder, 'backups');
  const photosOfShop = path.join(shopFolder, 'photos');
  for (const name of existsSync(folder) ? readdirSync(folder) : [])
    if (name.startsWith('.draft-')) rmSync(path.join(folder, name), { recursive: true, force: true });

  const toBackup = (at: string): Backup => {
    const own = path.join(folder, toName(at));
    const file = path.join(own, 'shop.sqlite');
    return { at, file, photos: path.join(own, 'photos'), state: readState(stateFile({ file })) };
  };
  const list = (): Backup[] =>
    (existsSync(folder) ? readdirSync(folder) : [])
      .flatMap((name) => toInstant(name) ?? [])
      .sort()
      .reverse()
      .map(toBackup);

  const make = async (now: string): Promise<Backup> => {
    const at = new Date(now).toISOString();
    const draft = path.join(folder, `.draft-${toName(at)}`);
    rmSync(draft, { recursive: true, force: true });
    mkdirSync(draft, { recursive: true });
    try {
      const file = path.join(draft, 'shop.sqlite');
      await db.backup(file);
      endJournal(file);
      linkPhotos(photosOfShop, path.join(draft, 'photos'), pictures());
      const [state] = await keeper.checkCopies([draft], now);
      if (!state?.good) throw new Error('the copy cannot be read');
      writeWhole(stateFile({ file }), JSON.stringify(state));
      const made = path.dirname(toBackup(at).file);
      rmSync(made, { recursive: true, force: true });
      renameSync(draft, made);
      syncFolder(folder);
      return toBackup(at);
    } catch (error) {
      rmSync(draft, { recursive: true, force: true });
      throw error;
    }
  };
  const look = async (copies: readonly Backup[], now: string): Promise<CopyState[]> => {
    const folders = copies.map(({ file }) => path.dirname(file));
    const states = copies.length === 0 ? [] : await keeper.checkCopies(folders, now);
    for (const [i, state] of states.entries()) writeWhole(stateFile(copies[i]!), JSON.stringify(state));
    return states;
  };
  return {
    list,
    make,
    look,
    makeDaily: async (now) => {
      const day = now.slice(0, 10);
      await look(
        list().filter(({ state }) => state?.checked_at.slice(0, 10) !== day),
        now,
      );
      const last = list().find(isGood);
      if (last?.at.slice(0, 10) !== day) await make(now);
    },
    prune: (now) => {
      const all = list();
      const kept = new Set(listKept(all.filter(isGood).map(({ at }) => at)));
      const stays = (own: Backup): boolean => (isGood(own) ? kept.has(own.at) : goneAt(own.at) > now);
      for (const old of all) if (!stays(old)) rmSync(path.dirname(old.file), { recursive: true, force: true });
    },
  };
}

/** A copy is one file: read alone, it needs no journal beside it. */
function endJournal(file: string): void {
  const copy = new Database(file);
  copy.pragma('journal_mode = DELETE');
  copy.close();
}

import { existsSync, mkdirSync, readdirSync, renameSync, rmSync } from 'node:fs';
import path from 'node:path';
import { listKept } from '@/core/keeping';
import type { Db } from '../db';
import { linkOrCopy } from '../shop-folder';

export interface Backup {
  /** When it was made, an ISO instant: its name, too. */
  at: string;
  /** The records, and the folder of the pictures. */
  file: string;
  photos: string;
}

export interface Backups {
  list: () => Backup[];
  /** A copy of all as it is now. */
  make: (now: string) => Promise<Backup>;
  /** One where the last is of another day; then those no longer kept go, and so never on the day they were made. */
  makeDaily: (now: string) => Promise<Backup | null>;
}

/** `2026-11-28T091200.000Z`: an instant as a name that any file system takes. */
const toName = (at: string): string => at.replaceAll(':', '');
const toInstant = (name: string): string | null => {
  const parts = /^(\d{4}-\d{2}-\d{2}T\d{2})(\d{2})(\d{2}\.\d{3}Z)$/.exec(name);
  return parts && `${parts[1]}:${parts[2]}:${parts[3]}`;
};

/**
 * Copies of a shop beside it: the records by SQLite's own backup while the server works on, the pictures as second names
 * of the same files, which take no room. A copy that was not finished is none.
 */
export function makeBackups(db: Db, shopFolder: string): Backups {
  const folder = path.join(shopFolder, 'backups');
  const photosOfShop = path.join(shopFolder, 'photos');
  const toBackup = (at: string): Backup => {
    const own = path.join(folder, toName(at));
    return { at, file: path.join(own, 'shop.sqlite'), photos: path.join(own, 'photos') };
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
    await db.backup(path.join(draft, 'shop.sqlite'));
    linkAll(photosOfShop, path.join(draft, 'photos'));
    const made = toBackup(at);
    rmSync(path.dirname(made.file), { recursive: true, force: true });
    renameSync(draft, path.dirname(made.file));
    return made;
  };
  const prune = (): void => {
    const kept = new Set(listKept(list().map((own) => own.at)));
    for (const old of list()) if (!kept.has(old.at)) rmSync(path.dirname(old.file), { recursive: true, force: true });
  };
  return {
    list,
    make,
    makeDaily: async (now) => {
      const [last] = list();
      if (last?.at.slice(0, 10) === now.slice(0, 10)) return null;
      const made = await make(now);
      prune();
      return made;
    },
  };
}

/** Every picture of a folder under a second name. */
export function linkAll(from: string, to: string): void {
  mkdirSync(to, { recursive: true });
  if (!existsSync(from)) return;
  for (const { name } of readdirSync(from, { withFileTypes: true }).filter((entry) => entry.isDirectory())) {
    mkdirSync(path.join(to, name), { recursive: true });
    for (const file of readdirSync(path.join(from, name)))
      if (file.endsWith('.jpg')) linkOrCopy(path.join(from, name, file), path.join(to, name, file));
  }
}

import {
  closeSync,
  copyFileSync,
  existsSync,
  linkSync,
  openSync,
  readdirSync,
  readFileSync,
  readSync,
  realpathSync,
  renameSync,
  rmSync,
  statSync,
} from 'node:fs';
import path from 'node:path';
import { z } from 'zod';
import { idSchema } from '@/core/dossier';
import { readJson } from '@/core/shared';
import { DatabaseFault } from './db';
import { draftOf, settleDraft, writeWhole } from './disk';
import { linkPhotos, pathOfPhoto } from './photo-files';

/** A file by its one true path, wherever links lead from; of one that is not there, by that of its folder. */
function realFile(file: string): string {
  const whole = path.resolve(file);
  if (existsSync(whole)) return realpathSync(whole);
  const folder = path.dirname(whole);
  return path.join(existsSync(folder) ? realpathSync(folder) : folder, path.basename(whole));
}

/** Where the files of a database lie that are its own and no other's: pictures, the authority, copies. */
export const shopFolder = (file: string): string => `${realFile(file)}-files`;

/** What earlier versions called it: two files of one name with different endings shared one. */
function oldFolder(file: string): string {
  const { dir, name } = path.parse(realFile(file));
  return path.join(dir, `${name}-files`);
}

/** Where pictures lay in still earlier ones, for all databases of a folder. */
const sharedFolder = (file: string): string => path.dirname(realFile(file));

/** Folders in which pictures of this database may lie, its own first. */
const listHomes = (file: string): string[] =>
  [shopFolder(file), oldFolder(file), sharedFolder(file)].map((folder) => path.join(folder, 'photos'));

/** Where a picture of a shop lies. */
export function findPhoto(file: string, sha256: string): string {
  const places = listHomes(file).map((home) => pathOfPhoto(home, sha256));
  return places.find((place) => existsSync(place)) ?? places[0]!;
}

/** Pictures this database knows of that lie where earlier versions kept them are linked into its own folder; the old ones stay. */
export function adoptPictures(file: string, known: ReadonlySet<string>): number {
  const [own, ...others] = listHomes(file);
  return others.reduce((sum, other) => sum + linkPhotos(other, own!, known), 0);
}

/**
 * Gives the folder of an earlier version its name of now. Where another database of the same name lies beside, it may be
 * that one's: it is left, and pictures are taken from it (`adoptPictures`).
 * @param isFree whether no other server works with it
 */
export function takeOverOldFolder(file: string, isFree: (folder: string) => boolean): void {
  const [folder, old] = [shopFolder(file), oldFolder(file)];
  if (existsSync(folder) || !existsSync(old) || findOwner(old) !== null || hasNamesake(file) || !isFree(old)) return;
  renameSync(old, folder);
}

const SQLITE_HEADER = 'SQLite format 3\0';

function hasNamesake(file: string): boolean {
  const { dir, name, base } = path.parse(realFile(file));
  return readdirSync(dir).some((other) => {
    if (other === base || path.parse(other).name !== name || !statSync(path.join(dir, other)).isFile()) return false;
    const handle = openSync(path.join(dir, other), 'r');
    const start = Buffer.alloc(SQLITE_HEADER.length);
    readSync(handle, start, 0, start.length, 0);
    closeSync(handle);
    return start.toString('latin1') === SQLITE_HEADER;
  });
}

const ownerSchema = z.object({ shop: idSchema });
const ownerFile = (folder: string): string => path.join(folder, 'shop.json');

/** The shop a folder belongs to; null where nobody has claimed it. */
function findOwner(folder: string): string | null {
  if (!existsSync(ownerFile(folder))) return null;
  const read = readJson(readFileSync(ownerFile(folder)));
  const owner = ownerSchema.safeParse(read.ok ? read.value : undefined);
  return owner.data?.shop ?? null;
}

/** Records that are not where their folder is are not made anew: an empty shop would know of nothing that the folder holds. */
export function refuseLostRecords(file: string): void {
  if (existsSync(file) && statSync(file).size > 0) return;
  const folder = shopFolder(file);
  const holds = (name: string): boolean =>
    existsSync(path.join(folder, name)) && readdirSync(path.join(folder, name)).length > 0;
  if (findOwner(folder) !== null || holds('photos') || holds('backups'))
    throw new DatabaseFault('records_missing', { file, folder });
}

/** A folder belongs to one shop for good; another is told so. */
export function claimFolder(file: string, shop: string): void {
  const folder = shopFolder(file);
  const owner = findOwner(folder);
  if (owner === shop) return;
  if (owner !== null) throw new DatabaseFault('folder_of_other_shop', { file, folder });
  writeWhole(ownerFile(folder), `${JSON.stringify({ shop, file: realFile(file) }, null, 2)}\n`);
}

const JOURNALS = ['-wal', '-shm'];

/** Removes what SQLite left beside a file that nobody has open. */
const removeJournals = (file: string): void => {
  for (const ending of JOURNALS) rmSync(file + ending, { force: true });
};

/**
 * Puts a draft of records in the place of a file that nobody has open: a power cut leaves the one or the other. What
 * a journal beside it still held was of the old file, and would be read into the new one.
 * @returns what puts the old file back, and what lets go of it
 */
export function putInPlace(draft: string, file: string): { undo: () => void; settle: () => void } {
  const before = draftOf(file);
  const had = existsSync(file);
  if (had) keepName(file, before);
  removeJournals(file);
  settleDraft(draft, file);
  return {
    undo: () => {
      removeJournals(file);
      if (had) settleDraft(before, file);
      else rmSync(file, { force: true });
    },
    settle: () => rmSync(before, { force: true }),
  };
}

function keepName(file: string, other: string): void {
  try {
    linkSync(file, other);
  } catch {
    copyFileSync(file, other);
  }
}

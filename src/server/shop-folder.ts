import { copyFileSync, existsSync, linkSync, mkdirSync, renameSync, rmSync } from 'node:fs';
import path from 'node:path';
import { pathOfPhoto, type PhotoFiles } from './photo-files';

/** Where the files of a database lie that are its own and no other's: pictures, the authority, copies. */
export function shopFolder(file: string): string {
  const { dir, name } = path.parse(path.resolve(file));
  return path.join(dir, `${name}-files`);
}

/** Where pictures once lay, for all databases of a folder. */
const sharedFolder = (file: string): string => path.join(path.dirname(path.resolve(file)), 'photos');

/** Where a picture of a shop lies, its own folder first. */
export function findPhoto(file: string, sha256: string): string {
  const own = pathOfPhoto(path.join(shopFolder(file), 'photos'), sha256);
  return existsSync(own) ? own : pathOfPhoto(sharedFolder(file), sha256);
}

/**
 * Pictures once lay in one folder for all databases beside it. Those this one has are linked into its own; the old
 * folder is left, for another may need it.
 */
export function adoptPictures(file: string, photos: Pick<PhotoFiles, 'pathOf'>, known: ReadonlySet<string>): number {
  const shared = sharedFolder(file);
  let adopted = 0;
  for (const sha256 of known) {
    const [old, own] = [pathOfPhoto(shared, sha256), photos.pathOf(sha256)];
    if (existsSync(own) || !existsSync(old)) continue;
    mkdirSync(path.dirname(own), { recursive: true });
    linkOrCopy(old, own);
    adopted += 1;
  }
  return adopted;
}

/**
 * Puts a copy of records in the place of a file that nobody has open, whole: a power cut leaves the one or the other. What
 * a journal beside it still held was of the old file, and would be read into the new one.
 */
export function putInPlace(copy: string, file: string): void {
  copyFileSync(copy, `${file}.back`);
  for (const ending of ['-wal', '-shm']) rmSync(file + ending, { force: true });
  renameSync(`${file}.back`, file);
}

/** A second name for the same bytes where the file system has that, otherwise a copy. */
export function linkOrCopy(from: string, to: string): void {
  try {
    linkSync(from, to);
  } catch {
    copyFileSync(from, to);
  }
}

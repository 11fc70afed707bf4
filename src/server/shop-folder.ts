import { copyFileSync, existsSync, linkSync, mkdirSync } from 'node:fs';
import path from 'node:path';
import type { PhotoFiles } from './photo-files';

/** Where the files of a database lie that are its own and no other's: pictures, the authority, copies. */
export function shopFolder(file: string): string {
  const { dir, name } = path.parse(path.resolve(file));
  return path.join(dir, `${name}-files`);
}

/**
 * Pictures once lay in one folder for all databases beside it. Those this one has are linked into its own; the old
 * folder is left, for another may need it.
 */
export function adoptPictures(file: string, photos: Pick<PhotoFiles, 'pathOf'>, known: ReadonlySet<string>): number {
  const shared = path.join(path.dirname(path.resolve(file)), 'photos');
  let adopted = 0;
  for (const sha256 of known) {
    const [old, own] = [path.join(shared, sha256.slice(0, 2), `${sha256}.jpg`), photos.pathOf(sha256)];
    if (existsSync(own) || !existsSync(old)) continue;
    mkdirSync(path.dirname(own), { recursive: true });
    linkOrCopy(old, own);
    adopted += 1;
  }
  return adopted;
}

/** A second name for the same bytes where the file system has that, otherwise a copy. */
export function linkOrCopy(from: string, to: string): void {
  try {
    linkSync(from, to);
  } catch {
    copyFileSync(from, to);
  }
}

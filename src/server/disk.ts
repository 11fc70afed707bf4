import { randomUUID } from 'node:crypto';
import {
  closeSync,
  constants,
  copyFileSync,
  existsSync,
  fsyncSync,
  linkSync,
  mkdirSync,
  openSync,
  readdirSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import path from 'node:path';

/*
 * How files come to the disk. What is made takes its name only when it is whole and written out: a draft is renamed, so that
 * a power cut leaves the one or the other. A file that is there is never written into: it may have other names, in copies.
 */
/** The second form is that of pictures in earlier versions. */
const DRAFT = /\.draft$|\.jpg\.[0-9a-f-]{36}$/;

/** A name beside a file for what is to take its place. */
export const draftOf = (file: string): string => `${file}.${randomUUID()}.draft`;

/** Brings what was written to the disk. Not every file system lets a folder be synced; its renames have happened. */
function sync(place: string): void {
  const handle = openSync(place, constants.O_RDONLY);
  try {
    fsyncSync(handle);
  } catch (error) {
    if (!statSync(place).isDirectory()) throw error;
  } finally {
    closeSync(handle);
  }
}

export const syncFolder = sync;

/** Gives a draft its name, in the place of a file of that name or of none. */
export function settleDraft(draft: string, file: string): void {
  sync(draft);
  renameSync(draft, file);
  sync(path.dirname(file));
}

/** Makes a file by way of a draft, which goes where the work fails. */
function byDraft(file: string, make: (draft: string) => void): void {
  mkdirSync(path.dirname(file), { recursive: true });
  const draft = draftOf(file);
  try {
    make(draft);
    settleDraft(draft, file);
  } catch (error) {
    rmSync(draft, { force: true });
    throw error;
  }
}

/** Writes a file whole, or not at all. */
export const writeWhole = (file: string, data: string | Uint8Array, mode = 0o644): void =>
  byDraft(file, (draft) => writeFileSync(draft, data, { mode, flag: 'wx' }));

/** Copies a file whole, or not at all. */
export const copyWhole = (from: string, to: string): void => byDraft(to, (draft) => copyFileSync(from, draft));

/**
 * A second name for the same bytes where the file system has that, otherwise a copy. One that is there already is left as it
 * is; whether there was none.
 */
export function placeFile(from: string, to: string): boolean {
  try {
    linkSync(from, to);
    return true;
  } catch {
    if (existsSync(to)) return false;
    copyWhole(from, to);
    return true;
  }
}

/** Removes drafts that a run which was cut off has left in a folder, those made before a moment (ms since the epoch). */
export function removeDrafts(folder: string, before = Infinity): void {
  for (const name of existsSync(folder) ? readdirSync(folder) : []) {
    const draft = path.join(folder, name);
    if (DRAFT.test(name) && statSync(draft).mtimeMs < before) rmSync(draft, { recursive: true, force: true });
  }
}

import Database from 'better-sqlite3';
import { createWriteStream, existsSync, mkdirSync, mkdtempSync, readdirSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { fail, succeed, type Result } from '@/core/shared';
import { DatabaseFault, findStorageProblem, inspectShop, toFault } from '../db';
import { copyWhole, draftOf, settleDraft } from '../disk';
import { linkPhotos, pathOfPhoto } from '../photo-files';
import type { PictureDecoder } from '../picture-decoder';
import { findPhoto, putInPlace, shopFolder } from '../shop-folder';
import { exportShop } from './export-shop';
import { listOwnRestores, removeRestores, restoreShop } from './restore-shop';
import { withSnapshot } from './snapshot';

/** What went out or came back, as far as it is told. */
export interface Moved {
  pieces: number;
  /** Pictures its records speak of that were not there. */
  picturesMissing: number;
}

/** Ends with what the disk or the file is to blame for as a problem; anything else is thrown on. */
async function blame<T>(file: string, work: () => Promise<Result<T>>): Promise<Result<T>> {
  try {
    return await work();
  } catch (error) {
    const fault = toFault(error, file);
    if (fault instanceof DatabaseFault) return { ok: false, problem: fault.problem };
    const problem = findStorageProblem(error);
    if (problem) return { ok: false, problem };
    throw error;
  }
}

/**
 * Writes the shop of a database file as one zip. The file is only read, and a server may work on it meanwhile; a zip
 * that is there already is not touched.
 */
export function exportShopFile(file: string, out: string, migrations: string, now: string): Promise<Result<Moved>> {
  return blame(file, async () => {
    if (!existsSync(file)) return fail('not_readable', '', { file });
    if (existsSync(out)) return fail('file_exists', '', { file: out });
    inspectShop(file, migrations);
    removeHalfExports(out);
    const draft = draftOf(out);
    const folder = mkdtempSync(path.join(tmpdir(), 'bricolage-export-'));
    const endTidily = onEnd(() => tidy([draft, folder]));
    try {
      const db = new Database(file, { readonly: true });
      try {
        const pathOf = (sha256: string): string => findPhoto(file, sha256);
        const { counts, missing } = await withSnapshot(db, folder, migrations, (copy) =>
          exportShop(copy, { pathOf }, createWriteStream(draft), now),
        );
        settleDraft(draft, out);
        return succeed({ pieces: counts.pieces, picturesMissing: missing.length });
      } finally {
        db.close();
      }
    } finally {
      endTidily();
      tidy([draft, folder]);
    }
  });
}

const tidy = (places: readonly string[]): void => {
  for (const place of places) rmSync(place, { recursive: true, force: true });
};

/** Zips for the same name that a command which was cut off has left. */
function removeHalfExports(out: string): void {
  const { dir, base } = path.parse(path.resolve(out));
  for (const name of existsSync(dir) ? readdirSync(dir) : [])
    if (name.startsWith(`${base}.`) && name.endsWith('.draft')) rmSync(path.join(dir, name), { force: true });
}

/** Makes a shop in a new place from its zip, or from the folder of one of its copies. */
export function restoreShopFile(
  source: string,
  file: string,
  { migrations, decoder }: { migrations: string; decoder: PictureDecoder },
  now: string,
): Promise<Result<Moved>> {
  return blame(file, async () => {
    if (!existsSync(source)) return fail('not_readable', '', { file: source });
    const home = path.dirname(path.resolve(file));
    removeRestores(home);
    const endTidily = onEnd(() => tidy(listOwnRestores(home)));
    try {
      if (statSync(source).isDirectory()) return restoreCopy(source, file, migrations);
      const restored = await restoreShop({ zip: source, file, migrations, decoder, now });
      if (!restored.ok) return restored;
      const { counts, missing = [] } = restored.value;
      return succeed({ pieces: counts.pieces, picturesMissing: missing.length });
    } finally {
      endTidily();
    }
  });
}

function restoreCopy(source: string, file: string, migrations: string): Result<Moved> {
  const copy = path.join(source, 'shop.sqlite');
  if (!existsSync(copy)) return fail('not_readable', '', { file: copy });
  const photos = path.join(shopFolder(file), 'photos');
  for (const there of [file, photos]) if (existsSync(there)) return fail('file_exists', '', { file: there });
  mkdirSync(path.dirname(path.resolve(file)), { recursive: true });
  const draft = draftOf(file);
  try {
    copyWhole(copy, draft);
    // The copy of the copy: the one that was named is only read.
    const { pieces, pictures } = inspectShop(draft, migrations);
    linkPhotos(path.join(source, 'photos'), photos);
    putInPlace(draft, file).settle();
    return succeed({ pieces, picturesMissing: pictures.filter((own) => !existsSync(pathOfPhoto(photos, own))).length });
  } catch (error) {
    tidy([draft, photos]);
    throw error;
  }
}

const SIGNALS = ['SIGINT', 'SIGTERM'] as const;

/** Tidies up where the command is ended from outside; gives what calls that off. */
function onEnd(work: () => void): () => void {
  const end = (signal: NodeJS.Signals): void => {
    work();
    process.exit(signal === 'SIGINT' ? 130 : 143);
  };
  for (const signal of SIGNALS) process.on(signal, end);
  return () => {
    for (const signal of SIGNALS) process.off(signal, end);
  };
}

import Database from 'better-sqlite3';
import { randomUUID } from 'node:crypto';
import { createWriteStream, existsSync, mkdirSync, mkdtempSync, renameSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { ShopFile } from '@/core/keeping';
import { fail, succeed, type Result } from '@/core/shared';
import { DatabaseFault, toFault } from '../db';
import { findPhoto, putInPlace, shopFolder } from '../shop-folder';
import { linkAll } from './backups';
import { exportShop } from './export-shop';
import { restoreShop } from './restore-shop';
import { withSnapshot } from './snapshot';

/**
 * Writes the shop of a database file as one zip. The file is only read, and a server may work on it meanwhile; a zip
 * that is there already is not touched.
 */
export async function exportShopFile(
  file: string,
  out: string,
  migrations: string,
  now: string,
): Promise<Result<null>> {
  if (!existsSync(file)) return fail('not_readable', '', { file });
  if (existsSync(out)) return fail('file_exists', '', { file: out });
  const draft = `${out}.${randomUUID()}`;
  const folder = mkdtempSync(path.join(tmpdir(), 'bricolage-export-'));
  try {
    const db = new Database(file, { readonly: true });
    try {
      const pathOf = (sha256: string): string => findPhoto(file, sha256);
      await withSnapshot(db, folder, migrations, (copy) => exportShop(copy, { pathOf }, createWriteStream(draft), now));
    } finally {
      db.close();
    }
    renameSync(draft, out);
    return succeed(null);
  } catch (error) {
    const fault = toFault(error, file);
    if (fault instanceof DatabaseFault) return { ok: false, problem: fault.problem };
    throw error;
  } finally {
    rmSync(draft, { force: true });
    rmSync(folder, { recursive: true, force: true });
  }
}

/** What came back, as far as it is told. */
export type Restored = Pick<ShopFile['counts'], 'pieces'> | null;

/** Makes a shop in a new place from its zip, or from the folder of one of its copies. */
export async function restoreShopFile(
  source: string,
  file: string,
  migrations: string,
  now: string,
): Promise<Result<Restored>> {
  if (!existsSync(source)) return fail('not_readable', '', { file: source });
  if (!statSync(source).isDirectory()) {
    const restored = await restoreShop({ zip: source, file, migrations, now });
    return restored.ok ? succeed({ pieces: restored.value.counts.pieces }) : restored;
  }
  const copy = path.join(source, 'shop.sqlite');
  if (!existsSync(copy)) return fail('not_readable', '', { file: copy });
  const photos = path.join(shopFolder(file), 'photos');
  for (const there of [file, photos]) if (existsSync(there)) return fail('file_exists', '', { file: there });
  mkdirSync(path.dirname(path.resolve(file)), { recursive: true });
  linkAll(path.join(source, 'photos'), photos);
  putInPlace(copy, file);
  return succeed(null);
}

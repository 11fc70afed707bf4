import { randomUUID } from 'node:crypto';
import { existsSync, mkdirSync, renameSync, rmSync } from 'node:fs';
import { open, writeFile } from 'node:fs/promises';
import path from 'node:path';
import { isDeepStrictEqual } from 'node:util';
import { z } from 'zod';
import { readDossier, readWith, shelfItemSchema } from '@/core/dossier';
import { readEntryPath, shopFileSchema, type ShopFile } from '@/core/keeping';
import { fail, succeed, type Problem, type Result } from '@/core/shared';
import { workshopSchema } from '@/core/workshop';
import { makePieceStore, makeShelfStore, makeShopStore, makeWorkshopStore, openDatabase } from '../db';
import { inspectPicture } from '../inspect-picture';
import { shopFolder } from '../shop-folder';
import { openZip, ZipFault, type OpenZip } from './read-zip';

const MB = 2 ** 20;
/** What one file of the zip may unpack to: a piece as its own door takes it, a picture likewise. */
const MOST = { json: 64 * MB, table: 512 * MB, photo: 12 * MB, shop: 128 * MB } as const;

interface RestoreParts {
  /** The zip, and the database file to be made from it, which must not be there. */
  zip: string;
  file: string;
  migrations: string;
  now: string;
}

/**
 * Makes a shop from its zip, in a new place: all of it, checked against the list in the zip and the schemas of the
 * formats, or nothing. What is wrong is said by the path of its file and the place in it.
 */
export async function restoreShop({ zip: source, file, migrations, now }: RestoreParts): Promise<Result<ShopFile>> {
  const folder = path.join(shopFolder(file), 'photos');
  for (const there of [file, folder]) if (existsSync(there)) return fail('file_exists', '', { file: there });
  const draft = path.join(path.dirname(path.resolve(file)), `.restoring-${randomUUID()}`);
  let zip: OpenZip | null = null;
  try {
    zip = await openZip(source);
    mkdirSync(path.join(draft, 'photos'), { recursive: true });
    const made = await fill(zip, draft, migrations, now);
    if (!made.ok) return made;
    mkdirSync(path.dirname(folder), { recursive: true });
    renameSync(path.join(draft, 'photos'), folder);
    // The records last: where they are, all is.
    renameSync(path.join(draft, 'shop.sqlite'), file);
    await syncFolder(path.dirname(path.resolve(file)));
    return made;
  } catch (error) {
    if (!(error instanceof ZipFault)) throw error;
    return fail('not_a_shop', '', { detail: error.message });
  } finally {
    zip?.close();
    rmSync(draft, { recursive: true, force: true });
  }
}

/** Thrown to leave the middle of a restore; what was made so far is thrown away. */
class Refused extends Error {
  constructor(readonly problem: Problem) {
    super(problem.code);
  }
}

async function fill(zip: OpenZip, draft: string, migrations: string, now: string): Promise<Result<ShopFile>> {
  const db = openDatabase(path.join(draft, 'shop.sqlite'), migrations);
  // Nobody else sees the draft, and it is thrown away whole: it is brought to the disk once, at the end.
  db.pragma('synchronous = OFF');
  db.exec('BEGIN');
  try {
    const read = makeReader(zip);
    const shop = await read.json('shop.json', shopFileSchema, MOST.shop);
    const listed = new Map(shop.files.map((entry) => [entry.path, entry.sha256]));
    for (const name of zip.entries.keys())
      if (name !== 'shop.json' && !listed.has(name)) throw new ZipFault(`${name} is not in its list`);
    makeShopStore(db, shop.made_at, shop.id);
    const store = makePieceStore(db);
    const dates = new Map(shop.pieces.map((piece) => [piece.id, piece]));
    for (const [name, sha256] of listed) {
      const entry = readEntryPath(name);
      if (!entry || !zip.entries.has(name)) throw new ZipFault(name);
      if (entry.is === 'table') await read.bytes(name, MOST.table, sha256);
      else if (entry.is === 'shelf')
        makeShelfStore(db).restore(await read.json(name, z.array(shelfItemSchema), MOST.json, sha256), shop.made_at);
      else if (entry.is === 'workshop')
        makeWorkshopStore(db).restore(await read.json(name, workshopSchema, MOST.json, sha256));
      else if (entry.is === 'photo') await keepPhoto(draft, entry.sha256, await read.bytes(name, MOST.photo, sha256));
      else if (entry.is === 'piece') {
        const own = dates.get(entry.id);
        const value = await read.value(name, MOST.json, sha256);
        const dossier = readDossier(value, now);
        if (!dossier.ok) throw new Refused(inFile(name, dossier.problem));
        if (!own || dossier.value.piece.id !== entry.id) throw new ZipFault(`${name} is another piece`);
        store.restore(asWritten(value, dossier.value), own);
        dates.delete(entry.id);
      }
    }
    if (dates.size > 0) throw new ZipFault(`pieces/${[...dates.keys()][0]}.json`);
    db.exec('COMMIT');
    db.pragma('synchronous = FULL');
    db.pragma('wal_checkpoint(TRUNCATE)');
    return succeed(shop);
  } catch (error) {
    if (error instanceof Refused) return { ok: false, problem: error.problem };
    throw error;
  } finally {
    db.close();
  }
}

const inFile = (name: string, problem: Problem): Problem => ({
  ...problem,
  path: problem.path === '' ? name : `${name} ${problem.path}`,
});

/** What the schema read, in the order it was written in, so that it goes out again byte for byte. */
const asWritten = <T>(written: unknown, read: T): T => (isDeepStrictEqual(written, read) ? (written as T) : read);

/** Reads entries as bytes or as records, each against its hash and its schema. */
function makeReader(zip: OpenZip) {
  const bytes = async (name: string, most: number, sha256?: string): Promise<Buffer> => {
    const read = await zip.read(name, most);
    if (sha256 !== undefined && read.sha256 !== sha256) throw new Refused(fail('not_as_listed', name).problem);
    return read.bytes;
  };
  const value = async (name: string, most: number, sha256?: string): Promise<unknown> => {
    const text = (await bytes(name, most, sha256)).toString('utf8');
    try {
      return JSON.parse(text) as unknown;
    } catch (error) {
      throw new Refused(fail('not_json', name, { detail: error instanceof Error ? error.message : '' }).problem);
    }
  };
  const json = async <T>(name: string, schema: z.ZodType<T>, most: number, sha256?: string): Promise<T> => {
    const written = await value(name, most, sha256);
    const read = readWith(schema, written);
    if (!read.ok) throw new Refused(inFile(name, read.problem));
    return asWritten(written, read.value);
  };
  return { bytes, value, json };
}

async function keepPhoto(draft: string, sha256: string, bytes: Buffer): Promise<void> {
  const fit = inspectPicture(bytes);
  if (!fit.ok) throw new Refused(inFile(`photos/${sha256}.jpg`, fit.problem));
  const folder = path.join(draft, 'photos', sha256.slice(0, 2));
  mkdirSync(folder, { recursive: true });
  await writeFile(path.join(folder, `${sha256}.jpg`), bytes, { flush: true });
}

async function syncFolder(folder: string): Promise<void> {
  const handle = await open(folder, 'r');
  // Not every file system lets a folder be synced; the renames have happened.
  await handle.sync().catch(() => undefined);
  await handle.close();
}

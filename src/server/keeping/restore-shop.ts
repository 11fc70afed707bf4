import { randomUUID } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, renameSync, rmSync } from 'node:fs';
import path from 'node:path';
import { isDeepStrictEqual } from 'node:util';
import type { z } from 'zod';
import { LIMITS, readDossier, readWith, shelfItemSchema, tooMany, type Dossier } from '@/core/dossier';
import { readEntryPath, shopFileSchema, shopListsSchema, type ShopFile } from '@/core/keeping';
import { fail, MOST_VALUES, readJson, succeed, type Problem, type Result } from '@/core/shared';
import { workshopSchema } from '@/core/workshop';
import { makePieceStore, makeShelfStore, makeShopStore, makeWorkshopStore, openDatabase } from '../db';
import { syncFolder } from '../disk';
import { adoptPhoto, type StoredPicture } from '../photo-files';
import type { PictureDecoder } from '../picture-decoder';
import { shopFolder } from '../shop-folder';
import { openZip, ZipFault, type OpenZip } from './read-zip';

const MB = 2 ** 20;
/** What one file of the zip may unpack to: a piece as its own door takes it, a picture likewise. */
const MOST = { piece: 64 * MB, list: 64 * MB, workshop: 256 * MB, table: 128 * MB, photo: 12 * MB } as const;
/** All tables together: they are made from the records, and only hashed. */
const MOST_TABLES = 512 * MB;

interface RestoreParts {
  /** The zip, and the database file to be made from it, which must not be there. */
  zip: string;
  file: string;
  migrations: string;
  decoder: PictureDecoder;
  now: string;
}

const DRAFT = /^\.restoring-(\d+)-[0-9a-f-]{36}$/;

/** Removes what restores that were cut off have left beside the file they were for; those that still run are left alone. */
export function removeRestores(folder: string): void {
  for (const name of existsSync(folder) ? readdirSync(folder) : []) {
    const [, maker] = DRAFT.exec(name) ?? [];
    if (maker !== undefined && !isRunning(Number(maker)))
      rmSync(path.join(folder, name), { recursive: true, force: true });
  }
}

/** Drafts of this very process. */
export const listOwnRestores = (folder: string): string[] =>
  (existsSync(folder) ? readdirSync(folder) : [])
    .filter((name) => DRAFT.exec(name)?.[1] === String(process.pid))
    .map((name) => path.join(folder, name));

function isRunning(id: number): boolean {
  try {
    return process.kill(id, 0);
  } catch {
    return false;
  }
}

/**
 * Makes a shop from its zip, in a new place: all of it, checked against the list in the zip and the schemas of the
 * formats, or nothing. What is wrong is said by the path of its file and the place in it.
 */
export async function restoreShop(parts: RestoreParts): Promise<Result<ShopFile>> {
  const { zip: source, file } = parts;
  const folder = path.join(shopFolder(file), 'photos');
  for (const there of [file, folder]) if (existsSync(there)) return fail('file_exists', '', { file: there });
  const home = path.dirname(path.resolve(file));
  const draft = path.join(home, `.restoring-${process.pid}-${randomUUID()}`);
  let zip: OpenZip | null = null;
  try {
    zip = await openZip(source);
    mkdirSync(path.join(draft, 'photos'), { recursive: true });
    const made = await fill(zip, draft, parts);
    if (!made.ok) return made;
    mkdirSync(path.dirname(folder), { recursive: true });
    renameSync(path.join(draft, 'photos'), folder);
    syncFolder(path.dirname(folder));
    // The records last: where they are, all is.
    renameSync(path.join(draft, 'shop.sqlite'), file);
    syncFolder(home);
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

async function fill(
  zip: OpenZip,
  draft: string,
  { migrations, decoder, now }: Pick<RestoreParts, 'migrations' | 'decoder' | 'now'>,
): Promise<Result<ShopFile>> {
  const db = openDatabase(path.join(draft, 'shop.sqlite'), migrations);
  // Nobody else sees the draft, and it is thrown away whole: it is brought to the disk once, at the end.
  db.pragma('synchronous = OFF');
  db.exec('BEGIN');
  try {
    const read = makeReader(zip);
    const shop = await readShopFile(read);
    const entries = sortEntries(zip, shop);
    makeShopStore(db, shop.made_at, shop.id);
    await checkTables(zip, entries.table);
    for (const { name, sha256 } of entries.shelf) {
      const tins = readList(name, '', shelfItemSchema, await read.value(name, 'list', sha256), LIMITS.shelf);
      makeShelfStore(db).restore(tins, shop.made_at);
    }
    for (const { name, sha256 } of entries.workshop)
      makeWorkshopStore(db).restore(readWorkshop(name, await read.value(name, 'workshop', sha256)));
    // Before the pieces, which are told where one had to be drawn anew.
    const redrawn = new Map<string, StoredPicture>();
    for (const { name, sha256, of } of entries.photo) {
      // A picture is named by its bytes: what comes under the name of another would be taken for that one.
      if (of !== sha256) throw new Refused(fail('not_as_listed', name).problem);
      const { bytes } = await read.bytes(name, MOST.photo, sha256);
      const kept = await adoptPhoto(path.join(draft, 'photos'), bytes, decoder);
      if (!kept.ok) throw new Refused(inFile(name, kept.problem));
      if (kept.value.sha256 !== sha256) redrawn.set(sha256, kept.value);
    }
    const store = makePieceStore(db);
    const dates = new Map(shop.pieces.map((piece) => [piece.id, piece]));
    for (const { name, sha256, of: id } of entries.piece) {
      const own = dates.get(id);
      const value = await read.value(name, 'piece', sha256);
      const dossier = readDossier(value, now);
      if (!dossier.ok) throw new Refused(inFile(name, dossier.problem));
      if (!own || dossier.value.piece.id !== id) throw new ZipFault(`${name} is another piece`);
      store.restore(showRedrawn(asWritten(value, dossier.value), redrawn), own);
      dates.delete(id);
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

interface Listed {
  name: string;
  sha256: string;
  /** Of a piece its id, of a picture the hash that it is named by. */
  of: string;
}

/** What the list names, by what it is. What is not in the list, or has no place in a shop, makes it none. */
function sortEntries(zip: OpenZip, { files }: ShopFile) {
  const sorted: Record<'table' | 'shelf' | 'workshop' | 'photo' | 'piece', Listed[]> = {
    table: [],
    shelf: [],
    workshop: [],
    photo: [],
    piece: [],
  };
  const listed = new Map(files.map((entry) => [entry.path, entry.sha256]));
  for (const name of zip.entries.keys())
    if (name !== 'shop.json' && !listed.has(name)) throw new ZipFault(`${name} is not in its list`);
  for (const [name, sha256] of listed) {
    const entry = readEntryPath(name);
    if (!entry || entry.is === 'shop' || !zip.entries.has(name)) throw new ZipFault(name);
    const of = entry.is === 'piece' ? entry.id : entry.is === 'photo' ? entry.sha256 : '';
    sorted[entry.is].push({ name, sha256, of });
  }
  return sorted;
}

async function checkTables(zip: OpenZip, tables: readonly Listed[]): Promise<void> {
  const all = tables.reduce((sum, { name }) => sum + zip.entries.get(name)!.uncompressedSize, 0);
  if (all > MOST_TABLES) throw new ZipFault('csv/ is too large');
  for (const { name, sha256 } of tables)
    if ((await zip.hash(name, MOST.table)) !== sha256) throw new Refused(fail('not_as_listed', name).problem);
}

type Reader = ReturnType<typeof makeReader>;

/** The list of the zip: first what it is, then entry by entry, so that the first that is wrong ends it. */
async function readShopFile(read: Reader): Promise<ShopFile> {
  const name = 'shop.json';
  const written = await read.value(name, 'list');
  const head = readWith(shopListsSchema, written);
  if (!head.ok) throw new Refused(inFile(name, head.problem));
  const { pieces, files } = shopFileSchema.shape;
  readList(name, 'pieces', pieces.element, head.value.pieces);
  readList(name, 'files', files.element, head.value.files);
  return written as ShopFile;
}

/** The workshop likewise: its readings of the air may be many. */
function readWorkshop(name: string, written: unknown) {
  const { air, practice } = workshopSchema.shape;
  const record = typeof written === 'object' && written !== null ? (written as Record<string, unknown>) : {};
  if (Array.isArray(record.air)) readList(name, 'air', air.element, record.air);
  if (Array.isArray(record.practice)) readList(name, 'practice', practice.unwrap().element, record.practice);
  const read = readWith(workshopSchema, written);
  if (!read.ok) throw new Refused(inFile(name, read.problem));
  return asWritten(written, read.value);
}

/** A list one by one: of a million that are wrong, the first is enough. */
function readList<T>(name: string, at: string, schema: z.ZodType<T>, written: unknown, most = Infinity): T[] {
  if (!Array.isArray(written)) throw new Refused(inFile(name, fail('wrong_type', at, { expected: 'array' }).problem));
  if (written.length > most) throw new Refused(inFile(name, tooMany(at, most)));
  return written.map((value: unknown, i) => {
    const read = readWith(schema, value);
    if (read.ok) return asWritten(value, read.value);
    const { path: place } = read.problem;
    throw new Refused(inFile(name, { ...read.problem, path: `${at}[${i}]${place === '' ? '' : `.${place}`}` }));
  });
}

const inFile = (name: string, problem: Problem): Problem => ({
  ...problem,
  path: problem.path === '' ? name : `${name} ${problem.path}`,
});

/** What the schema read, in the order it was written in, so that it goes out again byte for byte. */
const asWritten = <T>(written: unknown, read: T): T => (isDeepStrictEqual(written, read) ? (written as T) : read);

function showRedrawn(dossier: Dossier, redrawn: ReadonlyMap<string, StoredPicture>): Dossier {
  if (redrawn.size === 0 || !dossier.photos) return dossier;
  return { ...dossier, photos: dossier.photos.map((photo) => ({ ...photo, ...redrawn.get(photo.sha256) })) };
}

/** Reads entries as bytes or as records, each against its hash. */
function makeReader(zip: OpenZip) {
  const bytes = async (name: string, most: number, sha256?: string) => {
    const read = await zip.read(name, most);
    if (sha256 !== undefined && read.sha256 !== sha256) throw new Refused(fail('not_as_listed', name).problem);
    return read;
  };
  const value = async (name: string, is: 'piece' | 'list' | 'workshop', sha256?: string): Promise<unknown> => {
    const read = readJson((await bytes(name, MOST[is], sha256)).bytes, MOST_VALUES[is]);
    if (!read.ok) throw new Refused(inFile(name, read.problem));
    return read.value;
  };
  return { bytes, value };
}

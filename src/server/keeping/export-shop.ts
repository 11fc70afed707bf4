import { readFile } from 'node:fs/promises';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createHash } from 'node:crypto';
import { ZipFile } from 'yazl';
import { withShelf } from '@/core/dossier';
import { nameCause, nameSymptom } from '@/words';
import { ACCOUNT_TABLE, tellAccount } from '@/core/earned';
import { PIECE_TABLES, SHELF_TABLES, SHOP_FORMAT, toCsv, type ShopFile } from '@/core/keeping';
import { makePieceStore, makeShelfStore, makeShopStore, makeWorkshopStore, type Db } from '../db';
import { hashOf, type PhotoFiles } from '../photo-files';

const toJson = (value: unknown): string => `${JSON.stringify(value, null, 2)}\n`;

/** What was written, and which pictures could not be. */
export type Exported = Pick<ShopFile, 'counts'> & { missing: string[] };

/**
 * Writes a whole shop as one zip: pieces, shelf, workshop, pictures, and tables for spreadsheets. It is written as it is
 * read, an entry at a time, so that a large shop takes no more memory than a small one, and ends where its reader goes. What
 * says what is in it (`shop.json`) comes last; pictures that are lost, or are no longer the bytes of their name, are named
 * there.
 * @param db a copy of the shop's records that nobody writes to meanwhile
 */
/** What the tables call troubles and their causes. */
const NAMES = { symptom: nameSymptom, cause: nameCause };

export async function exportShop(
  db: Db,
  photos: Pick<PhotoFiles, 'pathOf'>,
  out: NodeJS.WritableStream,
  now: string,
): Promise<Exported> {
  const store = makePieceStore(db);
  const shelf = makeShelfStore(db);
  const [tins, gone] = [shelf.list(), shelf.listRemoved()];
  const workshop = makeWorkshopStore(db).findWhole();
  const { id } = makeShopStore(db, now);
  const dates = store.listDates();
  const writer = writeZip(out, now);
  const { add } = writer;
  try {
    for (const piece of dates) await add(`pieces/${piece.id}.json`, [toJson(store.find(piece.id))]);
    await add('shelf.json', [toJson(tins)]);
    await add('workshop.json', [toJson(workshop)]);
    for (const [name, { columns, rows }] of Object.entries(PIECE_TABLES))
      await add(
        `csv/${name}.csv`,
        (function* () {
          yield toCsv([columns]);
          for (const piece of dates) yield toCsv(rows(withShelf(store.find(piece.id)!, [...tins, ...gone]), NAMES));
        })(),
      );
    await add(
      'csv/accounts.csv',
      (function* () {
        yield toCsv([ACCOUNT_TABLE.columns]);
        for (const piece of dates) {
          const account = tellAccount(withShelf(store.find(piece.id)!, [...tins, ...gone]));
          if (account) yield toCsv(ACCOUNT_TABLE.rows(account));
        }
      })(),
    );
    for (const [name, { columns, rows }] of Object.entries(SHELF_TABLES))
      await add(`csv/${name}.csv`, [toCsv([columns]), toCsv(rows(tins))]);
    const missing: string[] = [];
    let pictures = 0;
    for (const sha256 of [...store.listShown()].sort()) {
      const bytes = await readFile(photos.pathOf(sha256)).catch(() => null);
      if (bytes === null || hashOf(bytes) !== sha256) missing.push(sha256);
      else {
        await add(`photos/${sha256}.jpg`, [bytes], false);
        pictures += 1;
      }
    }
    const counts = { pieces: dates.length, photos: pictures, tins: tins.length };
    const { files } = writer;
    const shop: ShopFile = {
      format: SHOP_FORMAT,
      id,
      made_at: now,
      counts,
      pieces: dates,
      files,
      ...(missing.length > 0 ? { missing } : {}),
    };
    await add('shop.json', [toJson(shop)]);
    await writer.end();
    return { counts, missing };
  } catch (error) {
    writer.giveUp();
    throw error;
  }
}

/** A zip that is sent as it is made. An entry is read when the one before it was sent. */
function writeZip(out: NodeJS.WritableStream, now: string) {
  const zip = new ZipFile();
  const files: ShopFile['files'] = [];
  // What ends an entry in the middle is heard where the entry is waited for.
  zip.on('error', () => undefined);
  const sent = pipeline(zip.outputStream, out);
  /** Fails when whoever reads has gone; nobody waits for it while entries are made. */
  const gone = sent.then(() => Promise.reject<never>(new Error('the zip has ended')));
  gone.catch(() => undefined);
  let current: Readable | null = null;

  async function* hashed(path: string, parts: Iterable<string | Buffer>): AsyncGenerator<Buffer> {
    const hash = createHash('sha256');
    let bytes = 0;
    for (const part of parts) {
      const buffer = Buffer.from(part);
      hash.update(buffer);
      bytes += buffer.length;
      yield buffer;
    }
    files.push({ path, sha256: hash.digest('hex'), bytes });
  }
  return {
    files,
    add: async (path: string, parts: Iterable<string | Buffer>, compress = true): Promise<void> => {
      const stream = Readable.from(hashed(path, parts), { objectMode: false });
      current = stream;
      const read = new Promise<void>((resolve, reject) => stream.once('end', resolve).once('error', reject));
      zip.addReadStream(stream, path, { mtime: new Date(now), mode: 0o100644, compress });
      await Promise.race([read, gone]);
    },
    end: async (): Promise<void> => {
      zip.end();
      await sent;
    },
    giveUp: (): void => {
      current?.destroy();
    },
  };
}

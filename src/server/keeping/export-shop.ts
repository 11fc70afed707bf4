import { createHash } from 'node:crypto';
import { createReadStream, existsSync } from 'node:fs';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { ZipFile } from 'yazl';
import { PIECE_TABLES, SHELF_TABLES, SHOP_FORMAT, type ShopFile } from '@/core/keeping';
import { makePieceStore, makeShelfStore, makeShopStore, makeWorkshopStore, type Db } from '../db';
import { ACCOUNT_TABLE, tellAccount } from '@/core/earned';
import { withShelf } from '@/core/dossier';
import type { PhotoFiles } from '../photo-files';
import { toCsv } from '../to-csv';

const toJson = (value: unknown): string => `${JSON.stringify(value, null, 2)}\n`;

/**
 * Writes a whole shop as one zip: pieces, shelf, workshop, pictures, and tables for spreadsheets. It is written as it is
 * read, so that a large shop takes no more memory than a small one. What says what is in it (`shop.json`) comes last.
 * @param db a copy of the shop's records that nobody writes to meanwhile
 */
export async function exportShop(
  db: Db,
  photos: Pick<PhotoFiles, 'pathOf'>,
  out: NodeJS.WritableStream,
  now: string,
): Promise<void> {
  const store = makePieceStore(db);
  const tins = makeShelfStore(db).list();
  const workshop = makeWorkshopStore(db).findWhole();
  const { id } = makeShopStore(db, now);
  const dates = store.listDates();
  const files: ShopFile['files'] = [];
  const zip = new ZipFile();

  /** An entry that is made when its turn comes, and hashed as it goes. */
  const add = (path: string, make: () => Iterable<string | Buffer> | AsyncIterable<Buffer>, compress = true): void =>
    zip.addReadStreamLazy(path, { mtime: new Date(now), mode: 0o100644, compress }, (ready) => {
      ready(null, Readable.from(hashed(path, make()), { objectMode: false }));
    });
  async function* hashed(
    path: string,
    parts: Iterable<string | Buffer> | AsyncIterable<Buffer>,
  ): AsyncGenerator<Buffer> {
    const hash = createHash('sha256');
    let bytes = 0;
    for await (const part of parts) {
      const buffer = Buffer.from(part);
      hash.update(buffer);
      bytes += buffer.length;
      yield buffer;
    }
    files.push({ path, sha256: hash.digest('hex'), bytes });
  }

  for (const piece of dates) add(`pieces/${piece.id}.json`, () => [toJson(store.find(piece.id))]);
  add('shelf.json', () => [toJson(tins)]);
  add('workshop.json', () => [toJson(workshop)]);
  for (const [name, { columns, rows }] of Object.entries(PIECE_TABLES))
    add(`csv/${name}.csv`, function* () {
      yield toCsv([columns]);
      for (const piece of dates) yield toCsv(rows(store.find(piece.id)!));
    });
  add('csv/accounts.csv', function* () {
    yield toCsv([ACCOUNT_TABLE.columns]);
    for (const piece of dates) {
      const account = tellAccount(withShelf(store.find(piece.id)!, tins));
      if (account) yield toCsv(ACCOUNT_TABLE.rows(account));
    }
  });
  for (const [name, { columns, rows }] of Object.entries(SHELF_TABLES))
    add(`csv/${name}.csv`, () => [toCsv([columns]), toCsv(rows(tins))]);
  // Pictures that a record speaks of; one whose file is lost is left out, and missed by nothing but the eye.
  const pictures = [...store.listShown()].filter((sha256) => existsSync(photos.pathOf(sha256))).sort();
  for (const sha256 of pictures) add(`photos/${sha256}.jpg`, () => createReadStream(photos.pathOf(sha256)), false);

  const shop = (): ShopFile => ({
    format: SHOP_FORMAT,
    id,
    made_at: now,
    counts: { pieces: dates.length, photos: pictures.length, tins: tins.length },
    pieces: dates,
    files,
  });
  zip.addReadStreamLazy('shop.json', { mtime: new Date(now), mode: 0o100644 }, (ready) =>
    ready(null, Readable.from([Buffer.from(toJson(shop()))])),
  );
  zip.end();
  await pipeline(zip.outputStream, out);
}

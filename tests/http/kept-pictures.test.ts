import { createHash } from 'node:crypto';
import {
  copyFileSync,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  symlinkSync,
} from 'node:fs';
import { get } from 'node:http';
import path from 'node:path';
import sharp from 'sharp';
import { pathOfPhoto } from '@/server/photo-files';
import {
  at,
  bring,
  entriesOf,
  exportOf,
  forge,
  makeZip,
  picture,
  restore,
  start,
  startRich,
  take,
  type Shop,
} from './whole-shop';

/* No file that was sent, no start and no copy takes a picture away or puts another in its place. */
const DESK = { format: 'bricolage.dossier/1', piece: { kind: 'desk', id: 'p' }, zones: [{ id: 'top', role: 'top' }] };

/** A shop with a piece of so many pictures; gives their hashes. */
async function withPictures(shop: Shop, count: number): Promise<string[]> {
  await shop.call('PUT', '/api/pieces/p', DESK);
  for (let i = 0; i < count; i += 1) await shop.send(`/api/pieces/p/photos/f${i}`, await picture(20 + 40 * i));
  const { photos = [] } = (await shop.call('GET', '/api/pieces/p')).body;
  return photos.map(({ sha256 }: { sha256: string }) => sha256);
}

/** Whether every picture is served as the bytes of its name. */
async function areServed(shop: Shop, hashes: readonly string[]): Promise<boolean[]> {
  return Promise.all(
    hashes.map(async (sha256) => {
      const bytes = Buffer.from(await (await fetch(`${shop.base}/api/photos/${sha256}`)).arrayBuffer());
      return createHash('sha256').update(bytes).digest('hex') === sha256;
    }),
  );
}

describe('a zip that somebody sent', () => {
  it('with other bytes under the name of a picture that is here changes neither that nor its copies', async () => {
    const shop = await start();
    const [kept] = (await withPictures(shop, 1)) as [string];
    await shop.call('POST', '/api/keeping/backups');
    const good = await entriesOf(await exportOf(shop.file, 'own.zip'));
    const before = readFileSync(pathOfPhoto(shop.files('photos'), kept));
    const forged = await makeZip('forged.zip', forge(good, `photos/${kept}.jpg`, await picture(222)));
    const answer = await bring(shop, readFileSync(forged));
    expect([answer.status, answer.body.error.code]).toEqual([422, 'not_as_listed']);
    const [copy] = readdirSync(shop.files('backups')) as [string];
    for (const home of [shop.files('photos'), shop.files('backups', copy, 'photos')])
      expect(readFileSync(pathOfPhoto(home, kept)).equals(before)).toBe(true);
    await shop.stop();
  }, 30_000);

  it('with a camera’s picture brings it turned upright, without the camera’s data, under the hash it has then', async () => {
    const camera = await sharp({ create: { width: 90, height: 40, channels: 3, background: '#a05030' } })
      .withMetadata({ orientation: 6 })
      .withExifMerge({ IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '51/1 30/1 0/1' } })
      .jpeg()
      .toBuffer();
    const from = await start();
    const [plain] = (await withPictures(from, 1)) as [string];
    const good = await entriesOf(await exportOf(from.file, 'camera-own.zip'));
    await from.stop();
    const named = createHash('sha256').update(camera).digest('hex');
    const renamed = Object.fromEntries(
      Object.entries(good).map(([name, bytes]) => [
        name.replace(plain, named),
        name.startsWith('photos/') ? camera : Buffer.from(bytes.toString('utf8').replaceAll(plain, named)),
      ]),
    );
    let entries: Record<string, Buffer | string> = renamed;
    for (const name of Object.keys(renamed))
      if (name !== 'shop.json') entries = forge(entries as Record<string, Buffer>, name, renamed[name]!);
    for (const [name, bytes] of Object.entries(entries)) entries[name] = Buffer.from(bytes);
    const shop = await start();
    const looked = await bring(shop, readFileSync(await makeZip('camera.zip', entries)));
    expect(looked.body).toMatchObject({ from: 'shop', pictures: 1 });
    await take(shop, looked.body.id, 'leave');
    const [photo] = (await shop.call('GET', '/api/pieces/p')).body.photos;
    expect(photo).toMatchObject({ width: 40, height: 90 });
    expect(photo.sha256).not.toBe(named);
    const shown = await sharp(readFileSync(pathOfPhoto(shop.files('photos'), photo.sha256))).metadata();
    expect([shown.exif, shown.width, shown.height]).toEqual([undefined, 40, 90]);
    expect(existsSync(pathOfPhoto(shop.files('photos'), named))).toBe(false);
    await shop.stop();
  }, 30_000);
});

describe('a start', () => {
  it('with an older copy of the records, and with the newer ones again, loses no picture', async () => {
    const shop = await start();
    const [first] = await withPictures(shop, 1);
    await shop.stop();
    copyFileSync(shop.file, at('older.sqlite'));
    const newer = await start(shop.file);
    const all = await withPictures(newer, 3);
    await newer.stop();
    renameSync(shop.file, at('newer.sqlite'));
    copyFileSync(at('older.sqlite'), shop.file);
    const old = await start(shop.file);
    expect(await areServed(old, [first!])).toEqual([true]);
    const [day] = readdirSync(old.files('aside')) as [string];
    expect(readdirSync(old.files('aside', day))).toContain('from.json');
    await old.stop();
    renameSync(at('newer.sqlite'), shop.file);
    const again = await start(shop.file);
    expect(await areServed(again, all)).toEqual([true, true, true]);
    await again.stop();
  }, 30_000);

  it('without the records does not begin an empty shop in their place, and says so', async () => {
    const shop = await start();
    const all = await withPictures(shop, 2);
    await shop.stop();
    renameSync(shop.file, at('away.sqlite'));
    await expect(start(shop.file)).rejects.toThrow(/are gone, but the folder/);
    expect(existsSync(shop.file)).toBe(false);
    renameSync(at('away.sqlite'), shop.file);
    const back = await start(shop.file);
    expect(await areServed(back, all)).toEqual([true, true]);
    await back.stop();
  }, 30_000);

  it('with the records of another shop stops, and leaves the folder alone', async () => {
    const [shop, other] = [await start(), await start()];
    const all = await withPictures(shop, 1);
    await Promise.all([shop.stop(), other.stop()]);
    renameSync(shop.file, at('mine.sqlite'));
    copyFileSync(other.file, shop.file);
    await expect(start(shop.file)).rejects.toThrow(/belongs to another shop/);
    rmSync(shop.file);
    renameSync(at('mine.sqlite'), shop.file);
    const back = await start(shop.file);
    expect(await areServed(back, all)).toEqual([true]);
    await back.stop();
  }, 30_000);

  it('by another name of the file finds the same folder, and is held off while a server works there', async () => {
    const shop = await start();
    const all = await withPictures(shop, 1);
    const link = at('link.sqlite');
    symlinkSync(shop.file, link);
    await expect(start(link)).rejects.toThrow(/in use by another program/);
    await shop.stop();
    const linked = await start(link);
    expect(await areServed(linked, all)).toEqual([true]);
    await linked.stop();
    expect(existsSync(`${link}-files`)).toBe(false);
  }, 30_000);

  it.each([
    ['alone', ['shop.sqlite']],
    ['of two files that shared it', ['shop.sqlite', 'shop.db']],
  ])(
    'takes over the folder of an earlier version, %s, with every picture',
    async (name, files) => {
      const home = at(`earlier-${files.length}`);
      mkdirSync(home);
      const known = new Map<string, string[]>();
      for (const [i, file] of files.entries()) {
        const shop = await start(path.join(home, file));
        await shop.call('PUT', '/api/pieces/p', DESK);
        await shop.send('/api/pieces/p/photos/f', await picture(30 + 90 * i));
        known.set(file, [(await shop.call('GET', '/api/pieces/p')).body.photos[0].sha256]);
        await shop.stop();
        // As an earlier version had it: one folder by the name without its ending, which nobody has claimed.
        for (const sha256 of known.get(file)!) {
          const old = pathOfPhoto(path.join(home, 'shop-files', 'photos'), sha256);
          mkdirSync(path.dirname(old), { recursive: true });
          renameSync(pathOfPhoto(shop.files('photos'), sha256), old);
        }
        rmSync(shop.files(), { recursive: true });
      }
      for (const file of [...files, ...files]) {
        const shop = await start(path.join(home, file));
        expect([name, await areServed(shop, known.get(file)!)]).toEqual([name, [true]]);
        await shop.stop();
      }
      expect(existsSync(path.join(home, 'shop-files'))).toBe(files.length > 1);
    },
    30_000,
  );
});

describe('the whole shop in one zip', () => {
  it('is made without a picture that is lost or spoilt, names it, and comes back', async () => {
    const shop = await startRich();
    const hashes: string[] = (await shop.call('GET', '/api/pieces/demo-issue-desk')).body.photos.map(
      ({ sha256 }: { sha256: string }) => sha256,
    );
    rmSync(pathOfPhoto(shop.files('photos'), hashes[0]!));
    const zip = Buffer.from(await (await fetch(`${shop.base}/api/keeping/shop.zip`)).arrayBuffer());
    expect((await shop.call('GET', '/api/keeping/backups')).body.left_out).toMatchObject({ pictures: 1 });
    const made = await exportOf(shop.file, 'lacking.zip', undefined, 1);
    await shop.stop();
    const list = JSON.parse((await entriesOf(made))['shop.json']!.toString());
    expect([list.missing, list.counts.photos]).toEqual([[hashes[0]], 1]);
    expect(zip.length).toBeGreaterThan(1000);
    expect(await restore(made, 'lacking/shop.sqlite')).toMatchObject({ ok: true, value: { picturesMissing: 1 } });
  }, 60_000);

  it('ends where its reader goes, and the server goes on', async () => {
    const shop = await startRich();
    for (let i = 0; i < 3; i += 1)
      await new Promise<void>((resolve) => {
        const asked = get(`${shop.base}/api/keeping/shop.zip`, (answer) =>
          answer.once('data', () => {
            asked.destroy();
            resolve();
          }),
        );
        asked.on('error', () => undefined);
      });
    // What was made for them is cleared away when they have gone.
    const left = (): string[] => readdirSync(shop.files()).filter((name) => name.startsWith('.snapshot-'));
    for (let tries = 0; left().length > 0 && tries < 100; tries += 1) await new Promise((done) => setTimeout(done, 20));
    expect(left()).toEqual([]);
    expect((await shop.call('GET', '/api/health')).body.ok).toBe(true);
    await shop.stop();
  }, 30_000);
});

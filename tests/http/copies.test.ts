import { copyFileSync, existsSync, readdirSync, readFileSync, rmSync, truncateSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import Database from 'better-sqlite3';
import { exportShopFile } from '@/server/keeping';
import { pathOfPhoto } from '@/server/photo-files';
import { at, MIGRATIONS, NOW, picture, restore, start, type Shop } from './whole-shop';

/* Copies are looked at before anything is built on them, by the server and by the command line alike. */
const DESK = { format: 'bricolage.dossier/1', piece: { kind: 'desk' } };

const listCopies = async (shop: Shop): Promise<{ at: string; damaged?: true; pictures_missing?: number }[]> =>
  (await shop.call('GET', '/api/keeping/backups')).body.backups;
const copyFolder = (shop: Shop, moment: string): string => shop.files('backups', moment.replaceAll(':', ''));

/** A shop with one copy, and a piece that is newer than it; gives the copy’s moment. */
async function startCopied(): Promise<{ shop: Shop; moment: string }> {
  const shop = await start();
  await shop.call('PUT', '/api/pieces/p-old', DESK);
  await shop.send('/api/pieces/p-old/photos/f', await picture(80));
  await shop.call('POST', '/api/keeping/backups');
  const [copy] = await listCopies(shop);
  await shop.call('PUT', '/api/pieces/p-new', DESK);
  return { shop, moment: copy!.at };
}

const SPOILT: [string, string, (file: string) => void][] = [
  ['a fragment', 'database_damaged', (file) => truncateSync(file, 5000)],
  ['empty', 'database_empty', (file) => truncateSync(file, 0)],
  ['no database', 'database_damaged', (file) => writeFileSync(file, 'Dear workshop, this is a letter. '.repeat(400))],
  [
    'of a newer version',
    'database_newer',
    (file) => {
      const db = new Database(file);
      db.pragma('user_version = 999');
      db.close();
    },
  ],
  [
    'damaged inside',
    'database_damaged',
    (file) => {
      const bytes = readFileSync(file);
      bytes.fill(0x5a, 4096, 4096 * 6);
      writeFileSync(file, bytes);
    },
  ],
];

describe('a copy that cannot be used', () => {
  it('is refused in words when it is to be put back, and the shop that is open goes on as it is', async () => {
    const { shop, moment } = await startCopied();
    const good = at('good-copy.sqlite');
    const file = path.join(copyFolder(shop, moment), 'shop.sqlite');
    copyFileSync(file, good);
    const putBack = () => shop.call('POST', `/api/keeping/backups/${moment}/restore`);
    for (const [name, code, spoil] of SPOILT) {
      copyFileSync(good, file);
      spoil(file);
      expect([name, (await putBack()).body.error?.code]).toEqual([name, code]);
      expect((await shop.call('GET', '/api/pieces/p-new')).status).toBe(200);
    }
    expect((await listCopies(shop)).map(({ damaged }) => damaged)).toEqual([true]);
    copyFileSync(good, file);
    const db = new Database(file);
    db.exec("UPDATE shop SET id = 'another-shop'");
    db.close();
    expect((await putBack()).body.error.code).toBe('copy_of_other_shop');
    expect((await shop.call('PUT', '/api/pieces/p-more', DESK)).status).toBe(200);
    // It looks whole and cannot be worked with: what was open before is opened again.
    copyFileSync(good, file);
    const lacking = new Database(file);
    lacking.exec(
      'PRAGMA foreign_keys = OFF; DROP TABLE observation; DROP TABLE test; DROP TABLE gate_override; DROP TABLE zone',
    );
    lacking.close();
    expect((await putBack()).body.error.code).toBe('database_damaged');
    expect((await shop.call('GET', '/api/pieces/p-more')).status).toBe(200);
    expect((await shop.call('PUT', '/api/pieces/p-most', DESK)).status).toBe(200);
    // Whole, it comes back, and says which pictures it lacks.
    copyFileSync(good, file);
    const { sha256 } = (await shop.call('GET', '/api/pieces/p-old')).body.photos[0];
    for (const home of [path.join(copyFolder(shop, moment), 'photos'), shop.files('photos')])
      rmSync(pathOfPhoto(home, sha256));
    expect((await putBack()).body).toEqual({ restored: moment, pictures_missing: 1 });
    expect((await shop.call('GET', '/api/pieces/p-new')).status).toBe(404);
    await shop.stop();
  }, 30_000);

  it('is no shop to the command line either, in or out, and nothing is made of it', async () => {
    const { shop, moment } = await startCopied();
    const folder = copyFolder(shop, moment);
    await shop.stop();
    const file = path.join(folder, 'shop.sqlite');
    const good = readFileSync(file);
    for (const [i, [name, code, spoil]] of SPOILT.entries()) {
      writeFileSync(file, good);
      spoil(file);
      const target = `from-copy-${i}/shop.sqlite`;
      expect([name, await restore(folder, target)]).toMatchObject([name, { ok: false, problem: { code } }]);
      expect([existsSync(at(target)), existsSync(at(`${target}-files/photos`))]).toEqual([false, false]);
      const out = at(`from-copy-${i}.zip`);
      expect(await exportShopFile(file, out, MIGRATIONS, NOW)).toMatchObject({ ok: false, problem: { code } });
      expect(existsSync(out)).toBe(false);
    }
    writeFileSync(file, good);
    const back = await restore(folder, 'from-good/shop.sqlite');
    expect(back).toEqual({ ok: true, value: { pieces: 1, picturesMissing: 0 } });
    expect(readdirSync(folder).sort()).toEqual(['copy.json', 'photos', 'shop.sqlite']);
  }, 30_000);

  it('is named in the list and by the shop’s health, is not counted among those kept, and a good one is made', async () => {
    const shop = await start();
    for (let day = 0; day < 9; day += 1) {
      await shop.daily();
      shop.wait(24);
    }
    // The newest of all is spoilt: the next day's look finds it.
    const [newest] = await listCopies(shop);
    truncateSync(path.join(copyFolder(shop, newest!.at), 'shop.sqlite'), 5000);
    await shop.daily();
    const after = await listCopies(shop);
    expect(after.filter(({ damaged }) => damaged).map((own) => own.at)).toEqual([newest!.at]);
    expect(after.filter(({ damaged }) => !damaged).length).toBeGreaterThanOrEqual(7);
    expect(after[0]).not.toHaveProperty('damaged');
    expect((await shop.call('GET', '/api/health')).body).toMatchObject({
      ok: true,
      copies: { newest: after[0]!.at, damaged: 1 },
    });
    for (let day = 0; day < 3; day += 1) {
      shop.wait(24 * 13);
      await shop.daily();
    }
    expect((await listCopies(shop)).some(({ damaged }) => damaged)).toBe(false);
    await shop.stop();
  }, 60_000);
});

describe('a clock that has jumped', () => {
  it('deletes nothing and lets no copy go before the owner has said that it is right', async () => {
    const shop = await start();
    await shop.call('PUT', '/api/pieces/p-1', DESK);
    await fetch(`${shop.base}/api/pieces/p-1`, { method: 'DELETE' });
    for (let day = 0; day < 9; day += 1) {
      await shop.daily();
      shop.wait(24);
    }
    const before = await listCopies(shop);
    await shop.stop();
    const ahead = await start(shop.file, undefined, 24 * 49);
    await ahead.daily();
    const { backups, clock_seen } = (await ahead.call('GET', '/api/keeping/backups')).body;
    expect(backups).toHaveLength(before.length + 1);
    expect(clock_seen).toMatch(/^2026-12-/);
    expect((await ahead.call('GET', '/api/lists/put-away')).body.removed).toHaveLength(1);
    expect((await ahead.call('PUT', '/api/keeping/clock')).body.clock_seen).toBeUndefined();
    ahead.believeClock();
    await ahead.daily();
    expect((await ahead.call('GET', '/api/lists/put-away')).body.removed).toEqual([]);
    await ahead.stop();
  }, 30_000);
});

describe('what devices keep of a shop', () => {
  it('is of another time once a copy was put back, or a piece was deleted for good', async () => {
    const { shop, moment } = await startCopied();
    const changed = async (since = '') => (await shop.call('GET', `/api/lists/changed?since=${since}`)).body;
    const first = await changed();
    expect([first.whole, first.pieces.length]).toEqual([true, 2]);
    expect(await changed(first.mark)).toMatchObject({ whole: false, pieces: [], gone: [], mark: first.mark });
    await shop.call('PUT', '/api/pieces/p-old/goal', { colour: '#ffffff' });
    await fetch(`${shop.base}/api/pieces/p-new`, { method: 'DELETE' });
    const second = await changed(first.mark);
    expect(second).toMatchObject({ whole: false, gone: ['p-new'] });
    expect(second.pieces.map(({ dossier }: { dossier: { piece: { id: string } } }) => dossier.piece.id)).toEqual([
      'p-old',
    ]);
    await shop.call('POST', `/api/keeping/backups/${moment}/restore`);
    const after = await changed(second.mark);
    expect([after.whole, after.pieces.length]).toEqual([true, 1]);
    // As many changes as before: the numbers are passed again, and the life tells them apart.
    for (let i = 0; i < 6; i += 1) await shop.call('PUT', '/api/pieces/p-old/goal', { colour: `#00000${i}` });
    expect((await changed(second.mark)).whole).toBe(true);
    expect((await changed('2026-11-28T09:00:00.000Z')).whole).toBe(true);
    await shop.stop();
  }, 30_000);
});

import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { request } from 'node:http';
import path from 'node:path';
import Papa from 'papaparse';
import { levelOf, withShelf, type ShelfItem } from '@/core/dossier';
import { explainProblem } from '@/words';
import {
  at,
  bring,
  entriesOf,
  exportOf,
  folder,
  forge,
  makeZip,
  picture,
  PIECES,
  readAll,
  restore,
  start,
  startRich,
  take,
  type Shop,
} from './whole-shop';

/* Whole shops: out in one zip, back in a new place, copied, put back. Real files, real zips, real HTTP. */
async function fetchZip(shop: Shop, name: string): Promise<string> {
  const response = await fetch(`${shop.base}/api/keeping/shop.zip`);
  expect(response.headers.get('content-disposition')).toMatch(/bricolage-2026-11-28\.zip/);
  writeFileSync(at(name), Buffer.from(await response.arrayBuffer()));
  return at(name);
}

describe('a whole shop in one zip', () => {
  it('comes back as it was: what is exported from the new place is the same, byte for byte, but for the date', async () => {
    const shop = await startRich();
    const first = await exportOf(shop.file, 'first.zip');
    await shop.stop();
    const restored = await restore(first, 'back/again.sqlite');
    expect(restored).toEqual({ ok: true, value: { pieces: PIECES, picturesMissing: 0 } });
    const second = await exportOf(at('back/again.sqlite'), 'second.zip', '2026-12-24T08:00:00.000Z');
    const [one, two] = [await readAll(first), await readAll(second)];
    expect(Object.keys(one).filter((name) => name.startsWith('photos/'))).toHaveLength(2);
    expect(two).toEqual(one);
    // It is the same shop to whoever asks it.
    const [before, after] = [await start(shop.file), await start(at('back/again.sqlite'))];
    for (const url of [
      '/api/pieces',
      '/api/shelf',
      '/api/workshop',
      '/api/lists/summaries',
      '/api/experience',
      '/api/access',
    ])
      expect((await after.call('GET', url)).body).toEqual((await before.call('GET', url)).body);
    await before.stop();
    await after.stop();
  }, 60_000);

  it('is sent by the server while it works, and is the same as the command makes', async () => {
    const shop = await startRich();
    const sent = await readAll(await fetchZip(shop, 'sent.zip'));
    expect(sent).toEqual(await readAll(await exportOf(shop.file, 'command.zip')));
    await shop.stop();
    expect(readdirSync(shop.files()).filter((name) => name.startsWith('.'))).toEqual([]);
  }, 60_000);

  it('has tables a spreadsheet reads: RFC 4180, a header, and nothing taken for a formula', async () => {
    const shop = await startRich();
    const [drawn] = ((await shop.call('GET', '/api/shelf')).body as { tins: ShelfItem[] }).tins;
    await shop.call('PUT', `/api/shelf/${drawn!.id}/drawings/w-9`, { ml: 40 });
    const { tins } = (await shop.call('GET', '/api/shelf')).body as { tins: ShelfItem[] };
    const entries = await entriesOf(await exportOf(shop.file, 'tables.zip'));
    await shop.stop();
    const table = (name: string) => {
      const text = entries[`csv/${name}.csv`]!.toString();
      expect(text.replaceAll('"said ""so"",\nand went"', '').replaceAll('\r\n', '')).not.toMatch(/[\r\n]/);
      const { data, errors } = Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true });
      expect(errors).toEqual([]);
      return data;
    };
    const pieces = table('pieces');
    expect(pieces).toHaveLength(PIECES);
    expect(pieces.find(({ piece }) => piece === 'p-formula')).toMatchObject({
      name: `'=HYPERLINK("x")`,
      asking_price: '12.5',
    });
    expect(table('log').find(({ piece }) => piece === 'p-formula')!.note).toBe('said "so",\nand went');
    expect(table('tests').length).toBeGreaterThan(10);
    // Beside every code stands what it is called, and no cell holds what only a program reads.
    for (const name of ['pieces', 'tests', 'troubles', 'log', 'tins'])
      for (const row of table(name)) {
        for (const code of ['kind', 'op', 'class', 'symptom'])
          if (row[code]) expect({ name, code, called: row[`${code}_name`] }).toMatchObject({ called: /./ });
        expect(Object.values(row).filter((cell) => /^[[{]/.test(cell))).toEqual([]);
      }
    expect(table('log').some(({ product_name: tin }) => tin !== '')).toBe(true);
    // What is left in a tin is one number: what the shelf says, and every plan.
    for (const { tin, volume_ml: left } of table('tins'))
      expect(left).toBe(String(levelOf(tins.find(({ id }) => id === tin)!) ?? ''));
    expect(levelOf(tins[0]!)).toBe(levelOf(drawn!)! - 40);
    const planned = withShelf({ format: 'bricolage.dossier/1', piece: { kind: 'desk' } }, tins).shelf!;
    for (const tin of planned) expect(tin.volume_ml).toBe(levelOf(tins.find(({ id }) => id === tin.id)!));
  }, 60_000);

  it('is refused whole when anything in it is not as it says, by the path, and leaves nothing behind', async () => {
    const shop = await startRich();
    const good = await entriesOf(await exportOf(shop.file, 'good.zip'));
    await shop.stop();
    const [photo] = Object.keys(good).filter((name) => name.startsWith('photos/'));
    const piece = 'pieces/p-formula.json';
    const without = (name: string) => Object.fromEntries(Object.entries(good).filter(([own]) => own !== name));
    const dossier = JSON.parse(good[piece]!.toString());
    // Named by its own bytes, which are no picture's.
    const none = 'no picture';
    const named = `photos/${createHash('sha256').update(none).digest('hex')}.jpg`;
    const list = good['shop.json']!.toString().replace(photo!, named);
    const renamed = forge({ ...without(photo!), 'shop.json': Buffer.from(list) }, named, none);
    const cases: [Record<string, Buffer | string>, RegExp][] = [
      [
        { ...good, [piece]: Buffer.concat([good[piece]!, Buffer.from(' ')]) },
        /^pieces\/p-formula\.json: .*not what the list/,
      ],
      [without(piece), /pieces\/p-formula\.json/],
      [without('shop.json'), /missing/],
      [without(photo!), /photos\//],
      [{ ...good, 'notes.txt': 'hello' }, /notes\.txt is not in its list/],
      [{ ...good, 'shop.json': '{' }, /^shop\.json: This is not JSON/],
      [{ ...good, 'shop.json': '{"format":"bricolage.shop/2"}' }, /^shop\.json format: /],
      [
        forge(good, piece, JSON.stringify({ ...dossier, zones: [{ id: 'top', role: 'roof' }] })),
        /^pieces\/p-formula\.json zones\[0\]\.role: Not a known value/,
      ],
      [forge(good, piece, JSON.stringify({ ...dossier, piece: { kind: 'desk', id: 'p-other' } })), /another piece/],
      [forge(good, photo!, 'no picture'), /^photos\/.*: This file is not what the list/],
      [renamed, /^photos\/.*: This is not a picture/],
      [forge(good, 'shelf.json', '[{"id":"t"}]'), /^shelf\.json \[?0?\]?\.?.*: Missing/],
    ];
    for (const [i, [entries, words]] of cases.entries()) {
      const refused = await restore(await makeZip(`bad-${i}.zip`, entries), `bad-${i}/shop.sqlite`);
      expect([i, refused.ok]).toEqual([i, false]);
      if (!refused.ok) expect(explainProblem(refused.problem)).toMatch(words);
    }
    const whole = await makeZip('whole.zip', good);
    writeFileSync(at('cut.zip'), readFileSync(whole).subarray(0, 2000));
    writeFileSync(at('words.zip'), 'no zip at all');
    for (const name of ['cut.zip', 'words.zip']) {
      const refused = await restore(at(name), 'bad-zip/shop.sqlite');
      expect(!refused.ok && refused.problem.code).toBe('not_a_shop');
    }
    for (const name of readdirSync(folder).filter((own) => own.startsWith('bad-') && !own.endsWith('.zip')))
      expect(readdirSync(at(name))).toEqual([]);
    // Whole as it was, it is taken; and a place that is taken is left alone.
    expect((await restore(whole, 'good/shop.sqlite')).ok).toBe(true);
    const twice = await restore(whole, 'good/shop.sqlite');
    expect(!twice.ok && twice.problem.code).toBe('file_exists');
  }, 90_000);

  it('does not unpack a bomb', async () => {
    const started = performance.now();
    const bomb = await makeZip('bomb.zip', { 'shop.json': Buffer.alloc(130 * 2 ** 20) });
    expect(statSync(bomb).size).toBeLessThan(2 ** 20);
    const making = performance.now() - started;
    const refused = await restore(bomb, 'bomb/shop.sqlite');
    expect(!refused.ok && explainProblem(refused.problem)).toMatch(/shop\.json is too large/);
    expect(performance.now() - started - making).toBeLessThan(2000);
  }, 30_000);
});

describe('copies of a shop', () => {
  it('are made, listed, and put back whole; what was there before is copied first', async () => {
    const shop = await startRich();
    await shop.call('POST', '/api/keeping/backups');
    const [yesterday] = (await shop.call('GET', '/api/keeping/backups')).body.backups;
    const before = (await shop.call('GET', '/api/pieces')).body;
    shop.wait(24);
    await shop.call('PUT', '/api/opening/passphrase', { passphrase: 'shellac over the knots first' });
    await shop.call('DELETE', '/api/pieces/demo-issue-desk/zones/top');
    await shop.send('/api/pieces/demo-issue-desk/photos/f3', await picture(120));
    await shop.call('PUT', '/api/pieces/p-late', { format: 'bricolage.dossier/1', piece: { kind: 'desk' } });
    expect((await shop.call('POST', '/api/keeping/backups/2020-01-01T00:00:00.000Z/restore')).body.error.code).toBe(
      'backup_not_found',
    );
    const done = await shop.call('POST', `/api/keeping/backups/${yesterday.at}/restore`);
    expect(done.body).toEqual({ restored: yesterday.at });
    expect((await shop.call('GET', '/api/pieces')).body).toEqual(before);
    const { sha256 } = before.pieces.flatMap(({ photos = [] }: { photos?: { sha256: string }[] }) => photos)[0];
    expect((await fetch(`${shop.base}/api/photos/${sha256}`)).status).toBe(200);
    // The passphrase that holds now goes on holding, and the shop goes on working.
    expect((await shop.call('GET', '/api/opening')).body.passphrase).toBe(true);
    expect(
      (await shop.call('PUT', '/api/pieces/p-next', { format: 'bricolage.dossier/1', piece: { kind: 'desk' } })).status,
    ).toBe(200);
    const [today] = (await shop.call('GET', '/api/keeping/backups')).body.backups;
    expect((await shop.call('POST', `/api/keeping/backups/${today.at}/restore`)).body).toEqual({ restored: today.at });
    expect((await shop.call('GET', '/api/pieces/p-late')).status).toBe(200);
    await shop.stop();
  }, 60_000);

  it('are made once a day and kept by day and week', async () => {
    const shop = await start();
    for (let day = 0; day < 12; day += 1) {
      await shop.daily();
      await shop.daily();
      await shop.call('PUT', `/api/pieces/p-${day}`, { format: 'bricolage.dossier/1', piece: { kind: 'desk' } });
      shop.wait(24);
    }
    const days = (await shop.call('GET', '/api/keeping/backups')).body.backups.map(({ at }: { at: string }) =>
      at.slice(0, 10),
    );
    // Twelve days from Saturday 28 November to Wednesday 9 December: the last seven, and a Sunday before them.
    expect(days).toEqual([
      '2026-12-09',
      '2026-12-08',
      '2026-12-07',
      '2026-12-06',
      '2026-12-05',
      '2026-12-04',
      '2026-12-03',
      '2026-11-29',
    ]);
    await shop.stop();
  }, 60_000);

  it('one that was not finished is none', async () => {
    const shop = await start();
    await shop.call('POST', '/api/keeping/backups');
    mkdirSync(shop.files('backups/.draft-2026-11-29T090000.000Z'));
    expect((await shop.call('GET', '/api/keeping/backups')).body.backups).toHaveLength(1);
    await shop.stop();
  });
});

describe('one file', () => {
  it('has one server: the second is told, and the first goes on; once it has ended, the next may', async () => {
    const shop = await start();
    await expect(start(shop.file)).rejects.toThrow(/in use by another program/);
    expect((await shop.call('GET', '/api/pieces')).status).toBe(200);
    await shop.stop();
    await (await start(shop.file)).stop();
  });
});

describe('pieces from a file', () => {
  const desk = (more: object = {}) => ({
    format: 'bricolage.dossier/1',
    piece: { id: 'p-desk', kind: 'desk', name: 'A desk' },
    zones: [{ id: 'top', role: 'top' }],
    ...more,
  });
  const total = async (shop: Shop) => (await shop.call('GET', '/api/lists/in-work')).body.total;

  it('is told first, and is the shop’s only when it was said so; coming again it is the same', async () => {
    const shop = await start();
    const looked = await bring(shop, JSON.stringify(desk()));
    expect(looked.body).toMatchObject({ from: 'piece', fresh: { count: 1, names: ['A desk'] }, clashes: { count: 0 } });
    expect(await total(shop)).toBe(0);
    expect((await take(shop, looked.body.id, 'leave')).body).toEqual({ pieces: 1 });
    expect((await shop.call('GET', '/api/pieces/p-desk')).body.zones).toEqual([{ id: 'top', role: 'top' }]);
    expect((await take(shop, looked.body.id, 'leave')).status).toBe(404);
    const again = await shop.call('GET', '/api/pieces/p-desk/dossier');
    expect((await bring(shop, JSON.stringify(again.body))).body).toMatchObject({
      same: { count: 1 },
      fresh: { count: 0 },
    });
    await shop.stop();
  });

  it('that is here otherwise stays as it is here, and comes beside it where that is wished', async () => {
    const shop = await start();
    await shop.call('PUT', '/api/pieces/p-desk', desk());
    const other = JSON.stringify(desk({ goal: { colour: '#123456' } }));
    const looked = await bring(shop, other);
    expect(looked.body.clashes).toEqual({ count: 1, names: ['A desk'] });
    expect((await take(shop, looked.body.id, 'leave')).body).toEqual({ pieces: 0 });
    expect((await shop.call('GET', '/api/pieces/p-desk')).body.goal).toBeUndefined();
    const second = await bring(shop, other);
    expect((await take(shop, second.body.id, 'beside')).body).toEqual({ pieces: 1 });
    const names = (await shop.call('GET', '/api/lists/summaries')).body.pieces.map(
      ({ name }: { name: string }) => name,
    );
    expect(names.sort()).toEqual(['A desk', 'A desk, brought in']);
    await shop.stop();
  });

  it('of a whole shop comes with its pictures, all of it or nothing', async () => {
    const rich = await startRich();
    await rich.stop();
    const zip = readFileSync(await exportOf(rich.file, 'arrives.zip'));
    const shop = await start();
    await shop.call('PUT', '/api/pieces/demo-issue-desk', desk());
    const looked = await bring(shop, zip);
    expect(looked.body).toMatchObject({ from: 'shop', clashes: { count: 1 }, pictures: 2 });
    const { count } = looked.body.fresh;
    expect(count).toBeGreaterThan(10);
    expect((await take(shop, looked.body.id, 'beside')).body).toEqual({ pieces: count + 1 });
    expect(await total(shop)).toBe(count + 2);
    const { body } = await shop.call('GET', '/api/lists/summaries?find=brought');
    const [brought] = body.pieces as { id: string }[];
    const [photo] = (await shop.call('GET', `/api/pieces/${brought!.id}`)).body.photos;
    const shown = await fetch(`${shop.base}/api/photos/${photo.sha256}`);
    expect([shown.status, shown.headers.get('content-type')]).toEqual([200, 'image/jpeg']);
    expect((await bring(shop, zip)).body.same.count).toBe(count);
    await shop.stop();
  }, 60_000);

  it('that breaks off on the way leaves nothing behind', async () => {
    const shop = await start();
    const home = shop.files('arrivals');
    const left = (): string[] => (existsSync(home) ? readdirSync(home) : []);
    const sending = request(`${shop.base}/api/keeping/arrivals`, { method: 'POST' });
    sending.on('error', () => undefined);
    sending.write('{"format":');
    while (left().length === 0) await new Promise((resolve) => setTimeout(resolve, 10));
    sending.destroy();
    for (let tries = 0; left().length > 0 && tries < 200; tries += 1)
      await new Promise((resolve) => setTimeout(resolve, 10));
    expect(left()).toEqual([]);
    await shop.stop();
  });

  it('that is damaged is refused with the place, and nothing of it stays', async () => {
    const shop = await start();
    const cases: [string | Buffer, string, string][] = [
      ['{"format":', 'not_json', ''],
      [JSON.stringify(desk({ goal: { colour: 'blue' } })), 'bad_pattern', 'goal.colour'],
      [JSON.stringify(desk({ format: 'bricolage.dossier/9' })), 'wrong_format', 'format'],
      [Buffer.from('PK\u0003\u0004 and no more'), 'not_a_shop', ''],
      [Buffer.alloc(0), 'not_json', ''],
      [`${'['.repeat(200_000)}`, 'not_json', ''],
      [`${'['.repeat(2000)}${']'.repeat(2000)}`, 'too_deep', ''],
    ];
    for (const [file, code, place] of cases) {
      const { status, body } = await bring(shop, file);
      expect({ code, status: status < 500, error: body.error }).toMatchObject({
        status: true,
        error: { code, path: place },
      });
    }
    expect(await total(shop)).toBe(0);
    expect(readdirSync(shop.files('arrivals'))).toEqual([]);
    await shop.stop();
  });
});

describe('a piece that is put away', () => {
  it('is out of the lists when it is archived, with all it taught, and comes back', async () => {
    const shop = await start(undefined, path.resolve('demo/dossiers'));
    const { total } = (await shop.call('GET', '/api/lists/summaries')).body;
    const taught = (await shop.call('GET', '/api/experience')).body.experience;
    const archive = (value: boolean) =>
      shop.call('PATCH', '/api/pieces/demo-media-cupboard/facts', { facts: [{ path: ['piece', 'archived'], value }] });
    expect((await archive(true)).status).toBe(200);
    expect((await shop.call('GET', '/api/lists/summaries')).body.total).toBe(total - 1);
    expect((await shop.call('GET', '/api/lists/summaries?find=media')).body.total).toBe(0);
    const { archived } = (await shop.call('GET', '/api/lists/put-away')).body;
    expect(archived.map(({ id }: { id: string }) => id)).toContain('demo-media-cupboard');
    const now = (await shop.call('GET', '/api/experience')).body.experience;
    expect(now).toHaveLength(taught.length);
    expect(now).toEqual(expect.arrayContaining(taught));
    await archive(false);
    expect((await shop.call('GET', '/api/lists/summaries')).body.total).toBe(total);
    await shop.stop();
  });

  it('gives up a zone that was taken away after thirty days, with its readings and pictures, and no other', async () => {
    const shop = await startRich();
    await shop.call('DELETE', '/api/pieces/demo-issue-desk/zones/top');
    const find = async (own: Shop) => (await own.call('GET', '/api/pieces/demo-issue-desk')).body;
    const before = await find(shop);
    expect(before.removed_zones).toHaveLength(1);
    await shop.stop();
    const soon = await start(shop.file, undefined, 29 * 24);
    expect(await find(soon)).toEqual(before);
    await soon.stop();
    const late = await start(shop.file, undefined, 31 * 24);
    expect(await find(late)).toEqual(before);
    late.believeClock();
    const { removed_zones: removed, photos, ...left } = await find(late);
    expect({ removed, photos }).toEqual({
      removed: [],
      photos: before.photos.filter(({ id }: { id: string }) => id === 'f2'),
    });
    const { removed_zones: _removed, photos: _photos, ...kept } = before;
    expect(left).toEqual(kept);
    // Set again it is a zone like any new one.
    const again = await late.call('PUT', '/api/pieces/demo-issue-desk/zones/top', { role: 'top' });
    expect(again.body.zones.find(({ id }: { id: string }) => id === 'top')).toEqual({ id: 'top', role: 'top' });
    await late.stop();
  });

  it('lies in the bin for thirty days as it was, and is then gone with its pictures', async () => {
    const shop = await startRich();
    const before = (await shop.call('GET', '/api/pieces/demo-issue-desk')).body;
    const remove = () => fetch(`${shop.base}/api/pieces/demo-issue-desk`, { method: 'DELETE' });
    expect([(await remove()).status, (await remove()).status]).toEqual([204, 204]);
    expect((await shop.call('GET', '/api/pieces/demo-issue-desk')).status).toBe(404);
    const refused = await shop.call('PUT', '/api/pieces/demo-issue-desk/goal', { colour: '#ffffff' });
    expect(refused.body.error.code).toBe('piece_not_found');
    const taken = await shop.call('PUT', '/api/pieces/demo-issue-desk', before);
    expect(taken.body.error.code).toBe('id_taken');
    const [binned] = (await shop.call('GET', '/api/lists/put-away')).body.removed;
    expect(binned).toMatchObject({ id: 'demo-issue-desk', goneAt: expect.stringMatching(/^2026-12-28T09/) });
    expect((await shop.call('POST', '/api/pieces/demo-issue-desk/back')).body).toEqual(before);

    await remove();
    const photos = shop.files('photos');
    const files = (): string[] =>
      readdirSync(photos, { recursive: true })
        .map(String)
        .filter((name) => name.endsWith('.jpg'));
    await shop.stop();
    await (await start(shop.file, undefined, 29 * 24)).stop();
    expect(files()).toHaveLength(2);
    const last = await start(shop.file, undefined, 31 * 24);
    expect(files()).toHaveLength(2);
    last.believeClock();
    expect(files()).toHaveLength(0);
    expect((await last.call('POST', '/api/pieces/demo-issue-desk/back')).status).toBe(404);
    expect((await last.call('GET', '/api/lists/put-away')).body.removed).toEqual([]);
    await last.stop();
  });
});

import { readFileSync } from 'node:fs';
import { SHOP_FORMAT } from '@/core/keeping';
import { bring, entriesOf, exportOf, makeZip, start, startRich, take, type Shop } from './whole-shop';

/* Files that are small and hold millions: refused before anything is made of them, and others are served meanwhile. */

const many = (count: number, one = '{}'): string => `[${`${one},`.repeat(count - 1)}${one}]`;
const DESK = '"format":"bricolage.dossier/1","piece":{"kind":"desk"}';

let shop: Shop;
beforeAll(async () => {
  shop = await start();
  await shop.call('PUT', '/api/pieces/p', JSON.parse(`{${DESK}}`));
});
afterAll(() => shop.stop());

describe('a request of millions of values', () => {
  it.each([
    ['a piece', 'PUT', '/api/pieces/p-2', `{${DESK},"zones":${many(1_700_000)}}`, 'too_many'],
    [
      'a piece with a field nobody knows',
      'PUT',
      '/api/pieces/p-2',
      `{${DESK},"odd":${many(1_700_000, '1')}}`,
      'too_many',
    ],
    ['a change', 'PUT', '/api/pieces/p/goal', `{"colour":"#ffffff","odd":${many(300_000)}}`, 'too_many'],
    ['a file of one piece', 'POST', '/api/keeping/arrivals', `{${DESK},"zones":${many(1_700_000)}}`, 'too_many'],
  ])('is refused: %s', async (_name, method, path, body, code) => {
    const answer = await fetch(shop.base + path, { method, body, headers: { 'content-type': 'application/json' } });
    expect([answer.status, (await answer.json()).error.code]).toEqual([422, code]);
    expect((await shop.call('GET', '/api/pieces/p')).body.goal).toBeUndefined();
  });

  it('is read where it begins with a byte order mark', async () => {
    const body = `\uFEFF{${DESK}}`;
    const headers = { 'content-type': 'application/json' };
    expect((await fetch(`${shop.base}/api/pieces/p-bom`, { method: 'PUT', body, headers })).status).toBe(200);
    expect((await bring(shop, body)).body.fresh).toMatchObject({ count: 1 });
  });
});

describe('a small zip', () => {
  const head = `"format":"${SHOP_FORMAT}","id":"s","made_at":"2026-01-01T00:00:00Z","counts":{"pieces":0,"photos":0,"tins":0}`;
  const sha256 = '0'.repeat(64);
  const list = (files: readonly string[]): string => JSON.stringify(files.map((path) => ({ path, sha256, bytes: 1 })));

  it.each<[string, Record<string, string | Buffer>, RegExp]>([
    ['whose list names millions', { 'shop.json': `{${head},"pieces":[],"files":${many(3_000_000)}}` }, /^shop\.json/],
    [
      'whose list is wrong from the first entry on',
      { 'shop.json': `{${head},"pieces":[],"files":${many(200_000)}}` },
      /^shop\.json files\[0\]\.path/,
    ],
    [
      'whose tables unpack to more than they pack',
      {
        'shop.json': `{${head},"pieces":[],"files":${list(['csv/a.csv', 'csv/b.csv'])}}`,
        ...Object.fromEntries(['a', 'b'].map((name) => [`csv/${name}.csv`, Buffer.alloc(30 * 2 ** 20)])),
      },
      /csv\/a\.csv is too large/,
    ],
    [
      'whose piece unpacks to blanks',
      {
        'shop.json': `{${head},"pieces":[],"files":${list(['pieces/p.json'])}}`,
        'pieces/p.json': Buffer.alloc(34 * 2 ** 20, ' '),
      },
      /pieces\/p\.json is too large/,
    ],
    [
      'whose shelf holds a million tins',
      {
        'shop.json': `{${head},"pieces":[],"files":${list(['shelf.json'])}}`,
        'shelf.json': many(1_700_000),
      },
      /shelf\.json/,
    ],
  ])(
    '%s is refused by its place, while others are served',
    async (_name, entries, words) => {
      const zip = readFileSync(await makeZip('small.zip', entries));
      expect(zip.length).toBeLessThan(400_000);
      let slowest = 0;
      let reading = true;
      const others = (async () => {
        while (reading) {
          const asked = performance.now();
          await shop.call('GET', '/api/pieces/p');
          slowest = Math.max(slowest, performance.now() - asked);
        }
      })();
      const { status, body } = await bring(shop, zip);
      reading = false;
      await others;
      expect([status, `${body.error.path} ${body.error.message}`]).toEqual([422, expect.stringMatching(words)]);
      // Others do not wait for it: what reads it is another process.
      expect(slowest).toBeLessThan(1000);
    },
    20_000,
  );
});

describe('files that wait to be decided on', () => {
  it('are four at most: the oldest goes, and is to be picked again', async () => {
    const ids: string[] = [];
    for (let i = 0; i < 6; i += 1) {
      const looked = await bring(shop, `{"format":"bricolage.dossier/1","piece":{"kind":"desk","id":"w-${i}"}}`);
      ids.push(looked.body.id);
    }
    const taken = [];
    for (const id of ids) taken.push((await take(shop, id, 'leave')).status);
    expect(taken).toEqual([404, 404, 200, 200, 200, 200]);
  }, 20_000);

  it('come all together or not at all: one that came by another way meanwhile keeps the rest out', async () => {
    const rich = await startRich();
    const good = await entriesOf(await exportOf(rich.file, 'race.zip'));
    await rich.stop();
    const looked = await bring(shop, readFileSync(await makeZip('race-sent.zip', good)));
    // Taken in two windows at once: the second finds the pieces there.
    const [one, two] = await Promise.all([take(shop, looked.body.id, 'leave'), take(shop, looked.body.id, 'leave')]);
    expect([one.status, two.status].sort()).toEqual([200, 404]);
    expect(one.body.pieces ?? two.body.pieces).toBe(looked.body.fresh.count);
  }, 30_000);
});

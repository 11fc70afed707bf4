import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { request, type Server } from 'node:http';
import { tmpdir } from 'node:os';
import path from 'node:path';
import pino from 'pino';
import { brotliCompressSync, brotliDecompressSync } from 'node:zlib';
import { makeApp } from '@/server/app';
import {
  checkHealth,
  makePieceStore,
  makeShelfStore,
  makeShopStore,
  makeTaken,
  makeWorkshopStore,
  openDatabase,
} from '@/server/db';
import { fail } from '@/core/shared';
import { judgeHere } from '@/server/judge';
import { makeSimulatedInstruments } from '@/server/devices';
import { makeArrivals, makeKeeper, makeKeeping } from '@/server/keeping';
import { makeLive } from '@/server/live';
import { makeDoor, makePairing } from '@/server/opening';
import { makePhotoFiles } from '@/server/photo-files';
import { makePictureDecoder } from '@/server/picture-decoder';
import { makeSeenClock } from '@/server/seen-clock';
import { buildDecoder, MIGRATIONS } from './harness';

/* Serving an exported application: a small stand-in with the same layout. */
const webRoot = mkdtempSync(path.join(tmpdir(), 'bricolage-web-'));
const SCRIPT = 'console.log("chunk");'.repeat(50);
mkdirSync(path.join(webRoot, '_expo'));
writeFileSync(path.join(webRoot, 'index.html'), '<!doctype html><title>Bricolage</title>');
writeFileSync(path.join(webRoot, '_expo/chunk-1a2b.js'), SCRIPT);
writeFileSync(path.join(webRoot, '_expo/chunk-1a2b.js.br'), brotliCompressSync(SCRIPT));

const db = openDatabase(':memory:', MIGRATIONS);
const photos = makePhotoFiles(webRoot, makePictureDecoder(buildDecoder));
const [store, shelf] = [makePieceStore(db), makeShelfStore(db)];
const now = () => '2026-01-01T00:00:00Z';
const shop = makeShopStore(db, now());
const keeper = makeKeeper({ program: () => '', file: ':memory:', migrations: MIGRATIONS, shop: () => shop.id });
const app = makeApp({
  live: makeLive(),
  visit: { possible: false, visiting: false },
  prepareVisit: () => fail('no_such_endpoint'),
  store,
  shelf,
  arrivals: makeArrivals({ store, shelf, keeper, folder: webRoot, now }),
  workshop: makeWorkshopStore(db),
  shop,
  taken: makeTaken(db, now()),
  door: makeDoor({ folder: webRoot, handle: () => undefined, addresses: () => [], port: 0 }),
  pairing: makePairing(Date.now),
  photos,
  judge: judgeHere,
  planner: judgeHere,
  orderFile: path.join(webRoot, 'order.json'),
  keeping: makeKeeping({
    db,
    shop: shop.id,
    file: ':memory:',
    folder: webRoot,
    photos,
    pictures: () => [],
    keeper,
    clock: makeSeenClock(webRoot, now),
    migrations: MIGRATIONS,
    now,
    comeBack: () => undefined,
  }),
  instruments: makeSimulatedInstruments(),
  health: () => checkHealth(db),
  webRoot,
  log: pino({ level: 'silent' }),
  now,
});
let server: Server;
let port = 0;
beforeAll((done) => {
  server = app.listen(0, '127.0.0.1', () => {
    port = (server.address() as AddressInfo).port;
    done();
  });
});
afterAll(() => {
  server.close();
  rmSync(webRoot, { recursive: true, force: true });
});

/** Plain node:http, which neither decodes nor follows anything. */
const get = (
  url: string,
  headers: Record<string, string> = {},
): Promise<{ status: number; headers: NodeJS.Dict<string | string[]>; body: Buffer }> =>
  new Promise((resolve, reject) => {
    request({ port, host: '127.0.0.1', path: url, headers }, (answer) => {
      const chunks: Buffer[] = [];
      answer.on('data', (chunk: Buffer) => chunks.push(chunk));
      answer.on('end', () =>
        resolve({ status: answer.statusCode ?? 0, headers: answer.headers, body: Buffer.concat(chunks) }),
      );
    })
      .on('error', reject)
      .end();
  });

describe('the web application', () => {
  it('is sent compressed as it lies, for good, to those who can read it', async () => {
    const { status, headers, body } = await get('/_expo/chunk-1a2b.js', { 'Accept-Encoding': 'br, gzip' });
    expect(status).toBe(200);
    expect(headers['content-encoding']).toBe('br');
    expect(headers['cache-control']).toBe('public, max-age=31536000, immutable');
    expect(headers['content-type']).toContain('javascript');
    expect(brotliDecompressSync(body).toString()).toBe(SCRIPT);
  });

  it('is sent plain to those who cannot', async () => {
    const { headers, body } = await get('/_expo/chunk-1a2b.js');
    expect(headers['content-encoding']).toBeUndefined();
    expect(body.toString()).toBe(SCRIPT);
  });

  it('answers any of its addresses with the page, asked for again each time', async () => {
    for (const url of ['/', '/piece/p-1/read', '/new']) {
      const { status, headers, body } = await get(url);
      expect([url, status, headers['cache-control']]).toEqual([url, 200, 'no-cache']);
      expect(body.toString()).toContain('<title>Bricolage</title>');
    }
  });

  it('does not leave its folder', async () => {
    for (const url of ['/../package.json', '/..%2f..%2fpackage.json', '/%2e%2e/%2e%2e/etc/passwd']) {
      const { body } = await get(url);
      expect(body.toString()).not.toContain('"dependencies"');
      expect(body.toString()).not.toContain('root:');
    }
  });

  it('does not answer an unknown endpoint with the page', async () => {
    const { status, headers } = await get('/api/nothing');
    expect(status).toBe(404);
    expect(headers['content-type']).toContain('json');
  });
});

describe('a file that is not there', () => {
  it.each(['/_expo/static/js/gone.js', '/fonts/gone.woff2', '/favicon-gone.ico', '/assets/gone.png'])(
    'is said to be missing and is not the page: %s',
    async (url) => {
      const { status, body } = await get(url);
      expect(status).toBe(404);
      expect(body.toString()).not.toContain('<!doctype html>');
    },
  );

  it('is the page where it is an address of the application', async () => {
    const { status, body } = await get('/piece/p-1/choose');
    expect([status, body.toString()]).toEqual([200, expect.stringContaining('Bricolage')]);
  });
});

import { createHash } from 'node:crypto';
import { createServer, type Server } from 'node:http';
import { mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import pino from 'pino';
import sharp from 'sharp';
import { ZipFile } from 'yazl';
import { fail } from '@/core/shared';
import { makeJudge } from '@/server/judge';
import { makeSimulatedInstruments } from '@/server/devices';
import { exportShopFile, restoreShopFile } from '@/server/keeping';
import { openZip } from '@/server/keeping/read-zip';
import { makeDoor, makePairing } from '@/server/opening';
import { makePictureDecoder, type PictureDecoder } from '@/server/picture-decoder';
import { openShop } from '@/server/shop';
import { buildDecoder, buildHelper, buildKeeper, MIGRATIONS } from './harness';

export { MIGRATIONS };

/* Whole shops on real files, over real HTTP, with zips and pictures made for tests. */
export const folder = mkdtempSync(path.join(tmpdir(), 'bricolage-keeping-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

export const HOUR_MS = 3_600_000;
const START = Date.parse('2026-11-28T09:00:00Z');

export interface Shop {
  file: string;
  base: string;
  call: (method: string, path: string, body?: unknown) => Promise<{ status: number; body: any }>; // eslint-disable-line @typescript-eslint/no-explicit-any
  send: (path: string, bytes: Buffer) => Promise<number>;
  daily: () => Promise<void>;
  /** The owner says that the clock is right, and the bin is emptied by it. */
  believeClock: () => void;
  wait: (hours: number) => void;
  /** Where what belongs to the shop lies. */
  files: (...place: string[]) => string;
  stop: () => Promise<void>;
}

let count = 0;
/** The demo, and a piece of its own. */
export const PIECES = readdirSync('demo/dossiers').length + 1;
export async function start(
  file = path.join(folder, `s${(count += 1)}`, 'shop.sqlite'),
  demo?: string,
  laterH = 0,
): Promise<Shop> {
  let time = START + laterH * HOUR_MS;
  const now = (): string => new Date((time += 1000)).toISOString();
  const decoder = makePictureDecoder(buildDecoder);
  const judge = makeJudge(() => buildHelper('judge-apart'));
  const door = makeDoor({ folder, handle: () => undefined, addresses: () => [], port: 0 });
  const shop = openShop({
    file,
    migrations: MIGRATIONS,
    ...(demo === undefined ? {} : { demo }),
    decoder,
    judge,
    planner: judge,
    keeperProgram: buildKeeper,
    instruments: makeSimulatedInstruments(),
    door,
    pairing: makePairing(Date.now),
    visit: { possible: false, visiting: false },
    prepareVisit: () => fail('no_such_endpoint'),
    log: pino({ level: 'silent' }),
    now,
  });
  const server: Server = createServer((request, response) => shop.app()(request, response));
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  return {
    file,
    base,
    files: (...place) => path.join(`${file}-files`, ...place),
    call: async (method, url, body) => {
      const init =
        body === undefined ? {} : { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } };
      const response = await fetch(base + url, { method, ...init });
      return { status: response.status, body: await response.json() };
    },
    send: async (url, bytes) => (await fetch(base + url, { method: 'PUT', body: new Uint8Array(bytes) })).status,
    daily: () => shop.keeping().makeDaily(),
    believeClock: () => {
      shop.keeping().clock.confirm();
      shop.emptyBin();
    },
    wait: (hours) => void (time += hours * HOUR_MS),
    stop: () =>
      new Promise((resolve) => {
        decoder.close();
        judge.close();
        server.closeAllConnections();
        server.close(() => {
          shop.close();
          resolve();
        });
      }),
  };
}

export const picture = (shade: number): Promise<Buffer> =>
  sharp({ create: { width: 60, height: 40, channels: 3, background: { r: shade, g: 90, b: 60 } } })
    .jpeg()
    .toBuffer();

/** The demo with what it does not have: pictures, a removed zone, withdrawn readings, old air, a pin, names that bite. */
export async function startRich(): Promise<Shop> {
  const shop = await start(undefined, path.resolve('demo/dossiers'));
  expect(await shop.send('/api/pieces/demo-issue-desk/photos/f1?zone=top', await picture(10))).toBe(200);
  expect(await shop.send('/api/pieces/demo-issue-desk/photos/f2', await picture(200))).toBe(200);
  await shop.call('DELETE', '/api/pieces/demo-oak-hall-bench/zones/seat');
  await shop.call('PUT', '/api/workshop/air/2019-01-01T08:00:00Z', { temperature_c: 9, humidity_pct: 80 });
  await shop.call('PUT', '/api/pieces/p-formula', {
    format: 'bricolage.dossier/1',
    piece: { kind: 'desk', name: '=HYPERLINK("x")', asking_price: 12.5 },
    zones: [{ id: 'top', role: 'top', unknown_here: { kept: true } }],
    log: [{ zone: 'top', op: 'clean', at: '2026-11-27T10:00:00Z', note: 'said "so",\nand went' }],
  });
  return shop;
}

export const at = (name: string): string => path.join(folder, name);
export const NOW = '2026-11-28T12:00:00.000Z';

export async function exportOf(file: string, name: string, now = NOW, picturesMissing = 0): Promise<string> {
  const out = at(name);
  rmSync(out, { force: true });
  expect(await exportShopFile(file, out, MIGRATIONS, now)).toMatchObject({ ok: true, value: { picturesMissing } });
  return out;
}

/** Every file of a zip by its hash; of `shop.json` all but the date it was made. */
export async function readAll(zipFile: string): Promise<Record<string, string>> {
  const zip = await openZip(zipFile);
  const all: Record<string, string> = {};
  for (const name of zip.entries.keys()) {
    const { bytes, sha256 } = await zip.read(name, 2 ** 30);
    all[name] = name === 'shop.json' ? bytes.toString().replace(/"made_at": "[^"]+",\n {2}"counts"/, '') : sha256;
  }
  zip.close();
  return all;
}

/** A zip made by hand, entry by entry. */
export const makeZip = (name: string, entries: Readonly<Record<string, Buffer | string>>): Promise<string> =>
  new Promise((resolve, reject) => {
    const zip = new ZipFile();
    for (const [entry, bytes] of Object.entries(entries)) zip.addBuffer(Buffer.from(bytes), entry);
    zip.end();
    const chunks: Buffer[] = [];
    zip.outputStream.on('data', (chunk: Buffer) => chunks.push(chunk));
    zip.outputStream.on('error', reject);
    zip.outputStream.on('end', () => {
      writeFileSync(at(name), Buffer.concat(chunks));
      resolve(at(name));
    });
  });

export async function entriesOf(zipFile: string): Promise<Record<string, Buffer>> {
  const zip = await openZip(zipFile);
  const all: Record<string, Buffer> = {};
  for (const name of zip.entries.keys()) all[name] = (await zip.read(name, 2 ** 30)).bytes;
  zip.close();
  return all;
}

let decoder: PictureDecoder;
beforeAll(() => void (decoder = makePictureDecoder(buildDecoder)));
afterAll(() => decoder.close());
export const restore = (zip: string, name: string) =>
  restoreShopFile(zip, at(name), { migrations: MIGRATIONS, decoder }, NOW);

/** What the server says of a file that is brought in. */
export async function bring(shop: Shop, file: string | Buffer) {
  const body = typeof file === 'string' ? file : new Uint8Array(file);
  const response = await fetch(`${shop.base}/api/keeping/arrivals`, { method: 'POST', body });
  return { status: response.status, body: await response.json() };
}
export const take = (shop: Shop, id: string, clashes: string) =>
  shop.call('POST', `/api/keeping/arrivals/${id}/take`, { clashes });

/** The files of a zip with one of them changed, and its hash in the list changed with it. */
export function forge(
  good: Readonly<Record<string, Buffer>>,
  name: string,
  bytes: Buffer | string,
): Record<string, Buffer | string> {
  const shopFile = JSON.parse(good['shop.json']!.toString());
  for (const entry of shopFile.files)
    if (entry.path === name) entry.sha256 = createHash('sha256').update(bytes).digest('hex');
  return { ...good, [name]: bytes, 'shop.json': JSON.stringify(shopFile) };
}

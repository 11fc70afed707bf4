import type { AddressInfo } from 'node:net';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { buildSync } from 'esbuild';
import pino from 'pino';
import { makeApp } from '@/server/app';
import {
  checkHealth,
  makePieceStore,
  makeShelfStore,
  makeShopStore,
  makeTaken,
  makeWorkshopStore,
  openDatabase,
  type Db,
} from '@/server/db';
import { fail } from '@/core/shared';
import { judgeHere } from '@/server/judge';
import { makeSimulatedInstruments } from '@/server/devices';
import { makeArrivals, makeKeeper, makeKeeping } from '@/server/keeping';
import { makeLive } from '@/server/live';
import { makeDoor, makePairing, type Pairing } from '@/server/opening';
import { makePhotoFiles } from '@/server/photo-files';
import { makePictureDecoder } from '@/server/picture-decoder';
import { makeSeenClock } from '@/server/seen-clock';

export const MIGRATIONS = path.resolve('src/server/db/migrations');

export interface Running {
  base: string;
  call: (
    method: string,
    path: string,
    body?: unknown,
    headers?: Record<string, string>,
  ) => Promise<{ status: number; body: any; headers: Headers }>; // eslint-disable-line @typescript-eslint/no-explicit-any
  file: string;
  pairing: Pairing;
  stop: () => Promise<void>;
}

/** Programs in processes of their own, bundled once for each test file; packages are found from the project's folder. */
const built = new Map<string, string>();
export function buildHelper(name: string): string {
  const known = built.get(name);
  if (known !== undefined) return known;
  const outfile = path.resolve(`.cache/helpers.${process.env.JEST_WORKER_ID ?? 0}/${name}.cjs`);
  buildSync({
    entryPoints: [`src/server/${name}.ts`],
    bundle: true,
    platform: 'node',
    format: 'cjs',
    packages: 'external',
    outfile,
    logLevel: 'error',
  });
  built.set(name, outfile);
  return outfile;
}
export const buildDecoder = (): string => buildHelper('decode-picture');
export function buildKeeper(): string {
  // Beside it, for the pictures of a zip.
  buildDecoder();
  return buildHelper('keep-apart');
}

/** A real server on a free port with a real database file, which may be made tight or otherwise spoilt first. */
export async function startServer(
  file = path.join(mkdtempSync(path.join(tmpdir(), 'bricolage-')), 'test.sqlite'),
  spoil: (db: Db) => void = () => undefined,
): Promise<Running> {
  const db = openDatabase(file, MIGRATIONS);
  spoil(db);
  const decoder = makePictureDecoder(buildDecoder);
  let ticks = 0;
  const now = (): string => new Date(Date.UTC(2026, 11, 1, 0, 0, (ticks += 1))).toISOString();
  const pairing = makePairing(Date.now);
  // A second address of the loopback stands in for the network of the house.
  const door = makeDoor({
    folder: path.join(path.dirname(file), 'authority'),
    handle: (request, response) => app(request, response),
    addresses: () => ['127.0.0.2'],
    port: 0,
  });
  const photos = makePhotoFiles(path.join(path.dirname(file), 'photos'), decoder);
  const comeBack = (): never => {
    throw new Error('put back only by a shop that can be opened anew');
  };
  const workshop = makeWorkshopStore(db);
  const [store, shelf] = [makePieceStore(db, workshop.misreadings), makeShelfStore(db)];
  const folder = path.dirname(file);
  const shop = makeShopStore(db, now());
  const keeper = makeKeeper({ program: buildKeeper, file, migrations: MIGRATIONS, shop: () => shop.id });
  const app = makeApp({
    live: makeLive(),
    visit: { possible: false, visiting: false },
    prepareVisit: () => fail('no_such_endpoint'),
    keeping: makeKeeping({
      db,
      shop: shop.id,
      file,
      folder,
      photos,
      pictures: store.listPictures,
      keeper,
      clock: makeSeenClock(folder, now),
      migrations: MIGRATIONS,
      now,
      comeBack,
    }),
    store,
    shelf,
    arrivals: makeArrivals({ store, shelf, keeper, folder, now }),
    workshop,
    shop,
    taken: makeTaken(db, now()),
    door,
    pairing,
    photos,
    judge: judgeHere,
    planner: judgeHere,
    orderFile: path.join(folder, 'order.json'),
    instruments: makeSimulatedInstruments(),
    health: () => checkHealth(db),
    log: pino({ level: 'silent' }),
    now,
  });
  const server = await new Promise<ReturnType<typeof app.listen>>((resolve) => {
    const listening = app.listen(0, '127.0.0.1', () => resolve(listening));
  });
  const base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  return {
    base,
    file,
    pairing,
    call: async (method, url, body, headers = {}) => {
      const raw = typeof body === 'string' ? body : JSON.stringify(body);
      const response = await fetch(base + url, {
        method,
        headers: { 'Content-Type': 'application/json', ...headers },
        ...(body === undefined ? {} : { body: raw }),
      });
      const text = await response.text();
      return { status: response.status, body: text ? JSON.parse(text) : null, headers: response.headers };
    },
    stop: () =>
      door.close().then(
        () =>
          new Promise((resolve) => {
            decoder.close();
            keeper.close();
            server.closeAllConnections();
            server.close(() => {
              db.close();
              resolve();
            });
          }),
      ),
  };
}

/** A server of its own for each test of a file, ended and cleared away after it. */
export function serveEachTest(): Pick<Running, 'base' | 'call'> & { restart: () => Promise<void> } {
  let server: Running;
  beforeEach(async () => {
    server = await startServer();
  });
  afterEach(async () => {
    await server.stop();
    cleanUp(server.file);
  });
  return {
    get base() {
      return server.base;
    },
    call: (...request) => server.call(...request),
    restart: async () => {
      await server.stop();
      server = await startServer(server.file);
    },
  };
}

export const cleanUp = (file: string): void => rmSync(path.dirname(file), { recursive: true, force: true });

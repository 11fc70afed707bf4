import type { Server } from 'node:http';
import path from 'node:path';
import pino from 'pino';
import { makeApp } from './app';
import {
  checkHealth,
  DatabaseFault,
  makePieceStore,
  makeShelfStore,
  makeWorkshopStore,
  openDatabase,
  type Db,
} from './db';
import { loadDemo } from './demo';
import { makeSimulatedInstruments } from './devices';
import { makePhotoFiles } from './photo-files';
import { makePictureDecoder } from './picture-decoder';

/*
 * Settings: BRICOLAGE_DB (the file), PORT (0 picks a free one), BRICOLAGE_DEMO (a folder of dossiers to load where they
 * are not there yet), BRICOLAGE_DEMO_NOW (the moment the demo is told for, and the server's clock from then on), LOG_LEVEL. The first line on standard output is the address.
 */
const root = process.env.BRICOLAGE_ROOT ?? process.cwd();
/** The demo is told for a moment, and the server's clock goes on from there. */
const ahead = process.env.BRICOLAGE_DEMO_NOW ? Date.parse(process.env.BRICOLAGE_DEMO_NOW) - Date.now() : 0;
const now = (): string => new Date(Date.now() + ahead).toISOString();
const log = pino({ level: process.env.LOG_LEVEL ?? 'warn' }, pino.destination(2));

const file = process.env.BRICOLAGE_DB ?? path.join(root, 'data/bricolage.sqlite');
const db = openOrSay(file);
const store = makePieceStore(db);
const shelf = makeShelfStore(db);
const workshop = makeWorkshopStore(db);
if (process.env.BRICOLAGE_DEMO)
  loadDemo({
    dossiers: process.env.BRICOLAGE_DEMO,
    store,
    shelf,
    workshop,
    now: now(),
  });

const decoder = makePictureDecoder(path.join(__dirname, 'decode-picture.cjs'));
const photos = makePhotoFiles(path.join(path.dirname(path.resolve(file)), 'photos'), decoder);
photos.sweep(store.listPictures());
const app = makeApp({
  store,
  shelf,
  workshop,
  photos,
  instruments: makeSimulatedInstruments(),
  health: () => checkHealth(db),
  webRoot: path.join(root, 'dist'),
  log,
  now,
});
listen(Number(process.env.PORT ?? 4173));

/** A database that cannot be used is said in words, and nothing is started. */
function openOrSay(name: string): Db {
  try {
    return openDatabase(name, path.join(root, 'src/server/db/migrations'));
  } catch (error) {
    if (!(error instanceof DatabaseFault)) throw error;
    process.stderr.write(`${error.message}\n`);
    process.exit(1);
  }
}

function listen(port: number): void {
  const server = app.listen(port, '127.0.0.1', (error?: Error & { code?: string }) => {
    if (error?.code === 'EADDRINUSE' && port !== 0) return listen(0);
    if (error) throw error;
    const address = server.address();
    const used = typeof address === 'object' && address ? address.port : port;
    process.stdout.write(`Bricolage is at http://127.0.0.1:${used}\n`);
  });
  for (const signal of ['SIGINT', 'SIGTERM'] as const) process.once(signal, () => stop(server));
}

/** Time for open requests to finish. Browsers also hold connections open on which nothing is asked. */
const GRACE_MS = 1500;

/** Lets open requests finish, then closes the database so that its journal is folded in. */
function stop(server: Server): void {
  server.close(() => {
    decoder.close();
    db.close();
    process.exit(0);
  });
  server.closeIdleConnections();
  setTimeout(() => server.closeAllConnections(), GRACE_MS);
}

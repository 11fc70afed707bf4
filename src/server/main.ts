import { existsSync, readdirSync, readFileSync } from 'node:fs';
import type { Server } from 'node:http';
import path from 'node:path';
import pino from 'pino';
import { parseDossier, readWith, shelfItemSchema } from '@/core/dossier';
import { explainProblem } from '@/contract';
import { makeApp } from './app';
import {
  makePieceStore,
  makeShelfStore,
  makeWorkshopStore,
  openDatabase,
  type PieceStore,
  type ShelfStore,
} from './db';
import { makeSimulatedInstruments } from './devices';
import { makePhotoFiles } from './photo-files';

/*
 * Settings: BRICOLAGE_DB (the file), PORT (0 picks a free one), BRICOLAGE_DEMO (a folder of dossiers to load where they
 * are not there yet), LOG_LEVEL. The first line on standard output is the address.
 */
const root = process.env.BRICOLAGE_ROOT ?? process.cwd();
const now = (): string => new Date().toISOString();
const log = pino({ level: process.env.LOG_LEVEL ?? 'warn' }, pino.destination(2));

const file = process.env.BRICOLAGE_DB ?? path.join(root, 'data/bricolage.sqlite');
const db = openDatabase(file, path.join(root, 'src/server/db/migrations'));
const store = makePieceStore(db);
const shelf = makeShelfStore(db);
const workshop = makeWorkshopStore(db);
if (process.env.BRICOLAGE_DEMO) {
  loadDossiers(store, process.env.BRICOLAGE_DEMO);
  loadShelf(shelf, path.join(process.env.BRICOLAGE_DEMO, '../shelf.json'));
}

const photos = makePhotoFiles(path.join(path.dirname(path.resolve(file)), 'photos'));
const app = makeApp({
  store,
  shelf,
  workshop,
  photos,
  instruments: makeSimulatedInstruments(),
  webRoot: path.join(root, 'dist'),
  log,
  now,
});
listen(Number(process.env.PORT ?? 4173));

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
    db.close();
    process.exit(0);
  });
  server.closeIdleConnections();
  setTimeout(() => server.closeAllConnections(), GRACE_MS);
}

function loadDossiers(pieces: PieceStore, folder: string): void {
  for (const file of readdirSync(folder)
    .filter((name) => name.endsWith('.json'))
    .sort()
    .reverse()) {
    const dossier = parseDossier(readFileSync(path.join(folder, file), 'utf8'));
    if (!dossier.ok) throw new Error(`${file}: ${explainProblem(dossier.problem)}`);
    const id = dossier.value.piece.id ?? path.basename(file, '.json');
    pieces.apply(id, { type: 'piece_met', dossier: dossier.value }, now());
  }
}

/** The demo's tins, unless the shop has some already. */
function loadShelf(tins: ShelfStore, demo: string): void {
  if (tins.list().length > 0 || !existsSync(demo)) return;
  for (const entry of JSON.parse(readFileSync(demo, 'utf8')) as unknown[]) {
    const tin = readWith(shelfItemSchema, entry);
    if (!tin.ok) throw new Error(`${demo}: ${explainProblem(tin.problem)}`);
    tins.apply({ type: 'tin_set', tin: tin.value }, now());
  }
}

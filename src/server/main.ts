import { existsSync, mkdirSync, rmSync } from 'node:fs';
import { createServer, type Server } from 'node:http';
import path from 'node:path';
import pino from 'pino';
import { explainProblem } from '@/words';
import { DatabaseFault } from './db';
import { makeDemoVisit, type VisitState } from './demo-visit';
import { makeSimulatedInstruments } from './devices';
import { isPrivate, listPrivateAddresses, makeDoor, makePairing } from './opening';
import { makePictureDecoder } from './picture-decoder';
import { openShop, type OpenShop } from './shop';
import { shopFolder } from './shop-folder';

/*
 * Settings: BRICOLAGE_DB (the file), PORT (0 picks a free one), BRICOLAGE_DEMO (a folder of dossiers to load where they
 * are not there yet), BRICOLAGE_DEMO_NOW (the moment the demo is told for, and the server's clock from then on), LOG_LEVEL,
 * BRICOLAGE_OPEN (1 lets phones in), OPEN_PORT (the door for phones), BRICOLAGE_ADDRESSES (private addresses to open it on,
 * by commas; all of this machine without it). The first line on standard output is the address.
 */
const root = process.env.BRICOLAGE_ROOT ?? process.cwd();
/** The demo is told for a moment, and the server's clock goes on from there. */
const ahead = process.env.BRICOLAGE_DEMO_NOW ? Date.parse(process.env.BRICOLAGE_DEMO_NOW) - Date.now() : 0;
const now = (): string => new Date(Date.now() + ahead).toISOString();
const log = pino({ level: process.env.LOG_LEVEL ?? 'warn' }, pino.destination(2));
const file = process.env.BRICOLAGE_DB ?? path.join(root, 'data/bricolage.sqlite');

const decoder = makePictureDecoder(path.join(__dirname, 'decode-picture.cjs'));
const door = makeDoor({
  folder: path.join(shopFolder(file), 'authority'),
  handle: (request, response) => shop.app()(request, response),
  addresses: () => process.env.BRICOLAGE_ADDRESSES?.split(',').filter(isPrivate) ?? listPrivateAddresses(),
  port: Number(process.env.OPEN_PORT ?? 4174),
});
const demo = path.join(root, 'demo/dossiers');
const possible = process.env.BRICOLAGE_DEMO === undefined && existsSync(demo);
const shop = openOrSay();
const visit = makeDemoVisit(openDemo);
listen(Number(process.env.PORT ?? 4173));
const daily = setInterval(keepDaily, 3_600_000);
keepDaily();
if (process.env.BRICOLAGE_OPEN === '1' || shop.shop().isOpen()) void openDoor();

/** A database that cannot be used is said in words, and nothing is started. */
function openOrSay(): OpenShop {
  try {
    return openOne(file, process.env.BRICOLAGE_DEMO, { possible, visiting: false });
  } catch (error) {
    if (!(error instanceof DatabaseFault)) throw error;
    process.stderr.write(`${error.message}\n`);
    process.exit(1);
  }
}

function openOne(own: string, dossiers: string | undefined, state: VisitState): OpenShop {
  return openShop({
    file: own,
    migrations: path.join(root, 'src/server/db/migrations'),
    demo: dossiers,
    webRoot: path.join(root, 'dist'),
    decoder,
    instruments: makeSimulatedInstruments(),
    door,
    pairing: makePairing(() => Date.parse(now())),
    visit: state,
    log,
    now,
  });
}

/** As it was invented, told for today: what was tried there on another day is gone. */
function openDemo(): OpenShop {
  const folder = path.join(shopFolder(file), 'visit');
  rmSync(folder, { recursive: true, force: true });
  mkdirSync(folder, { recursive: true });
  return openOne(path.join(folder, 'demo.sqlite'), demo, { possible, visiting: true });
}

/** The bin is emptied of what is due; a copy on the start and on each day; one that fails is told, and the work goes on. */
function keepDaily(): void {
  shop.emptyBin();
  shop
    .keeping()
    .makeDaily()
    .catch((error: unknown) => log.error({ err: error }, 'no copy of the shop could be made'));
}

/** A door that cannot be opened keeps nobody from working at the computer itself. */
async function openDoor(): Promise<void> {
  const opened = await door.open();
  if (opened.ok) process.stdout.write(`For phones in the house: ${door.urls().join('  ')}\n`);
  else process.stderr.write(`${explainProblem(opened.problem)}\n`);
}

function listen(port: number): void {
  const server = createServer((request, response) => (visit.shopFor(request) ?? shop).app()(request, response));
  server.once('error', (error: NodeJS.ErrnoException) => {
    if (error.code === 'EADDRINUSE' && port !== 0) return listen(0);
    throw error;
  });
  server.listen(port, '127.0.0.1', () => {
    for (const signal of ['SIGINT', 'SIGTERM'] as const) process.once(signal, () => stop(server));
    const address = server.address();
    const used = typeof address === 'object' && address ? address.port : port;
    process.stdout.write(`Bricolage is at http://127.0.0.1:${used}\n`);
  });
}

/** Time for open requests to finish. Browsers also hold connections open on which nothing is asked. */
const GRACE_MS = 1500;

/** Lets open requests finish, then closes the database so that its journal is folded in. */
function stop(server: Server): void {
  clearInterval(daily);
  void door.close();
  server.close(() => {
    decoder.close();
    visit.close();
    shop.close();
    process.exit(0);
  });
  visit.hush();
  shop.hush();
  server.closeIdleConnections();
  setTimeout(() => server.closeAllConnections(), GRACE_MS);
}

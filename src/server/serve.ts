import { existsSync, mkdirSync, rmSync } from 'node:fs';
import { createServer, type Server } from 'node:http';
import path from 'node:path';
import pino from 'pino';
import { succeed, type Result } from '@/core/shared';
import { endVisit, makeDemoVisit, type VisitState } from './demo-visit';
import { makeSimulatedInstruments } from './devices';
import { makeJudge } from './judge';
import { listen } from './listen';
import { isPrivate, listPrivateAddresses, makeDoor, makePairing } from './opening';
import { makePictureDecoder } from './picture-decoder';
import { openShop, type OpenShop } from './shop';
import { shopFolder } from './shop-folder';

export interface Serving {
  url: string;
  /** Whether the owner lets phones in. */
  isOpen: boolean;
  /** Lets phones in; gives where they find the shop. */
  openDoor: () => Promise<Result<string[]>>;
  /** Lets open requests finish, then closes the records so that their journal is folded in. */
  stop: () => Promise<void>;
}

/** A program of ours that runs apart: it lies beside this one. */
const built = (name: string) => (): string => path.join(__dirname, `${name}.cjs`);

/** Time for open requests to finish. Browsers also hold connections open on which nothing is asked. */
const GRACE_MS = 1500;
const HOUR_MS = 3_600_000;

/**
 * Opens the shop and serves it on this computer alone. Records that cannot be used throw a `DatabaseFault`.
 *
 * Settings: BRICOLAGE_ROOT (the built application's folder), BRICOLAGE_DB (the file), PORT (0 picks a free one),
 * BRICOLAGE_DEMO (a folder of dossiers to load where they are not there yet), BRICOLAGE_DEMO_NOW (the moment the demo is
 * told for, and the server's clock from then on), LOG_LEVEL, BRICOLAGE_OPEN (1 lets phones in), OPEN_PORT (the door for
 * phones), BRICOLAGE_ADDRESSES (private addresses to open it on, by commas; all of this machine without it).
 */
export async function serve(settings: Readonly<Record<string, string | undefined>>): Promise<Serving> {
  const root = settings.BRICOLAGE_ROOT ?? process.cwd();
  const file = settings.BRICOLAGE_DB ?? path.join(root, 'data/bricolage.sqlite');
  const ahead = settings.BRICOLAGE_DEMO_NOW ? Date.parse(settings.BRICOLAGE_DEMO_NOW) - Date.now() : 0;
  const now = (): string => new Date(Date.now() + ahead).toISOString();
  const log = pino({ level: settings.LOG_LEVEL ?? 'warn' }, pino.destination(2));
  const decoder = makePictureDecoder(built('decode-picture'));
  const judge = makeJudge(built('judge-apart'));
  const planner = makeJudge(built('judge-apart'));
  const door = makeDoor({
    folder: path.join(shopFolder(file), 'authority'),
    handle: (request, response) => shop.app()(request, response),
    addresses: () => settings.BRICOLAGE_ADDRESSES?.split(',').filter(isPrivate) ?? listPrivateAddresses(),
    port: Number(settings.OPEN_PORT ?? 4174),
  });

  const openOne = (own: string, dossiers: string | undefined, state: VisitState): OpenShop =>
    openShop({
      file: own,
      migrations: path.join(root, 'src/server/db/migrations'),
      demo: dossiers,
      webRoot: path.join(root, 'dist'),
      decoder,
      judge,
      planner,
      keeperProgram: built('keep-apart'),
      // In a shop of one's own nothing is measured that no device measures.
      instruments: dossiers === undefined ? null : makeSimulatedInstruments(),
      door,
      pairing: makePairing(() => Date.parse(now())),
      visit: state,
      prepareVisit: () => visit.prepare(),
      log,
      now,
    });
  const demo = path.join(root, 'demo/dossiers');
  const possible = settings.BRICOLAGE_DEMO === undefined && existsSync(demo);
  const shop = openOne(file, settings.BRICOLAGE_DEMO, { possible, visiting: false });
  /** As it was invented, told for today: what was tried there on another day is gone. */
  const visit = makeDemoVisit(possible, () => {
    const folder = path.join(shopFolder(file), 'visit');
    rmSync(folder, { recursive: true, force: true });
    mkdirSync(folder, { recursive: true });
    return openOne(path.join(folder, 'demo.sqlite'), demo, { possible, visiting: true });
  });
  const server = createServer((request, response) => {
    const visited = visit.shopFor(request);
    const handle = visited.ok ? (visited.value ?? shop).app() : endVisit(visited.problem);
    handle(request, response);
  });
  const port = await listen(server, '127.0.0.1', Number(settings.PORT ?? 4173));
  for (const own of [judge, planner]) own.start();
  const endDays = keepDaily(shop, (err) => log.error({ err }, 'no copy of the shop could be made'));

  let stopped: Promise<void> | null = null;
  const stop = async (): Promise<void> => {
    endDays();
    await Promise.all([door.close(), close(server, visit, shop)]);
    decoder.close();
    for (const own of [judge, planner]) own.close();
    visit.close();
    shop.close();
  };

  return {
    url: `http://127.0.0.1:${port}`,
    isOpen: settings.BRICOLAGE_OPEN === '1' || shop.shop().isOpen(),
    openDoor: async () => {
      const opened = await door.open();
      return opened.ok ? succeed(door.urls()) : opened;
    },
    stop: () => (stopped ??= stop()),
  };
}

/** The bin is emptied of what is due; a copy on the start and on each day; one that fails is told, and the work goes on. */
function keepDaily(shop: OpenShop, tell: (error: unknown) => void): () => void {
  const keep = (): void => {
    shop.emptyBin();
    shop.keeping().makeDaily().catch(tell);
  };
  keep();
  const hourly = setInterval(keep, HOUR_MS);
  return () => clearInterval(hourly);
}

function close(server: Server, ...listened: readonly { hush: () => void }[]): Promise<void> {
  return new Promise((resolve) => {
    const force = setTimeout(() => server.closeAllConnections(), GRACE_MS);
    server.close(() => {
      clearTimeout(force);
      resolve();
    });
    for (const own of listened) own.hush();
    server.closeIdleConnections();
  });
}

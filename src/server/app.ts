import express, { type Express } from 'express';
import expressStaticGzip from 'express-static-gzip';
import path from 'node:path';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import { fail, MOST_VALUES, type Problem, type Result } from '@/core/shared';
import { onceOf, type PieceStore, type ShelfStore, type ShopStore, type Taken, type WorkshopStore } from './db';
import type { Instruments } from './devices';
import { makeShopExperience } from './experience';
import { enteredOnly, isIn, makeAccessRouter, ofThisShop } from './http/access';
import { makeArrivalRouter } from './http/arrivals';
import { makeKeepingRouter } from './http/keeping';
import { makeListRouter } from './http/lists';
import { makeOpeningRouter } from './http/opening';
import { makePhotoRouter } from './http/photos';
import { makePieceRouter } from './http/pieces';
import { makeErrorHandler, readBody, refuseDeep, sendProblem } from './http/problems';
import { localOnly, ownHostOnly, sameOriginOnly, securityHeaders } from './http/security';
import { makeShelfRouter } from './http/shelf';
import { makeWorkshopRouter } from './http/workshop';
import { noteAsker } from './asker';
import { tellOf, type Live } from './live';
import { makeVisitRouter, type VisitState } from './demo-visit';
import type { Judge } from './judge';
import type { Door, Pairing } from './opening';
import type { PhotoFiles } from './photo-files';
import type { Arrivals, ShopKeeping } from './keeping';
import { makePieceTexts } from './piece-texts';
import { makeSearch } from './search';
import { makeShopLists } from './shop-lists';
import { makeShopOrder } from './shop-order';

export interface AppParts {
  store: PieceStore;
  shelf: ShelfStore;
  workshop: WorkshopStore;
  shop: ShopStore;
  taken: Taken;
  door: Door;
  pairing: Pairing;
  photos: PhotoFiles;
  judge: Judge;
  /** Works out the order of the day's work, beside the judge: it takes seconds. */
  planner: Judge;
  /** Where that order is kept. */
  orderFile: string;
  /** None where no device is set up. */
  instruments: Instruments | null;
  keeping: ShopKeeping;
  arrivals: Arrivals;
  live: Live;
  visit: VisitState;
  /** Opens the invented workshop, or says why it cannot be looked round. */
  prepareVisit: () => Result<unknown>;
  /** What is wrong with the database just now; null when it answers. */
  health: () => Problem | null;
  /** Folder of the exported web application; left out when only the API is wanted. */
  webRoot?: string;
  log: Logger;
  now: () => string;
}

/** A single change, and a whole piece coming in: what was kept and exported can always be put back. */
const BODY_LIMIT = '1mb';
const PIECE_LIMIT = '64mb';

/** Builds the Express application from its parts; listening and the clock are the caller's. */
export function makeApp(parts: AppParts): Express {
  const { visit, shop, door, pairing, photos, instruments, keeping, arrivals, health, webRoot, log, now } = parts;
  const live: Live = {
    ...parts.live,
    tell: (change) => {
      parts.live.tell(change);
      order.changed();
    },
  };
  const { store, shelf, workshop } = tellOf(onceOf(parts, parts.taken), live);
  const texts = makePieceTexts(store);
  const lists = makeShopLists({ store, shelf, workshop }, parts.judge, texts);
  const { planner, orderFile: file } = parts;
  const isOpen = (): boolean => health() === null;
  const order = makeShopOrder({
    store,
    shelf,
    workshop,
    lists,
    texts,
    planner,
    live: parts.live,
    file,
    log,
    isOpen,
    now,
  });
  const app = express();
  app.disable('x-powered-by');
  // Records are never taken from a cache: a mark for it would be worked out for nothing.
  app.disable('etag');
  app.use(
    pinoHttp({
      logger: log,
      serializers: { req: ({ method, url }) => ({ method, url }), res: ({ statusCode }) => ({ statusCode }) },
    }),
  );
  app.use(securityHeaders);
  app.use(ownHostOnly(door.hosts));
  // A phone fetches the authority before it trusts it: there is nothing secret in it.
  app.get('/authority.crt', async (_request, response) => {
    const authority = await door.authority().catch(() => null);
    if (!authority) return sendProblem(response, fail('door_not_opened').problem);
    const { der } = authority;
    response.attachment('bricolage-authority.crt').type('application/x-x509-ca-cert').send(der);
  });
  app.use('/api', sameOriginOnly, (_request, response, next) => {
    response.setHeader('Cache-Control', 'no-store');
    next();
  });
  app.use('/api/access', makeAccessRouter({ shop, pairing, now, log }));
  app.use('/api', enteredOnly(shop, now), ofThisShop(shop, now), noteAsker);
  app.get('/api/events', (request, response) => live.stream(request, response, () => isIn(shop, request, now())));
  app.use('/api', makePhotoRouter(store, photos, now));
  app.use('/api/keeping/arrivals', makeArrivalRouter(arrivals, live));
  app.put('/api/pieces/:id', readBody(PIECE_LIMIT, MOST_VALUES.piece));
  app.use('/api', readBody(BODY_LIMIT, MOST_VALUES.change), refuseDeep);
  app.get('/api/health', (_request, response) => {
    const trouble = health();
    if (trouble) return sendProblem(response, trouble);
    response.json({ ok: true, copies: keeping.tellCopies() });
  });
  const experience = makeShopExperience(store, parts.judge);
  app.get('/api/experience', async (request, response) => {
    const { except } = request.query;
    response.json({ experience: await experience.list(typeof except === 'string' ? except : undefined) });
  });
  app.get('/api/instruments', (_request, response) => {
    const at = now();
    if (!instruments) {
      response.json({ device: null });
      return;
    }
    const { name, simulated } = instruments;
    const readings = { at, air: instruments.readAir(at), moisture_pct: instruments.readMoisture(at) };
    response.json({ device: { name, simulated }, ...readings });
  });
  app.get('/api/experience/open', async (_request, response) => {
    response.json({ open: await experience.listOpen() });
  });
  app.use('/api/visit', localOnly, makeVisitRouter(visit, parts.prepareVisit));
  // Whoever only looks round the invented workshop opens no doors and keeps no copies of it.
  if (!visit.visiting) {
    app.use('/api/opening', localOnly, makeOpeningRouter({ shop, door, pairing, now, log }));
    app.use('/api/keeping', makeKeepingRouter(keeping, log));
  }
  app.use('/api/lists', makeListRouter(lists, makeSearch(store, shelf, parts.judge), order, now));
  app.use('/api/pieces', makePieceRouter({ store, shelf, experience, photos, texts, now }));
  app.use('/api/shelf', makeShelfRouter(shelf, now));
  app.use('/api/workshop', makeWorkshopRouter(workshop, now));
  app.use('/api', (_request, response) => sendProblem(response, fail('no_such_endpoint').problem));
  if (webRoot) serveWeb(app, webRoot);
  app.use(makeErrorHandler(log));
  return app;
}

/** Paths of files: those of the export, and any whose last part has an ending. */
const ASSET = /^\/(_expo|assets|fonts)\/|\.[a-z0-9]{1,8}$/i;

/** The exported application, precompressed. Hashed files never change; the page itself is asked for again. */
function serveWeb(app: Express, webRoot: string): void {
  app.use(
    expressStaticGzip(webRoot, {
      enableBrotli: true,
      orderPreference: ['br', 'gz'],
      serveStatic: {
        setHeaders: (response, file) => {
          const hashed = /[/\\]_expo[/\\]|\.woff2/.test(String(file));
          response.setHeader('Cache-Control', hashed ? 'public, max-age=31536000, immutable' : 'no-cache');
        },
      },
    }),
  );
  // A file that is not there is not the page: a script would be read as one.
  app.get(ASSET, (_request, response) => sendProblem(response, fail('no_such_endpoint').problem));
  app.get('/{*route}', (_request, response) => {
    response.setHeader('Cache-Control', 'no-cache');
    response.sendFile(path.resolve(webRoot, 'index.html'));
  });
}

import { parseCookie, stringifySetCookie } from 'cookie';
import express, { Router, type Request, type RequestHandler, type Response } from 'express';
import { ipKeyGenerator, rateLimit, type Options } from 'express-rate-limit';
import type { Logger } from 'pino';
import { enterSchema, isPictureCode, NOW_HEADER, SHOP_HEADER, type AccessState, type Enter } from '@/contract';
import { readWith } from '@/core/dossier';
import { fail } from '@/core/shared';
import { LONGEST_DAYS, type Session, type ShopStore } from '../db';
import { isPassphrase, type Pairing } from '../opening';
import { sendProblem } from './problems';
import { isLocal } from './security';

/** Only over HTTPS, for no other name and path, out of reach of scripts, and never sent for another site. */
const COOKIE = '__Host-bricolage';
const COOKIE_RULES = { path: '/', httpOnly: true, secure: true, sameSite: 'strict' } as const;
const DAY_S = 86_400;

const WINDOW_MS = 15 * 60_000;
/** Wrong tries in a window, of one device and of all together; codes and passphrases each. */
const TRIES_OF_ONE = 6;
const TRIES_OF_ALL = 40;

/** What is tried: codes and passphrases are counted apart, so that tries of the one do not shut out the other. */
const triedOf = ({ body }: Request): 'code' | 'passphrase' =>
  typeof (body as Partial<Enter> | undefined)?.code === 'string' ? 'code' : 'passphrase';
/** Each address by itself, in full: the devices of a house often share the first half of theirs. */
const addressOf = ({ ip = '' }: Request): string => ipKeyGenerator(ip, 128);

const tokenOf = ({ headers }: Request): string | undefined => parseCookie(headers.cookie ?? '')[COOKIE];

/** Who a request is let in as; nobody where it has no pass, or one that has ended. */
function findSession(shop: ShopStore, request: Request, now: string): Session | undefined {
  const token = tokenOf(request);
  return token === undefined ? undefined : shop.find(token, now);
}

/** Whether who asks is in: on this machine, or with a pass that has not ended. */
export const isIn = (shop: ShopStore, request: Request, now: string): boolean =>
  isLocal(request) || findSession(shop, request, now) !== undefined;

/** What is not on this machine needs a pass for everything. */
export const enteredOnly =
  (shop: ShopStore, now: () => string): RequestHandler =>
  (request, response, next) => {
    const session = findSession(shop, request, now());
    response.locals.device = session?.device;
    if (isLocal(request) || session) return next();
    return sendProblem(response, fail('not_entered').problem);
  };

/** Every answer says whose it is and what time it is there, and what is meant for another shop is refused. */
export const ofThisShop =
  ({ id }: Pick<ShopStore, 'id'>, now: () => string): RequestHandler =>
  (request, response, next) => {
    response.setHeader(SHOP_HEADER, id);
    response.setHeader(NOW_HEADER, now());
    const meant = request.headers[SHOP_HEADER];
    if (meant !== undefined && meant !== id) return sendProblem(response, fail('other_shop').problem);
    return next();
  };

interface AccessParts {
  shop: ShopStore;
  pairing: Pairing;
  now: () => string;
  log: Logger;
}

/** Coming in and going out: the only part of the API that a device without a pass may ask. */
export function makeAccessRouter({ shop, pairing, now, log }: AccessParts): Router {
  const router = Router();
  const refuse = (request: Request, response: Response): void => {
    log.warn({ from: request.ip }, 'too many tries to come in');
    response.setHeader('Retry-After', WINDOW_MS / 1000);
    sendProblem(response, fail('too_many_tries', '', { minutes: WINDOW_MS / 60_000 }).problem);
  };
  const slowed = (limit: number, keyGenerator: (request: Request) => string, handler: Options['handler']) =>
    rateLimit({
      windowMs: WINDOW_MS,
      limit,
      keyGenerator,
      handler,
      skipSuccessfulRequests: true,
      skip: ({ body }) => isPictureCode(String((body as Partial<Enter> | undefined)?.code)),
      standardHeaders: 'draft-8',
      legacyHeaders: false,
      // The invented workshop is opened when somebody first asks to look round it, and closed with the server.
      validate: { creationStack: false },
    });
  /** However many strangers have tried: whoever stands at the desk and reads its code is let in. */
  const refuseUnlessRight: Options['handler'] = (request, response, next) => {
    const { code } = (request.body ?? {}) as Partial<Enter>;
    return typeof code === 'string' && pairing.isRight(code) ? next() : refuse(request, response);
  };

  router.get('/', (request, response) => {
    response.setHeader(NOW_HEADER, now());
    const session = findSession(shop, request, now());
    const entered = isLocal(request) || session !== undefined;
    const state: AccessState = {
      local: isLocal(request),
      entered,
      passphrase: shop.passphrase() !== null,
      // The shop's id is told to those who are in: their browser keeps what it keeps under it.
      ...(entered ? { shop: shop.id } : {}),
      ...(session ? { device: session.device } : {}),
    };
    response.json(state);
  });

  const enter = async (request: Request, response: Response): Promise<void> => {
    const asked = readWith(enterSchema, request.body);
    if (!asked.ok) return sendProblem(response, asked.problem);
    const { device, code, passphrase } = asked.value;
    const kept = shop.passphrase();
    // Of the two the code alone, where both come: a passphrase beside it would be a try that is counted as one of a code.
    const right =
      code !== undefined
        ? pairing.use(code)
        : passphrase !== undefined && kept !== null && (await isPassphrase(passphrase, kept));
    if (!right) {
      log.warn({ from: request.ip, device }, 'not let in');
      return sendProblem(response, fail('wrong_pass').problem);
    }
    // A pass the device had before ends: it has one at a time.
    const before = findSession(shop, request, now());
    if (before) shop.end(before.id, now());
    const { token, session } = shop.begin(device, now());
    log.info({ session: session.id, device }, 'let in');
    response.setHeader(
      'Set-Cookie',
      stringifySetCookie(COOKIE, token, { ...COOKIE_RULES, maxAge: LONGEST_DAYS * DAY_S }),
    );
    response.json({
      local: false,
      entered: true,
      passphrase: kept !== null,
      shop: shop.id,
      device,
    } satisfies AccessState);
  };
  router.post(
    '/',
    (request, response, next) => (isLocal(request) ? sendProblem(response, fail('no_such_endpoint').problem) : next()),
    express.json({ limit: '4kb' }),
    slowed(TRIES_OF_ONE, (request) => `${triedOf(request)} ${addressOf(request)}`, refuse),
    slowed(TRIES_OF_ALL, triedOf, refuseUnlessRight),
    enter,
  );

  router.delete('/', (request, response) => {
    const session = findSession(shop, request, now());
    if (session) shop.end(session.id, now());
    response.setHeader('Set-Cookie', stringifySetCookie(COOKIE, '', { ...COOKIE_RULES, maxAge: 0 }));
    response.status(204).end();
  });
  return router;
}

import type { RequestHandler } from 'express';
import helmet from 'helmet';
import type { IncomingMessage } from 'node:http';
import type { TLSSocket } from 'node:tls';
import { fail } from '@/core/shared';
import { sendProblem } from './problems';

/** Expo's worker shim needs blob: workers, the style system needs inline styles; everything else is our own origin. */
export const securityHeaders: RequestHandler = helmet({
  contentSecurityPolicy: {
    useDefaults: false,
    directives: {
      defaultSrc: ["'self'"],
      scriptSrc: ["'self'"],
      workerSrc: ["'self'", 'blob:'],
      styleSrc: ["'self'", "'unsafe-inline'"],
      imgSrc: ["'self'", 'data:', 'blob:'],
      connectSrc: ["'self'"],
      fontSrc: ["'self'"],
      objectSrc: ["'none'"],
      baseUri: ["'self'"],
      formAction: ["'self'"],
      frameAncestors: ["'none'"],
    },
  },
  // On this machine the server speaks plain HTTP, and names hold for every port: a promise of HTTPS would lock the owner out.
  strictTransportSecurity: false,
});

const LOOPBACK = /^(127\.0\.0\.1|localhost|\[::1\])(:\d+)?$/;

/** Requests come by the loopback in the clear, or through the door for phones, which speaks TLS alone. */
export const isLocal = ({ socket }: Pick<IncomingMessage, 'socket'>): boolean =>
  !(socket as Partial<TLSSocket>).encrypted;

/** The host a request names, without its port; `[::1]` for an address of version 6. */
const hostOf = (header: string): string => header.replace(/:\d+$/, '');

/**
 * A foreign name pointed at this machine could read the whole shop: requests of any kind must name this machine, by the
 * names of the door they come through.
 */
export const ownHostOnly =
  (hostsOfDoor: () => readonly string[]): RequestHandler =>
  (request, response, next) => {
    const named = request.headers.host ?? '';
    const known = isLocal(request) ? LOOPBACK.test(named) : hostsOfDoor().includes(hostOf(named));
    if (!known) return sendProblem(response, fail('foreign_origin').problem);
    return next();
  };

/**
 * Nothing is asked for another site: an Origin of another host is refused, whatever the method. Programs without a
 * browser send no Origin and are let through.
 */
export const sameOriginOnly: RequestHandler = (request, response, next) => {
  const { origin, host = '', 'sec-fetch-site': site } = request.headers;
  const own = `${isLocal(request) ? 'http' : 'https'}://${host}`;
  const foreign = site === 'cross-site' || site === 'same-site' || (origin !== undefined && origin !== own);
  if (foreign) return sendProblem(response, fail('foreign_origin').problem);
  return next();
};

/** What is of the computer itself, and of nobody who was let in. */
export const localOnly: RequestHandler = (request, response, next) =>
  isLocal(request) ? next() : sendProblem(response, fail('local_only').problem);

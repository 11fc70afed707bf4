import type { RequestHandler } from 'express';
import helmet from 'helmet';
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
  // The server speaks plain HTTP on this machine; a promise of HTTPS would lock the owner out.
  strictTransportSecurity: false,
});

const LOOPBACK = /^(127\.0\.0\.1|localhost|\[::1\])(:\d+)?$/;

/** A foreign name pointed at this machine could read the whole shop: requests of any kind must name this machine. */
export const ownHostOnly: RequestHandler = (request, response, next) => {
  if (!LOOPBACK.test(request.headers.host ?? '')) return sendProblem(response, fail('foreign_origin').problem);
  return next();
};

/**
 * Writes must come from our own pages: an Origin of another host is refused. Programs without a browser send no Origin
 * and are let through.
 */
export const sameOriginWrites: RequestHandler = (request, response, next) => {
  if (request.method === 'GET' || request.method === 'HEAD') return next();
  const host = request.headers.host ?? '';
  const { origin, 'sec-fetch-site': site } = request.headers;
  const foreign =
    site === 'cross-site' || site === 'same-site' || (origin !== undefined && origin !== `http://${host}`);
  if (foreign) return sendProblem(response, fail('foreign_origin').problem);
  return next();
};

import { parseCookie, stringifySetCookie } from 'cookie';
import express, { Router, type Request, type Response } from 'express';
import type { IncomingMessage, RequestListener } from 'node:http';
import { fail, succeed, type Problem, type Result } from '@/core/shared';
import { DatabaseFault, findStorageProblem } from './db';
import { sendProblem } from './http/problems';
import { isLocal, securityHeaders } from './http/security';
import type { OpenShop } from './shop';

/** Whether the invented workshop can be looked round beside the owner's own, and whether it is being. */
export interface VisitState {
  possible: boolean;
  visiting: boolean;
}

/**
 * No secret: it says which of two shops a browser at this computer looks at. Cookies hold for every port of a machine, so
 * it carries the port of this server.
 */
const cookieOf = ({ socket }: Pick<IncomingMessage, 'socket'>): string => `bricolage-visit-${socket.localPort ?? 0}`;
const RULES = { path: '/', httpOnly: true, sameSite: 'strict' } as const;

const leave = (request: Request, response: Response): void =>
  void response.setHeader(
    'Set-Cookie',
    stringifySetCookie({ name: cookieOf(request), value: '', ...RULES, maxAge: 0 }),
  );

/**
 * Going to look round, and back.
 * @param prepare opens the invented workshop, or says why it cannot be
 */
export function makeVisitRouter(state: VisitState, prepare: () => Result<unknown>): Router {
  const router = Router();
  router.get('/', (_request, response) => void response.json(state));
  router.put('/', (request, response) => {
    if (!state.possible) return sendProblem(response, fail('no_such_endpoint').problem);
    const ready = prepare();
    if (!ready.ok) return sendProblem(response, ready.problem);
    const cookie = { name: cookieOf(request), value: 'demo', ...RULES };
    response.setHeader('Set-Cookie', stringifySetCookie(cookie));
    return response.json({ ...state, visiting: true });
  });
  router.delete('/', (request, response) => {
    leave(request, response);
    response.json({ ...state, visiting: false });
  });
  return router;
}

export interface DemoVisit {
  /** The shop a request is meant for, where it is the invented one; why that cannot be looked at. */
  shopFor: (request: IncomingMessage) => Result<OpenShop | null>;
  prepare: () => Result<OpenShop>;
  hush: () => void;
  close: () => void;
}

/** The invented workshop in a file of its own, opened when it is first asked for. Phones keep to the owner's shop. */
export function makeDemoVisit(possible: boolean, open: () => OpenShop): DemoVisit {
  let opened: OpenShop | null = null;
  const prepare = (): Result<OpenShop> => {
    try {
      opened ??= open();
      return succeed(opened);
    } catch (error) {
      return { ok: false, problem: toProblem(error) };
    }
  };
  return {
    prepare,
    shopFor: (request) => {
      const asked = isLocal(request) && parseCookie(request.headers.cookie ?? '')[cookieOf(request)] === 'demo';
      return possible && asked ? prepare() : succeed(null);
    },
    hush: () => opened?.hush(),
    close: () => opened?.close(),
  };
}

/** Its files are made anew each time: what keeps them from it is told, and the owner's shop goes on. */
function toProblem(error: unknown): Problem {
  if (error instanceof DatabaseFault) return error.problem;
  const detail = error instanceof Error ? error.message : '';
  return findStorageProblem(error) ?? fail('visit_not_opened', '', { detail }).problem;
}

/** Whoever looked round a workshop that cannot be opened is told so once, and is at home again. */
export function endVisit(problem: Problem): RequestListener {
  const app = express();
  app.disable('x-powered-by');
  app.use(securityHeaders, (request, response) => {
    leave(request, response);
    if (request.url.startsWith('/api')) sendProblem(response, problem);
    else response.redirect(302, '/');
  });
  return app;
}

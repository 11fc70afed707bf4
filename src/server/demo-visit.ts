import { parseCookie, stringifySetCookie } from 'cookie';
import { Router } from 'express';
import type { IncomingMessage } from 'node:http';
import { fail } from '@/core/shared';
import { sendProblem } from './http/problems';
import { isLocal } from './http/security';
import type { OpenShop } from './shop';

/** Whether the invented workshop can be looked round beside the owner's own, and whether it is being. */
export interface VisitState {
  possible: boolean;
  visiting: boolean;
}

/** No secret: it says which of two shops a browser at this computer looks at. */
const COOKIE = 'bricolage-visit';
const RULES = { path: '/', httpOnly: true, sameSite: 'strict' } as const;

/** Going to look round, and back. */
export function makeVisitRouter(state: VisitState): Router {
  const router = Router();
  router.get('/', (_request, response) => void response.json(state));
  router.put('/', (_request, response) => {
    if (!state.possible) return sendProblem(response, fail('no_such_endpoint').problem);
    response.setHeader('Set-Cookie', stringifySetCookie({ name: COOKIE, value: 'demo', ...RULES }));
    return response.json({ ...state, visiting: true });
  });
  router.delete('/', (_request, response) => {
    response.setHeader('Set-Cookie', stringifySetCookie({ name: COOKIE, value: '', ...RULES, maxAge: 0 }));
    response.json({ ...state, visiting: false });
  });
  return router;
}

export interface DemoVisit {
  /** The shop a request is meant for, where it is the invented one. */
  shopFor: (request: IncomingMessage) => OpenShop | null;
  hush: () => void;
  close: () => void;
}

/** The invented workshop in a file of its own, opened when it is first asked for. Phones keep to the owner's shop. */
export function makeDemoVisit(open: () => OpenShop): DemoVisit {
  let opened: OpenShop | null = null;
  return {
    shopFor: (request) => {
      if (!isLocal(request) || parseCookie(request.headers.cookie ?? '')[COOKIE] !== 'demo') return null;
      opened ??= open();
      return opened;
    },
    hush: () => opened?.hush(),
    close: () => opened?.close(),
  };
}

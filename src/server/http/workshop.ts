import { Router, type Request, type Response } from 'express';
import { bodies } from '@/contract';
import { findFuture, readWith } from '@/core/dossier';
import { succeed, type Result } from '@/core/shared';
import type { WorkshopChange } from '@/core/workshop';
import type { WorkshopStore } from '../db';
import { sendProblem } from './problems';

type Param = (name: string) => string;

/** Hours, air and pinned jobs of the shop; a write answers with the workshop as it now is. */
export function makeWorkshopRouter(store: WorkshopStore, now: () => string): Router {
  const router = Router();
  const handle =
    (read: (body: unknown, param: Param) => Result<WorkshopChange>) =>
    (request: Request, response: Response): void => {
      const change = read(request.body, (name) => String(request.params[name]));
      if (!change.ok) return sendProblem(response, change.problem);
      response.json(store.apply(change.value, now()));
    };
  router.get('/', (_request, response) => void response.json(store.find()));
  router.put(
    '/setup',
    handle((body) => {
      const setup = readWith(bodies.setup, body);
      return setup.ok ? succeed({ type: 'setup_set', setup: setup.value }) : setup;
    }),
  );
  router.put(
    '/air/:at',
    handle((body, param) => {
      const air = readWith(bodies.air, { ...(body as object), at: param('at') });
      const future = air.ok ? findFuture(air.value, now()) : null;
      if (future) return { ok: false, problem: future };
      return air.ok ? succeed({ type: 'air_recorded', air: air.value }) : air;
    }),
  );
  router.delete(
    '/air/:at',
    handle((_body, param) => succeed({ type: 'air_withdrawn', at: param('at') })),
  );
  router.put(
    '/pins/:task',
    handle((body, param) => {
      const pin = readWith(bodies.pin, { ...(body as object), task: param('task') });
      return pin.ok ? succeed({ type: 'task_pinned', pin: pin.value }) : pin;
    }),
  );
  router.delete(
    '/pins/:task',
    handle((_body, param) => succeed({ type: 'task_unpinned', task: param('task') })),
  );
  return router;
}

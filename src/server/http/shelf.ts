import { Router, type Request, type Response } from 'express';
import { bodies, paramIdSchema } from '@/contract';
import { readWith, type ShelfChange } from '@/core/dossier';
import { succeed, type Result } from '@/core/shared';
import type { ShelfStore } from '../db';
import { sendProblem } from './problems';

/** The shop's tins, each under an id its maker gave; a write answers with the whole shelf as it now is. */
export function makeShelfRouter(store: ShelfStore, now: () => string): Router {
  const router = Router();
  const handle =
    (read: (request: Request, id: string) => Result<ShelfChange>) =>
    (request: Request, response: Response): void => {
      const id = readWith(paramIdSchema, request.params.id);
      if (!id.ok) return sendProblem(response, { ...id.problem, path: 'id' });
      const change = read(request, id.value);
      if (!change.ok) return sendProblem(response, change.problem);
      const stored = store.apply(change.value, now());
      if (!stored.ok) return sendProblem(response, stored.problem);
      response.json({ tins: stored.value });
    };
  router.get('/', (_request, response) => void response.json({ tins: store.list() }));
  router.put(
    '/:id',
    handle((request, id) => {
      const tin = readWith(bodies.tin, { ...(request.body as object), id });
      return tin.ok ? succeed({ type: 'tin_set', tin: tin.value }) : tin;
    }),
  );
  router.delete(
    '/:id',
    handle((_request, id) => succeed({ type: 'tin_removed', tinId: id })),
  );
  router.put(
    '/:id/drawings/:work',
    handle((request, id) => {
      const drawing = readWith(bodies.drawing, { ...(request.body as object), work: request.params.work });
      return drawing.ok ? succeed({ type: 'tin_drawn', tinId: id, drawing: drawing.value }) : drawing;
    }),
  );
  router.delete(
    '/:id/drawings/:work',
    handle((request, id) => succeed({ type: 'tin_given_back', tinId: id, work: String(request.params.work) })),
  );
  return router;
}

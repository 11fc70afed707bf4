import { Router } from 'express';
import { findFuture } from '@/core/dossier';
import { bodyOf } from '@/core/shared';
import { WORKSHOP_CHANGES, type WorkshopChange } from '@/core/workshop';
import type { WorkshopStore } from '../db';
import { mountChanges } from './changes';

/** Hours, air and pinned jobs of the shop; a write answers with the workshop as it now is. */
export function makeWorkshopRouter(store: WorkshopStore, now: () => string): Router {
  const router = Router();
  router.get('/', (_request, response) => void response.json(store.find()));
  mountChanges<WorkshopChange>(router, '', WORKSHOP_CHANGES, (change) => {
    // What is pinned lies ahead; what was measured does not.
    const future =
      change.type === 'task_pinned' ? null : findFuture(bodyOf(WORKSHOP_CHANGES[change.type], change), now());
    return future ? { ok: false, problem: future } : store.apply(change, now());
  });
  return router;
}

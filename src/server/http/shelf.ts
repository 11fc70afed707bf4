import { Router } from 'express';
import { SHELF_CHANGES, type ShelfChange } from '@/core/dossier';
import { succeed } from '@/core/shared';
import type { ShelfStore } from '../db';
import { mountChanges } from './changes';

/** The shop's tins, each under an id its maker gave; a write answers with the whole shelf as it now is. */
export function makeShelfRouter(store: ShelfStore, now: () => string): Router {
  const router = Router();
  router.get('/', (_request, response) => void response.json({ tins: store.list() }));
  mountChanges<ShelfChange>(router, '', SHELF_CHANGES, (change) => {
    const stored = store.apply(change, now());
    return stored.ok ? succeed({ tins: stored.value }) : stored;
  });
  return router;
}

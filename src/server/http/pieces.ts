import { Router } from 'express';
import {
  idSchema,
  LIMITS,
  PIECE_CHANGES,
  readDossier,
  readWith,
  withShelf,
  type ChangeOfPiece,
  type Photo,
} from '@/core/dossier';
import { withExperience } from '@/core/learning';
import { fail, type Problem } from '@/core/shared';
import { findUnknown } from '@/core/work';
import type { PieceStore, ShelfStore } from '../db';
import type { PhotoFiles } from '../photo-files';
import type { ShopExperience } from '../experience';
import type { PieceTexts } from '../piece-texts';
import { answer, mountChanges } from './changes';
import { sendProblem } from './problems';

interface PieceParts {
  store: PieceStore;
  shelf: ShelfStore;
  experience: ShopExperience;
  photos: Pick<PhotoFiles, 'drawBeside'>;
  texts: PieceTexts;
  now: () => string;
}

/** REST over pieces. A piece is spoken as its dossier; a write answers with the whole piece as it now is. */
export function makePieceRouter({ store, shelf, experience, photos, texts, now }: PieceParts): Router {
  const router = Router();

  router.get('/', (_request, response) => {
    response.json({ pieces: store.list() });
  });

  router.get('/:id', (request, response) => {
    const text = texts.find(request.params.id);
    if (text === undefined) return sendProblem(response, fail('piece_not_found').problem);
    response.type('json').send(text);
  });

  router.get('/:id/dossier', async (request, response) => {
    const dossier = store.find(request.params.id);
    if (!dossier) return sendProblem(response, fail('piece_not_found').problem);
    const taught = (await experience.list(request.params.id)).slice(0, LIMITS.experience);
    const whole = withExperience(withShelf(dossier, shelf.list()), taught);
    response
      .attachment(`${request.params.id}.dossier.json`)
      .type('json')
      .send(`${JSON.stringify(whole, null, 2)}\n`);
  });

  /** Two pictures of a piece beside each other: its first and its last, or those that are named. */
  router.get('/:id/side-by-side', async (request, response) => {
    const dossier = store.find(request.params.id);
    if (!dossier) return sendProblem(response, fail('piece_not_found').problem);
    const taken = (dossier.photos ?? []).toSorted((a, b) => (a.at ?? '').localeCompare(b.at ?? ''));
    const pick = (id: unknown, otherwise: Photo | undefined): Photo | undefined =>
      id === undefined ? otherwise : taken.find((photo) => photo.id === id);
    const before = pick(request.query.before, taken[0]);
    const after = pick(request.query.after, taken.at(-1));
    const left = new AbortController();
    response.once('close', () => left.abort());
    const drawn = before && after ? await photos.drawBeside(before.sha256, after.sha256, left.signal) : null;
    if (left.signal.aborted) return;
    if (!drawn) return sendProblem(response, fail('photo_not_found').problem);
    response.attachment(`${request.params.id}-before-after.png`).type('png').send(Buffer.from(drawn));
  });

  router.put('/:id', (request, response) => {
    const id = readWith(idSchema, request.params.id);
    if (!id.ok) return sendProblem(response, { ...id.problem, path: 'id' });
    const dossier = readDossier(request.body, now());
    if (!dossier.ok) return sendProblem(response, dossier.problem);
    const met = { ...dossier.value, piece: { ...dossier.value.piece, id: id.value } };
    answer(response, store.apply(id.value, { type: 'piece_met', dossier: met }, now()));
  });
  router.delete('/:id', (request, response) => {
    // Deleting twice is deleting once.
    if (store.remove(request.params.id, now()) || store.listRemoved().some(({ id }) => id === request.params.id))
      return void response.status(204).end();
    return sendProblem(response, fail('piece_not_found').problem);
  });
  router.post('/:id/back', (request, response) => {
    store.putBack(request.params.id, now());
    const dossier = store.find(request.params.id);
    if (!dossier) return sendProblem(response, fail('piece_not_found').problem);
    return void response.json(dossier);
  });
  /** Why work cannot have been done so: with a tin the shelf never had, on parts that are not there. */
  const refuse = (id: string, change: ChangeOfPiece): Problem | null => {
    const dossier = change.type === 'work_logged' ? store.find(id) : undefined;
    if (!dossier || change.type !== 'work_logged') return null;
    return findUnknown(dossier, change.entries, [...shelf.list(), ...shelf.listRemoved()]);
  };
  mountChanges<ChangeOfPiece>(router, '/:id', PIECE_CHANGES, (change, { id }) => {
    const problem = refuse(id!, change);
    return problem ? { ok: false, problem } : store.apply(id!, change, now());
  });
  return router;
}

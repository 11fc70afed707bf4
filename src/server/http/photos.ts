import express, { Router } from 'express';
import { idSchema, readWith, type Photo } from '@/core/dossier';
import { fail } from '@/core/shared';
import { findAsker } from '../asker';
import type { PieceStore } from '../db';
import type { PhotoFiles } from '../photo-files';
import { sendProblem } from './problems';

const PHOTO_LIMIT = '12mb';

/** Pictures: `PUT` of the bytes under an id of the client, answered with the piece; `GET` by hash. */
export function makePhotoRouter(store: PieceStore, files: PhotoFiles, now: () => string): Router {
  const router = Router();

  router.put(
    '/pieces/:id/photos/:photo',
    express.raw({ limit: PHOTO_LIMIT, type: () => true }),
    async (request, response) => {
      for (const [name, value] of Object.entries(request.params)) {
        const id = readWith(idSchema, value);
        if (!id.ok) return sendProblem(response, { ...id.problem, path: name });
      }
      const { id, photo: photoId } = request.params as { id: string; photo: string };
      const piece = store.find(id);
      if (!piece) return sendProblem(response, fail('piece_not_found').problem);
      const zone = typeof request.query.zone === 'string' ? request.query.zone : undefined;
      if (zone !== undefined && !piece.zones?.some((entry) => entry.id === zone))
        return sendProblem(response, fail('zone_not_found').problem);
      const saved = await files.save(Buffer.isBuffer(request.body) ? request.body : Buffer.alloc(0));
      if (!saved.ok) return sendProblem(response, saved.problem);
      const at = now();
      const { madeAt = at } = findAsker();
      // It may have waited on a phone; what a clock says of tomorrow is not believed.
      const taken = madeAt < at ? madeAt : at;
      const photo: Photo = { id: photoId, ...saved.value, at: taken, ...(zone === undefined ? {} : { zone }) };
      const stored = store.addPhoto(id, photo, at);
      if (!stored.ok) return sendProblem(response, stored.problem);
      response.json(stored.value);
    },
  );

  router.get('/photos/:sha256', (request, response) => {
    const { sha256 } = request.params;
    if (!/^[0-9a-f]{64}$/.test(sha256)) return sendProblem(response, fail('photo_not_found').problem);
    response.sendFile(
      files.pathOf(sha256),
      { headers: { 'Cache-Control': 'private, max-age=31536000, immutable' }, cacheControl: false },
      (error) => {
        if (error && !response.headersSent) sendProblem(response, fail('photo_not_found').problem);
      },
    );
  });
  return router;
}

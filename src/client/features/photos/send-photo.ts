import { openLine } from '@/client/workers/line';
import type { DownscaleApi } from '@/client/workers/downscale.worker';
import { photoUploadPath, type ErrorBody } from '@/contract';
import type { Dossier } from '@/core/dossier';

export type SendResult = { ok: true; dossier: Dossier } | { ok: false; message: string; retry: boolean };

const LARGEST_BYTES = 40 * 2 ** 20;

/** Makes a picture small enough to keep; null when it is not a picture. */
async function downscale(picture: Blob): Promise<Blob | null> {
  const line = openLine<DownscaleApi>(() => new Worker(new URL('../../workers/downscale.worker', import.meta.url)));
  const reply = await line.ask('picture', (api) => api.downscale(picture));
  line.close();
  return reply.ok ? reply.answer : null;
}

/** Downscales a picture and sends it under an id of ours; sending it again is harmless. */
export async function sendPhoto(picture: Blob, pieceId: string, photoId: string, zoneId: string): Promise<SendResult> {
  if (picture.size > LARGEST_BYTES)
    return { ok: false, message: 'This file is larger than 40 MB. Take a smaller picture.', retry: false };
  const small = await downscale(picture);
  if (!small)
    return { ok: false, message: 'This is not a picture that can be read. Pick a JPEG, PNG or WebP.', retry: false };
  const answer = await fetch(photoUploadPath(pieceId, photoId, zoneId), { method: 'PUT', body: small }).catch(
    () => null,
  );
  if (!answer) return { ok: false, message: 'The server does not answer. The picture is kept here.', retry: true };
  if (answer.ok) return { ok: true, dossier: (await answer.json()) as Dossier };
  const refusal = (await answer.json().catch(() => null)) as ErrorBody | null;
  const message = refusal?.error.message ?? 'The server could not take this picture.';
  return { ok: false, message, retry: answer.status >= 500 };
}

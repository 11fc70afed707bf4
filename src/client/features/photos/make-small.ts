import { openLine } from '@/client/workers/line';
import type { DownscaleApi } from '@/client/workers/downscale.worker';
import { MAKE_SMALL_WORDS } from '@/words';

export type SmallPicture = { ok: true; picture: Blob } | { ok: false; message: string };

const LARGEST_BYTES = 40 * 2 ** 20;

/** Makes a picture small enough to keep, off the interface's thread, or says why it cannot be taken. */
export async function makeSmall(picture: Blob): Promise<SmallPicture> {
  if (picture.size > LARGEST_BYTES) return { ok: false, message: MAKE_SMALL_WORDS.thisFileIsLargerThan40 };
  const line = openLine<DownscaleApi>(() => new Worker(new URL('../../workers/downscale.worker', import.meta.url)));
  const reply = await line.ask('picture', (api) => api.downscale(picture));
  line.close();
  return reply.ok && reply.answer
    ? { ok: true, picture: reply.answer }
    : { ok: false, message: MAKE_SMALL_WORDS.thisIsNotAPictureThat };
}

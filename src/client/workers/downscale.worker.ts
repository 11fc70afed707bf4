import { expose } from 'comlink';
import { KEPT_SIDE_PX } from '@/core/shared';

/* Brings a picture down to the size that is kept, upright, away from the interface's thread. */

const api = {
  /** `null` where it is not a picture. */
  downscale: async (picture: Blob): Promise<Blob | null> => {
    const bitmap = await createImageBitmap(picture, { imageOrientation: 'from-image' }).catch(() => null);
    if (!bitmap) return null;
    const scale = Math.min(1, KEPT_SIDE_PX / Math.max(bitmap.width, bitmap.height));
    const canvas = new OffscreenCanvas(Math.round(bitmap.width * scale), Math.round(bitmap.height * scale));
    canvas.getContext('2d')!.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
    bitmap.close();
    return canvas.convertToBlob({ type: 'image/jpeg', quality: 0.85 });
  },
};
export type DownscaleApi = typeof api;

expose(api);

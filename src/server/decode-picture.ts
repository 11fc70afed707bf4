import { setTimeout as wait } from 'node:timers/promises';
import sharp from 'sharp';
import { KEPT_SIDE_PX, MOST_PIXELS } from '@/core/shared';

/*
 * A process of its own, for pictures are untrusted: one that unpacks into more memory or time than a photograph takes is
 * ended, and the server goes on. Takes one picture at a time over the channel to its parent and answers with it drawn
 * anew: upright, at most 2048 px, as JPEG without the camera's data.
 */

/** What a photograph of the largest size takes is a third of this. */
const MOST_MEMORY_BYTES = 450 * 2 ** 20;
const WATCH_MS = 20;

sharp.cache(false);
sharp.concurrency(1);
void watchMemory();

async function watchMemory(): Promise<void> {
  while (process.memoryUsage.rss() <= MOST_MEMORY_BYTES) await wait(WATCH_MS, undefined, { ref: false });
  process.exit(3);
}

process.on('message', (bytes: Uint8Array) => {
  void draw(bytes).then((drawn) => process.send!(drawn));
});
process.on('disconnect', () => process.exit(0));

async function draw(bytes: Uint8Array): Promise<{ data: Uint8Array; width: number; height: number } | null> {
  try {
    const { data, info } = await sharp(bytes, { limitInputPixels: MOST_PIXELS, sequentialRead: true, pages: 1 })
      .rotate()
      .resize({ width: KEPT_SIDE_PX, height: KEPT_SIDE_PX, fit: 'inside', withoutEnlargement: true })
      .toColourspace('srgb')
      .jpeg({ quality: 82 })
      .toBuffer({ resolveWithObject: true });
    return { data, width: info.width, height: info.height };
  } catch {
    // Whatever cannot be unpacked is not a picture.
    return null;
  }
}

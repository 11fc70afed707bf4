import { setTimeout as wait } from 'node:timers/promises';
import sharp from 'sharp';
import { KEPT_SIDE_PX, MOST_PIXELS } from '@/core/shared';
import type { DecoderQuestion, DrawnPicture } from './picture-decoder';

/*
 * A process of its own, for pictures are untrusted: one that unpacks into more memory or time than a photograph takes is
 * ended, and the server goes on. Takes one question at a time over the channel to its parent. A picture is drawn anew:
 * upright, at most 2048 px, as JPEG without the camera's data.
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

process.on('message', (question: DecoderQuestion) => {
  // Whatever cannot be unpacked is not a picture.
  void answer(question).then(
    (found) => process.send!(found),
    () => process.send!('unpack' in question ? false : null),
  );
});
process.on('disconnect', () => process.exit(0));

function answer(question: DecoderQuestion): Promise<unknown> {
  if ('draw' in question) return draw(question.draw);
  if ('unpack' in question) return unpack(question.unpack);
  return drawBeside(question.beside);
}

const open = (source: Uint8Array | string) =>
  sharp(source, { limitInputPixels: MOST_PIXELS, sequentialRead: true, pages: 1 });

async function draw(bytes: Uint8Array): Promise<DrawnPicture> {
  const { data, info } = await open(bytes)
    .rotate()
    .resize({ width: KEPT_SIDE_PX, height: KEPT_SIDE_PX, fit: 'inside', withoutEnlargement: true })
    .toColourspace('srgb')
    .jpeg({ quality: 82 })
    .toBuffer({ resolveWithObject: true });
  return { data, width: info.width, height: info.height };
}

/** A small one is made of it, for which the whole has to be read. */
async function unpack(bytes: Uint8Array): Promise<true> {
  await open(bytes).resize({ width: 64, height: 64, fit: 'inside' }).raw().toBuffer();
  return true;
}

/** Of two pictures beside each other: as high as each other, neither wider than so many times that. */
const HIGH_PX = 900;
const WIDE_PX = 4 * HIGH_PX;
const GAP_PX = 24;

async function drawBeside(files: readonly [string, string]): Promise<Uint8Array> {
  const [left, right] = await Promise.all(
    files.map((file) =>
      open(file).resize({ height: HIGH_PX, width: WIDE_PX, fit: 'inside' }).png().toBuffer({ resolveWithObject: true }),
    ),
  );
  const width = left!.info.width + GAP_PX + right!.info.width;
  return sharp({ create: { width, height: HIGH_PX, channels: 3, background: '#ffffff' } })
    .composite([
      { input: left!.data, left: 0, top: 0 },
      { input: right!.data, left: left!.info.width + GAP_PX, top: 0 },
    ])
    .png()
    .toBuffer();
}

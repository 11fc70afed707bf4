import { createHash } from 'node:crypto';
import { mkdir, rename, writeFile } from 'node:fs/promises';
import path from 'node:path';
import sharp from 'sharp';
import { fail, KEPT_SIDE_PX, MOST_PIXELS, succeed, type Result } from '@/core/shared';

export interface StoredPicture {
  sha256: string;
  width: number;
  height: number;
}

export interface PhotoFiles {
  save: (bytes: Buffer) => Promise<Result<StoredPicture>>;
  pathOf: (sha256: string) => string;
}

const FORMATS = new Set(['jpeg', 'png', 'webp']);
const FORMAT_NAMES = ['JPEG', 'PNG', 'WebP'];

/**
 * Pictures as files under the hash of their bytes. Each is turned upright, brought to at most 2048 px and written anew
 * as JPEG, which leaves the camera's data (with the place it was taken) behind.
 */
export function makePhotoFiles(folder: string): PhotoFiles {
  const pathOf = (sha256: string): string => path.join(folder, sha256.slice(0, 2), `${sha256}.jpg`);
  return {
    pathOf,
    save: async (bytes) => {
      const drawn = await redraw(bytes);
      if (!drawn.ok) return drawn;
      const made = drawn.value;
      const sha256 = createHash('sha256').update(made.data).digest('hex');
      const file = pathOf(sha256);
      await mkdir(path.dirname(file), { recursive: true });
      const draft = `${file}.${process.pid}.${Date.now()}`;
      await writeFile(draft, made.data);
      await rename(draft, file);
      return succeed({ sha256, width: made.info.width, height: made.info.height });
    },
  };
}

interface Redrawn {
  data: Buffer;
  info: { width: number; height: number };
}

async function redraw(bytes: Buffer): Promise<Result<Redrawn>> {
  try {
    const { format, width, height } = await sharp(bytes, { limitInputPixels: false }).metadata();
    if (!FORMATS.has(format)) return fail('not_a_picture', '', { allowed: FORMAT_NAMES });
    if (width * height > MOST_PIXELS) return fail('picture_too_large', '', { max: MOST_PIXELS / 1e6 });
    const size = { width: KEPT_SIDE_PX, height: KEPT_SIDE_PX, fit: 'inside', withoutEnlargement: true } as const;
    return succeed(
      await sharp(bytes)
        .rotate()
        .resize(size)
        .toColourspace('srgb')
        .jpeg({ quality: 82 })
        .toBuffer({ resolveWithObject: true }),
    );
  } catch {
    // Whatever cannot be unpacked is not a picture.
    return fail('not_a_picture', '', { allowed: FORMAT_NAMES });
  }
}

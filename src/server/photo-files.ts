import { createHash } from 'node:crypto';
import { mkdir, rename, writeFile } from 'node:fs/promises';
import path from 'node:path';
import sharp from 'sharp';
import { fail, succeed, type Result } from '@/core/shared';

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
const LONGEST_SIDE = 2048;
/** A picture of more pixels is refused before it is unpacked. */
const MOST_PIXELS = 60_000_000;

/**
 * Pictures as files under the hash of their bytes. Each is turned upright, brought to at most 2048 px and written anew
 * as JPEG, which leaves the camera's data (with the place it was taken) behind.
 */
export function makePhotoFiles(folder: string): PhotoFiles {
  const pathOf = (sha256: string): string => path.join(folder, sha256.slice(0, 2), `${sha256}.jpg`);
  return {
    pathOf,
    save: async (bytes) => {
      const made = await redraw(bytes);
      if (!made) return fail('not_a_picture', '', { allowed: ['JPEG', 'PNG', 'WebP'] });
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

async function redraw(bytes: Buffer) {
  try {
    const picture = sharp(bytes, { limitInputPixels: MOST_PIXELS });
    const { format } = await picture.metadata();
    if (!FORMATS.has(format)) return null;
    const size = { width: LONGEST_SIDE, height: LONGEST_SIDE, fit: 'inside', withoutEnlargement: true } as const;
    return await picture.rotate().resize(size).jpeg({ quality: 82 }).toBuffer({ resolveWithObject: true });
  } catch {
    // Whatever cannot be unpacked is not a picture.
    return null;
  }
}

import { createHash, randomUUID } from 'node:crypto';
import { existsSync, readdirSync, rmSync, statSync } from 'node:fs';
import { mkdir, open, rename } from 'node:fs/promises';
import path from 'node:path';
import { succeed, type Result } from '@/core/shared';
import { inspectPicture } from './inspect-picture';
import type { PictureDecoder } from './picture-decoder';

export interface StoredPicture {
  sha256: string;
  width: number;
  height: number;
}

export interface PhotoFiles {
  save: (bytes: Buffer) => Promise<Result<StoredPicture>>;
  pathOf: (sha256: string) => string;
  /**
   * Removes files that no piece has or had, and drafts; gives how many. What was written after `before` is left: it may be
   * that its piece is just about to be told of it.
   */
  sweep: (known: ReadonlySet<string>, before: number) => number;
}

/** Where the picture with this hash lies in a folder of pictures. */
export const pathOfPhoto = (folder: string, sha256: string): string =>
  path.join(folder, sha256.slice(0, 2), `${sha256}.jpg`);

/**
 * Pictures as files under the hash of their bytes. Each is turned upright, brought to at most 2048 px and written anew
 * as JPEG, which leaves the camera's data (with the place it was taken) behind. A file is on the disk, and its folder
 * knows of it, before it is spoken of.
 */
export function makePhotoFiles(folder: string, decoder: PictureDecoder): PhotoFiles {
  const pathOf = (sha256: string): string => pathOfPhoto(folder, sha256);
  return {
    pathOf,
    save: async (bytes) => {
      const fit = inspectPicture(bytes);
      if (!fit.ok) return fit;
      const drawn = await decoder.draw(bytes);
      if (!drawn.ok) return drawn;
      const { data, width, height } = drawn.value;
      const sha256 = createHash('sha256').update(data).digest('hex');
      await writeDurably(pathOf(sha256), data);
      return succeed({ sha256, width, height });
    },
    sweep: (known, before) => {
      if (!existsSync(folder)) return 0;
      const lost = readdirSync(folder, { withFileTypes: true })
        .filter((entry) => entry.isDirectory())
        .flatMap(({ name }) => readdirSync(path.join(folder, name)).map((file) => path.join(folder, name, file)))
        .filter((file) => !known.has(path.basename(file, '.jpg')) && statSync(file).mtimeMs < before);
      for (const file of lost) rmSync(file, { force: true });
      return lost.length;
    },
  };
}

async function writeDurably(file: string, data: Uint8Array): Promise<void> {
  await mkdir(path.dirname(file), { recursive: true });
  const draft = `${file}.${randomUUID()}`;
  const handle = await open(draft, 'w');
  try {
    await handle.writeFile(data);
    await handle.sync();
  } finally {
    await handle.close();
  }
  await rename(draft, file);
  const directory = await open(path.dirname(file), 'r');
  // Not every file system lets a folder be synced; the rename itself has happened.
  await directory.sync().catch(() => undefined);
  await directory.close();
}

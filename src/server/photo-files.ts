import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, statSync } from 'node:fs';
import path from 'node:path';
import { emptiedBefore } from '@/core/keeping';
import { fail, succeed, type Result } from '@/core/shared';
import { placeFile, removeDrafts, syncFolder, writeWhole } from './disk';
import { inspectPicture, isAsKept } from './inspect-picture';
import type { PictureDecoder } from './picture-decoder';

export interface StoredPicture {
  sha256: string;
  width: number;
  height: number;
}

export interface PhotoFiles {
  save: (bytes: Buffer) => Promise<Result<StoredPicture>>;
  pathOf: (sha256: string) => string;
  /** Two pictures beside each other as PNG; null where a file is lost, or whoever asked has gone. */
  drawBeside: (before: string, after: string, signal?: AbortSignal) => Promise<Uint8Array | null>;
  /** Deletes pictures for good. */
  remove: (hashes: Iterable<string>) => void;
  /**
   * Lays pictures that no record knows of into the bin of the day, with where they came from; gives how many. What was
   * written after `before` (ms since the epoch) is left: its piece may be just about to be told of it.
   */
  setAside: (known: ReadonlySet<string>, before: number, from: Origin) => number;
  /** Brings back from that bin what a record knows of. */
  bringBack: (known: ReadonlySet<string>) => number;
  /** Deletes what has lain in the bin for its time. */
  emptyAside: (now: string) => void;
}

/** Told beside pictures that were laid aside. */
export interface Origin {
  shop: string;
  file: string;
  at: string;
}

/** Where the picture with this hash lies in a folder of pictures. */
export const pathOfPhoto = (folder: string, sha256: string): string =>
  path.join(folder, sha256.slice(0, 2), `${sha256}.jpg`);

const PICTURE = /^([0-9a-f]{64})\.jpg$/;

/** The pictures of a folder, by their hashes. */
function listPhotos(folder: string): string[] {
  if (!existsSync(folder)) return [];
  return readdirSync(folder, { withFileTypes: true })
    .filter((entry) => entry.isDirectory())
    .flatMap(({ name }) => readdirSync(path.join(folder, name)))
    .flatMap((name) => PICTURE.exec(name)?.[1] ?? []);
}

/** Every picture of a folder under a second name in another; those that are there are left as they are. */
export function linkPhotos(from: string, to: string, wanted: Iterable<string> = listPhotos(from)): number {
  mkdirSync(to, { recursive: true });
  const places = new Set<string>();
  let linked = 0;
  for (const sha256 of wanted) {
    const [old, own] = [pathOfPhoto(from, sha256), pathOfPhoto(to, sha256)];
    if (existsSync(own) || !existsSync(old)) continue;
    mkdirSync(path.dirname(own), { recursive: true });
    placeFile(old, own);
    places.add(path.dirname(own));
    linked += 1;
  }
  for (const place of places) syncFolder(place);
  return linked;
}

export const hashOf = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex');

/**
 * Pictures as files under the hash of their bytes. Each is turned upright, brought to at most 2048 px and written anew
 * as JPEG, which leaves the camera's data (with the place it was taken) behind. A file is on the disk, and its folder
 * knows of it, before it is spoken of.
 */
export function makePhotoFiles(folder: string, decoder: PictureDecoder): PhotoFiles {
  const pathOf = (sha256: string): string => pathOfPhoto(folder, sha256);
  const aside = path.join(path.dirname(folder), 'aside');
  const listDays = (): string[] => (existsSync(aside) ? readdirSync(aside).filter((name) => DAY.test(name)) : []);
  return {
    pathOf,
    save: async (bytes) => {
      const drawn = await redraw(bytes, decoder);
      return drawn.ok ? succeed(keep(folder, drawn.value)) : drawn;
    },
    drawBeside: (before, after, signal) => decoder.drawBeside(pathOf(before), pathOf(after), signal),
    remove: (hashes) => {
      for (const sha256 of hashes) rmSync(pathOf(sha256), { force: true });
    },
    setAside: (known, before, from) => {
      if (!existsSync(folder)) return 0;
      for (const { name } of readdirSync(folder, { withFileTypes: true }).filter((entry) => entry.isDirectory()))
        removeDrafts(path.join(folder, name), before);
      const unknown = listPhotos(folder).filter(
        (sha256) => !known.has(sha256) && statSync(pathOf(sha256)).mtimeMs < before,
      );
      if (unknown.length === 0) return 0;
      const day = path.join(aside, from.at.slice(0, 10));
      writeWhole(path.join(day, 'from.json'), `${JSON.stringify(from, null, 2)}\n`);
      for (const sha256 of unknown) {
        placeFile(pathOf(sha256), path.join(day, `${sha256}.jpg`));
        rmSync(pathOf(sha256));
      }
      syncFolder(day);
      return unknown.length;
    },
    bringBack: (known) => {
      let brought = 0;
      for (const day of listDays())
        for (const name of readdirSync(path.join(aside, day))) {
          const sha256 = PICTURE.exec(name)?.[1];
          if (sha256 === undefined || !known.has(sha256) || existsSync(pathOf(sha256))) continue;
          mkdirSync(path.dirname(pathOf(sha256)), { recursive: true });
          placeFile(path.join(aside, day, name), pathOf(sha256));
          rmSync(path.join(aside, day, name));
          brought += 1;
        }
      return brought;
    },
    emptyAside: (now) => {
      const first = emptiedBefore(now).slice(0, 10);
      for (const day of listDays()) if (day < first) rmSync(path.join(aside, day), { recursive: true, force: true });
    },
  };
}

const DAY = /^\d{4}-\d{2}-\d{2}$/;

async function redraw(bytes: Buffer, decoder: PictureDecoder) {
  const fit = inspectPicture(bytes);
  return fit.ok ? decoder.draw(bytes) : fit;
}

/** Writes a picture under its hash. One that is there is left, unless its bytes are no longer those of its name. */
function keep(folder: string, picture: { data: Uint8Array; width: number; height: number }): StoredPicture {
  const { data, width, height } = picture;
  const sha256 = hashOf(data);
  const file = pathOfPhoto(folder, sha256);
  if (!existsSync(file) || hashOf(readFileSync(file)) !== sha256) writeWhole(file, data);
  return { sha256, width, height };
}

/**
 * Takes a picture out of a file somebody sent into a folder: as it is where it is just as this program writes them and can
 * be unpacked, so that a shop comes back byte for byte; drawn anew like any other where not.
 */
export async function adoptPhoto(
  folder: string,
  bytes: Buffer,
  decoder: PictureDecoder,
): Promise<Result<StoredPicture>> {
  const fit = inspectPicture(bytes);
  if (!fit.ok) return fit;
  if (!isAsKept(bytes)) {
    const drawn = await decoder.draw(bytes);
    return drawn.ok ? succeed(keep(folder, drawn.value)) : drawn;
  }
  if (!(await decoder.unpacks(bytes))) return fail('picture_overladen');
  const { width, height } = fit.value;
  return succeed(keep(folder, { data: bytes, width, height }));
}

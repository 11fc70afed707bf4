import { expose } from 'comlink';
import {
  drawSquare,
  readColour,
  readDrawDown,
  readGrain,
  readLattice,
  readRepeat,
  readShine,
  readStrips,
  type ColourOptions,
  type DrawDownOptions,
  type GrainReading,
  type LatticeOptions,
  type Pixels,
  type RepeatReading,
  type ShineReading,
  type StripsOptions,
} from '@/core/photo';
import { KEPT_SIDE_PX, MOST_PIXELS } from '@/core/shared';
import { PICTURE_WORKER_WORDS, reportColour, reportDrawDown, reportLattice, reportStrips } from '@/words';

/* Photographs are read here, away from the interface's thread. The picture is kept until the worker is closed. */

export interface Refused {
  kind: 'refused';
  message: string;
}
interface Opened {
  kind: 'opened';
  width: number;
  height: number;
}
export interface LatticeReport {
  kind: 'lattice';
  report: ReturnType<typeof reportLattice>;
  square: Blob | null;
  took: number;
}
export interface StripsReport {
  kind: 'strips';
  report: ReturnType<typeof reportStrips>;
}

const SQUARE_SIDE = 480;
const NONE_OPEN: Refused = { kind: 'refused', message: PICTURE_WORKER_WORDS.pickThePictureAgain };

let pixels: Pixels | null = null;
/** A picture before it, of the same place. */
let first: Pixels | null = null;

const api = {
  open,
  readLattice: async (options: LatticeOptions): Promise<LatticeReport | Refused> => {
    if (!pixels) return NONE_OPEN;
    const start = performance.now();
    const reading = readLattice(pixels, options);
    const square = await encode(reading.corners ? drawSquare(pixels, reading.corners, SQUARE_SIDE) : null);
    return { kind: 'lattice', report: reportLattice(reading), square, took: performance.now() - start };
  },
  readColour: async (options: ColourOptions): Promise<ReturnType<typeof reportColour> | Refused> =>
    pixels ? reportColour(readColour(pixels, options)) : NONE_OPEN,
  readDrawDown: async (options: DrawDownOptions): Promise<ReturnType<typeof reportDrawDown> | Refused> =>
    pixels ? reportDrawDown(readDrawDown(pixels, options)) : NONE_OPEN,
  /** Keeps the open picture for what takes two. */
  setAside: (): void => {
    first = pixels;
  },
  readShine: async (): Promise<ShineReading | Refused> => (first && pixels ? readShine(first, pixels) : NONE_OPEN),
  readRepeat: async (): Promise<RepeatReading | Refused> => (pixels ? readRepeat(pixels) : NONE_OPEN),
  readGrain: async (): Promise<GrainReading | Refused> => (pixels ? readGrain(pixels) : NONE_OPEN),
  readStrips: async (options: StripsOptions): Promise<StripsReport | Refused> =>
    pixels ? { kind: 'strips', report: reportStrips(readStrips(pixels, options)) } : NONE_OPEN,
};
export type PictureApi = typeof api;

expose(api);

async function open(picture: Blob): Promise<Opened | Refused> {
  const bitmap = await createImageBitmap(picture, { imageOrientation: 'from-image' }).catch(() => null);
  if (!bitmap) return { kind: 'refused', message: PICTURE_WORKER_WORDS.thisIsNotAPictureThat };
  if (bitmap.width * bitmap.height > MOST_PIXELS) {
    return { kind: 'refused', message: PICTURE_WORKER_WORDS.thisPictureHasMoreThan60 };
  }
  const scale = Math.min(1, KEPT_SIDE_PX / Math.max(bitmap.width, bitmap.height));
  const [width, height] = [
    Math.max(1, Math.round(bitmap.width * scale)),
    Math.max(1, Math.round(bitmap.height * scale)),
  ];
  const context = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true })!;
  context.imageSmoothingQuality = 'high';
  context.drawImage(bitmap, 0, 0, width, height);
  bitmap.close();
  pixels = { width, height, data: context.getImageData(0, 0, width, height).data };
  return { kind: 'opened', width, height };
}

async function encode(picture: Pixels | null): Promise<Blob | null> {
  if (!picture) return null;
  const canvas = new OffscreenCanvas(picture.width, picture.height);
  const data = new Uint8ClampedArray(picture.data);
  canvas.getContext('2d')!.putImageData(new ImageData(data, picture.width, picture.height), 0, 0);
  return canvas.convertToBlob({ type: 'image/png' });
}

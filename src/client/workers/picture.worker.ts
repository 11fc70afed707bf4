import {
  drawSquare,
  readLattice,
  readStrips,
  type LatticeOptions,
  type Pixels,
  type StripsOptions,
} from '@/core/photo';
import { KEPT_SIDE_PX, MOST_PIXELS } from '@/core/shared';
import { reportLattice, reportStrips } from '@/words';

/* Photographs are read here, away from the interface's thread. The picture is kept until the worker is closed. */

export type PictureRequest =
  | { kind: 'open'; picture: Blob }
  | { kind: 'lattice'; options: LatticeOptions }
  | { kind: 'strips'; options: StripsOptions };

export type PictureAnswer =
  | { kind: 'opened'; width: number; height: number }
  | { kind: 'refused'; message: string }
  | { kind: 'lattice'; report: ReturnType<typeof reportLattice>; square: Blob | null; took: number }
  | { kind: 'strips'; report: ReturnType<typeof reportStrips> };

const SQUARE_SIDE = 480;

let pixels: Pixels | null = null;

self.onmessage = async ({ data }: MessageEvent<PictureRequest>) => {
  self.postMessage(await answer(data));
};

async function answer(request: PictureRequest): Promise<PictureAnswer> {
  if (request.kind === 'open') return open(request.picture);
  if (!pixels) return { kind: 'refused', message: 'Pick the picture again.' };
  if (request.kind === 'strips') return { kind: 'strips', report: reportStrips(readStrips(pixels, request.options)) };
  const start = performance.now();
  const reading = readLattice(pixels, request.options);
  const square = reading.corners ? drawSquare(pixels, reading.corners, SQUARE_SIDE) : null;
  return {
    kind: 'lattice',
    report: reportLattice(reading),
    square: await encode(square),
    took: performance.now() - start,
  };
}

async function open(picture: Blob): Promise<PictureAnswer> {
  const bitmap = await createImageBitmap(picture, { imageOrientation: 'from-image' }).catch(() => null);
  if (!bitmap) return { kind: 'refused', message: 'This is not a picture that can be read. Pick a JPEG, PNG or WebP.' };
  if (bitmap.width * bitmap.height > MOST_PIXELS) {
    return { kind: 'refused', message: 'This picture has more than 60 million pixels. Take a smaller one.' };
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

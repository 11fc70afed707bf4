import { imageSize } from 'image-size';
import { fail, KEPT_SIDE_PX, MOST_PIXELS, succeed, type Result } from '@/core/shared';
import { STILLS } from './picture-decoder';

const TYPES: ReadonlySet<string> = new Set(['jpg', 'png', 'webp']);

/** Parts of a file that a decoder would unpack or walk before it comes to the picture. */
const MOST_PARTS = 20_000;
const MOST_TEXTS = 8;
const MOST_TEXT_BYTES = 64 * 1024;
/** One side of the other: a photograph of a whole wall has six, and what has thousands is no photograph. */
const MOST_TIMES = 20;
/** Four channels of sixteen bits; and what packing adds, with room for small pictures that were packed badly. */
const MOST_PIXEL_BYTES = 8;
const PACKING_BYTES = 64 * 1024;

/**
 * What the first bytes and the list of parts say of a picture, before any decoder sees it: its kind, its size, whether it
 * moves, and whether it carries more than a picture needs.
 */
export function inspectPicture(bytes: Uint8Array): Result<{ type: string; width: number; height: number }> {
  const refused = fail('not_a_picture', '', { allowed: STILLS });
  let found: ReturnType<typeof imageSize>;
  try {
    found = imageSize(bytes);
  } catch {
    return refused;
  }
  const { type = '', width, height } = found;
  if (!TYPES.has(type)) return refused;
  if (Math.max(width, height) > MOST_TIMES * Math.min(width, height))
    return fail('picture_too_narrow', '', { max: MOST_TIMES });
  if (width * height > MOST_PIXELS) return fail('picture_too_large', '', { max: MOST_PIXELS / 1e6 });
  const view = Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const parts = type === 'png' ? listPngParts(view) : type === 'webp' ? listWebpParts(view) : listJpegParts(view);
  if (!parts) return refused;
  const texts = parts.filter(({ name }) => TEXT_PARTS.has(name));
  const weight = texts.reduce((sum, { size }) => sum + size, 0);
  const packed = parts.filter(({ name }) => name === 'IDAT').reduce((sum, { size }) => sum + size, 0);
  // What a PNG packs cannot be larger than the picture is unpacked, but by a trifle: more is not of the picture.
  if (packed > MOST_PIXEL_BYTES * (width + 1) * height + PACKING_BYTES) return fail('picture_overladen');
  if (parts.length >= MOST_PARTS || texts.length > MOST_TEXTS || weight > MOST_TEXT_BYTES)
    return fail('picture_overladen');
  if (parts.some(({ name }) => name === 'acTL' || name === 'ANIM' || name === 'ANMF')) return refused;
  return succeed({ type, width, height });
}

/** What a JPEG of ours is made of (ITU-T T.81, B.1): a baseline frame, its tables, one scan, and no word about a camera. */
const OWN_PARTS: ReadonlySet<string> = new Set(['e0', 'db', 'c0', 'c4', 'dd', 'da']);
const END_OF_PICTURE = Buffer.from([0xff, 0xd9]);

/** Whether a picture is such as this program writes: nothing in it but the picture, no larger than one is kept. */
export function isAsKept(bytes: Uint8Array): boolean {
  const view = Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  if (view.readUInt16BE(0) !== 0xffd8) return false;
  const { width, height } = imageSize(bytes);
  const parts = listJpegParts(view);
  return (
    Math.max(width, height) <= KEPT_SIDE_PX &&
    parts !== null &&
    parts.every(({ name }) => OWN_PARTS.has(name)) &&
    // Within a scan the mark of its end cannot stand: nothing lies behind it.
    view.indexOf(
      END_OF_PICTURE,
      parts.reduce((sum, { size }) => sum + size, 0),
    ) ===
      view.length - 2
  );
}

interface Part {
  name: string;
  size: number;
}

/** Texts are unpacked by decoders and are no part of the picture. Camera data of JPEG is bounded by its own format. */
const TEXT_PARTS: ReadonlySet<string> = new Set(['tEXt', 'zTXt', 'iTXt']);

/** Chunks of a PNG (ISO/IEC 15948, 5.3): length, name, data, checksum. Null where they do not fit the file. */
function listPngParts(view: Buffer): Part[] | null {
  const parts: Part[] = [];
  for (let at = 8; at + 12 <= view.length && parts.length < MOST_PARTS;) {
    const size = view.readUInt32BE(at);
    const name = view.toString('latin1', at + 4, at + 8);
    if (at + 12 + size > view.length) return null;
    parts.push({ name, size });
    if (name === 'IEND') return parts;
    at += 12 + size;
  }
  return parts.length >= MOST_PARTS ? parts : null;
}

/** Chunks of a WebP (RIFF): name, length, data padded to even. */
function listWebpParts(view: Buffer): Part[] | null {
  const parts: Part[] = [];
  for (let at = 12; at + 8 <= view.length && parts.length < MOST_PARTS;) {
    const size = view.readUInt32LE(at + 4);
    parts.push({ name: view.toString('latin1', at, at + 4), size });
    at += 8 + size + (size % 2);
  }
  return parts.length > 0 ? parts : null;
}

/** Segments of a JPEG up to the picture's data (ITU-T T.81, B.1.1.4): marker, length, data. */
function listJpegParts(view: Buffer): Part[] | null {
  const parts: Part[] = [];
  for (let at = 2; at + 4 <= view.length && parts.length < MOST_PARTS;) {
    if (view[at] !== 0xff) return null;
    const marker = view[at + 1]!;
    if (marker === 0xff) {
      at += 1;
      continue;
    }
    parts.push({ name: marker.toString(16), size: view.readUInt16BE(at + 2) });
    // The scan: what follows is the picture itself.
    if (marker === 0xda) return parts;
    at += 2 + view.readUInt16BE(at + 2);
  }
  return parts.length >= MOST_PARTS ? parts : null;
}

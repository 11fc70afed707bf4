import { readFile } from 'node:fs/promises';
import { parseArgs } from 'node:util';
import { explainProblem, reportLattice, reportStrips } from '@/words';
import { readLattice, readStrips, type Pixels, type Point, type Quad, type Rect } from '@/core/photo';
import { fail, KEPT_SIDE_PX, MOST_PIXELS, succeed, type Result } from '@/core/shared';

export const PHOTO_USAGE = `       bricolage read-lattice PHOTO --cuts 6|11 [--corners x1,y1,x2,y2,x3,y3,x4,y4] [--coat '#rrggbb']
       bricolage read-strips PHOTO --white x,y,w,h --reference x,y,w,h --strip CODE:x,y,w,h …
Reads a PNG or JPEG photograph of a lattice of cuts, or of painted strips beside white paper. Prints JSON.`;

interface Io {
  out: (text: string) => void;
  err: (text: string) => void;
}

export const isPhotoCommand = (name: string | undefined): boolean => name === 'read-lattice' || name === 'read-strips';

/** Runs one photograph command. Returns the exit code: 0 fine, 1 a picture that cannot be read, 2 usage. */
export async function runPhotoCommand([name, ...args]: readonly string[], io: Io): Promise<0 | 1 | 2> {
  const request = name === 'read-lattice' ? readLatticeArguments(args) : readStripsArguments(args);
  if (typeof request === 'string') {
    io.err(request);
    io.err(`usage: ${PHOTO_USAGE.trim()}`);
    return 2;
  }
  const picture = await openPicture(request.file);
  if (!picture.ok) {
    io.err(`${request.file}: ${explainProblem(picture.problem)}`);
    return 1;
  }
  io.out(JSON.stringify(request.read(picture.value), null, 2));
  return 0;
}

interface Picture {
  pixels: Pixels;
  /** Pixels of the file to one of `pixels`. */
  scale: number;
}

/** A picture upright, in sRGB, brought to the size it is read at. */
async function openPicture(file: string): Promise<Result<Picture>> {
  const { default: sharp } = await import('sharp');
  const bytes = await readFile(file).catch(() => null);
  if (!bytes) return fail('not_readable', '', { file });
  try {
    const { width, height, format, autoOrient } = await sharp(bytes, { limitInputPixels: false }).metadata();
    if (format !== 'png' && format !== 'jpeg') return fail('not_a_picture', '', { allowed: ['PNG', 'JPEG'] });
    if (width * height > MOST_PIXELS) return fail('picture_too_large', '', { max: MOST_PIXELS / 1e6 });
    const { data, info } = await sharp(bytes)
      .autoOrient()
      .resize({ width: KEPT_SIDE_PX, height: KEPT_SIDE_PX, fit: 'inside', withoutEnlargement: true })
      .toColourspace('srgb')
      .flatten({ background: '#000000' })
      .ensureAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true });
    const pixels = { width: info.width, height: info.height, data };
    return succeed({ pixels, scale: autoOrient.width / info.width });
  } catch {
    // Whatever cannot be unpacked to its end is not a picture.
    return fail('not_a_picture', '', { allowed: ['PNG', 'JPEG'] });
  }
}

interface Request {
  file: string;
  read: (picture: Picture) => unknown;
}

function readLatticeArguments(args: readonly string[]): Request | string {
  const parsed = parse(args, { cuts: { type: 'string' }, corners: { type: 'string' }, coat: { type: 'string' } });
  if (typeof parsed === 'string') return parsed;
  const { file, values } = parsed;
  const cuts = values.cuts === '6' ? 6 : values.cuts === '11' ? 11 : null;
  if (!cuts) return '--cuts: 6 or 11';
  const coat = values.coat as string | undefined;
  if (coat !== undefined && !/^#[0-9a-f]{6}$/i.test(coat)) return '--coat: a colour as #rrggbb';
  const numbers = values.corners === undefined ? null : readNumbers(values.corners as string, 8);
  if (numbers === 'wrong') return '--corners: eight numbers, x and y of four corners clockwise from the top left';
  return {
    file,
    read: ({ pixels, scale }) => {
      const corners = numbers ? toQuad(numbers.map((value) => value / scale)) : undefined;
      const reading = readLattice(pixels, { cuts, ...(coat ? { coat } : {}), ...(corners ? { corners } : {}) });
      const back = reading.corners?.map(({ x, y }) => ({ x: x * scale, y: y * scale })) as unknown as Quad | undefined;
      return reportLattice({ ...reading, corners: back ?? null });
    },
  };
}

function readStripsArguments(args: readonly string[]): Request | string {
  const parsed = parse(args, {
    white: { type: 'string' },
    reference: { type: 'string' },
    strip: { type: 'string', multiple: true },
  });
  if (typeof parsed === 'string') return parsed;
  const { file, values } = parsed;
  const [white, reference] = [readRect(values.white), readRect(values.reference)];
  if (!white) return '--white: x,y,w,h of the white paper in pixels';
  if (!reference) return '--reference: x,y,w,h of the reference patch in pixels';
  const strips = ((values.strip ?? []) as string[]).map((text) => {
    const at = text.lastIndexOf(':');
    return { code: text.slice(0, at), rect: readRect(text.slice(at + 1)) };
  });
  if (strips.length === 0 || strips.some(({ code, rect }) => code === '' || !rect)) {
    return '--strip: CODE:x,y,w,h in pixels, once for each strip';
  }
  return {
    file,
    read: ({ pixels, scale }) => {
      const shrink = ({ x, y, width, height }: Rect): Rect => ({
        x: x / scale,
        y: y / scale,
        width: width / scale,
        height: height / scale,
      });
      return reportStrips(
        readStrips(pixels, {
          white: shrink(white),
          reference: shrink(reference),
          strips: strips.map(({ code, rect }) => ({ code, rect: shrink(rect!) })),
        }),
      );
    },
  };
}

type Options = Record<string, { type: 'string'; multiple?: boolean }>;

function parse(args: readonly string[], options: Options) {
  try {
    const { values, positionals } = parseArgs({ args: [...args], options, allowPositionals: true });
    const [file, more] = positionals;
    if (file === undefined) return 'a photograph is missing';
    return more === undefined ? { file, values } : `one photograph at a time: ${more}`;
  } catch (error) {
    return error instanceof Error ? error.message : 'wrong arguments';
  }
}

function readNumbers(text: string, count: number): number[] | 'wrong' {
  const numbers = text.split(',').map((part) => (part.trim() === '' ? NaN : Number(part)));
  return numbers.length === count && numbers.every(Number.isFinite) ? numbers : 'wrong';
}

function readRect(text: unknown): Rect | null {
  const numbers = typeof text === 'string' ? readNumbers(text, 4) : 'wrong';
  if (numbers === 'wrong' || numbers[2]! <= 0 || numbers[3]! <= 0) return null;
  return { x: numbers[0]!, y: numbers[1]!, width: numbers[2]!, height: numbers[3]! };
}

const toQuad = (n: readonly number[]): Quad =>
  [0, 2, 4, 6].map((i): Point => ({ x: n[i]!, y: n[i + 1]! })) as unknown as Quad;

import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { crc32, deflateSync } from 'node:zlib';
import sharp from 'sharp';
import { DOSSIER_FORMAT } from '@/core/dossier';
import { makePhotoFiles } from '@/server/photo-files';
import { makePictureDecoder } from '@/server/picture-decoder';
import { buildDecoder, cleanUp, startServer, type Running } from './harness';

let server: Running;
beforeEach(async () => {
  server = await startServer();
  const zones = [{ id: 'top', role: 'top' }];
  await server.call('PUT', '/api/pieces/p-1', { format: DOSSIER_FORMAT, piece: { kind: 'desk' }, zones });
});
afterEach(async () => {
  await server.stop();
  cleanUp(server.file);
});

const send = async (photo: string, bytes: Buffer, query = '', headers = {}) => {
  const response = await fetch(`${server.base}/api/pieces/p-1/photos/${photo}${query}`, {
    method: 'PUT',
    body: new Uint8Array(bytes),
    headers,
  });
  return { status: response.status, body: (await response.json()) as any }; // eslint-disable-line @typescript-eslint/no-explicit-any
};
/** 40 × 20, red on the left, as a camera held upright would write it: turned, and with the place it was taken. */
const cameraPicture = (): Promise<Buffer> => {
  const red = { create: { width: 20, height: 20, channels: 3 as const, background: '#c02010' } };
  return sharp({ create: { width: 40, height: 20, channels: 3, background: '#ffffff' } })
    .composite([{ input: red, left: 0, top: 0 }])
    .withMetadata({ orientation: 6 })
    .withExifMerge({ IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '51/1 30/1 0/1' } })
    .jpeg()
    .toBuffer();
};
const folder = (): string => path.join(path.dirname(server.file), 'photos');

describe('a photograph', () => {
  it('is turned upright, stripped of its place, and kept under the hash of its bytes', async () => {
    const picture = await cameraPicture();
    const before = await sharp(picture).metadata();
    expect([before.orientation, before.exif !== undefined]).toEqual([6, true]);
    const { status, body } = await send('ph-1', picture, '?zone=top');
    expect(status).toBe(200);
    expect(body.photos).toMatchObject([{ id: 'ph-1', zone: 'top', width: 20, height: 40 }]);
    const { sha256 } = body.photos[0];
    const stored = readFileSync(path.join(folder(), sha256.slice(0, 2), `${sha256}.jpg`));
    expect(createHash('sha256').update(stored).digest('hex')).toBe(sha256);
    const after = await sharp(stored).metadata();
    expect(after.exif).toBeUndefined();
    expect(after.orientation ?? 1).toBe(1);
    const served = await fetch(`${server.base}/api/photos/${sha256}`);
    expect(served.headers.get('content-type')).toBe('image/jpeg');
    expect(served.headers.get('cache-control')).toContain('immutable');
    expect(Buffer.from(await served.arrayBuffer()).equals(stored)).toBe(true);
  });

  it('is brought down to 2048 px', async () => {
    const wide = await sharp({ create: { width: 3000, height: 1500, channels: 3, background: '#888888' } })
      .png()
      .toBuffer();
    expect((await send('ph-1', wide)).body.photos[0]).toMatchObject({ width: 2048, height: 1024 });
  });

  it('may be sent twice, and is gone from the piece when withdrawn', async () => {
    const picture = await cameraPicture();
    await send('ph-1', picture);
    expect((await send('ph-1', picture)).body.photos).toHaveLength(1);
    expect((await server.call('DELETE', '/api/pieces/p-1/photos/ph-1')).body.photos).toBeUndefined();
  });

  it.each([
    ['text', Buffer.from('not a picture at all'), 415, 'not_a_picture'],
    ['nothing', Buffer.alloc(0), 415, 'not_a_picture'],
    [
      'a drawing in SVG',
      Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>'),
      415,
      'not_a_picture',
    ],
    ['half a JPEG', Buffer.from('ffd8ffe000104a46494600010100', 'hex'), 415, 'not_a_picture'],
    ['more than 12 MB', Buffer.alloc(13 * 2 ** 20), 413, 'body_too_large'],
  ])('is refused when it is %s, and nothing is kept', async (_name, bytes, status, code) => {
    const answer = await send('ph-1', bytes);
    expect(answer.status).toBe(status);
    expect(answer.body.error.code).toBe(code);
    expect(answer.body.error.message).toMatch(status === 413 ? /12 MB/ : /JPEG, PNG, WebP/);
    expect(existsSync(folder()) ? readdirSync(folder()) : []).toEqual([]);
    expect((await server.call('GET', '/api/pieces/p-1')).body.photos).toBeUndefined();
  });

  it('is of the moment it was taken, though it waited on a phone, and never of a moment to come', async () => {
    const picture = await cameraPicture();
    const taken = '2026-11-30T20:00:00.000Z';
    const [early] = (await send('ph-1', picture, '', { 'x-bricolage-made': taken })).body.photos;
    expect(early.at).toBe(taken);
    const made = { 'x-bricolage-made': '2027-05-01T00:00:00Z' };
    const late = (await send('ph-2', picture, '', made)).body.photos.at(-1);
    expect(late.at).toMatch(/^2026-12-01T00:00/);
  });

  it('needs a piece and a zone that are there, and a hash that is one', async () => {
    const picture = await cameraPicture();
    expect((await send('ph-1', picture, '?zone=lid')).body.error.code).toBe('zone_not_found');
    const stranger = await fetch(`${server.base}/api/pieces/nobody/photos/ph-1`, {
      method: 'PUT',
      body: new Uint8Array(picture),
    });
    expect(stranger.status).toBe(404);
    for (const hash of ['../../etc/passwd', 'abc', '0'.repeat(64)])
      expect((await fetch(`${server.base}/api/photos/${encodeURIComponent(hash)}`)).status).toBe(404);
  });
});

describe('a picture that is not what it seems', () => {
  /** A chunk of a PNG: length, name, data, checksum. */
  const chunk = (name: string, data: Buffer): Buffer => {
    const body = Buffer.concat([Buffer.from(name, 'latin1'), data]);
    const length = Buffer.alloc(4);
    length.writeUInt32BE(data.length);
    const sum = Buffer.alloc(4);
    sum.writeUInt32BE(crc32(body) >>> 0);
    return Buffer.concat([length, body, sum]);
  };
  const pngWith = async (extra: Buffer[]): Promise<Buffer> => {
    const plain = await sharp({ create: { width: 8, height: 8, channels: 3, background: '#777777' } })
      .png()
      .toBuffer();
    return Buffer.concat([plain.subarray(0, 33), ...extra, plain.subarray(33)]);
  };

  it('carrying forty packed texts is refused at once', async () => {
    const text = Buffer.concat([Buffer.from('Comment\0\0', 'latin1'), deflateSync(Buffer.alloc(40 * 2 ** 20))]);
    const bomb = await pngWith(Array.from({ length: 40 }, () => chunk('zTXt', text)));
    const start = Date.now();
    const { status, body } = await send('ph-b', bomb);
    expect({ status, code: body.error.code }).toEqual({ status: 422, code: 'picture_overladen' });
    expect(Date.now() - start).toBeLessThan(2000);
    expect(body.error.message).toContain('Save it anew');
  });

  it('packing more than its size can hold is refused', async () => {
    const plain = await pngWith([]);
    const packed = chunk('IDAT', deflateSync(Buffer.alloc(100 * 2 ** 20)));
    const { status, body } = await send('ph-b', Buffer.concat([plain.subarray(0, 33), packed, plain.subarray(-12)]));
    expect({ status, code: body.error.code }).toEqual({ status: 422, code: 'picture_overladen' });
  });

  it('with a comment or two is taken', async () => {
    const note = chunk('tEXt', Buffer.from('Comment\0a hall bench', 'latin1'));
    expect((await send('ph-c', await pngWith([note, note]))).status).toBe(200);
  });

  it.each([
    ['a moving PNG', () => pngWith([chunk('acTL', Buffer.from([0, 0, 0, 2, 0, 0, 0, 0]))])],
    [
      'a GIF',
      () =>
        sharp({ create: { width: 8, height: 8, channels: 3, background: '#123456' } })
          .gif()
          .toBuffer(),
    ],
    [
      'a TIFF',
      () =>
        sharp({ create: { width: 8, height: 8, channels: 3, background: '#123456' } })
          .tiff()
          .toBuffer(),
    ],
    ['a drawing', () => Promise.resolve(Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>'))],
    ['a PNG cut short', async () => (await pngWith([])).subarray(0, 50)],
  ])('%s is refused', async (_name, make) => {
    const { status, body } = await send('ph-x', await make());
    expect({ status, code: body.error.code }).toEqual({ status: 415, code: 'not_a_picture' });
  });

  it('a strip of twelve thousand by six is refused, and says what to do', async () => {
    const strip = await sharp({ create: { width: 12_000, height: 6, channels: 3, background: '#ffffff' } })
      .png()
      .toBuffer();
    const { status, body } = await send('ph-x', strip);
    expect([status, body.error.code, body.error.message]).toEqual([
      422,
      'picture_too_narrow',
      expect.stringMatching(/20 times.*Crop it/),
    ]);
  });

  it('sent eighty times at once is kept once and answered each time', async () => {
    const picture = await cameraPicture();
    const answers = await Promise.all(Array.from({ length: 80 }, (_, n) => send(`many-${n}`, picture)));
    expect(answers.filter(({ status }) => status !== 200)).toEqual([]);
    const files = readdirSync(folder()).flatMap((name) => readdirSync(path.join(folder(), name)));
    expect(files).toHaveLength(1);
  }, 60_000);

  it('that nobody knows of is laid aside with its origin, not deleted, and comes back; half of one goes; one that a piece has stays', async () => {
    const picture = await cameraPicture();
    const { body } = await send('ph-1', picture);
    const kept = body.photos[0].sha256 as string;
    mkdirSync(path.join(folder(), 'ab'), { recursive: true });
    writeFileSync(path.join(folder(), 'ab', `${'ab'.repeat(32)}.jpg`), 'nobody');
    const half = path.join(folder(), kept.slice(0, 2), `${kept}.jpg.draft`);
    writeFileSync(half, 'half');
    const files = makePhotoFiles(folder(), makePictureDecoder(buildDecoder));
    const from = { shop: 's', file: '/a/shop.sqlite', at: '2026-12-01T09:00:00.000Z' };
    const aside = path.join(folder(), '../aside/2026-12-01');
    expect(files.setAside(new Set([kept]), Infinity, from)).toBe(1);
    expect([existsSync(files.pathOf(kept)), existsSync(files.pathOf('ab'.repeat(32))), existsSync(half)]).toEqual([
      true,
      false,
      false,
    ]);
    expect(readFileSync(path.join(aside, `${'ab'.repeat(32)}.jpg`), 'utf8')).toBe('nobody');
    expect(JSON.parse(readFileSync(path.join(aside, 'from.json'), 'utf8'))).toEqual(from);
    files.emptyAside('2026-12-31T09:00:00.000Z');
    expect(files.bringBack(new Set(['ab'.repeat(32)]))).toBe(1);
    expect(readFileSync(files.pathOf('ab'.repeat(32)), 'utf8')).toBe('nobody');
    files.emptyAside('2027-01-01T09:00:00.000Z');
    expect(existsSync(aside)).toBe(false);
  });
});

describe('the program that decodes', () => {
  it('is ended where it takes too long, and the next picture is drawn all the same', async () => {
    const slow = makePictureDecoder(buildDecoder, 1);
    const picture = await cameraPicture();
    expect(await slow.draw(picture)).toMatchObject({ ok: false, problem: { code: 'picture_overladen' } });
    slow.close();
    const decoder = makePictureDecoder(buildDecoder);
    expect(await decoder.draw(Buffer.from('nonsense'))).toMatchObject({ problem: { code: 'not_a_picture' } });
    expect(await decoder.draw(picture)).toMatchObject({ ok: true, value: { width: 20, height: 40 } });
    // Two beside each other are bounded both ways, and given up when whoever asked has gone.
    const file = path.join(path.dirname(server.file), 'wide.png');
    await sharp({ create: { width: 2000, height: 110, channels: 3, background: '#ffffff' } })
      .png()
      .toFile(file);
    const beside = await decoder.drawBeside(file, file);
    const { width, height } = await sharp(beside!).metadata();
    expect([width, height]).toEqual([3600 * 2 + 24, 900]);
    const left = new AbortController();
    const drawing = decoder.drawBeside(file, file, left.signal);
    left.abort();
    expect(await drawing).toBeNull();
    expect((await decoder.draw(picture)).ok).toBe(true);
    decoder.close();
  }, 30_000);
});

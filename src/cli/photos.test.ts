import { mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import sharp from 'sharp';
import { isPhotoCommand, runPhotoCommand } from './photos';

const folder = mkdtempSync(path.join(tmpdir(), 'bricolage-cli-'));
const at = (name: string): string => path.join(folder, name);
const grey = (width: number, height: number) =>
  sharp({ create: { width, height, channels: 3, background: '#8a8a8a' } });

beforeAll(async () => {
  const whole = await grey(300, 200).jpeg().toBuffer();
  writeFileSync(at('plain.jpg'), whole);
  writeFileSync(at('truncated.jpg'), whole.subarray(0, whole.length / 2));
  writeFileSync(at('words.png'), 'not a picture');
  await grey(1, 1).png().toFile(at('dot.png'));
  await grey(300, 200).webp().toFile(at('plain.webp'));
  await grey(300, 200).toColourspace('cmyk').jpeg().toFile(at('cmyk.jpg'));
  await grey(8000, 7600).png({ compressionLevel: 1 }).toFile(at('huge.png'));
  await grey(300, 200).withMetadata({ orientation: 6 }).jpeg().toFile(at('turned.jpg'));
});
afterAll(() => rmSync(folder, { recursive: true }));

async function call(...args: string[]) {
  const out: string[] = [];
  const err: string[] = [];
  const code = await runPhotoCommand(args, { out: (text) => out.push(text), err: (text) => err.push(text) });
  return { code, report: out.length > 0 ? JSON.parse(out[0]!) : null, err: err.join('\n') };
}

describe('a picture on the command line', () => {
  it.each([
    ['truncated.jpg', 'not a picture'],
    ['words.png', 'not a picture'],
    ['plain.webp', 'Use one of: PNG, JPEG'],
    ['huge.png', 'at most 60 million'],
    ['missing.jpg', 'cannot be read'],
  ])('%s is refused: %s', async (name, words) => {
    const { code, report, err } = await call('read-lattice', at(name), '--cuts', '6');
    expect([code, report]).toEqual([1, null]);
    expect(err).toContain(words);
  });

  it.each(['dot.png', 'cmyk.jpg', 'turned.jpg'])(
    '%s is read, and not used: there is no lattice on it',
    async (name) => {
      const { code, report } = await call('read-lattice', at(name), '--cuts', '11');
      expect(code).toBe(0);
      expect(report).toMatchObject({ usable: false, confidence: 0 });
      expect(report.cells).toHaveLength(10);
    },
  );

  it('is turned upright before corners are looked up in it', async () => {
    // 300 × 200 turned by a quarter is 200 wide: a corner at 250 lies outside.
    const corners = ['--corners', '20,20,180,20,180,180,20,180'];
    expect((await call('read-lattice', at('turned.jpg'), '--cuts', '6', ...corners)).report.corners[1]).toEqual([
      180, 20,
    ]);
    const outside = ['--corners', '120,20,280,20,280,180,120,180'];
    const { report } = await call('read-lattice', at('turned.jpg'), '--cuts', '6', ...outside);
    expect(report.why).toContain('out of the picture');
  });

  it.each([
    ['read-lattice'],
    ['read-lattice', 'x.jpg'],
    ['read-lattice', 'x.jpg', '--cuts', '7'],
    ['read-lattice', 'x.jpg', '--cuts', '6', '--corners', '1,2,3'],
    ['read-lattice', 'x.jpg', '--cuts', '6', '--coat', 'red'],
    ['read-strips', 'x.jpg', '--white', '0,0,10,10'],
    ['read-strips', 'x.jpg', '--white', '0,0,10,10', '--reference', '0,0,10,10', '--strip', 'A'],
  ])('%s %s %s %s is a usage error', async (...args) => {
    const { code, err } = await call(...args.filter((arg) => arg !== undefined));
    expect(code).toBe(2);
    expect(err).toContain('usage:');
  });

  it('reads strips, each with its reason', async () => {
    const boxes = [
      '--white',
      '0,0,100,60',
      '--reference',
      '0,100,60,60',
      '--strip',
      'A:100,100,60,60',
      '--strip',
      'B:280,0,60,60',
    ];
    const { code, report } = await call('read-strips', at('plain.jpg'), ...boxes);
    expect(code).toBe(0);
    expect(report.strips).toEqual([
      expect.objectContaining({ code: 'A', de_mean: 0, usable: true }),
      expect.objectContaining({ code: 'B', usable: false, why: expect.stringContaining('out of the picture') }),
    ]);
  });

  it('leaves nothing behind', () => {
    expect(isPhotoCommand('read-lattice')).toBe(true);
    expect(readdirSync(folder).sort()).toEqual(
      ['cmyk.jpg', 'dot.png', 'huge.png', 'plain.jpg', 'plain.webp', 'truncated.jpg', 'turned.jpg', 'words.png'].sort(),
    );
  });
});

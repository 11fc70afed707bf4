import { execFileSync } from 'node:child_process';
import { buildSync } from 'esbuild';
import path from 'node:path';
import { share } from './share';

/*
 * Photographs of known truth, read. They run in a plain Node process: the sandbox of the test runner makes the arithmetic
 * on millions of pixels fifty times slower. The whole range is measured by `npm run bench`.
 */
const bundle = path.join(process.cwd(), '.cache/measure-photos.test.cjs');

function measure<T>(kind: string, seeds: readonly number[]): T[] {
  const out = execFileSync(process.execPath, [bundle, kind, ...seeds.map(String)], { maxBuffer: 1 << 24 });
  return JSON.parse(out.toString()) as T[];
}

beforeAll(() => {
  buildSync({
    entryPoints: ['scripts/measure-photos.ts'],
    bundle: true,
    platform: 'node',
    target: 'node20',
    outfile: bundle,
    logLevel: 'error',
  });
});

interface Lattice {
  seed: number;
  truthPct: number;
  readPct: number;
  truthClass: number;
  readClass: number;
  confidence: number;
  faults: string[];
  cornersOffPx: number;
  cellMiss: number;
}

describe('a lattice read from a photograph of known truth', () => {
  // One of each class, both spacings, pale and dark coats, wood and board.
  const seeds = [0, 7, 20, 9, 28, 17];

  it('has its class, its area, its corners and its cells', () => {
    const readings = measure<Lattice>('lattice', seeds);
    expect(new Set(readings.map(({ truthClass }) => truthClass)).size).toBe(6);
    for (const reading of readings) {
      expect(reading).toMatchObject({ faults: [], readClass: reading.truthClass });
      expect(Math.abs(reading.readPct - reading.truthPct)).toBeLessThan(2.5);
      expect(reading.cornersOffPx).toBeLessThan(8);
      expect(reading.cellMiss).toBeLessThan(0.05);
      expect(reading.confidence).toBeGreaterThan(0);
    }
  }, 240_000);
});

describe('a lattice of which most is gone', () => {
  // Dark coats over pale grounds: the outermost cuts are steps and no lines, and grain outshines what is left of them.
  // The last two lay a cell aside, over whole coat, and were read as sound.
  it('is found by the outline of what lies bare, with coat on all sides', () => {
    for (const { seed, faults, truthClass, readClass, cornersOffPx } of measure<Lattice>(
      'lattice',
      [131, 245, 611, 2249].slice(0, share(16)),
    ))
      expect({ seed, faults, readClass, near: cornersOffPx < 12 }).toEqual({
        seed,
        faults: [],
        readClass: truthClass,
        near: true,
      });
  }, 240_000);
});

describe('a photograph made unreadable', () => {
  it('is refused, for each way of spoiling it', () => {
    const readings = measure<{ spoiling: string; faults: string[] }>('unreadable', [1000, 1001, 1002, 1003]);
    expect(new Set(readings.map(({ spoiling }) => spoiling)).size).toBe(4);
    expect(readings.filter(({ faults }) => faults.length === 0)).toEqual([]);
  }, 240_000);
});

describe('strips measured for bleed', () => {
  it('are within half a ΔE00 of the truth', () => {
    const readings = measure<{ faults: string[]; meanMiss: number; worstMiss: number }>(
      'strips',
      [1, 2, 3, 4, 5, 6, 7, 8].slice(0, share(8)),
    );
    expect(readings.length).toBeGreaterThanOrEqual(share(24) - 1);
    for (const { faults, meanMiss, worstMiss } of readings) {
      expect(faults).toEqual([]);
      expect(meanMiss).toBeLessThan(0.75);
      expect(worstMiss).toBeLessThan(1.2);
    }
    const mean = readings.reduce((sum, { meanMiss }) => sum + meanMiss, 0) / readings.length;
    expect(mean).toBeLessThan(0.3);
  }, 240_000);
});

const mean = (values: readonly number[]): number => values.reduce((sum, own) => sum + own, 0) / values.length;
const upTo = (count: number): number[] => Array.from({ length: share(count) }, (_, i) => i + 1);

describe('a colour read beside white paper', () => {
  interface Read {
    miss: number;
    faults: string[];
  }
  it('is within one ΔE00 on the mean in the light that is asked for; a grey card undoes the curve of a camera', () => {
    const readings = measure<Record<'plain' | 'curved' | 'withGrey', Read>>('colour', upTo(25));
    for (const { plain, withGrey } of readings) expect([plain.faults, withGrey.faults]).toEqual([[], []]);
    expect(mean(readings.map(({ plain }) => plain.miss))).toBeLessThan(1);
    expect(Math.max(...readings.map(({ plain }) => plain.miss))).toBeLessThan(2);
    const curved = mean(readings.map((own) => own.curved.miss));
    const undone = mean(readings.map((own) => own.withGrey.miss));
    expect(undone).toBeLessThan(1.2);
    expect(undone).toBeLessThan(curved / 2);
  }, 240_000);
});

describe('a draw-down on a card', () => {
  it('gives the contrast ratio to a hundredth, and is refused with its halves swapped', () => {
    const readings = measure<{ ratio: number; miss: number; faults: string[]; swapped: string[] }>(
      'drawdown',
      upTo(25),
    );
    for (const { faults, miss, ratio, swapped } of readings) {
      expect({ faults, near: miss < 0.01 }).toEqual({ faults: [], near: true });
      if (ratio < 0.95) expect(swapped).toEqual(['halves_swapped']);
    }
    expect(readings.some(({ ratio }) => ratio < 0.9)).toBe(true);
  }, 240_000);
});

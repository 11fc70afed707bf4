import { readLattice } from './lattice';
import type { Pixels } from './pixels';
import { reportLattice } from '@/words';
import { rateConfidence } from './confidence';

describe('a picture that is not good enough', () => {
  const plain = (width: number, height: number, value: number): Pixels => ({
    width,
    height,
    data: new Uint8ClampedArray(width * height * 4).fill(value),
  });

  it.each([
    [1, 1],
    [40, 3000],
  ])('of %p × %p pixels is too small', (width, height) => {
    expect(readLattice(plain(width, height, 128), { cuts: 6 }).faults).toEqual(['too_small']);
  });

  it('without anything on it has no lattice, and says what to do', () => {
    const report = reportLattice(readLattice(plain(160, 120, 128), { cuts: 6 }));
    expect(report).toMatchObject({ usable: false, confidence: 0 });
    expect(report.why).toContain('Mark the four outer corners');
  });

  it('with corners that make no square is not read', () => {
    const at = (x: number, y: number) => ({ x, y });
    const read = (...corners: ReturnType<typeof at>[]) =>
      readLattice(plain(160, 120, 128), { cuts: 6, corners: corners as never }).faults;
    expect(read(at(10, 10), at(90, 90), at(90, 10), at(10, 90))).toEqual(['corners_wrong']);
    expect(read(at(10, 10), at(10, 10), at(90, 90), at(10, 90))).toEqual(['corners_wrong']);
  });
});

describe('how sure a class is', () => {
  const reading = { cells: [], corners: null, found: 1, faults: [], errorPct: 1 };

  it('is least at the limit between two classes', () => {
    const sure = (removedPct: number) => rateConfidence({ ...reading, removedPct });
    expect(sure(5)).toBeCloseTo(0.5, 1);
    expect(sure(10)).toBeGreaterThan(0.99);
    expect(sure(50)).toBeGreaterThan(0.99);
  });
});

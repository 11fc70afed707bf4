import fc from 'fast-check';
import { applyHomography, computeHomography, estimateTilt, isConvex, UNIT_SQUARE, type Quad } from './homography';

const quad = (...numbers: number[]): Quad =>
  [0, 2, 4, 6].map((i) => ({ x: numbers[i]!, y: numbers[i + 1]! })) as unknown as Quad;

describe('the map between two planes', () => {
  it('is the identity of the unit square onto itself', () => {
    expect(computeHomography(UNIT_SQUARE, UNIT_SQUARE)!.map((value) => Math.round(value * 1e9) / 1e9 + 0)).toEqual([
      1, 0, 0, 0, 1, 0, 0, 0, 1,
    ]);
  });

  it('scales and shifts (by hand: x → 10 + 4x, y → 20 + 2y)', () => {
    const h = computeHomography(UNIT_SQUARE, quad(10, 20, 14, 20, 14, 22, 10, 22))!;
    const { x, y } = applyHomography(h, 0.5, 0.25);
    expect([x, y].map((value) => Number(value.toFixed(9)))).toEqual([12, 20.5]);
  });

  it('takes the middle of a square to where the diagonals of a trapezium cross (by hand: 4/3 up of 2)', () => {
    // Trapezium 4 wide below, 2 wide above, 2 high: the diagonals cut each other 4 to 2.
    const h = computeHomography(UNIT_SQUARE, quad(1, 0, 3, 0, 4, 2, 0, 2))!;
    const { x, y } = applyHomography(h, 0.5, 0.5);
    expect(x).toBeCloseTo(2, 9);
    expect(y).toBeCloseTo(2 / 3, 9);
  });

  it('comes back to where it was, there and back, for 200 squares seen from aside', () => {
    const jitter = fc.double({ min: -0.2, max: 0.2, noNaN: true });
    fc.assert(
      fc.property(fc.array(jitter, { minLength: 8, maxLength: 8 }), (j) => {
        const corners = quad(j[0]!, j[1]!, 1 + j[2]!, j[3]!, 1 + j[4]!, 1 + j[5]!, j[6]!, 1 + j[7]!);
        const there = computeHomography(UNIT_SQUARE, corners)!;
        const back = computeHomography(corners, UNIT_SQUARE)!;
        const place = applyHomography(there, 0.3, 0.8);
        const again = applyHomography(back, place.x, place.y);
        expect(again.x).toBeCloseTo(0.3, 6);
        expect(again.y).toBeCloseTo(0.8, 6);
      }),
      { seed: 11, numRuns: 200 },
    );
  });

  it('does not exist when three corners lie on a line', () => {
    expect(computeHomography(UNIT_SQUARE, quad(0, 0, 1, 1, 2, 2, 0, 1))).toBeNull();
  });
});

describe('the camera above a square', () => {
  it('leans not at all when the square is a square', () => {
    expect(estimateTilt(quad(100, 100, 300, 100, 300, 300, 100, 300), 400, 400)).toBeLessThan(1e-3);
  });

  it('is told from a folded or backward one by its corners', () => {
    expect(isConvex(UNIT_SQUARE)).toBe(true);
    expect(isConvex(quad(0, 0, 1, 1, 1, 0, 0, 1))).toBe(false);
    expect(isConvex(quad(0, 0, 0, 1, 1, 1, 1, 0))).toBe(false);
  });
});

import { applyHomography, computeHomography, mapUnitSquare, UNIT_SQUARE, type Quad } from './homography';
import { findPatches } from './patches';
import type { Plane, Point } from './pixels';
import { makeRandom } from '../shared';

const [WIDE, TALL] = [240, 200];

/** A picture with a pale quadrilateral on a dark ground, some of its corner cut off by a dark square. */
function drawPatch(quad: Quad, cut = 0, pale = true): Plane {
  const values = new Float32Array(WIDE * TALL);
  const inside = (x: number, y: number): boolean =>
    quad.every((a, i) => {
      const b = quad[(i + 1) % 4]!;
      return (b.x - a.x) * (y - a.y) - (b.y - a.y) * (x - a.x) >= 0;
    });
  for (let y = 0; y < TALL; y += 1)
    for (let x = 0; x < WIDE; x += 1) {
      const gone = Math.hypot(x - quad[0].x, y - quad[0].y) >= cut;
      values[y * WIDE + x] = (inside(x, y) && gone) === pale ? 1 : 0.2;
    }
  return { width: WIDE, height: TALL, values };
}
const farthest = (found: Quad, truth: Quad): number =>
  Math.max(
    ...found.map(({ x, y }) => Math.min(...truth.map((corner: Point) => Math.hypot(corner.x - x, corner.y - y)))),
  );

const SQUARE: Quad = [
  { x: 60, y: 40 },
  { x: 180, y: 55 },
  { x: 170, y: 160 },
  { x: 50, y: 150 },
];

describe('patches', () => {
  it.each([
    ['pale', SQUARE, 0, true],
    ['dark', SQUARE, 0, false],
    ['with a corner that still stands', SQUARE, 22, true],
  ] as const)('%s are found to a few pixels', (_what, quad, cut, pale) => {
    const found = findPatches(drawPatch(quad, cut, pale));
    expect(Math.min(...found.map((one) => farthest(one, quad)))).toBeLessThan(6);
  });

  it('that run into the frame, or are mere specks, are left out', () => {
    const framed: Quad = [
      { x: -5, y: 40 },
      { x: 120, y: 40 },
      { x: 120, y: 150 },
      { x: -5, y: 150 },
    ];
    const speck: Quad = [
      { x: 100, y: 100 },
      { x: 112, y: 100 },
      { x: 112, y: 112 },
      { x: 100, y: 112 },
    ];
    expect(findPatches(drawPatch(framed))).toEqual([]);
    expect(findPatches(drawPatch(speck))).toEqual([]);
  });

  it('are none in a picture of one colour', () => {
    expect(findPatches({ width: WIDE, height: TALL, values: new Float32Array(WIDE * TALL).fill(0.5) })).toEqual([]);
  });
});

describe('the unit square taken to four points', () => {
  it('is the same map in closed form as by linear equations', () => {
    const random = makeRandom(3);
    let tried = 0;
    for (let i = 0; i < 200; i += 1) {
      const quad = SQUARE.map(({ x, y }) => ({ x: x + 40 * random(), y: y + 40 * random() })) as unknown as Quad;
      const [closed, solved] = [mapUnitSquare(quad), computeHomography(UNIT_SQUARE, quad)];
      if (!closed || !solved) continue;
      closed.forEach((value, k) => expect(value).toBeCloseTo(solved[k]!, 6));
      UNIT_SQUARE.forEach(({ x, y }, k) => {
        const point = applyHomography(closed, x, y);
        expect(Math.hypot(point.x - quad[k]!.x, point.y - quad[k]!.y)).toBeLessThan(1e-6);
      });
      tried += 1;
    }
    expect(tried).toBeGreaterThan(150);
  });

  it('is none where three of the points lie on a line', () => {
    const flat: Quad = [
      { x: 0, y: 0 },
      { x: 1, y: 1 },
      { x: 2, y: 2 },
      { x: 3, y: 3 },
    ];
    expect(mapUnitSquare(flat)).toBeNull();
  });
});

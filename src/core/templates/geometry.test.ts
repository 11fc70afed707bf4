import { PIECE_KINDS } from '../knowledge';
import { drawBox, drawFront, type Point } from './geometry';
import { buildTemplate, KIND_TEMPLATES } from './templates';

const extent = (points: readonly Point[], axis: 0 | 1): number =>
  Math.max(...points.map((point) => point[axis])) - Math.min(...points.map((point) => point[axis]));

describe('the drawing of a box', () => {
  const box = { x: 0, y: 0, z: 0, w: 400, d: 300, h: 200 };

  it('keeps the front in true proportion', () => {
    const [front] = drawBox(box, { front: 'a' });
    expect(extent(front!.points, 0)).toBe(400);
    expect(extent(front!.points, 1)).toBe(200);
  });

  it('draws only the faces that are given a zone, nearest last', () => {
    expect(drawBox(box, { top: 't', side: 's', front: 'f' }).map(({ zone }) => zone)).toEqual(['s', 't', 'f']);
    expect(drawBox(box, { top: 't' })).toHaveLength(1);
  });

  it('lets faces meet at their shared edge', () => {
    const [side, top, front] = drawBox(box, { top: 't', side: 's', front: 'f' });
    const shared = (a: readonly Point[], b: readonly Point[]): number =>
      a.filter(([x, y]) => b.some((other) => other[0] === x && other[1] === y)).length;
    expect(shared(top!.points, front!.points)).toBe(2);
    expect(shared(side!.points, front!.points)).toBe(2);
    expect(shared(side!.points, top!.points)).toBe(2);
  });

  it('marks a detail as no face of its own', () => {
    expect(drawFront('a', 0, 0, 0, 10, 10, true).detail).toBe(true);
    expect(drawFront('a', 0, 0, 0, 10, 10).detail).toBeUndefined();
  });
});

describe('any template', () => {
  it.each(PIECE_KINDS)('%s draws within its own size, with whole numbers', (kind) => {
    const { size } = KIND_TEMPLATES[kind];
    const points = buildTemplate(kind).shapes.flatMap(({ points: own }) => own);
    for (const [x, y] of points) expect(Number.isInteger(x) && Number.isInteger(y)).toBe(true);
    expect(extent(points, 0)).toBeLessThanOrEqual(size.width + size.depth + 60);
    expect(extent(points, 1)).toBeLessThanOrEqual(size.height + size.depth + 60);
  });

  it.each(PIECE_KINDS)('%s grows when it is measured larger', (kind) => {
    const { size } = KIND_TEMPLATES[kind];
    const total = (factor: number): number =>
      buildTemplate(kind, {
        width: size.width * factor,
        depth: size.depth * factor,
        height: size.height * factor,
      }).zones.reduce((sum, zone) => sum + zone.area_m2!, 0);
    expect(total(1.5)).toBeGreaterThan(total(1) * 1.2);
    expect(total(0.1)).toBeGreaterThan(0);
  });
});

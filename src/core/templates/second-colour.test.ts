import { buildTemplate } from './templates';
import { drawSecond, measureFaces, measureSecond } from './second-colour';

const HUE = '#2B3A42';

describe('a second colour on a face', () => {
  const door = [{ width: 400, height: 700 }];

  it('takes the share its bands cover, and tape along the edges that lie on the face', () => {
    const inner = measureSecond({ colour: HUE, lies: 'upright', bands: [{ at_mm: 100, width_mm: 80 }] }, door);
    expect(inner.share).toBeCloseTo(0.2, 9);
    expect(inner.tapeM).toBeCloseTo(1.4, 9);
    // A band along the border is taped on its other edge only.
    const border = measureSecond({ colour: HUE, lies: 'level', bands: [{ at_mm: 0, width_mm: 70 }] }, door);
    expect([border.share, border.tapeM]).toEqual([0.1, 0.4]);
  });

  it('takes no more than there is of the face', () => {
    const over = measureSecond({ colour: HUE, lies: 'upright', bands: [{ at_mm: 300, width_mm: 900 }] }, door);
    expect([over.share, over.tapeM]).toEqual([0.25, 0.7]);
    expect(measureSecond({ colour: HUE, lies: 'upright', bands: [{ at_mm: 400, width_mm: 50 }] }, door).share).toBe(0);
    expect(measureSecond({ colour: HUE, lies: 'panel', margin_mm: 200 }, door).share).toBe(0);
  });

  it('takes the field inside a frame, taped all round; the far side is half, and wants none', () => {
    const field = measureSecond({ colour: HUE, lies: 'panel', margin_mm: 50 }, door);
    expect(field.share).toBeCloseTo((300 * 600) / (400 * 700), 9);
    expect(field.tapeM).toBeCloseTo(1.8, 9);
    expect(measureSecond({ colour: HUE, lies: 'far_side' }, door)).toEqual({ share: 0.5, tapeM: 0 });
  });
});

describe('the faces of a zone', () => {
  const { shapes, zones } = buildTemplate('table');
  const zone = (id: string) => zones.find((own) => own.id === id)!;

  it('are those of its drawing in true measure, however they are drawn', () => {
    const [top] = measureFaces(shapes, zone('top'), 1);
    const area = (top!.width * top!.height) / 1e6;
    // The drawing rounds its points to the millimetre; depth is drawn at 0.42.
    expect(Math.abs(area - zone('top').area_m2!)).toBeLessThan(0.03 * area + 0.02);
  });

  it('are one square where it is not drawn', () => {
    expect(measureFaces(shapes, { id: 'nowhere' }, 0.25)).toEqual([{ width: 500, height: 500 }]);
  });

  it('carry the second colour where it is drawn: its corners are inside the face', () => {
    const shape = shapes.find((own) => own.zone === 'top' && !own.detail)!;
    const [band] = drawSecond({ colour: HUE, lies: 'upright', bands: [{ at_mm: 0, width_mm: 100 }] }, shape);
    expect(band![0]).toEqual(shape.points[0]);
    expect(band![3]![0]).toBeCloseTo(shape.points[3]![0], 6);
    expect(band![1]![0]).toBeCloseTo(shape.points[0]![0] + 100, 6);
  });
});

import { applyChange, DOSSIER_FORMAT, type Dossier, type PieceChange } from '../dossier';
import { PIECE_KINDS } from '../knowledge';
import { buildTemplate, countsOf, KIND_TEMPLATES, remeasure, templateOf, usualSize } from './index';

const piece = (kind: Dossier['piece']['kind'], more: Partial<Dossier> = {}): Dossier => ({
  format: DOSSIER_FORMAT,
  piece: { id: 'p', kind, size_mm: { ...KIND_TEMPLATES[kind].size } },
  zones: buildTemplate(kind).zones,
  ...more,
});
const after = (dossier: Dossier, changes: readonly PieceChange[]): Dossier =>
  changes.reduce((own, change) => applyChange(own, change)!, dossier);
const area = ({ zones }: Dossier, id: string): number | undefined => zones?.find((zone) => zone.id === id)?.area_m2;
const faces = ({ piece: own }: Dossier, zone: string): number =>
  new Set(templateOf(own).shapes.flatMap((shape) => (shape.zone === zone ? [shape.part] : []))).size;

describe('how many drawers, doors, shelves and panels', () => {
  it('is as usual for the kind, and stays within what it may have', () => {
    expect(countsOf('dresser')).toEqual({ drawers: 4 });
    expect(countsOf('dresser', undefined, { drawers: 99, doors: 3 })).toEqual({ drawers: 10 });
    expect(countsOf('bookcase', { width: 900, depth: 300, height: 1050 })).toEqual({ shelves: 2 });
    expect(countsOf('table')).toEqual({});
  });

  it('tells a kitchen of twelve doors from one of six, in length, faces and area', () => {
    const six = piece('kitchen_run');
    const twelve = after(six, remeasure(six, { counts: { doors: 12, drawers: 12 } }));
    expect([faces(six, 'doors'), faces(twelve, 'doors')]).toEqual([6, 12]);
    expect(twelve.piece.size_mm!.width).toBe(usualSize('kitchen_run', { doors: 12 }).width);
    expect(area(twelve, 'doors')).toBeCloseTo(2 * area(six, 'doors')!, 6);
    expect(area(twelve, 'end_panels')).toBe(area(six, 'end_panels'));
  });

  it('leaves alone what its owner measured', () => {
    const own = piece('kitchen_run');
    own.zones = own.zones!.map((zone) => (zone.id === 'doors' ? { ...zone, area_m2: 7.7 } : zone));
    own.piece = { ...own.piece, size_mm: { width: 3200, depth: 600, height: 860 } };
    const more = after(own, remeasure(own, { counts: { doors: 8 } }));
    expect(area(more, 'doors')).toBe(7.7);
    expect(more.piece.size_mm!.width).toBe(3200);
  });

  it('brings the zones that come with it, and takes them away unless they were read', () => {
    const none = piece('sideboard');
    const three = after(none, remeasure(none, { counts: { drawers: 3 } }));
    expect([faces(none, 'drawer_fronts'), faces(three, 'drawer_fronts')]).toEqual([0, 3]);
    expect(area(three, 'drawer_fronts')).toBeGreaterThan(0);
    expect(area(three, 'doors')).toBeLessThan(area(none, 'doors')!);
    const back = after(three, remeasure(three, { counts: { drawers: 0 } }));
    expect(area(back, 'drawer_fronts')).toBeUndefined();
    expect(area(back, 'doors')).toBe(area(none, 'doors'));
    const read: Dossier = {
      ...three,
      zones: three.zones!.map((zone) =>
        zone.id === 'drawer_fronts'
          ? { ...zone, observations: [{ id: 'o', check: 'edge_line', result: 'dark_line' }] }
          : zone,
      ),
    };
    expect(area(after(read, remeasure(read, { counts: { drawers: 0 } })), 'drawer_fronts')).toBeGreaterThan(0);
  });

  it('gives new faces to the zone that was split', () => {
    const own = piece('kitchen_run');
    own.zones = own.zones!.map((zone) => (zone.id === 'doors' ? { ...zone, parts: ['doors.1', 'doors.2'] } : zone));
    const more = after(own, remeasure(own, { counts: { doors: 7 } }));
    expect(more.zones!.find(({ id }) => id === 'doors')!.parts).toEqual(['doors.1', 'doors.2', 'doors.7']);
  });

  it('is nothing new where all is as before: what a size or a count is set to stands, and no zone changes', () => {
    for (const kind of PIECE_KINDS) {
      const own = piece(kind);
      expect(remeasure(own, {})).toHaveLength(1);
    }
  });

  it('makes a flush door of one without panels, and one wide panel of an odd one', () => {
    const door = piece('interior_door');
    const flush = after(door, remeasure(door, { counts: { panels: 0 } }));
    expect(flush.zones!.map(({ id }) => id).sort()).toEqual(['edges', 'frame']);
    expect(area(flush, 'frame')).toBeCloseTo(2 * 0.76 * 2, 2);
    expect([1, 3, 6].map((panels) => faces(after(door, remeasure(door, { counts: { panels } })), 'panels'))).toEqual([
      1, 3, 6,
    ]);
  });
});

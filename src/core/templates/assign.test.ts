import { assignShapes, bringBack, listParts, mergeZones, splitZone } from './assign';
import { buildTemplate, joinInto, KIND_TEMPLATES, splitOff } from './index';
import { PIECE_KINDS } from '../knowledge';

const { shapes, zones } = buildTemplate('dresser');
const fronts = listParts(shapes, zones, 'drawer_fronts');
const area = (id: string): number => zones.find((zone) => zone.id === id)!.area_m2!;

describe('zones and the faces of the drawing', () => {
  it('know one drawer front from another, handles and all', () => {
    expect(fronts).toEqual(['drawer_fronts.1', 'drawer_fronts.2', 'drawer_fronts.3', 'drawer_fronts.4']);
    for (const part of fronts) expect(shapes.filter((shape) => shape.part === part)).toHaveLength(2);
  });

  it.each(PIECE_KINDS)('%s: every face has a zone, and lasting names', (kind) => {
    const template = buildTemplate(kind);
    for (const shape of assignShapes(template.shapes, template.zones)) expect(shape.zone).not.toBe('');
    const larger = buildTemplate(kind, { ...KIND_TEMPLATES[kind].size, width: KIND_TEMPLATES[kind].size.width * 1.3 });
    expect(larger.shapes.map(({ part }) => part)).toEqual(template.shapes.map(({ part }) => part));
  });

  it('splits a quarter of the fronts off with a quarter of the area, and joins them again', () => {
    const cut = splitZone(shapes, zones, 'drawer_fronts', [fronts[0]!], { id: 'bottom', name: 'Bottom drawer' })!;
    expect(cut.split).toMatchObject({ id: 'bottom', role: 'drawer_front', parts: [fronts[0]] });
    expect(cut.split.area_m2).toBeCloseTo(area('drawer_fronts') / 4, 1);
    expect(cut.split.area_m2! + cut.kept.area_m2!).toBeCloseTo(area('drawer_fronts'), 1);
    const after = [...zones.filter(({ id }) => id !== 'drawer_fronts'), cut.kept, cut.split];
    expect(assignShapes(shapes, after).filter(({ zone }) => zone === 'bottom')).toHaveLength(2);
    const joined = mergeZones(shapes, after, 'drawer_fronts', 'bottom')!;
    expect([...joined.parts!].sort()).toEqual(fronts);
    expect(joined.area_m2).toBeCloseTo(area('drawer_fronts'), 1);
  });

  it('takes what was read of the whole along when it parts, and keeps lead known when it joins', () => {
    const read = zones.map((zone) =>
      zone.id === 'drawer_fronts'
        ? { ...zone, observations: [{ id: 'o', check: 'edge_line', result: 'dark_line' }] }
        : zone.id === 'sides'
          ? { ...zone, observations: [{ id: 'l', check: 'lead_test', result: 'positive' }] }
          : zone,
    );
    let count = 0;
    const makeId = (): string => `n${(count += 1)}`;
    const parted = splitOff(shapes, read, 'drawer_fronts', [fronts[0]!], { id: 'own', name: 'Own' }, makeId);
    expect(parted.map(({ type }) => type)).toEqual(['zone_set', 'zone_set', 'observation_recorded']);
    expect(parted[2]).toMatchObject({ zoneId: 'own', observation: { id: 'n1', check: 'edge_line' } });
    const joined = joinInto(shapes, read, 'top', 'sides', makeId);
    expect(joined.map(({ type }) => type)).toEqual(['observation_recorded', 'zone_removed', 'zone_set']);
    expect(joined[0]).toMatchObject({ zoneId: 'top', observation: { check: 'lead_test', result: 'positive' } });
    expect(splitOff(shapes, read, 'drawer_fronts', fronts, { id: 'own' }, makeId)).toEqual([]);
  });

  it('refuses to split off nothing or everything, or to join a zone to itself', () => {
    for (const taken of [[], fronts, ['sides.1']])
      expect(splitZone(shapes, zones, 'drawer_fronts', taken, { id: 'x' })).toBeNull();
    expect(mergeZones(shapes, zones, 'top', 'top')).toBeNull();
  });

  it('brings a joined zone back with its faces and area, from the zone that took them', () => {
    const sides = zones.find(({ id }) => id === 'sides')!;
    const joined = mergeZones(shapes, zones, 'top', 'sides')!;
    const now = zones.filter(({ id }) => id !== 'sides').map((zone) => (zone.id === 'top' ? joined : zone));
    expect(assignShapes(shapes, now).some(({ zone }) => zone === 'sides')).toBe(false);
    const [top, back] = bringBack(shapes, now, sides);
    expect(back).toBe(sides);
    expect(top).toMatchObject({ id: 'top', area_m2: area('top'), parts: listParts(shapes, zones, 'top') });
    const again = [...now.map((zone) => (zone.id === 'top' ? top! : zone)), back!];
    expect(assignShapes(shapes, again)).toEqual(assignShapes(shapes, zones));
  });

  it('brings back alone a zone whose faces nobody has', () => {
    const sides = zones.find(({ id }) => id === 'sides')!;
    const without = zones.filter(({ id }) => id !== 'sides');
    expect(bringBack(shapes, without, sides)).toEqual([sides]);
    expect(bringBack(shapes, without, { ...sides, parts: [] })).toEqual([{ ...sides, parts: [] }]);
  });

  it('leaves faces of a removed zone without one', () => {
    const without = zones.filter(({ id }) => id !== 'sides');
    expect(assignShapes(shapes, without).filter(({ zone }) => zone === '')).toHaveLength(1);
  });
});

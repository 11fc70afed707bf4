import { listHeld } from './list-held';

describe('what a refused change holds', () => {
  it('is every field that was entered, in its order, without names of the inside', () => {
    const entry = {
      zone: 'top',
      op: 'prime',
      coats: 2,
      note: 'second_tin of two',
      class: 'shellac_primer',
      parts: ['A', 'B'],
      at: null,
    };
    expect(listHeld({ type: 'work_logged', work: 'w-1', entries: [entry] })).toEqual([
      { name: 'zone', value: 'top' },
      { name: 'op', value: 'prime' },
      { name: 'coats', value: '2' },
      { name: 'note', value: 'second_tin of two' },
      { name: 'class', value: 'shellac primer' },
      { name: 'parts', value: 'A' },
      { name: 'parts', value: 'B' },
    ]);
    expect(listHeld({ type: 'zone_set', zoneId: 'z', facts: { area_m2: 1.2, hidden: false } })).toEqual([
      { name: 'area m2', value: '1.2' },
      { name: 'hidden', value: 'false' },
    ]);
    const at = '2026-12-01T10:00:00.000Z';
    expect(listHeld({ type: 'x', observation: { at } })).toEqual([{ name: 'at', value: at, at }]);
  });
});

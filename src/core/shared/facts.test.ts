import { invertFacts, isSame, listFacts, setFacts, type Fact, type Keys } from './facts';

const KEYS: Keys = ([list, ...deeper]) =>
  list === 'faults' && deeper.length === 0
    ? (fault) => (fault as { id?: string; code: string }).id ?? (fault as { code: string }).code
    : undefined;
const set = (record: unknown, facts: readonly Fact[]): unknown => {
  const made = setFacts(record, facts, KEYS);
  if (!made.ok) throw new Error(made.fact.path.join('.'));
  return made.value;
};

const BEFORE = {
  name: 'Rack',
  size: { width: 400, height: 900 },
  tags: ['a', 'b'],
  faults: [{ code: 'knot', count: 2 }, { code: 'gouge' }, { code: 'gouge', place: { x: 0.5, y: 0.5 } }],
};

describe('facts', () => {
  it('are the smallest that differ: fields in fields, items by name, lists without names as a whole', () => {
    const after = {
      name: 'Rack',
      size: { width: 410, height: 900 },
      tags: ['a'],
      faults: [{ code: 'knot', count: 3 }, { code: 'gouge' }],
      kind: 'shelf',
    };
    const facts = listFacts(BEFORE, after, KEYS);
    expect(facts).toEqual([
      { path: ['size', 'width'], value: 410 },
      { path: ['tags'], value: ['a'] },
      { path: ['faults', 'gouge~2'] },
      { path: ['faults', 'knot', 'count'], value: 3 },
      { path: ['kind'], value: 'shelf' },
    ]);
    expect(set(BEFORE, facts)).toEqual(after);
    expect(set(set(BEFORE, facts), invertFacts(BEFORE, facts, KEYS))).toEqual(BEFORE);
    expect(listFacts(after, structuredClone(after), KEYS)).toEqual([]);
  });

  it('of two hands on one record lose nothing, whichever comes first', () => {
    const one = listFacts(BEFORE, { ...BEFORE, name: 'Shelf', size: { ...BEFORE.size, width: 1 } }, KEYS);
    const other = listFacts(
      BEFORE,
      { ...BEFORE, size: { ...BEFORE.size, height: 2 }, faults: [...BEFORE.faults, { id: 'f1', code: 'stain' }] },
      KEYS,
    );
    const both = set(set(BEFORE, one), other);
    expect(both).toEqual(set(set(BEFORE, other), one));
    expect(both).toMatchObject({ name: 'Shelf', size: { width: 1, height: 2 } });
    expect((both as typeof BEFORE).faults).toHaveLength(4);
  });

  it('leave what they do not touch the same object, and nothing empty behind', () => {
    const after = set(BEFORE, [{ path: ['size', 'width'], value: 1 }]) as typeof BEFORE;
    expect(after.faults).toBe(BEFORE.faults);
    expect(set({ a: { b: { c: 1 } }, d: 2 }, [{ path: ['a', 'b', 'c'] }])).toEqual({ d: 2 });
    expect(set({ a: { b: 1 } }, [{ path: ['a', 'b'] }])).toEqual({});
    expect(set(BEFORE, [{ path: ['faults', 'dent'] }])).toEqual(BEFORE);
  });

  it('of an item that is gone are told, and none of them set', () => {
    const made = setFacts(
      BEFORE,
      [
        { path: ['name'], value: 'Other' },
        { path: ['faults', 'dent', 'count'], value: 2 },
      ],
      KEYS,
    );
    expect(made).toEqual({ ok: false, fact: { path: ['faults', 'dent', 'count'], value: 2 } });
    expect(BEFORE.name).toBe('Rack');
  });

  it('never reach what every object has', () => {
    const made = set({}, [{ path: ['constructor', 'prototype', 'odd'], value: 1 }]);
    expect(made).toEqual({ constructor: { prototype: { odd: 1 } } });
    expect(({} as { odd?: number }).odd).toBeUndefined();
  });

  it('are compared whatever the order of fields, and a field without a value is none', () => {
    expect(isSame({ a: 1, b: [{ c: 2, d: undefined }] }, { b: [{ c: 2 }], a: 1 })).toBe(true);
    expect(isSame({ a: [1, 2] }, { a: [2, 1] })).toBe(false);
    expect(isSame({ a: null }, {})).toBe(false);
  });
});

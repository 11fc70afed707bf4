import { endOf, findOrder, makeSchedule, scheduleInOrder, startOf, type Job, type Problem } from './index';

const HOUR = 60;
const DAY = 1440;
const evenings = (days: number) =>
  Array.from({ length: days }, (_, day) => ({ start: day * DAY + 19 * HOUR, end: day * DAY + 21 * HOUR, hands: 1 }));
const job = (id: string, minutes: number, more: Partial<Job> = {}): Job => ({
  id,
  group: id[0]!,
  minutes,
  after: [],
  ...more,
});
const shop = (jobs: Job[], more: Partial<Problem> = {}): Problem => ({
  now: 0,
  jobs,
  groups: [...new Set(jobs.map(({ group }) => group))].map((id) => ({ id, tailMin: 0, place: 'small' as const })),
  windows: evenings(10),
  places: { large: 5, small: 5 },
  ...more,
});
const starts = (problem: Problem): Record<string, number> =>
  Object.fromEntries([...makeSchedule(problem, { seed: 1 }).placements].map(([id, placed]) => [id, startOf(placed)]));

describe('a schedule', () => {
  it('lets waits pass at night and hands work in windows only', () => {
    const after = [{ id: 'a1', lags: [{ from: 16 * HOUR }] }];
    expect(starts(shop([job('a1', 30), job('a2', 30, { after })]))).toEqual({ a1: 19 * HOUR, a2: DAY + 19 * HOUR });
  });

  it('cleans up once for a product that several pieces want in one sitting', () => {
    const paint = { product: 'tin', cleanUpMin: 10 };
    const { cost, placements } = makeSchedule(shop([job('a', 30, paint), job('b', 30, paint), job('c', 30)]), {
      seed: 1,
    });
    expect(cost.cleanUps).toBe(1);
    expect(Math.max(...[...placements.values()].map(endOf))).toBeLessThanOrEqual(19 * HOUR + 100);
  });

  it('makes use of a recoat window that closes, or waits for the next one', () => {
    const lags = [{ from: 15, until: 60 }, { from: 48 * HOUR }];
    const coats = [job('a1', 30), job('a2', 20, { after: [{ id: 'a1', lags }] })];
    expect(starts(shop(coats)).a2).toBe(19 * HOUR + 45);
    // With no room left in the evening the second coat is two days off.
    const tight = shop(coats, { windows: evenings(10).map((window) => ({ ...window, end: window.start + 40 })) });
    expect(starts(tight).a2).toBe(3 * DAY + 19 * HOUR);
  });

  it('keeps what is led to in the same window, and lets nothing come between', () => {
    const metal = [job('a1', 40, { leadsTo: 'a2' }), job('a2', 50, { after: [{ id: 'a1', lags: [{ from: 15 }] }] })];
    // Half an hour is left of the first evening once the other piece is done: too little for both.
    const pinned = job('b', 90, { pinnedAt: 19 * HOUR });
    const groups = [
      { id: 'b', tailMin: 0, place: 'small' as const, due: 21 * HOUR },
      { id: 'a', tailMin: 0, place: 'small' as const },
      { id: 'c', tailMin: 0, place: 'small' as const },
    ];
    const at = starts(shop([...metal, pinned, job('c', 20)], { groups }));
    expect(at.a1).toBeGreaterThanOrEqual(DAY);
    expect(Math.floor(at.a1! / DAY)).toBe(Math.floor(at.a2! / DAY));
    // Without the lead the first one would have been begun that evening.
    const free = metal.map(({ leadsTo: _, ...own }) => ({ ...own, minutes: 25 }));
    expect(starts(shop([...free, pinned], { groups })).a1).toBeLessThan(DAY);
    // Where no window holds both, each is placed as any other.
    const tight = shop(metal, { windows: evenings(3).map((window) => ({ ...window, end: window.start + 60 })) });
    expect(Math.floor(starts(tight).a2! / DAY)).toBe(1);
  });

  it('lays sanding down and takes it up again, but never a coat', () => {
    const long = makeSchedule(shop([job('a', 200, { splits: true })]), { seed: 1 });
    expect(long.placements.get('a')!.parts.map(({ start, end }) => end - start)).toEqual([120, 80]);
    const coat = makeSchedule(shop([job('a', 200)]), { seed: 1 });
    expect(coat.unplaced).toEqual([{ id: 'a', why: 'too_long' }]);
    expect(coat.ready.size).toBe(0);
  });

  it('keeps coats out of windows whose air forbids them, and says so', () => {
    const windows = evenings(3).map((window, i) => ({
      ...window,
      ...(i < 2 ? { closedTo: ['waterborne' as const] } : {}),
    }));
    const problem = shop([job('a', 30, { air: 'waterborne' }), job('b', 30)], { windows });
    const { placements } = makeSchedule(problem, { seed: 1 });
    expect(placements.get('a')!.bound).toEqual({ by: 'air' });
    expect(startOf(placements.get('a')!)).toBe(2 * DAY + 19 * HOUR);
    expect(startOf(placements.get('b')!)).toBe(19 * HOUR);
  });

  it('puts due dates before everything else', () => {
    const [a, b] = [job('a', 60), job('b', 60)];
    const windows = evenings(10).map((window) => ({ ...window, end: window.start + 60 }));
    const due = (id: string): Problem => ({
      ...shop([a, b], { windows }),
      groups: ['a', 'b'].map((own) => ({ id: own, tailMin: 0, place: 'small', ...(own === id ? { due: DAY } : {}) })),
    });
    expect(starts(due('a')).a).toBe(19 * HOUR);
    expect(starts(due('b')).b).toBe(19 * HOUR);
  });

  it('holds a pinned job to its time, and a piece back until there is a place for it', () => {
    expect(starts(shop([job('a', 30, { pinnedAt: 2 * DAY })])).a).toBe(2 * DAY + 19 * HOUR);
    const stand = { takesPlace: true };
    const jobs = ['a', 'b'].flatMap((id) => [
      job(`${id}1`, 30, { ...stand, group: id }),
      job(`${id}2`, 30, { ...stand, group: id, after: [{ id: `${id}1`, lags: [{ from: DAY - HOUR }] }] }),
    ]);
    const placed = starts(shop(jobs, { places: { large: 0, small: 1 } }));
    const [first, second] = placed.a1! < placed.b1! ? ['a', 'b'] : ['b', 'a'];
    expect(placed[`${second}1`]).toBeGreaterThanOrEqual(placed[`${first}2`]! + 30);
  });

  it('lets what stands in the way for want of a place go on, and nothing new in until it has gone', () => {
    const stand = { takesPlace: true };
    const jobs = ['a', 'b', 'c'].map((id) => job(id, 30, { ...stand, ...(id === 'b' ? { notBefore: 2 * DAY } : {}) }));
    const groups = ['a', 'b', 'c'].map((id) => ({
      id,
      tailMin: 0,
      place: 'large' as const,
      ...(id === 'c' ? {} : { placed: true }),
    }));
    const placed = starts(shop(jobs, { groups, places: { large: 1, small: 0 } }));
    expect(placed.a).toBe(19 * HOUR);
    expect(placed.b).toBe(2 * DAY + 19 * HOUR);
    expect(placed.c).toBeGreaterThanOrEqual(placed.b! + 30);
  });

  it('counts from what is done already', () => {
    const problem = shop([job('a2', 30, { after: [{ id: 'a1', lags: [{ from: 4 * HOUR }] }] })], {
      past: [{ id: 'a1', end: 18 * HOUR }],
    });
    expect(scheduleInOrder(problem, ['a2']).placements.get('a2')!.parts[0]!.start).toBe(DAY + 19 * HOUR);
  });
});

describe('an order that is known', () => {
  const paint = { product: 'enamel', cleanUpMin: 10 };
  const behind = (id: string) => ({ after: [{ id, lags: [{ from: 0 }] }] });

  it('gives the same schedule anywhere, and has room for jobs that are new and none for those that are gone', () => {
    const problem = shop([job('a', 30, paint), job('b', 30, paint), job('c', 30), job('d', 30, behind('c'))]);
    const { order, schedule } = findOrder(problem, { seed: 1 });
    expect([...order].sort()).toEqual(['a', 'b', 'c', 'd']);
    expect(scheduleInOrder(problem, order)).toEqual(schedule);
    const starts = (ids: string[]) =>
      [...scheduleInOrder(problem, ids).placements].sort((x, y) => startOf(x[1]) - startOf(y[1])).map(([id]) => id);
    expect(starts(['gone', 'c', 'b', 'a'])).toEqual(['c', 'd', 'b', 'a']);
    expect(starts(['d', 'a', 'b'])).toEqual(['c', 'd', 'a', 'b']);
    expect(starts(['b'])).toEqual(['b', 'a', 'c', 'd']);
  });

  it('keeps what comes first, unless more than a quarter of an hour is saved by another', () => {
    // The short job first: both are ready five minutes sooner on the mean, or forty.
    const near = shop([job('a', 30), job('b', 40)]);
    const far = shop([job('a', 20), job('b', 100)]);
    const first = (problem: Problem, before?: string[]) =>
      findOrder(problem, { seed: 1, ...(before && { before }) }).order[0];
    expect([first(near), first(near, ['b', 'a']), first(far, ['b', 'a'])]).toEqual(['a', 'b', 'a']);
    // A piece that is due first is worth being sent elsewhere.
    const due = shop([job('a', 100, { group: 'late' }), job('b', 100, { group: 'soon' })], {
      groups: [
        { id: 'late', tailMin: 0, place: 'small' },
        { id: 'soon', tailMin: 0, place: 'small', due: 21 * HOUR },
      ],
    });
    expect(first(due, ['a', 'b'])).toBe('b');
  });
});

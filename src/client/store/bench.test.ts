import { benchSlice, cautionSeen, isSeen, planSeen, sittingBegun, taskLaidDown, taskStarted } from './bench';

const { reducer } = benchSlice;
const start = reducer(undefined, { type: 'start' });
const AT = '2026-11-28T09:00:00Z';

describe('the sitting at the bench', () => {
  it('forgets what cautions were seen when a new one begins', () => {
    const seen = reducer(start, cautionSeen({ code: 'fumes', at: AT }));
    expect(isSeen(seen, 'fumes', '2026-11-28T10:00:00Z')).toBe(true);
    expect(isSeen(seen, 'lead', '2026-11-28T10:00:00Z')).toBe(false);
    const next = reducer(seen, sittingBegun({ until: '2026-11-28T12:00:00Z', at: '2026-11-28T11:00:00Z' }));
    expect(isSeen(next, 'fumes', '2026-11-28T11:01:00Z')).toBe(false);
    expect(next).toMatchObject({ freeUntil: '2026-11-28T12:00:00Z', saidAt: '2026-11-28T11:00:00Z' });
  });

  it('is over after four hours, though nobody ended it', () => {
    const seen = reducer(start, cautionSeen({ code: 'fumes', at: AT }));
    expect(isSeen(seen, 'fumes', '2026-11-28T12:59:00Z')).toBe(true);
    expect(isSeen(seen, 'fumes', '2026-11-28T13:00:00Z')).toBe(false);
  });

  it('has one clock running at a time', () => {
    const one = reducer(start, taskStarted({ task: 'a/1', at: AT }));
    const two = reducer(one, taskStarted({ task: 'b/1', at: '2026-11-28T09:10:00Z' }));
    expect(two.started).toEqual({ task: 'b/1', at: '2026-11-28T09:10:00Z' });
    expect(reducer(two, taskLaidDown()).started).toBeNull();
  });

  it('keeps the plan that was looked at last', () => {
    const seen = reducer(start, planSeen({ starts: { 'a/1': AT }, facts: 'x' }));
    const next = { starts: { 'a/2': AT }, facts: 'y' };
    expect(reducer(seen, planSeen(next)).agreed).toEqual(next);
  });
});

import { emptiedBefore, goneAt } from './bin-time';

describe('the bin', () => {
  it('keeps what was deleted for thirty days, over the change of a month', () => {
    expect(goneAt('2026-11-15T10:00:00.000Z')).toBe('2026-12-15T10:00:00.000Z');
    expect(emptiedBefore(goneAt('2026-11-15T10:00:00.000Z'))).toBe('2026-11-15T10:00:00.000Z');
  });
});

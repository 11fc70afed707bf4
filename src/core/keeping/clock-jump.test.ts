import { isClockJump } from './clock-jump';

describe('a clock that has gone on', () => {
  it('is believed after a fortnight of rest, and asked about after more', () => {
    expect(isClockJump('2026-11-01T09:00:00Z', '2026-11-15T09:00:00Z')).toBe(false);
    expect(isClockJump('2026-11-01T09:00:00Z', '2026-11-15T09:00:01Z')).toBe(true);
  });

  it('is believed in a new shop, and where it was put back', () => {
    expect(isClockJump(null, '2026-11-15T09:00:00Z')).toBe(false);
    expect(isClockJump('2027-01-01T09:00:00Z', '2026-11-15T09:00:00Z')).toBe(false);
  });
});

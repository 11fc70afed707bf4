import { moveMoments } from './move-moments';

const DAY_MS = 86_400_000;
const MADE = Date.parse('2026-12-04T10:00:00.000Z');
const AROUND = [MADE - 7 * DAY_MS, MADE + DAY_MS] as const;

describe('moments of a wrong clock', () => {
  it('are moved wherever they stand, with what is beside them left as it is', () => {
    const entry = {
      op: 'prime',
      at: '2026-12-04T09:58:00Z',
      parts: ['A'],
      note: '2026-12-04',
      note2: 'at 2026-12-04T09:58:00Z',
    };
    const change = { type: 'work_logged', entries: [entry, { ...entry, at: '2026-12-03T20:00:00+01:00' }] };
    expect(moveMoments(change, -3 * DAY_MS, AROUND)).toEqual({
      type: 'work_logged',
      entries: [
        { ...entry, at: '2026-12-01T09:58:00.000Z' },
        { ...entry, at: '2026-11-30T19:00:00.000Z' },
      ],
    });
  });

  it('stay where they were picked for another time, and the record the same where none is moved', () => {
    const due = { goal: { due: '2027-03-01T10:00:00Z' }, at: null, count: 3 };
    expect(moveMoments(due, -3 * DAY_MS, AROUND)).toBe(due);
    const list = ['2026-12-04T10:00:00Z', 'x'];
    expect(moveMoments(list, DAY_MS, AROUND)).toEqual(['2026-12-05T10:00:00.000Z', 'x']);
  });
});

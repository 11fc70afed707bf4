import type { LogEntry } from './schema';
import { addSpent, spentOn } from './spent';

const entry = (more: Partial<LogEntry>): LogEntry => ({ zone: 'top', op: 'scuff', ...more });

describe('the minutes of an entry', () => {
  it.each([
    ['timed', { minutes: 30, foreseen_min: 20 }, { minutes: 30, estimated: false }],
    ['as planned where nobody timed them', { foreseen_min: 20 }, { minutes: 20, estimated: true }],
    [
      'kept as an estimate',
      { minutes: 25, minutes_estimated: true, foreseen_min: 20 },
      { minutes: 25, estimated: true },
    ],
    ['none of what was left out', { foreseen_min: 20, skipped: true }, null],
    ['none where nothing is known', {}, null],
  ])('are %s', (_name, more, expected) => expect(spentOn(entry(more))).toEqual(expected));

  it('of eighteen steps of one tap each are not nothing', () => {
    const log = Array.from({ length: 18 }, () => entry({ foreseen_min: 10 }));
    expect(addSpent(log)).toEqual({ minutes: 180, estimated: true });
    expect(addSpent([entry({ minutes: 12 }), entry({ minutes: 8, foreseen_min: 4 })])).toEqual({
      minutes: 20,
      estimated: false,
    });
  });
});

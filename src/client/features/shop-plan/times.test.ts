import { makeTimes, saySpan, sayUntil } from './times';

const { clock, moment, day } = makeTimes('Europe/Lisbon', 'en-GB');

describe('times on the shop’s wall', () => {
  it('are told in the zone of the shop', () => {
    expect(clock('2026-07-01T18:05:00.000Z')).toBe('19:05');
    expect(clock('2026-12-01T18:05:00.000Z')).toBe('18:05');
    expect(day('2026-11-28T09:00:00.000Z')).toBe('Sat 28 Nov');
  });

  it('say today, tomorrow and yesterday by the wall, also across midnight and the change of clocks', () => {
    expect(moment('2026-11-26T23:59:00.000Z', '2026-11-26T18:00:00.000Z')).toBe('today 23:59');
    expect(moment('2026-11-27T00:01:00.000Z', '2026-11-26T23:59:00.000Z')).toBe('tomorrow 00:01');
    expect(moment('2026-11-26T22:00:00.000Z', '2026-11-27T08:00:00.000Z')).toBe('yesterday 22:00');
    // Clocks go forward on 29 March 2026 in Portugal: 00:30 UTC is still winter time, 01:30 UTC is 02:30.
    expect(moment('2026-03-29T01:30:00.000Z', '2026-03-29T00:30:00.000Z')).toBe('today 02:30');
    expect(moment('2026-11-28T09:00:00.000Z', '2026-11-26T18:00:00.000Z')).toBe('Sat 28 Nov, 09:00');
  });

  it('say from when a sitting runs: tonight, later today, tomorrow, or by its day', () => {
    const { sitting } = makeTimes('Europe/Lisbon', 'en-GB');
    const now = '2026-12-01T08:00:00.000Z';
    expect(
      [
        '2026-12-01T19:00:00.000Z',
        '2026-12-01T14:00:00.000Z',
        '2026-12-02T19:00:00.000Z',
        '2026-12-05T09:00:00.000Z',
      ].map((at) => sitting(at, now)),
    ).toEqual(['Tonight from 19:00', 'Today from 14:00', 'Tomorrow from 19:00', 'Sat 5 Dec from 09:00']);
  });

  it('follow the clock and the order of the owner', () => {
    const { moment: own } = makeTimes('Europe/Lisbon', 'en-US');
    expect(own('2026-11-28T09:00:00.000Z', '2026-11-26T18:00:00.000Z')).toMatch(/^Sat Nov 28, 9:00\sAM$/);
  });

  it.each([
    [35, '35 min'],
    [130, '2 h 10 min'],
    [120, '2 h'],
    [-5, '0 min'],
    [4 * 1440, '4 days'],
  ])('a span of %d minutes is %s', (minutes, words) => expect(saySpan(minutes)).toBe(words));

  it('count up to the full minute', () => {
    expect(sayUntil('2026-11-26T18:40:00.000Z', '2026-11-26T18:38:30.000Z')).toBe('2 min');
  });
});

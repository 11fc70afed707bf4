import { addDays, dateOf, instantOf, listWindows, minuteAt, minuteOf, readLocal } from './index';

/* Changes of clocks: IANA time zone database; checked by hand against the published dates of 2026. */
const LISBON = 'Europe/Lisbon';
const NEW_YORK = 'America/New_York';
const at = (date: string, time: string, zone: string): string => instantOf(minuteAt(date, time, zone));

describe('a wall clock', () => {
  it.each([
    ['2026-03-28', '19:00', LISBON, '2026-03-28T19:00:00.000Z'],
    ['2026-03-29', '19:00', LISBON, '2026-03-29T18:00:00.000Z'],
    ['2026-10-24', '19:00', LISBON, '2026-10-24T18:00:00.000Z'],
    ['2026-10-25', '19:00', LISBON, '2026-10-25T19:00:00.000Z'],
    ['2026-03-08', '09:00', NEW_YORK, '2026-03-08T13:00:00.000Z'],
    ['2026-11-01', '09:00', NEW_YORK, '2026-11-01T14:00:00.000Z'],
    ['2026-12-31', '23:30', LISBON, '2026-12-31T23:30:00.000Z'],
  ])('%s %s in %s is %s', (date, time, zone, instant) => expect(at(date, time, zone)).toBe(instant));

  it('is read back as it was set, on both days the clocks change', () => {
    for (const date of ['2026-03-29', '2026-10-25', '2026-02-28', '2026-12-31']) {
      for (const hour of [0, 3, 9, 12, 19, 23]) {
        const minute = minuteAt(date, `${String(hour).padStart(2, '0')}:30`, LISBON);
        expect({ date, ...readLocal(minute, LISBON) }).toMatchObject({ hour, minute: 30 });
        expect(dateOf(minute, LISBON)).toBe(date);
      }
    }
  });

  it('counts days over the ends of months and years', () => {
    expect(addDays('2026-02-28', 1)).toBe('2026-03-01');
    expect(addDays('2028-02-28', 1)).toBe('2028-02-29');
    expect(addDays('2026-12-31', 1)).toBe('2027-01-01');
    expect(addDays('2026-03-01', -1)).toBe('2026-02-28');
  });
});

describe('the owner’s windows', () => {
  const hours = [
    { day: 6, from: '09:00', to: '13:00' },
    { day: 7, from: '00:30', to: '04:00' },
  ];
  const lengths = (from: string): number[] =>
    listWindows(hours, [], LISBON, minuteOf(from), 2).map(({ start, end }) => end - start);

  it('are an hour shorter in the night the clocks go forward, an hour longer when they go back', () => {
    expect(lengths('2026-03-28T08:00:00Z')).toEqual([240, 150]);
    expect(lengths('2026-10-24T07:00:00Z')).toEqual([240, 270]);
    expect(lengths('2026-06-06T07:00:00Z')).toEqual([240, 210]);
  });

  it('begin now where they have begun, and end at midnight where that is said', () => {
    const [first] = listWindows(
      [{ day: 1, from: '20:00', to: '24:00' }],
      [],
      LISBON,
      minuteOf('2026-11-30T21:15:00Z'),
      2,
    );
    expect([instantOf(first!.start), instantOf(first!.end)]).toEqual([
      '2026-11-30T21:15:00.000Z',
      '2026-12-01T00:00:00.000Z',
    ]);
  });

  it('give way to days that are otherwise, and to the time the owner says they have', () => {
    const saturday = minuteOf('2026-11-28T09:10:00Z');
    expect(listWindows(hours, [{ date: '2026-11-28', hours: [] }], LISBON, saturday, 1)).toEqual([]);
    const [now] = listWindows(hours, [], LISBON, saturday, 1, 40);
    expect(now!.end - now!.start).toBe(40);
    const [evening] = listWindows(hours, [], LISBON, minuteOf('2026-11-28T18:00:00Z'), 1, 60);
    expect([evening!.start, evening!.end - evening!.start]).toEqual([minuteOf('2026-11-28T18:00:00Z'), 60]);
  });

  it('that touch are one, with the more hands', () => {
    const both = [
      { day: 6, from: '09:00', to: '11:00' },
      { day: 6, from: '10:30', to: '12:00', hands: 2 },
    ];
    expect(listWindows(both, [], LISBON, minuteOf('2026-11-28T00:00:00Z'), 1)).toEqual([
      { start: minuteOf('2026-11-28T09:00:00Z'), end: minuteOf('2026-11-28T12:00:00Z'), hands: 2 },
    ]);
  });
});

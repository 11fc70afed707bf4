import { addStretch, findHoursFault, toClock, toStretch, writeHours } from './hours';

describe('the hours of a day', () => {
  it.each([
    [[], null],
    [[{ from: '19:00', to: '21:00' }], null],
    [[{ from: '19:00', to: '' }], 'missing'],
    [[{ from: '21:00', to: '19:00' }], 'ends_first'],
    [[{ from: '19:00', to: '19:00' }], 'ends_first'],
    [[{ from: '19:00', to: '24:00' }], null],
    [
      [
        { from: '18:00', to: '20:00' },
        { from: '09:00', to: '12:00' },
      ],
      null,
    ],
    [
      [
        { from: '18:00', to: '20:00' },
        { from: '19:30', to: '22:00' },
      ],
      'overlap',
    ],
    [
      [
        { from: '18:00', to: '20:00' },
        { from: '20:00', to: '22:00' },
      ],
      null,
    ],
  ])('%j: %s', (hours, fault) => expect(findHoursFault(hours)).toBe(fault));

  it('end at midnight, which a field for times shows as the beginning of the day', () => {
    expect([toStretch('00:00'), toStretch('21:00'), toClock('24:00'), toClock('21:00')]).toEqual([
      '24:00',
      '21:00',
      '00:00',
      '21:00',
    ]);
  });

  it('begin with an evening, and go on after the last', () => {
    expect(addStretch([])).toEqual([{ from: '19:00', to: '21:00' }]);
    expect(addStretch([{ from: '09:00', to: '13:00' }])[1]).toEqual({ from: '19:00', to: '21:00' });
    expect(addStretch([{ from: '19:00', to: '21:00' }])[1]).toEqual({ from: '21:00', to: '' });
  });

  it('are said in a line', () => {
    expect(
      writeHours([
        { from: '09:00', to: '13:00' },
        { from: '19:00', to: '21:00' },
      ]),
    ).toBe('09:00–13:00, 19:00–21:00');
  });
});

import { readHours, writeHours } from './read-hours';

describe('hours as they are typed', () => {
  it.each([
    ['19:00–21:00', [{ from: '19:00', to: '21:00' }]],
    [
      '9-13, 19.30 to 21',
      [
        { from: '09:00', to: '13:00' },
        { from: '19:30', to: '21:00' },
      ],
    ],
    ['20:00 – 24:00', [{ from: '20:00', to: '24:00' }]],
    ['', []],
  ])('%s', (text, hours) => expect(readHours(text)).toEqual(hours));

  it.each(['21-19', '9', 'evening', '25:00-26:00', '9-24:30', '9-10-11', '19:00-19:00'])('%s is refused', (text) =>
    expect(readHours(text)).toBeNull(),
  );

  it('come back as they are written', () => {
    const hours = [
      { from: '09:00', to: '13:00' },
      { from: '19:00', to: '21:00' },
    ];
    expect(readHours(writeHours(hours))).toEqual(hours);
  });
});

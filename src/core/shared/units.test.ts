import { formatArea, formatRun, formatVolume } from './units';

describe('measures in words', () => {
  it('have lengths to work along in metres or feet', () =>
    expect([formatRun(12.4, 'metric'), formatRun(0.85, 'metric'), formatRun(12.4, 'us')]).toEqual([
      '12 m',
      '0.9 m',
      '41 ft',
    ]));

  // NIST Handbook 44, appendix C: 1 US fluid ounce = 29.573 53 ml, 1 quart = 32 fluid ounces, 1 foot = 0.3048 m.
  it.each([
    [740, 'metric', '740 ml'],
    [2500, 'metric', '2.5 L'],
    [29.5735295625, 'us', '1 fl oz'],
    [740, 'us', '25 fl oz'],
    [946.352946, 'us', '1 qt'],
    [2500, 'us', '2.64 qt'],
  ] as const)('%d ml in %s units is %s', (ml, units, words) => expect(formatVolume(ml, units)).toBe(words));

  it('have the decimals of the reader’s locale (CLDR: a comma in German, a point in English)', () => {
    expect(formatVolume(2500, 'metric', 'de')).toBe('2,5 L');
    expect(formatArea(0.8, 'metric', 'de-DE')).toBe('0,8 m²');
    expect(formatVolume(2500, 'metric', 'en-GB')).toBe('2.5 L');
  });

  it.each([
    [0.8, 'metric', '0.8 m²'],
    [0.8, 'us', '8.61 ft²'],
    [10, 'us', '107.6 ft²'],
  ] as const)('%d m² in %s units is %s', (m2, units, words) => expect(formatArea(m2, units)).toBe(words));
});

import { formatNumber } from './number';

describe('a number in a locale', () => {
  // Unicode CLDR, numbers (from memory): decimal separators of English, German and French; Latin digits in all three.
  it.each([
    [1.5, 'en-GB', 1, '1.5'],
    [1.5, 'de-DE', 1, '1,5'],
    [1234.5, 'fr-FR', 2, '1234,50'],
  ] as const)('%d in %s with %d decimals is %s', (value, locale, digits, text) =>
    expect(formatNumber(value, locale, digits)).toBe(text),
  );

  it('has no more decimals than it needs between the least and the most', () => {
    expect(formatNumber(2, 'de', 0, 2)).toBe('2');
    expect(formatNumber(2.345, 'de', 0, 2)).toBe('2,35');
  });
});

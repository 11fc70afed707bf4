import { guessCurrency, localeOf } from './locale';

describe('how the owner writes', () => {
  it('is the device’s own English', () => {
    expect(localeOf('en-US')).toBe('en-US');
    expect(localeOf('en')).toBe('en');
  });

  it('is English words with the clock of the device’s language', () => {
    const clock = (language: string): string =>
      new Intl.DateTimeFormat(localeOf(language), { timeStyle: 'short', timeZone: 'UTC' }).format(
        new Date('2026-11-28T18:05:00Z'),
      );
    expect(clock('pt-PT')).toBe('18:05');
    expect(clock('hi-IN')).toMatch(/^6:05\s?pm$/i);
  });

  it('is asked whether it reckons in the money of its region', () => {
    expect(['en-US', 'en-GB', 'en', 'pt-PT', 'de-CH'].map(guessCurrency)).toEqual(['USD', 'GBP', 'USD', 'EUR', 'CHF']);
  });
});

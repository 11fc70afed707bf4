import { DEFAULT_CURRENCY } from '@/core/money';
import { DEFAULT_LOCALE, LANGUAGE, READER_LOCALE } from '@/words';

/** How the owner writes numbers, days and times: by the device, in the language of the words. */
export function localeOf(language: string): string {
  if (new Intl.Locale(language).language === LANGUAGE) return language;
  // Another language: its clock of 12 or 24 hours, with names of days and months in the language of the words.
  const { hourCycle = 'h23' } = new Intl.DateTimeFormat(language, { hour: 'numeric' }).resolvedOptions();
  return `${DEFAULT_LOCALE}-u-hc-${hourCycle}`;
}

export const OWN_LOCALE = localeOf(READER_LOCALE);

/** The zone of the device's clock. Asking the browser takes a while the first time: it is asked once, early. */
export const OWN_ZONE = Intl.DateTimeFormat().resolvedOptions().timeZone;

/** Money of the regions that are likeliest to be met; elsewhere it is asked with the shop's usual one first. */
const CURRENCY_OF_REGION: Readonly<Record<string, string>> = {
  US: 'USD',
  GB: 'GBP',
  AU: 'AUD',
  CA: 'CAD',
  NZ: 'NZD',
  CH: 'CHF',
  JP: 'JPY',
  ZA: 'ZAR',
  IN: 'INR',
  SE: 'SEK',
  NO: 'NOK',
  DK: 'DKK',
  PL: 'PLN',
  BR: 'BRL',
  MX: 'MXN',
};

/** The money of the device's region, to be asked about: "en-US" → "USD". */
export const guessCurrency = (language: string = READER_LOCALE): string =>
  CURRENCY_OF_REGION[new Intl.Locale(language).maximize().region ?? ''] ?? DEFAULT_CURRENCY;

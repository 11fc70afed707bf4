/** How the owner writes numbers, days and times: by the device, in the language of the words. */
export function localeOf(language: string): string {
  if (/^en\b/.test(language)) return language;
  // Another language: its clock of 12 or 24 hours, with English names of days and months.
  const { hourCycle = 'h23' } = new Intl.DateTimeFormat(language, { hour: 'numeric' }).resolvedOptions();
  return `en-GB-u-hc-${hourCycle}`;
}

export const OWN_LOCALE = localeOf(globalThis.navigator?.language ?? 'en-GB');

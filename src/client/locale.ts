/** How the owner writes numbers, days and times: by the device, in the language of the words. */
export function localeOf(language: string): string {
  if (/^en\b/.test(language)) return language;
  // Another language: its clock of 12 or 24 hours, with English names of days and months.
  const { hourCycle = 'h23' } = new Intl.DateTimeFormat(language, { hour: 'numeric' }).resolvedOptions();
  return `en-GB-u-hc-${hourCycle}`;
}

export const OWN_LOCALE = localeOf(globalThis.navigator?.language ?? 'en-GB');

/** The zone of the device's clock. Asking the browser takes a while the first time: it is asked once, early. */
export const OWN_ZONE = Intl.DateTimeFormat().resolvedOptions().timeZone;

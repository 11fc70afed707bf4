import { OWN_LOCALE } from '@/client/locale';

const MONTH = new Intl.DateTimeFormat(OWN_LOCALE, { timeZone: 'UTC', month: 'short', year: 'numeric' });
const SHORT = new Intl.DateTimeFormat(OWN_LOCALE, { timeZone: 'UTC', month: 'short' });

/** "Mar 2026" for "2026-03". */
export const sayMonth = (month: string): string => MONTH.format(new Date(`${month.slice(0, 7)}-15T12:00:00Z`));
/** "Mar", of an instant. */
export const sayShortMonth = (at: string): string => SHORT.format(new Date(at));

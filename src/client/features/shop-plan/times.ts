import { OWN_LOCALE } from '@/client/locale';
import { TIMES_WORDS } from '@/words';

/** Instants in the words of the shop's wall clock. */
export interface Times {
  /** "18:40", or "6:40 pm" where the owner counts so. */
  clock: (at: string) => string;
  /** "today 18:40", "tomorrow 9:05", "Sat 28 Nov, 09:00". */
  moment: (at: string, now: string) => string;
  /** "Sat 28 Nov". */
  day: (at: string) => string;
  /** "Sat 28". */
  shortDay: (at: string) => string;
  /** From when a sitting runs: "Tonight from 19:00", "Today from 14:00", "Sat 5 Dec from 09:00". */
  sitting: (at: string, now: string) => string;
}

export function makeTimes(timeZone: string, locale: string = OWN_LOCALE): Times {
  const format = (options: Intl.DateTimeFormatOptions): ((at: string) => string) => {
    const formatter = new Intl.DateTimeFormat(locale, { timeZone, ...options });
    return (at) => formatter.format(new Date(at));
  };
  const clock = format({ timeStyle: 'short' });
  const day = format({ weekday: 'short', day: 'numeric', month: 'short' });
  const shortDay = format({ weekday: 'short', day: 'numeric' });
  const date = format({ year: 'numeric', month: '2-digit', day: '2-digit' });
  const hour = new Intl.DateTimeFormat('en-GB', { timeZone, hour: '2-digit', hourCycle: 'h23' });
  const dayOf = (at: string, now: string): string => {
    if (date(at) === date(addDay(now, 1))) return TIMES_WORDS.tomorrowAlone;
    if (date(at) !== date(now)) return day(at).replace(',', '');
    return Number(hour.format(new Date(at))) >= EVENING ? TIMES_WORDS.tonight : TIMES_WORDS.todayAlone;
  };
  return {
    clock,
    day: (at) => day(at).replace(',', ''),
    shortDay: (at) => shortDay(at).replace(',', ''),
    moment: (at, now) => {
      if (date(at) === date(now)) return TIMES_WORDS.today(clock(at));
      if (date(at) === date(addDay(now, 1))) return TIMES_WORDS.tomorrow(clock(at));
      if (date(at) === date(addDay(now, -1))) return TIMES_WORDS.yesterday(clock(at));
      return `${day(at).replace(',', '')}, ${clock(at)}`;
    },
    sitting: (at, now) => TIMES_WORDS.from(dayOf(at, now), clock(at)),
  };
}

/** From this hour on a day's end is tonight. */
const EVENING = 17;
const addDay = (now: string, days: number): string => new Date(Date.parse(now) + days * 86_400_000).toISOString();

const CALENDAR = new Intl.DateTimeFormat(OWN_LOCALE, {
  timeZone: 'UTC',
  weekday: 'short',
  day: 'numeric',
  month: 'short',
});

/** A calendar day, or that of an instant in UTC, whatever the zone: "2026-11-28" → "Sat 28 Nov", with its year where that is another than `now`'s. */
export function sayDate(day: string, now: string): string {
  const words = CALENDAR.format(new Date(`${day.slice(0, 10)}T12:00:00Z`)).replace(',', '');
  return day.slice(0, 4) === now.slice(0, 4) ? words : `${words} ${day.slice(0, 4)}`;
}

/** How long until then: "2 h 10", "35 min", "3 days". */
export function sayUntil(at: string, now: string): string {
  const minutes = Math.ceil((Date.parse(at) - Date.parse(now)) / 60_000);
  return saySpan(minutes);
}

export function saySpan(minutes: number): string {
  const left = Math.max(0, Math.round(minutes));
  if (left < 60) return TIMES_WORDS.min(left);
  if (left < 48 * 60)
    return left % 60 === 0 ? TIMES_WORDS.h(left / 60) : TIMES_WORDS.hMin(Math.floor(left / 60), left % 60);
  return TIMES_WORDS.days(Math.round(left / 1440));
}

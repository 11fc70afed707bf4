import { TZDate } from '@date-fns/tz';
import type { Window } from './problem';

/** When somebody has time, on the clock of the shop's zone. */
export interface Hours {
  /** 1 Monday … 7 Sunday. */
  day: number;
  /** "19:00". */
  from: string;
  /** "21:00"; "24:00" is midnight. */
  to: string;
  /** People at work; one unless said. */
  hands?: number;
}

/** A day that is otherwise: its own hours, or none. */
export interface DayException {
  /** "2026-03-29". */
  date: string;
  hours: readonly Omit<Hours, 'day'>[];
}

export interface LocalDay {
  year: number;
  month: number;
  day: number;
}

const MINUTE_MS = 60_000;
export const minuteOf = (instant: string | number): number => Math.floor(new Date(instant).getTime() / MINUTE_MS);
export const instantOf = (minute: number): string => new Date(minute * MINUTE_MS).toISOString();

/** The wall clock of a zone (an IANA name) at a minute since 1970. */
export function readLocal(
  minute: number,
  timeZone: string,
): LocalDay & { weekday: number; hour: number; minute: number } {
  const local = new TZDate(minute * MINUTE_MS, timeZone);
  return {
    year: local.getFullYear(),
    month: local.getMonth() + 1,
    day: local.getDate(),
    weekday: local.getDay() === 0 ? 7 : local.getDay(),
    hour: local.getHours(),
    minute: local.getMinutes(),
  };
}

/** "2026-03-29" of a minute on the wall of a zone. */
export function dateOf(minute: number, timeZone: string): string {
  const { year, month, day } = readLocal(minute, timeZone);
  return formatDay({ year, month, day });
}

const two = (value: number): string => String(value).padStart(2, '0');
const formatDay = ({ year, month, day }: LocalDay): string => `${year}-${two(month)}-${two(day)}`;

/**
 * The minute at which a wall clock shows a time. Where the clock skips it in spring it is the same wait after midnight
 * as on other days (an hour later on the wall); where it comes twice in autumn it is the first.
 */
export function minuteAt(date: string, time: string, timeZone: string): number {
  const [year, month, day] = date.split('-').map(Number) as [number, number, number];
  const [hours, minutes] = time.split(':').map(Number) as [number, number];
  return Math.floor(new TZDate(year, month - 1, day, hours, minutes, 0, timeZone).getTime() / MINUTE_MS);
}

/** The date so many days after another; calendar days, whatever the clocks do. */
export function addDays(date: string, days: number): string {
  const [year, month, day] = date.split('-').map(Number) as [number, number, number];
  const moved = new Date(Date.UTC(year, month - 1, day + days));
  return formatDay({ year: moved.getUTCFullYear(), month: moved.getUTCMonth() + 1, day: moved.getUTCDate() });
}

/**
 * The windows of some days, from a minute on: the week's hours, and days that are otherwise. Time the owner says they have
 * now (`freeFor` minutes) takes the place of what the week foresees for it. Windows that touch or overlap become one with
 * the more hands.
 */
export function listWindows(
  hours: readonly Hours[],
  exceptions: readonly DayException[],
  timeZone: string,
  from: number,
  days: number,
  freeFor = 0,
): Window[] {
  const list: Window[] = freeFor > 0 ? [{ start: from, end: from + freeFor, hands: 1 }] : [];
  const first = dateOf(from, timeZone);
  for (let i = -1; i < days; i += 1) {
    const date = addDays(first, i);
    const [year, month, day] = date.split('-').map(Number) as [number, number, number];
    const weekday = new Date(Date.UTC(year, month - 1, day)).getUTCDay() || 7;
    const own =
      exceptions.find((exception) => exception.date === date)?.hours ?? hours.filter((one) => one.day === weekday);
    for (const { from: opens, to: closes, hands = 1 } of own) {
      const start = Math.max(from, minuteAt(date, opens, timeZone));
      const end = closes === '24:00' ? minuteAt(addDays(date, 1), '00:00', timeZone) : minuteAt(date, closes, timeZone);
      if (end > start) list.push({ start, end, hands });
    }
  }
  const joined = join(list.sort((a, b) => a.start - b.start));
  if (freeFor === 0) return joined;
  return joined.map((window) => (window.start === from ? { ...window, end: from + freeFor } : window));
}

function join(windows: readonly Window[]): Window[] {
  const joined: Window[] = [];
  for (const window of windows) {
    const last = joined.at(-1);
    if (last && window.start <= last.end) {
      joined[joined.length - 1] = {
        start: last.start,
        end: Math.max(last.end, window.end),
        hands: Math.max(last.hands, window.hands),
      };
    } else joined.push(window);
  }
  return joined;
}

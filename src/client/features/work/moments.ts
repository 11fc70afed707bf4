import { timeNow } from '@/client/store';
import { addDays, dateOf, instantOf, minuteAt, minuteOf } from '@/core/schedule';

/** What "yesterday evening" and "earlier today" stand for until a moment is picked (common practice). */
const EVENING = '20:00';
const EARLIER_MIN = 120;

/** When a step was done, in the ways people say it. */
export type When = 'now' | 'earlier' | 'yesterday' | 'moment';

/** A moment of the field, on the shop's clock, as an instant; none while it is empty. */
export const momentOf = (text: string, timeZone: string): string | undefined =>
  text === '' ? undefined : instantOf(minuteAt(text.slice(0, 10), text.slice(11, 16), timeZone));

/** What the field starts with: two hours ago, but not of yesterday, or last evening. */
export function suggest(when: Exclude<When, 'now'>, timeZone: string): string {
  const now = minuteOf(timeNow());
  const today = dateOf(now, timeZone);
  if (when === 'yesterday') return `${addDays(today, -1)}T${EVENING}`;
  const clock = new Intl.DateTimeFormat('sv-SE', { timeZone, hour: '2-digit', minute: '2-digit' });
  const earlier = now - EARLIER_MIN;
  return dateOf(earlier, timeZone) === today
    ? `${today}T${clock.format(new Date(instantOf(earlier)))}`
    : `${today}T00:00`;
}

import { createEvents, type EventAttributes } from 'ics';

/** The package takes the time of writing, and its own clock's where it is left out; its types do not say so. */
type Event = EventAttributes & { timestamp: number };

export interface CalendarEntry {
  /** Stays the same when the entry is written anew, so that a calendar moves it instead of doubling it. */
  uid: string;
  title: string;
  description: string;
  /** Milliseconds since 1970. */
  at: number;
  minutes: number;
  /** What to remind of at the start; none where nothing is to be reminded of. */
  alarm?: string;
}

/** A calendar file (RFC 5545) of entries, in UTC. `now`: ISO instant of writing. */
export function writeEvents(entries: readonly CalendarEntry[], now: string): string {
  const events = entries.map(({ uid, title, description, at, minutes, alarm }): Event => ({
    uid,
    title,
    description,
    start: split(at),
    startInputType: 'utc',
    startOutputType: 'utc',
    duration: { minutes: Math.max(1, Math.round(minutes)) },
    timestamp: Date.parse(now),
    productId: 'bricolage',
    ...(alarm === undefined
      ? {}
      : { alarms: [{ action: 'display', description: alarm, trigger: { minutes: 0, before: true } }] }),
  }));
  const { value, error } = createEvents(events);
  if (error) throw error;
  return value ?? '';
}

const split = (at: number): [number, number, number, number, number] => {
  const date = new Date(at);
  return [date.getUTCFullYear(), date.getUTCMonth() + 1, date.getUTCDate(), date.getUTCHours(), date.getUTCMinutes()];
};

import { createEvents, type EventAttributes } from 'ics';
import type { Moment } from '../panel';

/** The package takes the time of writing, and its own clock's where it is left out; its types do not say so. */
type Event = EventAttributes & { timestamp: number };

/** The moments of a panel as a calendar file (RFC 5545), in UTC. `start` and `now` are ISO instants; empty for no moments. */
export function writeCalendar(
  title: string,
  id: string,
  moments: readonly Moment[],
  start: string,
  now: string,
): string {
  const events = moments.map(({ atH, what, strips }, i): Event => {
    const at = Date.parse(start) + atH * 3_600_000;
    return {
      uid: `${id}-${i}@bricolage`,
      title: `${title}: ${what}`,
      description: `Strips ${strips.join(', ')}`,
      start: split(at),
      startInputType: 'utc',
      startOutputType: 'utc',
      duration: { minutes: 15 },
      timestamp: Date.parse(now),
      productId: 'bricolage/panel',
      alarms: [{ action: 'display', description: what, trigger: { minutes: 0, before: true } }],
    };
  });
  const { value, error } = createEvents(events);
  if (error) throw error;
  return value ?? '';
}

const split = (at: number): [number, number, number, number, number] => {
  const date = new Date(at);
  return [date.getUTCFullYear(), date.getUTCMonth() + 1, date.getUTCDate(), date.getUTCHours(), date.getUTCMinutes()];
};

/* What the command line says by itself. */

import { lowerFirst } from '@/core/shared';
import { DEFAULT_LOCALE } from './language';

const DAY = new Intl.DateTimeFormat(DEFAULT_LOCALE, { weekday: 'long', day: 'numeric', month: 'long' });
/** "2026-12-20", whatever the zone of whoever reads it: "Sunday 20 December". */
function sayCalendarDay(date: string): string {
  const [year, month, day] = date.split('-').map(Number) as [number, number, number];
  return DAY.format(new Date(year, month - 1, day)).replace(',', '');
}

const HOURS_WORDS = { own_hours: 'in the hours you have', every_hour: 'with every hour free' } as const;

const hoursOf = (minutes: number): string =>
  minutes < 60
    ? `${minutes} min`
    : `${Math.floor(minutes / 60)} h ${String(Math.round(minutes % 60)).padStart(2, '0')}`;

/** Gates and how they stand, in a word or two. */
export const GATE_WORDS = {
  names: { prime_to_paint: 'grip', bleed: 'bleed', handover: 'handing over' },
  states: { open: 'open', closed: 'closed', waiting: 'waiting', overridden: 'passed over', not_needed: 'not needed' },
} as const;

export const CLI_WORDS = {
  somethingElse: 'Something else',
  anotherWay: 'another way',
  noPrimer: 'no primer',
  severities: { major: 'Grave', minor: 'Lesser', unknown: 'Not known' },
  lines: {
    sold: 'sold for',
    fees: 'fees',
    delivery: 'delivery',
    bought: 'bought for',
    materials: 'materials',
    consumables: 'consumables',
    hardware: 'handles and fittings',
    refund: 'refund',
  },
  askNext: (check: string, minutes: number): string =>
    minutes > 0 ? `Look next: ${check} (saves about ${Math.round(minutes)} min).` : `Look next: ${check}.`,
  nothingLeftToAsk: 'Nothing left to ask would change the plan.',
  sum: (sum: number, currency: string | null): string => (currency ? `${sum} ${currency}` : `${sum} (no currency set)`),
  figures: (own: { chance: string; minutes: number; ready: string; materials: string; fumes: string }): string =>
    `${own.chance} go wrong, ${hoursOf(own.minutes)} of hands, ${own.ready}, ${own.materials} for materials, fumes: ${own.fumes}`,
  ready: (day: string | null, through: keyof typeof HOURS_WORDS): string =>
    day === null ? 'no date while something holds it back' : `ready by ${sayCalendarDay(day)} ${HOURS_WORDS[through]}`,
  missesDue: (day: string, due: string): string =>
    `Ready by ${sayCalendarDay(day)}: too late for ${sayCalendarDay(due)}.`,
  wayOut: (own: { chance: string; minutes: number; hours: number; materials: string }): string =>
    `holds ${own.chance}, ${hoursOf(own.minutes)} of hands, ${own.hours} h with every hour free, ${own.materials} for materials.`,
  not: (what: string): string => `Not: ${what}.`,
  bringsBack: (what: string): string => `It comes back with: ${lowerFirst(what)}`,
  learned: (own: { surface: string; treatment: string; chance: string; tests: number; bleed: boolean }): string =>
    `${own.treatment} on ${own.surface}: ${own.bleed ? 'no colour comes through' : 'holds'} ${own.chance} (${own.tests} ${own.tests === 1 ? 'test' : 'tests'}).`,
  nextPanel: (zone: string, why: string): string => `Paint next: a panel on ${zone}. ${why}`,
  entry: (entry: number): string => ` (entry ${entry} of the log)`,
  lookNext: (asks: string): string => `Look next: ${asks}`,
  nothingAgainstTheLog: 'Nothing speaks against the log.',
  atMost: (sum: string): string => `At most ${sum}:`,
  leftAt: (price: string, low: string, high: string, median: string): string =>
    `Bought for ${price}: ${low} to ${high} left, most likely ${median};`,
  hoursOfHands: (low: number, high: number): string => `${low} to ${high} h of hands.`,
  earned: (before: string, perHour: string | null, hours: number, after: string): string =>
    `Earned ${before} before own time, ${perHour ?? 'nothing'} an hour over ${hours} h, ${after} after it.`,
  noSale: 'Neither a sale to come nor one that was made.',
};

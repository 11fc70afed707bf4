import { SPANS_WORDS } from '@/words';
export const sayHours = (minutes: number): string =>
  minutes < 90 ? SPANS_WORDS.min(Math.round(minutes)) : SPANS_WORDS.h(Math.round(minutes / 6) / 10);
export const sayDays = (hours: number): string =>
  hours < 36 ? SPANS_WORDS.h(Math.round(hours)) : SPANS_WORDS.days(Math.round(hours / 24));

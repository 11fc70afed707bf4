import type { ErrorBody } from '@/contract';

/** A code in threes, as it is read out. */
export const spaceCode = (code: string): string => code.replace(/^(\d{3})(\d{3})(\d{3})$/, '$1 $2 $3');

/** Why the server refused, in its own words; `away` where it said nothing. */
export const sayRefusal = (error: unknown, away: string): string =>
  (error as { data?: Partial<ErrorBody> }).data?.error?.message ?? away;

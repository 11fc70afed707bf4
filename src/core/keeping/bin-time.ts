/** What was deleted lies in the bin so long, and is then gone with its files. */
const BIN_DAYS = 30;
const DAY_MS = 86_400_000;

/** When what was put in the bin is gone for good. ISO instants. */
export const goneAt = (removedAt: string): string => new Date(Date.parse(removedAt) + BIN_DAYS * DAY_MS).toISOString();

/** What was put in the bin before this is gone by now. ISO instants. */
export const emptiedBefore = (now: string): string => new Date(Date.parse(now) - BIN_DAYS * DAY_MS).toISOString();

const DAY_MS = 86_400_000;
/** A shop that rests for longer is asked once, when it begins again, whether its clock is right. */
const REST_DAYS = 14;

/**
 * Whether a clock has gone on by so much since it was last looked at that it may be wrong: nothing is deleted by such a time
 * before its owner has said that it is right. ISO instants; `2026-11-28` after `2026-11-01` is such a jump.
 * @param seen the last moment the clock was believed; null for a new shop
 */
export const isClockJump = (seen: string | null, now: string): boolean =>
  seen !== null && Date.parse(now) - Date.parse(seen) > REST_DAYS * DAY_MS;

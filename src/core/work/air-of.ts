import type { Climate } from '../climate';
import { minuteOf, readLocal } from '../schedule';
import { forecastAir, readAirNow, type Workshop } from '../workshop';

interface AirFacts {
  workshop: Workshop;
  /** ISO instant. */
  now: string;
  timeZone: string;
}

/** The air clocks and waits are reckoned with: what was just measured, or what is usual. */
export function airOf({ workshop, now, timeZone }: AirFacts): Climate {
  return readAirNow(workshop.air, now) ?? expectAir(workshop, now, now, timeZone);
}

/** What the air is like at a moment, going by the last week. */
export const expectAir = (
  workshop: Workshop,
  now: string,
  moment: string,
  timeZone: string,
): Climate & { readings: number } =>
  forecastAir(workshop.air, now, moment, (at) => {
    const { hour, minute } = readLocal(minuteOf(at), timeZone);
    return hour + minute / 60;
  });

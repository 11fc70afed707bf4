import { computeDewPointC, findStop, LABEL_CLIMATE, type Climate, type StopReason } from '../climate';
import type { Air } from './schema';

/** A reading older than this says little about now. */
const FRESH_MS = 6 * 3_600_000;
const WEEK_MS = 7 * 24 * 3_600_000;
/** Readings within so many hours of the clock time count for it. */
const NEAR_HOURS = 2;

/** Readings of a simulated instrument show how the tool works: nothing is reckoned with them. */
export const isMeasured = ({ source }: Pick<Air, 'source'>): boolean => source !== 'simulated';

/** The latest reading up to a moment, if it is not older than six hours. */
export function readAirNow(air: readonly Air[], now: string): Air | null {
  const clock = Date.parse(now);
  const last = air.findLast((own) => isMeasured(own) && Date.parse(own.at) <= clock);
  return last && clock - Date.parse(last.at) <= FRESH_MS ? last : null;
}

/**
 * The air to expect at a moment: the mean of last week's readings taken within two hours of that time of day, the newest
 * readings counting most (half for each day back); where there are none, the mean of the week; without any, the label's
 * climate. An estimate, and said to be one. `hourOf` gives the hour of day (0–24) of an instant on the shop's wall.
 */
export function forecastAir(
  air: readonly Air[],
  now: string,
  moment: string,
  hourOf: (at: string) => number,
): Climate & { readings: number } {
  const clock = Date.parse(now);
  const recent = air.filter(
    (own) => isMeasured(own) && clock - Date.parse(own.at) <= WEEK_MS && Date.parse(own.at) <= clock,
  );
  const hour = hourOf(moment);
  const near = recent.filter(({ at }) => hoursApart(hourOf(at), hour) <= NEAR_HOURS);
  const used = near.length > 0 ? near : recent;
  if (used.length === 0) return { ...LABEL_CLIMATE, readings: 0 };
  let [weight, temperature, humidity] = [0, 0, 0];
  for (const { at, temperature_c, humidity_pct } of used) {
    const share = 0.5 ** ((clock - Date.parse(at)) / 86_400_000);
    weight += share;
    temperature += share * temperature_c;
    humidity += share * humidity_pct;
  }
  return {
    temperature_c: round(temperature / weight),
    humidity_pct: round(humidity / weight),
    readings: used.length,
  };
}

const hoursApart = (a: number, b: number): number => {
  const apart = Math.abs(a - b) % 24;
  return Math.min(apart, 24 - apart);
};
const round = (value: number): number => Math.round(value * 10) / 10;

export interface AirVerdict {
  dewPointC: number;
  surfaceC: number;
  /** How far the surface is above the dew point, °C; 3 is the least (ISO 8502-4). */
  marginC: number;
  stops: { waterborne: StopReason | null; solvent: StopReason | null };
  /** Coats may go on, but dry slowly: under 15 °C or over 70 % (common practice). */
  slow: boolean;
}

/** What the air allows. A cold surface is nearer to the dew point than the air, so where it was measured it decides. */
export function judgeAir(air: Climate & { surface_c?: number | undefined }): AirVerdict {
  const dewPointC = computeDewPointC(air.temperature_c, Math.max(1, air.humidity_pct));
  const surfaceC = air.surface_c ?? air.temperature_c;
  const marginC = surfaceC - dewPointC;
  const stop = (waterborne: boolean): StopReason | null => findStop(waterborne, air, surfaceC);
  return {
    dewPointC: round(dewPointC),
    surfaceC,
    marginC: round(marginC),
    stops: { waterborne: stop(true), solvent: stop(false) },
    slow: air.temperature_c < 15 || air.humidity_pct > 70,
  };
}

import { computeDewPointC } from './dew-point';
import { LABEL_CLIMATE, type Climate } from './moisture';

/** How a film dries: water leaves it, or it cures by oxygen or by a chemical partner, or a spirit flashes off. */
export type Drying = 'evaporates_water' | 'cures' | 'flashes_off';

/** Saturation vapour pressure over water, hPa: Magnus form with the WMO constants (Sonntag 1990). */
export const computeSaturationHpa = (temperatureC: number): number =>
  6.112 * Math.exp((17.62 * temperatureC) / (243.12 + temperatureC));

/** What the air still takes up, hPa. */
const computeDeficitHpa = ({ temperature_c, humidity_pct }: Climate): number =>
  computeSaturationHpa(temperature_c) * (1 - humidity_pct / 100);

/**
 * How many times longer a film takes in this climate than under the label's (21 °C, 50 %), never less than 1: a wait is
 * never cut below the label. Curing films: twice for each 10 °C colder (Q10 = 2, common practice). Waterborne: in
 * proportion to the vapour-pressure deficit, 4 times at most (a model). Example: 11 °C → curing 2.
 */
export function computeDryingFactor(drying: Drying, climate: Climate): number {
  if (drying === 'flashes_off') return 1;
  const factor =
    drying === 'cures'
      ? 2 ** ((LABEL_CLIMATE.temperature_c - climate.temperature_c) / 10)
      : computeDeficitHpa(LABEL_CLIMATE) / Math.max(0.01, computeDeficitHpa(climate));
  return Math.min(4, Math.max(1, factor));
}

export type StopReason = 'dew' | 'cold' | 'damp' | 'hot';

/** Surface at least this far above the dew point (ISO 8502-4). */
export const DEW_MARGIN_C = 3;
/** Air and surface for a coat at least so warm, °C, and the air at most so damp, % (common practice; the label decides). */
export const LEAST_C = { waterborne: 10, other: 5 } as const;
export const MOST_C = 32;
export const MOST_HUMIDITY_PCT = 85;

/**
 * Why no coat may go on in this air, if any: a surface nearer than 3 °C to the dew point (taken at air temperature where
 * it was not measured), air or surface below 10 °C for waterborne and 5 °C for other coats, above 85 % humidity, above
 * 32 °C.
 */
export function findStop(
  waterborne: boolean,
  { temperature_c: t, humidity_pct: h }: Climate,
  surfaceC: number = t,
): StopReason | null {
  if (Math.min(t, surfaceC) < LEAST_C[waterborne ? 'waterborne' : 'other']) return 'cold';
  if (Math.max(t, surfaceC) > MOST_C) return 'hot';
  if (h > MOST_HUMIDITY_PCT) return 'damp';
  return surfaceC - computeDewPointC(t, Math.max(1, h)) < DEW_MARGIN_C ? 'dew' : null;
}

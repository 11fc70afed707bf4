import { formatNumber } from './number';

export type Units = 'metric' | 'us';

/** US customary measures in metric ones (NIST Handbook 44, appendix C; exact but for rounding in the foot). */
const ML_PER_US_FLUID_OUNCE = 29.5735295625;
const FLUID_OUNCES_PER_US_QUART = 32;
const SQUARE_FEET_PER_M2 = 1 / 0.3048 ** 2;

/** A volume in words: 740 → "740 ml" or "25 fl oz"; larger ones in litres or quarts. */
export function formatVolume(ml: number, units: Units, locale = 'en'): string {
  const trim = (value: number): string => trimDecimals(value, locale);
  if (units === 'metric') return ml >= 1000 ? `${trim(ml / 1000)} L` : `${Math.round(ml)} ml`;
  const ounces = ml / ML_PER_US_FLUID_OUNCE;
  if (ounces >= FLUID_OUNCES_PER_US_QUART) return `${trim(ounces / FLUID_OUNCES_PER_US_QUART)} qt`;
  return `${ounces < 10 ? trim(ounces) : Math.round(ounces)} fl oz`;
}

/** An area in words: 0.8 → "0.8 m²" or "8.6 ft²". */
export const formatArea = (m2: number, units: Units, locale = 'en'): string =>
  units === 'metric' ? `${trimDecimals(m2, locale)} m²` : `${trimDecimals(m2 * SQUARE_FEET_PER_M2, locale)} ft²`;

const FEET_PER_M = 1 / 0.3048;
/** A length to be worked along: 12.4 → "12 m" or "41 ft". */
export const formatRun = (m: number, units: Units, locale = 'en'): string =>
  units === 'metric'
    ? `${formatNumber(m, locale, 0, m < 2 ? 1 : 0)} m`
    : `${formatNumber(m * FEET_PER_M, locale, 0, 0)} ft`;

/** Two figures after the point at most, one from ten on. */
const trimDecimals = (value: number, locale: string): string => formatNumber(value, locale, 0, value >= 10 ? 1 : 2);

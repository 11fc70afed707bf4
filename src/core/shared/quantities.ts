import { formatNumber } from './number';
import type { Units } from './units';

/** What is measured, in the unit it is kept in. */
export type Quantity =
  'temperature_c' | 'temperature_gap_c' | 'length_mm' | 'side_mm' | 'volume_ml' | 'area_m2' | 'coverage_m2_l';

interface Shown {
  unit: string;
  /** One of the shown unit in the unit that is kept; a temperature is shifted besides. */
  per: number;
  shift?: number;
  digits: number;
}

/** US customary measures in metric ones (NIST Handbook 44, appendix C; NIST SP 811 for temperature). */
const M2_PER_FT2 = 0.3048 ** 2;
const ML_PER_FLUID_OUNCE = 29.5735295625;
const LITRES_PER_GALLON = 3.785411784;

const SHOWN: Record<Quantity, Record<Units, Shown>> = {
  temperature_c: {
    metric: { unit: '°C', per: 1, digits: 1 },
    us: { unit: '°F', per: 5 / 9, shift: 32, digits: 0 },
  },
  temperature_gap_c: { metric: { unit: '°C', per: 1, digits: 1 }, us: { unit: '°F', per: 5 / 9, digits: 1 } },
  length_mm: { metric: { unit: 'mm', per: 1, digits: 1 }, us: { unit: 'in', per: 25.4, digits: 3 } },
  side_mm: { metric: { unit: 'cm', per: 10, digits: 1 }, us: { unit: 'in', per: 25.4, digits: 1 } },
  volume_ml: { metric: { unit: 'ml', per: 1, digits: 0 }, us: { unit: 'fl oz', per: ML_PER_FLUID_OUNCE, digits: 1 } },
  area_m2: { metric: { unit: 'm²', per: 1, digits: 2 }, us: { unit: 'ft²', per: M2_PER_FT2, digits: 1 } },
  coverage_m2_l: {
    metric: { unit: 'm²/L', per: 1, digits: 1 },
    us: { unit: 'ft²/gal', per: M2_PER_FT2 / LITRES_PER_GALLON, digits: 0 },
  },
};

export const unitOf = (quantity: Quantity, units: Units): string => SHOWN[quantity][units].unit;

/** A kept value in the owner's unit, rounded to what is read there. Example: 20 °C → 68 °F. */
export function convertToShown(quantity: Quantity, kept: number, units: Units): number {
  const { per, shift = 0, digits } = SHOWN[quantity][units];
  return Number((kept / per + shift).toFixed(digits));
}

/** A value in the owner's unit as it is kept, to a millionth. Example: 68 °F → 20 °C. */
export function convertToKept(quantity: Quantity, shown: number, units: Units): number {
  const { per, shift = 0 } = SHOWN[quantity][units];
  return Number(((shown - shift) * per).toFixed(6));
}

/** "20 °C", "68 °F", the number as it is written in the locale. */
export const formatQuantity = (quantity: Quantity, kept: number, units: Units, locale = 'en'): string =>
  `${formatNumber(convertToShown(quantity, kept, units), locale, 0, SHOWN[quantity][units].digits)} ${unitOf(quantity, units)}`;

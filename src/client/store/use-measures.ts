import { useMemo } from 'react';
import { useSelector } from 'react-redux';
import { formatArea, formatVolume, type Units } from '@/core/shared';
import type { RootState } from './store';

export interface Measures {
  sayVolume: (ml: number) => string;
  sayArea: (m2: number) => string;
  sayMoney: (sum: number) => string;
}

export const makeMeasures = (units: Units, currency: string): Measures => ({
  sayVolume: (ml) => formatVolume(ml, units),
  sayArea: (m2) => formatArea(m2, units),
  sayMoney: (sum) => `${currency}${currency.length > 1 ? '\u00a0' : ''}${sum.toFixed(0)}`,
});

/** Volumes, areas and money in the owner's units. */
export function useMeasures(): Measures {
  const { units, currency } = useSelector((state: RootState) => state.settings);
  return useMemo(() => makeMeasures(units, currency), [units, currency]);
}

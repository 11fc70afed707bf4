import { DEFAULT_CURRENCY } from '@/core/money';
import { useMemo } from 'react';
import { useSelector } from 'react-redux';
import {
  convertToKept,
  convertToShown,
  formatArea,
  formatNumber,
  formatQuantity,
  formatRun,
  formatVolume,
  readNumber,
  unitOf,
  type Quantity,
  type Units,
} from '@/core/shared';
import type { RootState } from './store';
import { useWorkshop } from './use-workshop';
import { READER_LOCALE, USE_MEASURES_WORDS } from '@/words';

/** How a field of a quantity is written and read in the owner's unit. */
export interface Gauge {
  unit: string;
  /** What stands in the field for a kept value; nothing where there is none. */
  write: (kept: number | undefined) => string;
  /** The value as it is kept; nothing where no number stands there. What was not typed anew stays as it was `stored`. */
  read: (text: string, stored?: number) => number | undefined;
  say: (kept: number) => string;
  /** "From 14 to 122 °F." */
  sayRange: (low: number, high: number) => string;
}

export interface Measures {
  sayVolume: (ml: number) => string;
  sayArea: (m2: number) => string;
  sayMetres: (m: number) => string;
  /** To the whole unit, for what is an estimate. */
  sayMoney: (sum: number) => string;
  /** With the currency's own decimals, for what is on record. */
  saySum: (sum: number) => string;
  gauge: (quantity: Quantity) => Gauge;
}

/** `currency`: ISO 4217, such as "EUR"; without one a sum stands alone. */
export function makeMeasures(units: Units, currency: string | undefined, locale: string = READER_LOCALE): Measures {
  const money = new Intl.NumberFormat(locale, {
    maximumFractionDigits: 0,
    ...(currency ? { style: 'currency', currency } : {}),
  });
  const exact = new Intl.NumberFormat(
    locale,
    currency ? { style: 'currency', currency } : { minimumFractionDigits: 2 },
  );
  return {
    sayVolume: (ml) => formatVolume(ml, units, locale),
    sayArea: (m2) => formatArea(m2, units, locale),
    sayMetres: (m) => formatRun(m, units, locale),
    sayMoney: (sum) => money.format(sum),
    saySum: (sum) => exact.format(sum),
    gauge: keep((quantity: Quantity): Gauge => {
      const write = (kept: number | undefined): string =>
        kept === undefined ? '' : formatNumber(convertToShown(quantity, kept, units), locale, 0, 3);
      return {
        unit: unitOf(quantity, units),
        write,
        read: (text, stored) => {
          if (stored !== undefined && text === write(stored)) return stored;
          const shown = readNumber(text);
          return shown === undefined ? undefined : convertToKept(quantity, shown, units);
        },
        say: (kept) => formatQuantity(quantity, kept, units, locale),
        sayRange: (low, high) => USE_MEASURES_WORDS.fromTo(write(low), formatQuantity(quantity, high, units, locale)),
      };
    }),
  };
}

/** What was made once for a key stays the same object. */
function keep<Key, Value>(make: (key: Key) => Value): (key: Key) => Value {
  const made = new Map<Key, Value>();
  return (key) => {
    const value = made.get(key) ?? make(key);
    made.set(key, value);
    return value;
  };
}

/** Measures in the owner's units, money in the shop's currency. */
export function useMeasures(): Measures {
  const units = useSelector((state: RootState) => state.settings.units);
  const { currency = DEFAULT_CURRENCY } = useWorkshop().workshop.setup;
  return useMemo(() => makeMeasures(units, currency), [units, currency]);
}

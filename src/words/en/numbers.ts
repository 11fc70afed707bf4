import { formatNumber } from '@/core/shared';
import { DEFAULT_LOCALE } from './language';

/** Numbers are written as on the device of whoever reads them; away from a browser as in the language of this folder. */
export const READER_LOCALE = globalThis.navigator?.language ?? DEFAULT_LOCALE;

/** A number with its decimals, as the reader writes them. */
export const sayDecimal = (value: number, digits: number): string => formatNumber(value, READER_LOCALE, digits);

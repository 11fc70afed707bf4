/** Currencies there are, by the platform (ISO 4217). */
export const CURRENCIES: readonly string[] = Intl.supportedValuesOf('currency');

/** What a shop counts in that has said nothing of it. */
export const DEFAULT_CURRENCY = 'EUR';

const KNOWN = new Map<string, number>();

/** Decimals of a currency. Source: ISO 4217, by the platform's Intl. Example: 2 for EUR, 0 for JPY, 3 for KWD. */
export function decimalsOf(currency: string): number {
  const known = KNOWN.get(currency);
  if (known !== undefined) return known;
  const { maximumFractionDigits = 2 } = new Intl.NumberFormat('en', { style: 'currency', currency }).resolvedOptions();
  KNOWN.set(currency, maximumFractionDigits);
  return maximumFractionDigits;
}

/** Whether an amount in the major unit has no more decimals than its currency. */
export function hasItsDecimals(amount: number, currency: string): boolean {
  const minor = amount * 10 ** decimalsOf(currency);
  return Math.abs(minor - Math.round(minor)) < 1e-6 * Math.max(1, Math.abs(minor));
}

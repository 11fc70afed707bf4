/**
 * A number as it is written in a locale (BCP 47 tag), with so many decimals at least and at most; not grouped, as it stands
 * beside units. Example: 1.5 in "de" with one decimal → "1,5".
 */
export const formatNumber = (value: number, locale: string, least: number, most: number = least): string =>
  new Intl.NumberFormat(locale, {
    minimumFractionDigits: least,
    maximumFractionDigits: most,
    useGrouping: false,
  }).format(value);

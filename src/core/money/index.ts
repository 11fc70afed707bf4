export { CURRENCIES, decimalsOf, DEFAULT_CURRENCY, hasItsDecimals } from './currency';
export { addAll, fromMinor, less, toMajor, toMinor, toMoney, type Money } from './money';

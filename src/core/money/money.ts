import { add, dinero, multiply, toSnapshot, type Dinero } from 'dinero.js';
import { decimalsOf } from './currency';

/*
 * Sums of money: whole minor units of one currency (cents, pence, none), never fractions of one. Files and screens hold
 * amounts in the major unit, with at most the currency's own decimals.
 */

export type Money = Dinero<number>;

/** An amount in the major unit as money, to the nearest minor unit. Example: 12.345 EUR → 1235 cents. */
export const toMoney = (amount: number, currency: string): Money =>
  fromMinor(Math.round(Number((amount * 10 ** decimalsOf(currency)).toPrecision(15))), currency);

export const fromMinor = (amount: number, currency: string): Money =>
  dinero({ amount, currency: { code: currency, base: 10, exponent: decimalsOf(currency) } });

export const toMinor = (money: Money): number => toSnapshot(money).amount;

/** In the major unit, for files and screens. */
export function toMajor(money: Money): number {
  const { amount, scale } = toSnapshot(money);
  return Number((amount / 10 ** scale).toFixed(scale));
}

export const addAll = (list: readonly Money[], currency: string): Money => list.reduce(add, fromMinor(0, currency));
export const less = (money: Money): Money => multiply(money, -1);

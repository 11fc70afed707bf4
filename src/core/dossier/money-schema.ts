import { z } from 'zod';
import { CURRENCIES, decimalsOf, DEFAULT_CURRENCY, hasItsDecimals } from '../money';
import { LIMITS } from './limits';
import { day, percent, text } from './primitives';

export const amount = z.number().min(0).max(10_000_000);
export const targetSchema = z.looseObject({ profit: amount.optional(), per_hour: amount.optional() });
/** What a piece costs and brings, in the major unit of one currency, with at most its own decimals. */
export const moneySchema = z
  .looseObject({
    currency: z.enum(CURRENCIES as [string, ...string[]]).optional(),
    hour_rate: amount.optional(),
    target: targetSchema.optional(),
    /** `from`: the kind of place it was bought at, such as "house clearance". */
    bought: z.looseObject({ amount, at: day.optional(), from: text(60).optional() }).optional(),
    asking: amount.optional(),
    sale: z.looseObject({ low: amount, likely: amount, high: amount }).optional(),
    sold: z
      .looseObject({ amount, at: day.optional(), fees: amount.optional(), transport: amount.optional() })
      .optional(),
    fees_pct: percent.optional(),
    fees_fixed: amount.optional(),
    transport: amount.optional(),
    consumables: amount.optional(),
    hardware: amount.optional(),
    extras: z
      .array(z.looseObject({ what: text(80), amount, at: day.optional() }))
      .max(LIMITS.extras)
      .optional(),
    refunds: z
      .array(z.looseObject({ amount, at: day.optional() }))
      .max(LIMITS.extras)
      .optional(),
    spread: z
      .looseObject({ hours_pct: z.number().min(0).max(200).optional(), sale: z.literal('exact').optional() })
      .optional(),
    corrections: z
      .looseObject({
        materials: amount.optional(),
        hours: z.number().min(0).max(10_000).optional(),
        consumables: amount.optional(),
        /** What stood there before, oldest first, each with when it was put right. */
        earlier: z
          .array(
            z.looseObject({
              at: day,
              materials: amount.optional(),
              hours: z.number().min(0).max(10_000).optional(),
              consumables: amount.optional(),
            }),
          )
          .max(LIMITS.extras)
          .optional(),
      })
      .optional(),
  })
  .superRefine((money, context) => {
    const { currency = DEFAULT_CURRENCY, sale, bought, sold } = money;
    for (const { path, value } of listSums(money))
      if (!hasItsDecimals(value, currency)) {
        const params = { problem: 'too_fine', currency, decimals: decimalsOf(currency) };
        context.addIssue({ code: 'custom', path, params });
      }
    if (sale && !(sale.low <= sale.likely && sale.likely <= sale.high))
      context.addIssue({
        code: 'custom',
        path: ['sale', 'likely'],
        params: { problem: 'out_of_range', min: sale.low, max: sale.high },
      });
    if (sold?.fees !== undefined && sold.fees > sold.amount)
      context.addIssue({
        code: 'custom',
        path: ['sold', 'fees'],
        params: { problem: 'out_of_range', min: 0, max: sold.amount },
      });
    if (bought?.at && sold?.at && Date.parse(sold.at) < Date.parse(bought.at))
      context.addIssue({ code: 'custom', path: ['sold', 'at'], params: { problem: 'before', before: bought.at } });
  });

/** Sums with their places: whatever is a number there and no rate, percentage or hour. */
function listSums(value: unknown, path: (string | number)[] = []): { path: (string | number)[]; value: number }[] {
  if (typeof value === 'number') return NO_SUMS.has(String(path.at(-1))) ? [] : [{ path, value }];
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, own]) =>
    listSums(own, [...path, Array.isArray(value) ? Number(key) : key]),
  );
}
const NO_SUMS: ReadonlySet<string> = new Set(['fees_pct', 'hours_pct', 'hours']);

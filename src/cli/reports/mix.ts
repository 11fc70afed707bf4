import { listRecipes, type MixRequest } from '@/core/mix';
import { sayMeasures, sayMixWarning } from '@/words';

const round = (value: number, decimals: number): number => Number(value.toFixed(decimals));

/** `bricolage.mix/1`: what tins come out as together, or how they come nearest to a colour, as an open format. */
export function reportMix(request: MixRequest) {
  const measure = request.measure ?? 'ml';
  return {
    format: 'bricolage.mix/1' as const,
    recipes: listRecipes(request).map(({ parts, colour, de, deIfOffByTenth, warnings }) => ({
      parts: parts.map(({ tin, share, ml, measures }) => ({
        tin,
        share: round(share, 6),
        ml: round(ml, 3),
        measures: sayMeasures(measures, measure),
      })),
      colour,
      ...(de === null ? {} : { de: round(de, 2) }),
      de_if_off_by_tenth: round(deIfOffByTenth, 2),
      warnings: warnings.map((code) => ({ code, text: sayMixWarning(code) })),
    })),
  };
}

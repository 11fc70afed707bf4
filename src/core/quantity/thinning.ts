/**
 * Thinner as a share of the paint, said as a share of the whole mix. "4 parts paint to 1 part water" is 25 % of the paint
 * and 20 % of the mix. Share 0–1 in and out.
 */
export const convertPaintShareToMixShare = (shareOfPaint: number): number => shareOfPaint / (1 + shareOfPaint);

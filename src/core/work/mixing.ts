import { convertPaintShareToMixShare } from '../quantity';

export interface MixPart {
  name: string;
  parts: number;
}

/** How much of each part goes into a volume, ml, to the millilitre; the rounding is put on the largest. Volume > 0. */
export function portionMix(parts: readonly MixPart[], volumeMl: number): { name: string; ml: number; share: number }[] {
  const total = parts.reduce((sum, part) => sum + part.parts, 0);
  const rows = parts.map(({ name, parts: own }) => ({
    name,
    ml: Math.round((volumeMl * own) / total),
    share: own / total,
  }));
  const largest = rows.reduce((best, row) => (row.ml > best.ml ? row : best));
  largest.ml += Math.round(volumeMl) - rows.reduce((sum, { ml }) => sum + ml, 0);
  return rows;
}

/** For all coats and a tenth more: a colour that runs out is never met again (common practice). */
export const mixForJob = (ml: number): number => Math.ceil((ml * 11) / 100) * 10;

/** "4 parts to 1": thinner as a share of the paint and of the mix, 0–1 each. */
export function readThinning(paintParts: number, thinnerParts: number): { ofPaint: number; ofMix: number } {
  const ofPaint = thinnerParts / paintParts;
  return { ofPaint, ofMix: convertPaintShareToMixShare(ofPaint) };
}

/** When a batch mixed at an instant is past use, by its pot life in this warmth. */
export const spoilsAt = (mixedAt: string, potLifeMin: number): string =>
  new Date(Date.parse(mixedAt) + potLifeMin * 60_000).toISOString();

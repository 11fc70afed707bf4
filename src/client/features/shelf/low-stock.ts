import { levelOf, type ShelfItem } from '@/core/dossier';

/** Less than this share of the full tin, or this much where its size is not known, is running low (estimates). */
const LOW_SHARE = 0.2;
const LOW_ML = 150;

export function isLow(tin: ShelfItem): boolean {
  const left = levelOf(tin);
  return left !== undefined && left <= (tin.size_ml === undefined ? LOW_ML : LOW_SHARE * tin.size_ml);
}

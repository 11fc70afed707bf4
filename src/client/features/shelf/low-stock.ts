import type { ShelfItem } from '@/core/dossier';

/** Less than this share of the full tin, or this much where its size is not known, is running low (estimates). */
const LOW_SHARE = 0.2;
const LOW_ML = 150;

export const isLow = ({ volume_ml: left, size_ml: full }: ShelfItem): boolean =>
  left !== undefined && left <= (full === undefined ? LOW_ML : LOW_SHARE * full);

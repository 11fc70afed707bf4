import type { Dossier, LogEntry, ShelfItem } from '../dossier';
import { fail, type Problem } from '../shared';
import { listParts, templateOf } from '../templates';

/**
 * Why entries speak of what is not there: a tin the shelf neither has nor had, or a part the zone has not; null where all is
 * there. `tins`: those that were taken off the shelf too.
 */
export function findUnknown(
  { piece, zones = [] }: Dossier,
  entries: readonly LogEntry[],
  tins: readonly Pick<ShelfItem, 'id'>[],
): Problem | null {
  const known = tins.map(({ id }) => id);
  for (const [i, { zone, product, parts = [] }] of entries.entries()) {
    if (product !== undefined && !known.includes(product))
      return fail('unknown_tin', `entries[${i}].product`, { tin: product, allowed: known }).problem;
    const own = parts.length > 0 ? listParts(templateOf(piece).shapes, zones, zone) : [];
    const k = parts.findIndex((part) => !own.includes(part));
    if (k >= 0) return fail('unknown_part', `entries[${i}].parts[${k}]`, { part: parts[k]!, allowed: own }).problem;
  }
  return null;
}

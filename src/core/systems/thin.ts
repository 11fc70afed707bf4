import type { Ground } from './ground';
import { AIMS, priceElapsedHour, priceOpening, priceZone } from './prices';
import type { Label } from './search';

/**
 * The labels of a zone worth going on with: for every aim the best `few` as if the zone stood alone, with all its products to be opened, and the best `few` as if everything were open already.
 * Between the two lies whatever the other zones may open.
 */
export function thinLabels(labels: readonly Label[], ground: Ground, few: number): Label[] {
  if (labels.length <= few) return [...labels];
  const kept = new Set<Label>();
  for (const aim of AIMS) {
    const open = labels.map((label) => ({
      label,
      price: priceZone(label, ground, aim) + label.waitH * priceElapsedHour(aim),
    }));
    const alone = open.map(({ label, price }) => ({ label, price: price + priceOpening(label.uses, aim) }));
    for (const list of [open, alone])
      for (const { label } of list.sort((a, b) => a.price - b.price).slice(0, few)) kept.add(label);
  }
  return [...kept];
}

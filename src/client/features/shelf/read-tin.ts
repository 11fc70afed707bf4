import type { Gauge } from '@/client/store';
import { shelfItemSchema, type ShelfItem } from '@/core/dossier';
import { readNumber } from '@/core/shared';

const NUMBERS = {
  volume_ml: 'How much is left, 0 or more.',
  size_ml: 'How much a full tin holds, above 0.',
  recoat_h: 'Hours, 0 to 1000.',
  coverage_m2_l: 'What it covers, above 0 and no more than a film can be.',
  solids_pct: 'A percentage, 0 to 100.',
  cure_days: 'Days, 0 to 365.',
  recoat_until_h: 'Hours, 0 to 10 000.',
  window_opens_again_h: 'Hours, 0 to 10 000.',
  full_hardness_h: 'Hours, 0 to 10 000.',
  max_thinning_pct: 'A percentage, 0 to 100.',
  pot_life_h: 'Hours, above 0 and to 1000.',
  price: 'A sum of money, 0 or more.',
} as const;
type NumberField = keyof typeof NUMBERS;
/** How the fields of quantities are read in the owner's units. */
export type TinGauges = Partial<Record<keyof TinTexts, Pick<Gauge, 'read' | 'unit'>>>;
export type TinTexts = Record<NumberField | 'name' | 'opened_on', string>;

/** The tin as typed, and what is wrong with it, field by field. An empty field takes the class's value again. */
export function readTin(
  tin: ShelfItem,
  texts: TinTexts,
  gauges: TinGauges = {},
): { tin: ShelfItem; errors: Partial<Record<keyof TinTexts, string>> } {
  const errors: Partial<Record<keyof TinTexts, string>> = {};
  const next: Record<string, unknown> = { ...tin };
  for (const [field, text] of Object.entries(texts) as [keyof TinTexts, string][]) {
    const typed = text.trim();
    const stored = tin[field];
    const read = gauges[field]?.read ?? readNumber;
    const value =
      field === 'name' || field === 'opened_on'
        ? typed
        : (read(typed, typeof stored === 'number' ? stored : undefined) ?? NaN);
    if (typed === '') {
      delete next[field];
      continue;
    }
    next[field] = value;
    if (shelfItemSchema.shape[field].safeParse(value).success) continue;
    errors[field] =
      field === 'name'
        ? 'At most 80 letters.'
        : field === 'opened_on'
          ? 'A day as year-month-day, such as 2026-11-23.'
          : NUMBERS[field];
  }
  return { tin: next as ShelfItem, errors };
}

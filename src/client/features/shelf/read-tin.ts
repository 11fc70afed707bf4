import type { Gauge } from '@/client/store';
import { shelfItemSchema, type ShelfItem } from '@/core/dossier';
import { readNumber } from '@/core/shared';
import { READ_TIN_WORDS } from '@/words';

const NUMBERS = {
  volume_ml: READ_TIN_WORDS.howMuchIsLeft0Or,
  size_ml: READ_TIN_WORDS.howMuchAFullTinHolds,
  recoat_h: READ_TIN_WORDS.hours0To1000,
  coverage_m2_l: READ_TIN_WORDS.whatItCoversAbove0And,
  solids_pct: READ_TIN_WORDS.aPercentage0To100,
  cure_days: READ_TIN_WORDS.days0To365,
  recoat_until_h: READ_TIN_WORDS.hours0To10000,
  window_opens_again_h: READ_TIN_WORDS.hours0To10000,
  full_hardness_h: READ_TIN_WORDS.hours0To10000,
  max_thinning_pct: READ_TIN_WORDS.aPercentage0To100,
  pot_life_h: READ_TIN_WORDS.hoursAbove0AndTo1000,
  price: READ_TIN_WORDS.aSumOfMoney0Or,
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
        ? READ_TIN_WORDS.atMost80Letters
        : field === 'opened_on'
          ? READ_TIN_WORDS.aDayAsYearMonthDay
          : NUMBERS[field];
  }
  return { tin: next as ShelfItem, errors };
}

import { FILM_FACTS } from '../knowledge';
import type { LogEntry, ShelfItem } from '../dossier';

/** A coat of an unknown class is taken for a slow one (common practice: a month for most waterborne films). */
const LONGEST_CURE_DAYS = 30;

/** Days until a coat has cured: the label of its tin goes before its class, and an unknown class is taken for a slow one. */
export function cureDaysOf(code: string | undefined, tin?: Pick<ShelfItem, 'cure_days'>): number {
  const film = FILM_FACTS[code as keyof typeof FILM_FACTS] as { cureDays: number } | undefined;
  return tin?.cure_days ?? film?.cureDays ?? LONGEST_CURE_DAYS;
}

const DAY_MS = 86_400_000;

/** When the slowest of some coats has cured, counted from the last of them; null where none is dated. */
export function curedAt(
  coats: readonly Pick<LogEntry, 'at' | 'class' | 'product'>[],
  tins: readonly ShelfItem[],
): { days: number; at: string } | null {
  const dated = coats.flatMap(({ at, class: code, product }) =>
    at === undefined
      ? []
      : [
          {
            ms: Date.parse(at),
            days: cureDaysOf(
              code,
              tins.find(({ id }) => id === product),
            ),
          },
        ],
  );
  if (dated.length === 0) return null;
  const days = Math.max(...dated.map((own) => own.days));
  return { days, at: new Date(Math.max(...dated.map(({ ms }) => ms)) + days * DAY_MS).toISOString() };
}

/** A coat left for so long has closed, where its label says nothing (common practice: three weeks). */
const CLOSES_H = 21 * 24;

/** Hours after which a coat takes the next one only once it was dulled again: by the label of its tin, else by common practice. */
export const closesAfterH = (tin?: Pick<ShelfItem, 'recoat_until_h'>): number => tin?.recoat_until_h ?? CLOSES_H;

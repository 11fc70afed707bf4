import type { PieceStore } from './db';

/** Keeps what is worked out of a piece, until the piece changes or how its answers are to be believed. */
export function keepByPiece<T>(
  { misreadings }: Pick<PieceStore, 'misreadings'>,
  make: (id: string) => T,
): (id: string, changedAt: string) => T {
  const known = new Map<string, { changedAt: string; rates: unknown; value: T }>();
  return (id, changedAt) => {
    const before = known.get(id);
    const rates = misreadings();
    if (before?.changedAt === changedAt && before.rates === rates) return before.value;
    const value = make(id);
    known.set(id, { changedAt, rates, value });
    return value;
  };
}

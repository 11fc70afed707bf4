import type { Sale } from '@/core/earned';
import type { PieceKind } from '@/core/knowledge';

/** How many pieces of a kind the shop has met. */
export interface KindCount {
  kind: PieceKind;
  count: number;
  /** The highest number in use among those that are named by their kind alone: "Sideboard" is 1, "Sideboard 2" is 2. */
  numbered?: number;
}

/** What a new piece starts from: the kinds this shop meets, most first, and what it sold pieces for. */
export interface Kerb {
  kinds: KindCount[];
  sales: Sale[];
}

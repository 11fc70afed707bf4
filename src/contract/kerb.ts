import type { Sale } from '@/core/earned';
import type { PieceKind } from '@/core/knowledge';

/** How many pieces of a kind the shop has met. */
export interface KindCount {
  kind: PieceKind;
  count: number;
}

/** What a new piece starts from: the kinds this shop meets, most first, and what it sold pieces for. */
export interface Kerb {
  kinds: KindCount[];
  sales: Sale[];
}

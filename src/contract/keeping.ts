import { z } from 'zod';

/** Pieces that are out of the lists. */
export interface PutAway {
  archived: { id: string; name: string }[];
  /** In the bin, until they are gone for good. */
  removed: { id: string; name: string; goneAt: string }[];
}

/** The copies of the shop that are kept, newest first. */
export interface BackupList {
  backups: { at: string }[];
}

/** What has come in a file, beside what the shop has. Nothing of it is the shop's yet. */
export interface Arrival {
  id: string;
  from: 'piece' | 'shop';
  fresh: Counted;
  /** Here already, and just so. */
  same: Counted;
  /** Here under the same id, but otherwise, or in the bin. */
  clashes: Counted;
  /** Tins that are not on the shelf. */
  tins: number;
  pictures: number;
}

/** How many, and the names of the first. */
export interface Counted {
  count: number;
  names: string[];
}

/** What becomes of pieces that are here otherwise: left out, or brought beside ours under an id of their own. */
export const takeInSchema = z.object({ clashes: z.enum(['leave', 'beside']) });
export type Clashes = z.infer<typeof takeInSchema>['clashes'];

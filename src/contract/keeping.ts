import { z } from 'zod';
import type { Dossier } from '@/core/dossier';

/** Pieces that are out of the lists. */
export interface PutAway {
  archived: { id: string; name: string }[];
  /** In the bin, until they are gone for good. */
  removed: { id: string; name: string; goneAt: string }[];
}

/** The copies of the shop that are kept, newest first, and what its owner should know of its keeping. */
export interface BackupList {
  backups: {
    at: string;
    /** It cannot be put back: its records are damaged, or are another shop's. */
    damaged?: true;
    /** Pictures its records speak of that it does not have, where there are any. */
    pictures_missing?: number;
  }[];
  /** Pictures the last zip had to do without. */
  left_out?: { at: string; pictures: number };
  /** Since when the clock of the computer was not looked at, where it has jumped: nothing is deleted by it until it is confirmed. */
  clock_seen?: string;
}

/** Pieces that changed since a device last asked, and up to where it then knows the shop. */
export interface ChangedPieces {
  pieces: { dossier: Dossier; changedAt: string }[];
  /** Pieces that were put in the bin since. */
  gone: string[];
  mark: string;
  /** What changed since cannot be told: what the device keeps is of another time, and goes. */
  whole: boolean;
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

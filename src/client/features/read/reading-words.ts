import type { PieceParts } from '@/client/features/piece-frame';
import type { Zone } from '@/core/dossier';
import type { ReadingState } from '@/core/piece';
import type { ZoneDiagnosis } from '@/core/survey';

export const READING_WORDS: Readonly<Record<ReadingState, string>> = {
  open: 'not read',
  part: 'begun',
  settled: 'settled',
  conflict: 'answers clash',
  stopped: 'stopped',
};

/** What every part of the reading of one zone is given. */
export interface ReadingParts extends PieceParts {
  zone: Zone;
  diagnosis: ZoneDiagnosis;
}

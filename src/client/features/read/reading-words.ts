import type { PieceParts } from '@/client/features/piece-frame';
import type { Zone } from '@/core/dossier';
import type { ZoneDiagnosis } from '@/core/survey';

/** What every part of the reading of one zone is given. */
export interface ReadingParts extends PieceParts {
  zone: Zone;
  diagnosis: ZoneDiagnosis;
}

import type { Dossier } from '@/core/dossier';
import { diagnosePiece, type Circumstance } from '@/core/survey';

type Diagnoses = ReturnType<typeof diagnosePiece>;
const known = new WeakMap<Dossier, Map<Circumstance, Diagnoses>>();

/** What a piece is taken for, worked out once for as long as it stays the same, whoever asks. */
export function diagnosesOf(dossier: Dossier, place: Circumstance = 'bench'): Diagnoses {
  const own = known.get(dossier) ?? new Map<Circumstance, Diagnoses>();
  known.set(dossier, own);
  const before = own.get(place);
  if (before) return before;
  const diagnoses = diagnosePiece(dossier, place);
  own.set(place, diagnoses);
  return diagnoses;
}

import {
  drawChipStack,
  drawLatticeCase,
  photographCheck,
  photographChip,
  photographFault,
  photographLattice,
  photographMark,
  type Break,
  type Mark,
} from '../camera';
import type { SymptomCode } from '../knowledge';
import type { Pixels } from '../photo';
import { makeRandom } from '../shared';
import type { Severity } from '../scales';

/** What a made-up picture shows; the same again for the same seed. */
export type PictureSpec =
  | { of: 'check'; check: string; answer: string; seed: number }
  | { of: 'lattice'; grade: Severity; seed: number }
  | { of: 'mark'; mark: Mark; seed: number }
  | { of: 'chip'; broke: Break; seed: number }
  | { of: 'fault'; symptom: SymptomCode; seed: number };

/** Classes of lattice cases go round with their seeds. */
const CLASSES = 6;
export const latticeSeed = (grade: Severity, seed: number): number => seed * CLASSES + grade;
export const chipStackOf = (seed: number): ReturnType<typeof drawChipStack> => drawChipStack(makeRandom(seed * 31 + 1));

/** The picture, about `side` pixels (100–1000) each way; null where nothing is to be seen. */
export function renderPicture(spec: PictureSpec, side: number): Pixels | null {
  switch (spec.of) {
    case 'check':
      return photographCheck(spec.check, spec.answer, side, spec.seed);
    case 'lattice': {
      const { scene, shot } = drawLatticeCase(latticeSeed(spec.grade, spec.seed), (side * side) / 1e6);
      // Held as for a reading: near, from above.
      return photographLattice(scene, { ...shot, width: side, height: side, tiltDeg: shot.tiltDeg / 2, fill: 0.62 })
        .pixels;
    }
    case 'mark':
      return photographMark(spec.mark, side, spec.seed);
    case 'chip':
      return photographChip(chipStackOf(spec.seed), spec.broke, side, spec.seed);
    case 'fault':
      return photographFault(spec.symptom, side, spec.seed);
  }
}

import { DOSSIER_FORMAT, type Dossier } from '@/core/dossier';
import { diagnosePiece } from '@/core/survey';
import { diagnosesOf } from './diagnoses';

const DESK: Dossier = { format: DOSSIER_FORMAT, piece: { kind: 'desk' }, zones: [{ id: 'top', role: 'top' }] };

it('what a piece is taken for is worked out once, by the place, until the piece is another', () => {
  const first = diagnosesOf(DESK);
  expect(first).toEqual(diagnosePiece(DESK));
  expect(diagnosesOf(DESK)).toBe(first);
  expect(diagnosesOf(DESK, 'kerb')).toEqual(diagnosePiece(DESK, 'kerb'));
  expect(diagnosesOf({ ...DESK })).not.toBe(first);
});

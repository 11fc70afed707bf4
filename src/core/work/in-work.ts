import type { Dossier } from '../dossier';

/** Is there still something to do or to wait for: a system was taken, and the piece has not left. */
export const isInWork = ({ piece, chosen, log = [], outcomes = [] }: Dossier): boolean =>
  !piece.archived &&
  chosen !== undefined &&
  outcomes.length === 0 &&
  !log.some(({ op, skipped }) => op === 'handover' && !skipped);

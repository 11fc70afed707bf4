import { handedOverAt, type Dossier } from '../dossier';

/** Is there still something to do or to wait for: a system was taken and the piece has not left, or something is wrong with it. */
export const isInWork = (dossier: Dossier): boolean => {
  const { piece, chosen, outcomes = [], troubles = [] } = dossier;
  if (piece.archived || chosen === undefined) return false;
  if (troubles.some(({ settled }) => !settled)) return true;
  return outcomes.length === 0 && handedOverAt(dossier) === null;
};

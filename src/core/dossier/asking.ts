import type { Dossier } from './schema';

/** What is asked for a piece; an older file has it with the piece. */
export const askingOf = ({ money, piece }: Pick<Dossier, 'money' | 'piece'>): number | undefined =>
  money?.asking ?? piece.asking_price;

import type { Dossier } from '@/core/dossier';
import type { PieceStore } from '../db';
import type { Judged, Judgement } from './judgements';

/** A piece by its id and the time of its last change. */
export interface PieceMark {
  id: string;
  changedAt: string;
}

/** So many are asked for at once: whoever asks for few does not wait behind all of another's. */
const AT_A_TIME = 8;

/**
 * Keeps what was judged of each piece until the piece changes or how its answers are to be believed. Several who ask at once
 * wait for the same judgement. Gives one for each piece that is still there, in their order.
 */
export function keepByPiece<J extends Exclude<Judgement, 'readings' | 'shopAccount' | 'order'>>(
  { find, misreadings }: Pick<PieceStore, 'find' | 'misreadings'>,
  judge: (dossier: Dossier) => Promise<Judged<J>>,
): (pieces: readonly PieceMark[]) => Promise<{ id: string; judged: Judged<J> }[]> {
  const known = new Map<string, { changedAt: string; rates: unknown; judged: Promise<Judged<J>> }>();
  const tell = ({ id, changedAt }: PieceMark): Promise<Judged<J>> | null => {
    const before = known.get(id);
    const rates = misreadings();
    if (before?.changedAt === changedAt && before.rates === rates) return before.judged;
    const dossier = find(id);
    // It may have been taken away meanwhile.
    if (!dossier) return null;
    const judged = judge(dossier);
    const own = { changedAt, rates, judged };
    known.set(id, own);
    // What failed is asked for anew the next time.
    judged.catch(() => {
      if (known.get(id) === own) known.delete(id);
    });
    return judged;
  };
  return async (pieces) => {
    const told: { id: string; judged: Judged<J> }[] = [];
    for (let from = 0; from < pieces.length; from += AT_A_TIME) {
      const some = pieces.slice(from, from + AT_A_TIME).map((own) => ({ id: own.id, judged: tell(own) }));
      for (const { id, judged } of some) if (judged) told.push({ id, judged: await judged });
    }
    return told;
  };
}

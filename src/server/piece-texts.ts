import { isInWork } from '@/core/work';
import type { PieceStore } from './db';

/** Whole pieces as the bytes of the JSON they are sent as, each kept until it changes or how its answers are to be believed. */
export interface PieceTexts {
  /** One of them; undefined where there is none. */
  find: (id: string) => Buffer | undefined;
  /** Those of some that are in work, in their order. Others are answered in between. */
  listInWork: (ids: readonly string[]) => Promise<Buffer[]>;
}

interface Kept {
  mark: number;
  rates: unknown;
  text: Buffer;
  inWork: boolean;
}

/** So many are kept: those in work of a large shop. */
const MOST_KEPT = 500;
const AT_A_TIME = 4;

export function makePieceTexts(store: Pick<PieceStore, 'find' | 'findMark' | 'misreadings'>): PieceTexts {
  const known = new Map<string, Kept>();
  const find = (id: string): Kept | undefined => {
    const mark = store.findMark(id);
    if (mark === undefined) return undefined;
    const rates = store.misreadings();
    const before = known.get(id);
    if (before?.mark === mark && before.rates === rates) return before;
    const dossier = store.find(id)!;
    const kept = { mark, rates, text: Buffer.from(JSON.stringify(dossier)), inWork: isInWork(dossier) };
    known.delete(id);
    known.set(id, kept);
    if (known.size > MOST_KEPT) known.delete(known.keys().next().value!);
    return kept;
  };
  return {
    find: (id) => find(id)?.text,
    listInWork: async (ids) => {
      const texts: Buffer[] = [];
      for (const [i, id] of ids.entries()) {
        if (i % AT_A_TIME === AT_A_TIME - 1) await new Promise(setImmediate);
        // It may have been taken away meanwhile.
        const kept = find(id);
        if (kept?.inWork) texts.push(kept.text);
      }
      return texts;
    },
  };
}

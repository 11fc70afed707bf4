import type { PieceStore } from './db';

/** Whole pieces as the bytes of the JSON they are sent as, each kept until it changes or how its answers are to be believed. */
export interface PieceTexts {
  /** In their order; those that were taken away meanwhile are left out. Others are answered between two pieces. */
  list: (ids: readonly string[]) => Promise<Buffer[]>;
  /** One of them; undefined where there is none. */
  find: (id: string) => Buffer | undefined;
}

/** So many are kept: those in work of a large shop. */
const MOST_KEPT = 500;
const AT_A_TIME = 4;

export function makePieceTexts(store: Pick<PieceStore, 'find' | 'findMark' | 'misreadings'>): PieceTexts {
  const known = new Map<string, { mark: number; rates: unknown; text: Buffer }>();
  const recall = (id: string, mark: number): Buffer | undefined => {
    const before = known.get(id);
    return before?.mark === mark && before.rates === store.misreadings() ? before.text : undefined;
  };
  const find = (id: string): Buffer | undefined => {
    // The mark first: what changes in between is written anew the next time.
    const mark = store.findMark(id);
    if (mark === undefined) return undefined;
    const kept = recall(id, mark);
    if (kept !== undefined) return kept;
    const text = Buffer.from(JSON.stringify(store.find(id)));
    known.delete(id);
    known.set(id, { mark, rates: store.misreadings(), text });
    if (known.size > MOST_KEPT) known.delete(known.keys().next().value!);
    return text;
  };
  return {
    find,
    list: async (ids) => {
      const texts: Buffer[] = [];
      for (const [i, id] of ids.entries()) {
        if (i % AT_A_TIME === AT_A_TIME - 1) await new Promise(setImmediate);
        const text = find(id);
        if (text !== undefined) texts.push(text);
      }
      return texts;
    },
  };
}

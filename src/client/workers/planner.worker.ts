import { expose } from 'comlink';
import type { Dossier, Experience, ShelfItem } from '@/core/dossier';
import { withoutPiece } from '@/core/learning';
import { findableTin, findAll, listFindable, type Findable } from '@/core/find';
import { isMeant, selectSummaries, summarisePiece, type PiecesAsked, type PieceSummary } from '@/core/work';
import { answerPlanner, type PlannerAnswer, type PlannerRequest } from '../features/planner/planner-answers';

/* Plans are searched here, away from the interface's thread. */

/** What each asker was told last, by what it had asked: things that only look new are not worked out again. */
const told = new Map<number, { key: string; rough: boolean; id: number }>();
const MOST_TOLD = 24;
let count = 0;

export interface Told {
  /** Tells this answer from all others. */
  id: number;
  /** None where the asker holds it already. */
  answer: PlannerAnswer<PlannerRequest> | null;
}

const api = {
  /** `rough`: in haste, where that makes a difference. `holds`: the answer that the asker has in hand, 0 for none. */
  answer: (asker: number, request: PlannerRequest, rough: boolean, holds: number): Told => {
    const key = JSON.stringify(request);
    const last = told.get(asker);
    const serves = last && last.key === key && last.id === holds && (rough || !last.rough);
    if (serves) return { id: holds, answer: null };
    const answer = answerPlanner(request, rough);
    count += 1;
    told.delete(asker);
    told.set(asker, { key, rough, id: count });
    if (told.size > MOST_TOLD) told.delete(told.keys().next().value!);
    return { id: count, answer };
  },
  /** What pieces are, where they stand and what comes next: a stretch of those that are meant by some words. */
  summarise: (
    pieces: readonly Dossier[],
    { from, count, ...asked }: PiecesAsked & { from: number; count: number },
  ): { pieces: PieceSummary[]; total: number } => {
    const meant = pieces.filter(({ piece }) => isMeant(piece, asked.find));
    const wanted = selectSummaries(meant.map(summarisePiece), asked);
    return { pieces: wanted.slice(from, from + count), total: wanted.length };
  },
  /** What is written down of pieces and tins, by some words. */
  find: (pieces: readonly Dossier[], tins: readonly ShelfItem[], words: string, most: number): Findable[] =>
    findAll([...pieces.flatMap(listFindable), ...tins.map(findableTin)], words, most),
  /** What a shop's other pieces taught. */
  teachOthers: (whole: readonly Experience[], piece: Dossier): Experience[] => withoutPiece(whole, piece),
};
export type PlannerApi = typeof api;

expose(api);

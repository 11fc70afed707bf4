import { openLine, type Line } from '@/client/workers/line';
import type { PlannerApi } from '@/client/workers/planner.worker';
import type { Dossier, Experience, ShelfItem } from '@/core/dossier';
import type { Findable } from '@/core/find';
import type { PiecesAsked, PieceSummary } from '@/core/work';
import { findAnswer, findKeptPiece, listKeptPieces } from './kept-shop';

/* What the server would answer, worked out here from what this browser keeps, with what waits to be sent. */

let line: Line<PlannerApi> | null = null;
const ask = <T>(question: Parameters<Line<PlannerApi>['ask']>[1]): Promise<T | undefined> => {
  line ??= openLine<PlannerApi>(() => new Worker(new URL('../workers/planner.worker', import.meta.url)));
  // Each question is its own asker: none is overtaken by another.
  return line.ask(Symbol('away'), question).then((reply) => (reply.ok ? (reply.answer as T) : undefined));
};

/** A kept piece as its owner sees it. */
export type SeenHere = (stored: Dossier, id: string) => Dossier;

interface Summaries {
  pieces: PieceSummary[];
  total: number;
}

/** A stretch of the list of all pieces: those that are kept as they are now, then the others as they were last heard. */
async function summariesAway(query: URLSearchParams, seen: SeenHere): Promise<Summaries | undefined> {
  const kept = await listKeptPieces();
  if (kept.length === 0) return undefined;
  const [from, count] = [Number(query.get('from')), Number(query.get('count'))];
  const asked = {
    find: query.get('find') ?? '',
    kind: query.get('kind') as PiecesAsked['kind'],
    show: (query.get('show') ?? 'all') as PiecesAsked['show'],
    sort: (query.get('sort') ?? 'changed') as PiecesAsked['sort'],
  };
  const pieces = kept
    .map((dossier) => seen(dossier, dossier.piece.id!))
    .filter(({ piece }) => (piece.archived === true) === (asked.show === 'archived'));
  const here = await ask<Summaries>((api) => api.summarise(pieces, { ...asked, from, count }));
  if (!here) return undefined;
  const known = new Set(kept.map(({ piece }) => piece.id));
  const heard = (await findAnswer(`/lists/summaries?${query.toString()}`)) as Summaries | undefined;
  const others = (heard?.pieces ?? []).filter(({ id }) => !known.has(id));
  const room = count - here.pieces.length;
  return { pieces: [...here.pieces, ...others.slice(0, room)], total: Math.max(here.total, heard?.total ?? 0) };
}

/** What is written down of the pieces that are kept here, and of the tins as they were last heard. */
async function foundAway(query: URLSearchParams, seen: SeenHere): Promise<{ found: Findable[] } | undefined> {
  const pieces = (await listKeptPieces()).map((dossier) => seen(dossier, dossier.piece.id!));
  const heard = (await findAnswer('/shelf')) as { tins: ShelfItem[] } | undefined;
  const most = Number(query.get('count') ?? 40);
  const found = await ask<Findable[]>((api) => api.find(pieces, heard?.tins ?? [], query.get('words') ?? '', most));
  return found && { found };
}

async function experienceAway(except: string): Promise<Experience[] | undefined> {
  const whole = (await findAnswer('/experience')) as { experience: Experience[] } | undefined;
  const piece = await findKeptPiece(except);
  if (!whole || !piece) return undefined;
  return ask<Experience[]>((api) => api.teachOthers(whole.experience, piece));
}

/** The answer to a question, where it can be worked out here; nothing where it can only be recalled. */
export async function answerAway(path: string, seen: SeenHere): Promise<unknown> {
  const { pathname, searchParams } = new URL(path, 'http://away');
  if (pathname === '/lists/summaries') return summariesAway(searchParams, seen);
  if (pathname === '/lists/find') return foundAway(searchParams, seen);
  const except = pathname === '/experience' ? searchParams.get('except') : null;
  if (except === null) return undefined;
  const experience = await experienceAway(except);
  return experience && { experience };
}

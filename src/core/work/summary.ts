import { KIND_LABELS, type PieceKind } from '../knowledge';
import { namePiece, wishOf, type Dossier } from '../dossier';
import { listReadings, type DueReading } from '../panel';
import { buildSection, buildTreatedSection, type Section } from '../piece';
import { computeBelief } from '../survey';
import { judgeStanding, type Standing } from './standing';

/** A piece as a list of all of them shows it. It hangs on the piece alone, not on the time of day. */
export interface PieceSummary extends Standing {
  id: string;
  name: string;
  kind: PieceKind;
  /** The day it is wanted by. */
  due: string | null;
  /** A cut through the zone that is known best; none where it has no zones yet. */
  section: Section | null;
  /** The reading of a panel that comes next. ISO instants. */
  reading: Pick<DueReading, 'moment' | 'dueAt' | 'overdueAt'> | null;
}

export function summarisePiece(dossier: Dossier): PieceSummary {
  // What is due hangs on the clock, when it will be does not.
  const next = listReadings(dossier, new Date(0).toISOString())[0];
  return {
    id: dossier.piece.id ?? '',
    name: namePiece(dossier.piece),
    kind: dossier.piece.kind,
    due: dossier.goal?.due ?? null,
    ...judgeStanding(dossier),
    section: drawSection(dossier),
    reading: next ? { moment: next.moment, dueAt: next.dueAt, overdueAt: next.overdueAt } : null,
  };
}

/** Which pieces are wanted, and in which order. */
export const SHOWN = ['all', 'held', 'due', 'archived'] as const;
export const SORTS = ['changed', 'due', 'name'] as const;
export interface PiecesAsked {
  find: string;
  kind: PieceKind | null;
  show: (typeof SHOWN)[number];
  sort: (typeof SORTS)[number];
}

/** Whether the summaries of all are needed to tell which pieces are wanted, or in which order. */
export const asksSummaries = ({ show, sort }: Pick<PiecesAsked, 'show' | 'sort'>): boolean =>
  show === 'held' || show === 'due' || sort !== 'changed';

/** Those of a list that are wanted, in the order that is wanted; in its own order where that is by change. */
export function selectSummaries(all: readonly PieceSummary[], { kind, show, sort }: PiecesAsked): PieceSummary[] {
  const wanted = all.filter(
    (own) =>
      (kind === null || own.kind === kind) &&
      (show !== 'held' || own.tone === 'stop') &&
      (show !== 'due' || own.due !== null),
  );
  if (sort === 'name') return wanted.sort((a, b) => a.name.localeCompare(b.name));
  // What is wanted by no day comes last.
  const dayOf = ({ due }: PieceSummary): string => due ?? '9999';
  return sort === 'due' ? wanted.sort((a, b) => (dayOf(a) < dayOf(b) ? -1 : dayOf(a) > dayOf(b) ? 1 : 0)) : wanted;
}

/** Whether a piece is meant by what was typed: each word is in its name or in what kind it is. */
export function isMeant(piece: Pick<Dossier['piece'], 'name' | 'kind'>, find: string): boolean {
  const text = `${piece.name ?? ''} ${KIND_LABELS[piece.kind]}`.toLocaleLowerCase();
  return find
    .toLocaleLowerCase()
    .split(/\s+/)
    .every((word) => text.includes(word));
}

function drawSection(dossier: Dossier): Section | null {
  const { zones = [] } = dossier;
  const zone = zones.find(({ observations }) => observations?.length) ?? zones[0];
  if (!zone) return null;
  const belief = computeBelief(dossier, zone);
  const taken = dossier.chosen?.zones.find(({ id }) => id === zone.id);
  return taken ? buildTreatedSection(belief, taken.treatment, wishOf(dossier, zone)) : buildSection(belief);
}

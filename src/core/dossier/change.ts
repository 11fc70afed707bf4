import { fail, succeed, type Result } from '../shared';
import { CHANGES_OF_PIECE } from './changes-of-piece';
import { CHANGES_OF_WORK } from './changes-of-work';
import { listPieceFacts } from './facts-of-piece';
import { findSharedId, withIds } from './ids';
import { findOverfull } from './limits';
import type { ChangeOfPiece, ChangeType, PieceChange, PieceChangeRecord, RecordsOf } from './piece-change';
import type { Dossier, LogEntry, Test } from './schema';

/** Every change of a piece that is there, with all about it. */
export const PIECE_CHANGES: RecordsOf<ChangeType> = { ...CHANGES_OF_PIECE, ...CHANGES_OF_WORK };

const recordOf = (change: ChangeOfPiece) => PIECE_CHANGES[change.type] as PieceChangeRecord<ChangeType>;

/** The dossier after a change; unchanged where the change cannot be made. `undefined` in means the piece is not there yet. */
export function applyChange(dossier: Dossier | undefined, change: PieceChange): Dossier | undefined {
  if (change.type === 'piece_met') return dossier ?? withIds(change.dossier);
  if (!dossier) return undefined;
  const made = tryChange(dossier, change);
  return made.ok ? made.value : dossier;
}

/** A change of a piece that is there, or why it cannot be made. Server and client ask the same. */
export function tryChange(dossier: Dossier, change: ChangeOfPiece): Result<Dossier> {
  const record = recordOf(change);
  const ids = new Set(dossier.zones?.map(({ id }) => id));
  if ((record.zones?.(change) ?? []).some((zone) => zone !== undefined && !ids.has(zone)))
    return fail('zone_not_found');
  const refused = record.refuses?.(dossier, change) ?? null;
  if (refused) return { ok: false, problem: refused };
  const after = record.apply(dossier, change);
  const problem = findOverfull(dossier, after) ?? (record.bringsIds ? findSharedId(after) : null);
  return problem ? { ok: false, problem } : succeed(after);
}

/**
 * What of a change is to be sent: where it sets a whole record that is there, the facts in which it differs from what its
 * maker saw, so that it takes nothing back that another changes meanwhile; null where nothing differs.
 */
export function narrowChange(before: Dossier | undefined, change: PieceChange): PieceChange | null {
  if (change.type === 'piece_met' || !before || !recordOf(change).byFacts) return change;
  // A zone that is not there comes whole.
  if (change.type === 'zone_set' && !before.zones?.some(({ id }) => id === change.zoneId)) return change;
  const made = tryChange(before, change);
  if (!made.ok) return change;
  const facts = listPieceFacts(before, made.value);
  return facts.length > 0 ? { type: 'facts_changed', facts } : null;
}

/** What undoes a change made on `before`, in the order to make it; null where it cannot be undone. */
export function invertChange(before: Dossier | undefined, change: PieceChange): ChangeOfPiece[] | null {
  if (change.type === 'piece_met' || !before) return null;
  return recordOf(change).invert(before, change);
}

/** Work put right: what was written before stays with each entry. */
export function correctWork(
  entries: readonly LogEntry[],
  now: Partial<Pick<LogEntry, 'at' | 'minutes' | 'ml' | 'thinned_pct' | 'product' | 'class' | 'note' | 'coats'>>,
): LogEntry[] {
  return entries.map(({ earlier = [], ...before }) => {
    const { id: _id, work: _work, ...facts } = before;
    const { minutes_estimated: _estimated, ...timed } = before;
    return {
      ...(now.minutes === undefined ? before : timed),
      ...now,
      earlier: [...earlier, facts].slice(-MOST_CORRECTIONS),
    };
  });
}

/** A test read again or put right: what was read before stays with it. */
export function correctTest(
  { earlier = [], ...before }: Test,
  now: Pick<Test, 'reading' | 'age_h' | 'interface' | 'at' | 'note' | 'photo'>,
): Test {
  const { reading, age_h, interface: place, at } = before;
  const kept = {
    reading,
    ...(age_h === undefined ? {} : { age_h }),
    ...(place ? { interface: place } : {}),
    ...(at ? { at } : {}),
  };
  const { interface: _place, ...rest } = before;
  return { ...rest, ...now, earlier: [...earlier, kept].slice(-MOST_CORRECTIONS) };
}

const MOST_CORRECTIONS = 50;

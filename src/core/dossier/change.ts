import { fail, succeed, type Result } from '../shared';
import { CHANGES_OF_PIECE } from './changes-of-piece';
import { CHANGES_OF_WORK } from './changes-of-work';
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
  if (change.type === 'zone_set') {
    const { like } = change.facts;
    if (like !== undefined && (like === change.zoneId || !ids.has(like)))
      return fail('unknown_zone', 'like', { zone: like, allowed: [...ids].filter((id) => id !== change.zoneId) });
  }
  const after = record.apply(dossier, change);
  const problem = findOverfull(dossier, after) ?? (record.bringsIds ? findSharedId(after) : null);
  return problem ? { ok: false, problem } : succeed(after);
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
    return { ...before, ...now, earlier: [...earlier, facts].slice(-MOST_CORRECTIONS) };
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

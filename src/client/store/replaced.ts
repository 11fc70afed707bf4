import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { LiveChange } from '@/contract';
import {
  invertChange,
  invertShelfChange,
  isShelfChange,
  PIECE_CHANGES,
  tryChange,
  tryShelfChange,
  type ChangeOfPiece,
  type Dossier,
  type ShelfItem,
} from '@/core/dossier';
import { isSame, type Fact, type Result } from '@/core/shared';
import { invertWorkshopChange, isWorkshopChange, tryWorkshopChange, type Workshop } from '@/core/workshop';
import { timeNow } from './clock';
import { changeMade, type PendingChange } from './outbox';

/** What was set here a moment ago and another has replaced since. */
export interface Replaced extends PendingChange {
  /** The device that did it, by its name; none for the computer itself. */
  by?: string;
  /** The facts of it that are otherwise now; none where it was a record as a whole. */
  facts: OtherFact[];
}

/** A fact as it was set here, and as it is now. */
export interface OtherFact {
  /** The field, or what the item of a list goes by. */
  name: string;
  mine: unknown;
  now: unknown;
}

interface ReplacedState {
  /** What was done here lately, by the id of each change. */
  own: PendingChange[];
  told: Replaced[];
}

/** What one has set is looked after so long: who has gone on since does not wait for it. */
const REMEMBERED = 30;
const LATELY_MS = 30 * 60_000;

/** What adds up or comes anew replaces nothing, and is not replaced. */
const ADDS: ReadonlySet<PendingChange['change']['type']> = new Set([
  'piece_met',
  'picture_taken',
  'tin_drawn',
  'tin_given_back',
]);

export const replacedSlice = createSlice({
  name: 'replaced',
  initialState: (): ReplacedState => ({ own: [], told: [] }),
  reducers: {
    replacedHeard: (state, { payload }: PayloadAction<readonly Replaced[]>) => {
      const gone = new Set(payload.map(({ id }) => id));
      state.own = state.own.filter(({ id }) => !gone.has(id));
      state.told.push(...payload);
    },
    replacedSeen: (state, { payload }: PayloadAction<{ id: string }>) => {
      state.told = state.told.filter(({ id }) => id !== payload.id);
    },
  },
  extraReducers: (builder) =>
    builder.addCase(changeMade, (state, { payload }) => {
      if (!ADDS.has(payload.change.type)) state.own = [...state.own, payload].slice(-REMEMBERED);
    }),
});
export const { replacedHeard, replacedSeen } = replacedSlice.actions;

/** What is there now, of whatever a change may be about; what is not known is not argued about. */
export interface Known {
  piece: (id: string) => Dossier | undefined;
  tins: readonly ShelfItem[] | undefined;
  workshop: Workshop | undefined;
}

/**
 * Whether a change is lost in a state: made again it would alter something, and not only what was done otherwise later by
 * the same hand.
 */
function isLost<State, Change>(
  state: State | undefined,
  mine: Change,
  later: readonly Change[],
  attempt: (on: State, change: Change) => Result<State>,
): boolean {
  if (state === undefined) return false;
  const again = attempt(state, mine);
  // What it was about is gone: taken away by another, if nothing was done here since.
  if (!again.ok) return later.length === 0;
  const goOn = (from: State): State =>
    later.reduce((on, change) => {
      const made = attempt(on, change);
      return made.ok ? made.value : on;
    }, from);
  return !isSame(goOn(again.value), goOn(state));
}

const isOfPiece = (change: PendingChange['change']): change is ChangeOfPiece => change.type in PIECE_CHANGES;

function isReplaced({ piece, tins, workshop }: Known, mine: PendingChange, later: readonly PendingChange[]): boolean {
  const { change, pieceId } = mine;
  const since = later.map((own) => own.change);
  if (isShelfChange(change)) return isLost(tins, change, since.filter(isShelfChange), tryShelfChange);
  if (isWorkshopChange(change)) return isLost(workshop, change, since.filter(isWorkshopChange), tryWorkshopChange);
  const ofPiece = later.flatMap((own) => (own.pieceId === pieceId && isOfPiece(own.change) ? [own.change] : []));
  return isOfPiece(change) && isLost(piece(pieceId), change, ofPiece, tryChange);
}

/** What would undo a change tells what is now where it set something. */
function invertNow({ piece, tins, workshop }: Known, { pieceId, change }: PendingChange): unknown[] {
  if (isShelfChange(change)) return (tins && invertShelfChange(tins, change)) ?? [];
  if (isWorkshopChange(change)) return (workshop && invertWorkshopChange(workshop, change)) ?? [];
  return change.type === 'picture_taken' ? [] : (invertChange(piece(pieceId), change) ?? []);
}

/** The facts of a change that are otherwise now. */
function listOther(known: Known, mine: PendingChange): OtherFact[] {
  const factsOf = (change: unknown): Fact[] => (change as { facts?: Fact[] } | undefined)?.facts ?? [];
  const now = factsOf(invertNow(known, mine)[0]);
  return factsOf(mine.change).flatMap(({ path, value }) => {
    const other = now.find((own) => isSame(own.path, path))?.value;
    return isSame(other, value) ? [] : [{ name: path.at(-1)!, mine: value, now: other }];
  });
}

/** Of what was done here lately, what others have just replaced, with the device that did. */
export function findReplaced(own: readonly PendingChange[], heard: readonly LiveChange[], known: Known): Replaced[] {
  const since = new Date(Date.parse(timeNow()) - LATELY_MS).toISOString();
  return own.flatMap((mine, i) => {
    const by = heard.findLast(
      // Another tab of this browser is no other hand.
      ({ by: page, piece, shelf, workshop }) =>
        page !== undefined &&
        ((piece !== undefined && piece === mine.pieceId) ||
          (shelf === true && isShelfChange(mine.change)) ||
          (workshop === true && isWorkshopChange(mine.change))),
    );
    if (!by || (mine.madeAt ?? '') < since || !isReplaced(known, mine, own.slice(i + 1))) return [];
    return [{ ...mine, ...(by.device === undefined ? {} : { by: by.device }), facts: listOther(known, mine) }];
  });
}

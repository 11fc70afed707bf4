import { createSlice, type Middleware, type PayloadAction } from '@reduxjs/toolkit';
import { useDispatch, useSelector } from 'react-redux';
import {
  invertChange,
  invertShelfChange,
  isShelfChange,
  narrowChange,
  narrowShelfChange,
  type Dossier,
} from '@/core/dossier';
import { EMPTY_WORKSHOP, invertWorkshopChange, isWorkshopChange, narrowWorkshopChange } from '@/core/workshop';
import { correctionOf, timeNow, type ClockState } from './clock';
import { changeMade, changeRefused, type OutboxState, type PendingChange } from './outbox';
import { piecesApi } from './pieces-api';
import { overlay, overlayShelf, overlayWorkshop } from './overlay';
import { makeId } from './use-piece';

type Unsent = Omit<PendingChange, 'id'>;

/** What one tap did, and what would undo it. */
export interface Tap {
  /** The piece it was on; empty for the shop. */
  pieceId: string;
  made: PendingChange['change'][];
  /** In the words of whoever made it. */
  said?: string;
  /** The piece before it, which words are taken from. */
  before: Dossier | undefined;
  /** In the order to make them; null where it stands as it was said. */
  inverse: Unsent[] | null;
}

export const undoSlice = createSlice({
  name: 'undo',
  initialState: { last: null } as { last: Tap | null },
  reducers: {
    tapNoted: (state, { payload }: PayloadAction<Tap>) => {
      state.last = payload;
    },
    tapForgotten: (state) => {
      state.last = null;
    },
  },
  // What the server refused did not happen.
  extraReducers: (builder) => builder.addCase(changeRefused, () => ({ last: null })),
});
export const { tapNoted, tapForgotten } = undoSlice.actions;

interface Seen {
  outbox: OutboxState;
  clock: ClockState;
  undo: { last: Tap | null };
}

/**
 * The door that every change goes through. Of a whole record only what differs goes on, and nothing where nothing does. What
 * would undo the last tap is kept: the inverse of each of its changes, asked of the change's own record. Changes made in one
 * turn are one tap. What is made to undo is no tap of its own.
 */
export function makeUndoKeeper(): Middleware {
  let open: Tap | null = null;
  return (api) => (next) => (action) => {
    if (!changeMade.match(action)) return next(action);
    const { change, pieceId, said, undoes } = action.payload;
    const { narrowed, inverse, before } = compare(api.getState() as Seen, action.payload);
    if (!narrowed) return undefined;
    const { clock } = api.getState() as Seen;
    const when = { madeAt: timeNow(), ...(clock.heard ? { setBackMs: correctionOf(clock) } : {}) };
    const result = next(changeMade({ ...when, ...action.payload, change: narrowed }));
    if (undoes) return result;
    const started: Tap = open ?? { pieceId, made: [], before, inverse: [], ...(said ? { said } : {}) };
    if (!open) queueMicrotask(() => (open = null));
    // The last that was done is the first to be undone.
    open = {
      ...started,
      made: [...started.made, change],
      inverse: inverse && started.inverse ? [...inverse, ...started.inverse] : null,
    };
    api.dispatch(tapNoted(open));
    return result;
  };
}

interface Compared extends Pick<Tap, 'before' | 'inverse'> {
  narrowed: PendingChange['change'] | null;
}

/** A change beside what the owner sees now: what the server holds with the changes still on their way. */
function compare(state: Seen, { pieceId, change }: PendingChange): Compared {
  const root = state as unknown as Parameters<ReturnType<typeof piecesApi.endpoints.getPiece.select>>[0];
  const { pending } = state.outbox;
  if (isShelfChange(change)) {
    const tins = overlayShelf(piecesApi.endpoints.listTins.select()(root).data ?? [], pending);
    const narrowed = narrowShelfChange(tins, change);
    return { narrowed, before: undefined, inverse: unsent('', narrowed && invertShelfChange(tins, narrowed)) };
  }
  if (isWorkshopChange(change)) {
    const shop = overlayWorkshop(piecesApi.endpoints.getWorkshop.select()(root).data ?? EMPTY_WORKSHOP, pending);
    const narrowed = narrowWorkshopChange(shop, change);
    return { narrowed, before: undefined, inverse: unsent('', narrowed && invertWorkshopChange(shop, narrowed)) };
  }
  const before = overlay(piecesApi.endpoints.getPiece.select(pieceId)(root).data, pending, pieceId);
  if (change.type === 'picture_taken') {
    const { photoId } = change;
    return { narrowed: change, before, inverse: unsent(pieceId, [{ type: 'photo_withdrawn', photoId }]) };
  }
  const narrowed = narrowChange(before, change);
  return { narrowed, before, inverse: unsent(pieceId, narrowed && invertChange(before, narrowed)) };
}

const unsent = (pieceId: string, changes: readonly PendingChange['change'][] | null): Unsent[] | null =>
  changes?.map((change) => ({ pieceId, change })) ?? null;

/** The last tap while it can be undone. */
export function useUndo(): { last: Tap | null; undo: () => void; forget: () => void } {
  const dispatch = useDispatch();
  const last = useSelector((state: Seen) => state.undo.last);
  return {
    last: last?.inverse && last.inverse.length > 0 ? last : null,
    undo: () => {
      for (const own of last?.inverse ?? []) dispatch(changeMade({ ...own, id: makeId(), undoes: true }));
      dispatch(tapForgotten());
    },
    forget: () => void dispatch(tapForgotten()),
  };
}

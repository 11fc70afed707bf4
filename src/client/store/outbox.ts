import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { PieceChange, ShelfChange } from '@/core/dossier';
import type { WorkshopChange } from '@/core/workshop';
import { recall } from './keep';

/** A change made here and not yet acknowledged by the server. */
export interface PendingChange {
  id: string;
  /** The piece it belongs to; empty for what belongs to the shop. */
  pieceId: string;
  change: PieceChange | ShelfChange | WorkshopChange;
  /** What was done, where whoever made the change can say it better than the change itself. */
  said?: string;
  /** It takes back what was done last. */
  undoes?: true;
}

export interface OutboxState {
  pending: PendingChange[];
  /** The server could not be reached since then; it is tried again by itself. */
  awaySince: string | null;
  /** The last change the server refused, in words. */
  refusal: string | null;
}

const initialState = (): OutboxState => ({
  pending: recall<PendingChange[]>('outbox', []),
  awaySince: null,
  refusal: null,
});

/** Paint that was drawn off for work the server refused was not drawn off. */
const isDrawnFor = (change: PendingChange['change'], refused: PendingChange['change'] | undefined): boolean =>
  refused?.type === 'work_logged' && change.type === 'tin_drawn' && change.drawing.work === refused.work;

/** Changes wait here, in order, until the server has stored them. What is shown is the server's piece plus these. */
export const outboxSlice = createSlice({
  name: 'outbox',
  initialState,
  reducers: {
    changeMade: (state, { payload }: PayloadAction<PendingChange>) => {
      state.pending.push(payload);
      state.refusal = null;
    },
    changeStored: (state, { payload }: PayloadAction<{ id: string }>) => {
      state.pending = state.pending.filter(({ id }) => id !== payload.id);
      state.awaySince = null;
    },
    changeRefused: (state, { payload }: PayloadAction<{ id: string; message: string }>) => {
      const refused = state.pending.find(({ id }) => id === payload.id)?.change;
      state.pending = state.pending.filter(({ id, change }) => id !== payload.id && !isDrawnFor(change, refused));
      state.refusal = payload.message;
    },
    serverLost: {
      reducer: (state, { payload }: PayloadAction<string>) => {
        state.awaySince ??= payload;
      },
      prepare: () => ({ payload: new Date().toISOString() }),
    },
    serverFound: (state) => {
      state.awaySince = null;
    },
    refusalRead: (state) => {
      state.refusal = null;
    },
  },
});

export const { changeMade, changeStored, changeRefused, serverLost, serverFound, refusalRead } = outboxSlice.actions;

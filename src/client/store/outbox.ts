import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { PictureTaken, PieceChange, ShelfChange } from '@/core/dossier';
import type { WorkshopChange } from '@/core/workshop';
import { OUTBOX_WORDS } from '@/words';

/** A change made here and not yet acknowledged by the server. */
export interface PendingChange {
  id: string;
  /** The piece it belongs to; empty for what belongs to the shop. */
  pieceId: string;
  change: PieceChange | PictureTaken | ShelfChange | WorkshopChange;
  /** What was done, where whoever made the change can say it better than the change itself. */
  said?: string;
  /** When, by this device's clock. */
  madeAt?: string;
  /** By how much that clock was set back then, ms; none where it was not known yet how it stands to the computer's. */
  setBackMs?: number;
  /** It takes back what was done last. */
  undoes?: true;
}

/** As it is kept: with the reason, where the server refused it. */
export interface Waiting extends PendingChange {
  refused?: string;
}

export interface OutboxState {
  pending: PendingChange[];
  /** Refused by the server, with the reason: laid aside until the owner sends them again or throws them away. */
  parked: Waiting[];
  /** The server could not be reached since then; it is tried again by itself. */
  awaySince: string | null;
  /** Changes that this browser had no room to keep: they live in this page alone. */
  unkept: string[];
  /** The browser's storage was cleared while this page was open. */
  cleared: boolean;
}

const initialState: OutboxState = { pending: [], parked: [], awaySince: null, unkept: [], cleared: false };

/** Paint that was drawn off for work goes with the work: what was not done took none. */
export const isDrawnFor = (change: PendingChange['change'], work: PendingChange['change'] | undefined): boolean =>
  work?.type === 'work_logged' && change.type === 'tin_drawn' && change.drawing.work === work.work;

/** Why a change is laid aside that was not itself refused. */
const WENT_ALONG = OUTBOX_WORDS.itBelongsToWorkThatWas;

/** Changes wait here, in order, until the server has stored them. What is shown is the server's piece plus these. */
export const outboxSlice = createSlice({
  name: 'outbox',
  initialState: () => initialState,
  reducers: {
    changeMade: (state, { payload }: PayloadAction<PendingChange>) => {
      state.pending.push(payload);
    },
    changeStored: (state, { payload }: PayloadAction<{ id: string }>) => {
      state.pending = state.pending.filter(({ id }) => id !== payload.id);
      state.awaySince = null;
    },
    changeRefused: (state, { payload }: PayloadAction<{ id: string; message: string }>) => {
      const refused = state.pending.find(({ id }) => id === payload.id);
      if (!refused) return;
      const along = state.pending.filter(({ change }) => isDrawnFor(change, refused.change));
      const gone = new Set([refused, ...along].map(({ id }) => id));
      state.parked.push({ ...refused, refused: payload.message });
      for (const own of along) state.parked.push({ ...own, refused: WENT_ALONG });
      state.pending = state.pending.filter(({ id }) => !gone.has(id));
    },
    /** A change that was laid aside is sent again, with what went along. */
    changeTriedAgain: (state, { payload }: PayloadAction<{ id: string }>) => {
      const again = withAlong(state.parked, payload.id);
      state.parked = state.parked.filter((own) => !again.includes(own));
      state.pending.push(...again.map(({ refused: _reason, ...own }) => own));
    },
    changeThrownAway: (state, { payload }: PayloadAction<{ id: string }>) => {
      const gone = withAlong(state.parked, payload.id);
      state.parked = state.parked.filter((own) => !gone.includes(own));
    },
    /** What is kept in the browser, after another tab has changed it. What only this page has stays. */
    changesRead: (state, { payload }: PayloadAction<Waiting[]>) => {
      const own = state.pending.filter(({ id }) => state.unkept.includes(id));
      state.pending = [...payload.filter(({ refused }) => refused === undefined), ...own];
      state.parked = payload.filter(({ refused }) => refused !== undefined);
    },
    changeUnkept: (state, { payload }: PayloadAction<{ id: string }>) => {
      state.unkept.push(payload.id);
    },
    /** Its times are told by a clock that was found to be wrong: they are moved before it is sent. */
    changeMoved: (state, { payload }: PayloadAction<PendingChange>) => {
      state.pending = state.pending.map((own) => (own.id === payload.id ? payload : own));
    },
    /** The browser's storage was cleared under the open page: what waits is kept anew. */
    storageCleared: (state) => {
      state.cleared = true;
    },
    storageSeen: (state) => {
      state.cleared = false;
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
  },
});

const withAlong = (parked: readonly Waiting[], id: string): Waiting[] => {
  const first = parked.find((own) => own.id === id);
  return parked.filter((own) => own === first || isDrawnFor(own.change, first?.change));
};

export const {
  changeMade,
  changeStored,
  changeRefused,
  changeTriedAgain,
  changeThrownAway,
  changesRead,
  changeUnkept,
  changeMoved,
  storageCleared,
  storageSeen,
  serverLost,
  serverFound,
} = outboxSlice.actions;

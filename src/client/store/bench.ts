import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { recall } from './keep';

/** The sitting at the bench, kept in the browser: how long the owner has, what was seen and begun, what plan was seen. */
export interface BenchState {
  /** The owner said they have until then; none goes by the shop's hours. */
  freeUntil: string | null;
  /** When they said so. */
  saidAt: string | null;
  /** Cautions seen, with when. */
  seen: Record<string, string>;
  /** A task whose clock runs. */
  started: { task: string; at: string } | null;
  /**
   * The plan the owner last looked at: when each task was to start, and by which facts. None before the first; a page that
   * is opened begins anew, for time alone has moved what it finds.
   */
  agreed: { starts: Record<string, string>; facts: string } | null;
}

const DEFAULTS: BenchState = { freeUntil: null, saidAt: null, seen: {}, started: null, agreed: null };

export const benchSlice = createSlice({
  name: 'bench',
  initialState: (): BenchState => ({ ...DEFAULTS, ...recall<Partial<BenchState>>('bench', {}), agreed: null }),
  reducers: {
    /** A new sitting: cautions are to be seen again. */
    sittingBegun: (state, { payload }: PayloadAction<{ until: string | null; at: string }>) => {
      state.freeUntil = payload.until;
      state.saidAt = payload.at;
      state.seen = {};
    },
    cautionSeen: (state, { payload }: PayloadAction<{ code: string; at: string }>) => {
      state.seen[payload.code] = payload.at;
    },
    taskStarted: (state, { payload }: PayloadAction<{ task: string; at: string }>) => {
      state.started = payload;
    },
    taskLaidDown: (state) => {
      state.started = null;
    },
    planSeen: (state, { payload }: PayloadAction<NonNullable<BenchState['agreed']>>) => {
      state.agreed = payload;
    },
  },
});
export const { sittingBegun, cautionSeen, taskStarted, taskLaidDown, planSeen } = benchSlice.actions;

/** A sitting nobody ended is over after so long. */
const LONGEST_SITTING_MS = 4 * 3_600_000;

/** Whether a caution was seen in this sitting. */
export const isSeen = ({ seen }: Pick<BenchState, 'seen'>, code: string, now: string): boolean => {
  const at = seen[code];
  return at !== undefined && Date.parse(now) - Date.parse(at) < LONGEST_SITTING_MS;
};

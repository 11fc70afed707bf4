import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { recall } from './keep';

/*
 * Clocks of phones may be wrong, and every wait is counted from what they say. The server tells its own time with every
 * answer; where the two differ by much, the owner is asked once which is right.
 */
export interface ClockState {
  /** How far this device's clock is ahead of the server's, ms; negative where it is behind. */
  aheadMs: number;
  /** What the owner said of a difference, and of which. */
  settled: { aheadMs: number; right: 'shop' | 'device' } | null;
}

/** Clocks that differ by less are alike: a step is logged to the minute, a wait judged by the hour. */
const ALIKE_MS = 10 * 60_000;
/** A difference is told anew when it moved by so much: answers take their time on the way. */
const MOVED_MS = 30_000;

const initialState = (): ClockState => recall<ClockState>('clock', { aheadMs: 0, settled: null });

export const clockSlice = createSlice({
  name: 'clock',
  initialState,
  reducers: {
    serverTimeHeard: (state, { payload }: PayloadAction<number>) => {
      if (Math.abs(payload - state.aheadMs) > MOVED_MS) state.aheadMs = payload;
    },
    clockSettled: (state, { payload }: PayloadAction<'shop' | 'device'>) => {
      state.settled = { aheadMs: state.aheadMs, right: payload };
    },
  },
});
export const { serverTimeHeard, clockSettled } = clockSlice.actions;

/** Whether the owner is to be asked which clock is right: they differ, and of this difference nothing was said. */
export const isClockAsked = ({ aheadMs, settled }: ClockState): boolean =>
  Math.abs(aheadMs) > ALIKE_MS && !(settled && Math.abs(aheadMs - settled.aheadMs) <= ALIKE_MS);

let correction = 0;

/** Follows what the owner said: from now on times are told by the clock that is right. */
export const followClock = ({ aheadMs, settled }: ClockState): void => {
  correction = settled?.right === 'shop' ? aheadMs : 0;
};

/** The time, as an ISO instant: what anything is logged at and every wait is counted from. */
export const timeNow = (): string => new Date(Date.now() - correction).toISOString();

/** What an answer's time says of this device's clock; null where it came with none. */
export function compareClocks(told: string | null | undefined): number | null {
  const server = Date.parse(told ?? '');
  return Number.isNaN(server) ? null : Date.now() - server;
}

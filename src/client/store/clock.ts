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
  /** The server told its time since this page was opened. */
  heard: boolean;
}

/** Clocks that differ by less are alike: a step is logged to the minute, a wait judged by the hour. */
const ALIKE_MS = 10 * 60_000;
/** A difference is told anew when it moved by so much: answers take their time on the way. */
const MOVED_MS = 30_000;
/** What lies further ahead the server takes for a mistake: a clock that is further off cannot be followed, whoever is right. */
const TOO_FAR_MS = 24 * 3_600_000;

const initialState = (): ClockState => ({
  ...recall<ClockState>('clock', { aheadMs: 0, settled: null, heard: false }),
  heard: false,
});

export const clockSlice = createSlice({
  name: 'clock',
  initialState,
  reducers: {
    serverTimeHeard: (state, { payload }: PayloadAction<number>) => {
      if (Math.abs(payload - state.aheadMs) > MOVED_MS) state.aheadMs = payload;
      state.heard = true;
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

/** Whether this device's clock is so far ahead that what it says cannot be stored. */
export const isTooFarAhead = ({ aheadMs }: Pick<ClockState, 'aheadMs'>): boolean => aheadMs > TOO_FAR_MS;

/**
 * By how much the times of a change are to be set back in all, ms. One that was made before anybody knew how the clocks stand
 * is put right where they are days apart; of less the owner is asked.
 * @param setBackMs by how much they were when it was made; undefined where that was not known
 */
export const setBackOf = (clock: Pick<ClockState, 'aheadMs' | 'settled'>, setBackMs: number | undefined): number =>
  setBackMs === undefined && Math.abs(clock.aheadMs) > TOO_FAR_MS ? clock.aheadMs : correctionOf(clock);

/** By how much times of this device are set back, ms: where the owner goes by the computer, or there is no other way. */
export const correctionOf = ({ aheadMs, settled }: Pick<ClockState, 'aheadMs' | 'settled'>): number =>
  settled?.right === 'shop' || isTooFarAhead({ aheadMs }) ? aheadMs : 0;

let correction = 0;

/** From now on times are told by the clock that is right. */
export const followClock = (clock: Pick<ClockState, 'aheadMs' | 'settled'>): void => {
  const before = correction;
  correction = correctionOf(clock);
  if (correction !== before) for (const tell of watching) tell();
};

const watching = new Set<() => void>();

/** Tells when times are told by another clock from now on; gives what ends that. */
export function watchClock(tell: () => void): () => void {
  watching.add(tell);
  return () => void watching.delete(tell);
}

/** The time, as an ISO instant: what anything is logged at and every wait is counted from. */
export const timeNow = (): string => new Date(Date.now() - correction).toISOString();

/** What an answer's time says of this device's clock; null where it came with none. */
export function compareClocks(told: string | null | undefined): number | null {
  const server = Date.parse(told ?? '');
  return Number.isNaN(server) ? null : Date.now() - server;
}

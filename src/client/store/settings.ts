import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { Units } from '@/core/shared';
import type { Circumstance } from '@/core/survey';
import { recall } from './keep';

export type Scheme = 'light' | 'dark' | 'system';

export interface Settings {
  scheme: Scheme;
  units: Units;
  /** Where pieces are read: at the kerb nothing is wetted, marked or waited for. */
  place: Circumstance;
  /** Colours of the owner's own that were used last, the latest first. */
  recentColours: string[];
  /** Cards that lead through the first piece: asked for, and those that were put away. */
  guide: { on: boolean; seen: string[] };
}

const DEFAULTS: Settings = {
  scheme: 'system',
  units: 'metric',
  place: 'bench',
  recentColours: [],
  guide: { on: false, seen: [] },
};
const MOST_RECENT = 6;

export const settingsSlice = createSlice({
  name: 'settings',
  initialState: (): Settings => ({ ...DEFAULTS, ...recall<Partial<Settings>>('settings', {}) }),
  reducers: {
    schemePicked: (state, { payload }: PayloadAction<Scheme>) => {
      state.scheme = payload;
    },
    unitsPicked: (state, { payload }: PayloadAction<Units>) => {
      state.units = payload;
    },
    colourUsed: (state, { payload }: PayloadAction<string>) => {
      state.recentColours = [payload, ...state.recentColours.filter((own) => own !== payload)].slice(0, MOST_RECENT);
    },
    guideBegun: (state) => {
      state.guide = { on: true, seen: [] };
    },
    guideCardSeen: (state, { payload }: PayloadAction<string>) => {
      state.guide.seen.push(payload);
    },
    guideEnded: (state) => {
      state.guide.on = false;
    },
    placePicked: (state, { payload }: PayloadAction<Circumstance>) => {
      state.place = payload;
    },
  },
});
export const { schemePicked, unitsPicked, colourUsed, placePicked, guideBegun, guideCardSeen, guideEnded } =
  settingsSlice.actions;

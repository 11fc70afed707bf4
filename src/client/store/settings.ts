import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { Units } from '@/core/shared';
import { recall } from './keep';

export type Scheme = 'light' | 'dark' | 'system';

export interface Settings {
  scheme: Scheme;
  units: Units;
  /** What stands before a sum of money; the owner's own, or nothing. */
  currency: string;
}

const DEFAULTS: Settings = { scheme: 'system', units: 'metric', currency: '' };

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
    currencySet: (state, { payload }: PayloadAction<string>) => {
      state.currency = payload.trim().slice(0, 4);
    },
  },
});
export const { schemePicked, unitsPicked, currencySet } = settingsSlice.actions;

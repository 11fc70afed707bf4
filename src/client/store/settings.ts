import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { Units } from '@/core/shared';
import type { Circumstance } from '@/core/survey';
import { recall } from './keep';

export type Scheme = 'light' | 'dark' | 'system';

export interface Settings {
  scheme: Scheme;
  units: Units;
  /** What stands before a sum of money; the owner's own, or nothing. */
  currency: string;
  /** Where pieces are read: at the kerb nothing is wetted, marked or waited for. */
  place: Circumstance;
}

const DEFAULTS: Settings = { scheme: 'system', units: 'metric', currency: '', place: 'bench' };

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
    placePicked: (state, { payload }: PayloadAction<Circumstance>) => {
      state.place = payload;
    },
    currencySet: (state, { payload }: PayloadAction<string>) => {
      state.currency = payload.trim().slice(0, 4);
    },
  },
});
export const { schemePicked, unitsPicked, currencySet, placePicked } = settingsSlice.actions;

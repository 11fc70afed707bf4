import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { recall } from './keep';

export type Scheme = 'light' | 'dark' | 'system';

export const settingsSlice = createSlice({
  name: 'settings',
  initialState: () => recall<{ scheme: Scheme }>('settings', { scheme: 'system' }),
  reducers: {
    schemePicked: (state, { payload }: PayloadAction<Scheme>) => {
      state.scheme = payload;
    },
  },
});
export const { schemePicked } = settingsSlice.actions;

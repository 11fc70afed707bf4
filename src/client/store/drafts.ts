import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { recall } from './keep';

/** What has been typed but not yet been made a change, by form; it survives a reload. */
export const draftsSlice = createSlice({
  name: 'drafts',
  initialState: () => recall<Record<string, unknown>>('drafts', {}),
  reducers: {
    draftTyped: (state, { payload }: PayloadAction<{ form: string; values: unknown }>) => {
      state[payload.form] = payload.values;
    },
    draftDone: (state, { payload }: PayloadAction<{ form: string }>) => {
      delete state[payload.form];
    },
  },
});
export const { draftTyped, draftDone } = draftsSlice.actions;

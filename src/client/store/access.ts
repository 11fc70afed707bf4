import { createSlice } from '@reduxjs/toolkit';

/** Whether the server knows this device. Without its pass it answers nothing; what was made here waits. */
export const accessSlice = createSlice({
  name: 'access',
  initialState: { out: false },
  reducers: {
    shutOut: (state) => {
      state.out = true;
    },
  },
});

export const { shutOut } = accessSlice.actions;

import { createAction, createSlice } from '@reduxjs/toolkit';

/** Somebody signed out, or somebody else signed in: what was loaded is not theirs. */
export const signedOut = createAction('session/signedOut');

/** Whether the server said that the session has ended. */
const slice = createSlice({
  name: 'session',
  initialState: { expired: false },
  reducers: {
    sessionExpired: (state) => {
      state.expired = true;
    },
    sessionRenewed: (state) => {
      state.expired = false;
    },
  },
});

export const { sessionExpired, sessionRenewed } = slice.actions;
export const sessionReducer = slice.reducer;

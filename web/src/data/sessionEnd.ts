import { createSlice } from '@reduxjs/toolkit';

/** Whether the session of who is at work here has ended: they sign in again in place, and nothing that is open is lost. */
export const sessionEndSlice = createSlice({
  name: 'sessionEnd',
  initialState: { ended: false },
  reducers: {
    sessionEnded: () => ({ ended: true }),
    sessionBegun: () => ({ ended: false }),
  },
});

export const { sessionEnded, sessionBegun } = sessionEndSlice.actions;

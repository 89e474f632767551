import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

export interface Sending {
  readonly id: string;
  readonly name: string;
  /** How much has arrived, 0–1. */
  readonly share: number;
  /** Whether the connection is broken and waited for. */
  readonly broken: boolean;
}

/** Files on their way to the server. */
export const sendingSlice = createSlice({
  name: 'sending',
  initialState: [] as readonly Sending[],
  reducers: {
    onItsWay: (state, { payload }: PayloadAction<Sending>) => [
      ...state.filter(({ id }) => id !== payload.id),
      payload,
    ],
    arrived: (state, { payload }: PayloadAction<string>) => state.filter(({ id }) => id !== payload),
  },
});

export const { onItsWay, arrived } = sendingSlice.actions;

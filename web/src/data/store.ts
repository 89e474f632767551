import { configureStore } from '@reduxjs/toolkit';
import { useDispatch, useSelector } from 'react-redux';
import { outboxSlice, startOutbox } from './outbox.ts';
import { sendingSlice } from './sending.ts';
import { api } from './api.ts';
import { sessionEndSlice } from './sessionEnd.ts';
import { keepPreferences, preferencesSlice } from './preferences.ts';

export const store = configureStore({
  reducer: {
    [api.reducerPath]: api.reducer,
    preferences: preferencesSlice.reducer,
    outbox: outboxSlice.reducer,
    sending: sendingSlice.reducer,
    sessionEnd: sessionEndSlice.reducer,
  },
  middleware: (defaults) => defaults().concat(api.middleware),
});

export type RootState = ReturnType<typeof store.getState>;
export type AppDispatch = typeof store.dispatch;
export const useAppDispatch = useDispatch.withTypes<AppDispatch>();
export const useAppSelector = useSelector.withTypes<RootState>();

keepPreferences(store.getState().preferences);
store.subscribe(() => keepPreferences(store.getState().preferences));
startOutbox(store.dispatch, () => store.getState());

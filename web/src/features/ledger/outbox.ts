import { createAsyncThunk, createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { v7 as uuidv7 } from 'uuid';
import type { EntryBody, NewEntry } from '@white-ember/core/ledger';
import { serverNow } from '../../app/serverClock.ts';
import { api, problemOf } from '../../app/api.ts';
import type { AppDispatch, RootState } from '../../app/store.ts';
import { outboxStore, type Waiting } from './outboxStore.ts';

interface OutboxState {
  readonly items: readonly Waiting[];
  readonly sending: boolean;
  /** True while the last try found no server. */
  readonly offline: boolean;
}

const initialState: OutboxState = { items: [], sending: false, offline: false };

export const outboxSlice = createSlice({
  name: 'outbox',
  initialState,
  reducers: {
    loaded: (state, { payload }: PayloadAction<readonly Waiting[]>) => ({ ...state, items: payload }),
    queued: (state, { payload }: PayloadAction<Waiting>) => ({
      ...state,
      items: [...state.items.filter((item) => item.entry.id !== payload.entry.id), payload],
    }),
    left: (state, { payload }: PayloadAction<string>) => ({
      ...state,
      items: state.items.filter((item) => item.entry.id !== payload),
    }),
    sendingChanged: (state, { payload }: PayloadAction<boolean>) => ({ ...state, sending: payload }),
    offlineChanged: (state, { payload }: PayloadAction<boolean>) => ({ ...state, offline: payload }),
  },
});

const { loaded, queued, left, sendingChanged, offlineChanged } = outboxSlice.actions;

/** Worth another try later; anything else is the server's last word on this entry. */
const passing = (status: number): boolean =>
  status === 0 || status === 401 || status === 429 || status >= 500;

/** Sends what waits, oldest first, one at a time, so that the ledger's order is the order of the work. */
export const sendWaiting = createAsyncThunk<void, void, { state: RootState; dispatch: AppDispatch }>(
  'outbox/send',
  async (_arg, { dispatch, getState }) => {
    if (getState().outbox.sending) return;
    dispatch(sendingChanged(true));
    try {
      const memberId = api.endpoints.session.select()(getState()).data?.member?.id;
      for (const item of await outboxStore.all()) {
        if (item.refused !== undefined || item.memberId !== memberId) continue;
        const { jobId, entry } = item;
        const sent = await dispatch(api.endpoints.appendEntry.initiate({ jobId, entry }));
        if (sent.data) {
          const stored = sent.data;
          dispatch(
            api.util.updateQueryData('job', jobId, (job) => {
              if (!job.entries.some((known) => known.id === stored.id)) job.entries.push(stored);
            }),
          );
          await outboxStore.remove(entry.id);
          dispatch(left(entry.id));
          dispatch(offlineChanged(false));
          continue;
        }
        const problem = problemOf(sent.error);
        if (passing(problem.status)) {
          dispatch(offlineChanged(problem.status === 0 || problem.status >= 500));
          return;
        }
        const refused: Waiting = { ...item, refused: problem.detail ?? problem.title };
        await outboxStore.put(refused);
        dispatch(queued(refused));
      }
    } finally {
      dispatch(sendingChanged(false));
    }
  },
);

/** Keeps a new entry on this device first, shows it at once, then sends it. Resolves when it is safe here. */
export const addEntry = createAsyncThunk<
  NewEntry,
  { jobId: string; body: EntryBody; supersedes?: string },
  { state: RootState; dispatch: AppDispatch }
>('outbox/add', async ({ jobId, body, supersedes }, { dispatch, getState }) => {
  const memberId = api.endpoints.session.select()(getState()).data?.member?.id;
  if (!memberId) throw new Error('Sign in first');
  const entry: NewEntry = {
    id: uuidv7(),
    deviceTime: new Date(serverNow()).toISOString(),
    body,
    ...(supersedes === undefined ? {} : { supersedes }),
  };
  const item: Waiting = { jobId, memberId, entry };
  await outboxStore.put(item);
  dispatch(queued(item));
  void dispatch(sendWaiting());
  return entry;
});

/** Throws away an entry that the server refused; the person saw why. */
export const discardRefused = createAsyncThunk<void, string, { dispatch: AppDispatch }>(
  'outbox/discard',
  async (id, { dispatch }) => {
    await outboxStore.remove(id);
    dispatch(left(id));
  },
);

const RETRY_MS = 3000;

/** Loads what an earlier page left and tries again every few seconds and whenever the network is back. */
export function startOutbox(dispatch: AppDispatch, getState: () => RootState): void {
  void outboxStore.all().then((items) => {
    dispatch(loaded(items));
    if (items.length > 0) void dispatch(sendWaiting());
  });
  const tryAgain = (): void => {
    if (getState().outbox.items.some((item) => item.refused === undefined)) void dispatch(sendWaiting());
  };
  window.setInterval(tryAgain, RETRY_MS);
  window.addEventListener('online', tryAgain);
}

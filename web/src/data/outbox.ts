import * as wording from '@white-ember/core/words/screens/data';
import { createAsyncThunk, createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { v7 as uuidv7 } from 'uuid';
import type { Entry, EntryBody, NewEntry } from '@white-ember/core/ledger';
import { serverNow } from './serverClock.ts';
import { api, problemOf } from './api.ts';
import type { AppDispatch, RootState } from './store.ts';
import { onOtherTab, outboxStore, type Waiting } from './outboxStore.ts';

interface OutboxState {
  readonly items: readonly Waiting[];
  /** Stored by the server while this page is open: a job that was asked for just before comes without them. */
  readonly sent: readonly Entry[];
  readonly sending: boolean;
  /** True while the last try found no server. */
  readonly offline: boolean;
  /** Why this browser keeps nothing, where it does not: then entries go to the server at once, or are not taken. */
  readonly storeFault?: string;
}

const initialState: OutboxState = { items: [], sent: [], sending: false, offline: false };

/** More than a job gets in a day; after that every page has fetched it anew. */
const KEPT_SENT = 200;

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
    stored: (state, { payload }: PayloadAction<Entry>) => ({
      ...state,
      sent: [...state.sent.filter(({ id }) => id !== payload.id), payload].slice(-KEPT_SENT),
    }),
    sendingChanged: (state, { payload }: PayloadAction<boolean>) => ({ ...state, sending: payload }),
    storeFailed: (state, { payload }: PayloadAction<string>) => ({ ...state, storeFault: payload }),
    offlineChanged: (state, { payload }: PayloadAction<boolean>) => ({ ...state, offline: payload }),
  },
});

const { loaded, queued, left, stored, sendingChanged, offlineChanged, storeFailed } = outboxSlice.actions;

/** The server or the way to it is not there for any entry: all wait. */
const passing = (status: number): boolean =>
  status === 0 || status === 401 || status === 429 || [502, 503, 504, 507].includes(status);
/** The server failed at this one: it is tried again later, and the others go on. */
const failing = (status: number): boolean => status >= 500;
/** One that failed is tried again no more often than this. */
const FAILED_AGAIN_MS = 30_000;
const failedAt = new Map<string, number>();

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
        if (Date.now() - (failedAt.get(entry.id) ?? 0) < FAILED_AGAIN_MS) continue;
        const sent = await dispatch(api.endpoints.appendEntry.initiate({ jobId, entry }));
        if (sent.data) {
          dispatch(stored(sent.data));
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
        if (failing(problem.status)) {
          failedAt.set(entry.id, Date.now());
          const failed: Waiting = { ...item, failed: problem.detail ?? problem.title };
          await outboxStore.put(failed);
          dispatch(queued(failed));
          continue;
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
  if (!memberId) throw new Error(wording.signInFirst);
  const entry: NewEntry = {
    id: uuidv7(),
    deviceTime: new Date(serverNow()).toISOString(),
    body,
    ...(supersedes === undefined ? {} : { supersedes }),
  };
  const item: Waiting = { jobId, memberId, entry };
  try {
    await outboxStore.put(item);
  } catch (error) {
    // A private window, a full disk: what cannot be kept here is sent at once, and is not entered where that fails.
    dispatch(storeFailed((error as Error).message));
    await sendAtOnce(dispatch, item);
    return entry;
  }
  dispatch(queued(item));
  void dispatch(sendWaiting());
  return entry;
});

async function sendAtOnce(dispatch: AppDispatch, { jobId, entry }: Waiting): Promise<void> {
  const sent = await dispatch(api.endpoints.appendEntry.initiate({ jobId, entry }));
  if (!sent.data) {
    const { title, detail } = problemOf(sent.error);
    throw new Error(wording.notEnteredAtAll(detail ?? title));
  }
  dispatch(stored(sent.data));
}

/** Tries one that failed again now. */
export const sendFailedAgain =
  (id: string) =>
  (dispatch: AppDispatch): void => {
    failedAt.delete(id);
    void dispatch(sendWaiting());
  };

/** Throws away an entry that the server refused or failed at; the person saw why. */
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
  const load = (): Promise<readonly Waiting[]> =>
    outboxStore.all().then((items) => {
      dispatch(loaded(items));
      return items;
    });
  load().then(
    (items) => {
      if (items.length > 0) void dispatch(sendWaiting());
    },
    (error: unknown) => dispatch(storeFailed((error as Error).message)),
  );
  onOtherTab(() => void load().catch(() => undefined));
  const tryAgain = (): void => {
    if (getState().outbox.items.some((item) => item.refused === undefined)) void dispatch(sendWaiting());
  };
  window.setInterval(tryAgain, RETRY_MS);
  window.addEventListener('online', tryAgain);
}

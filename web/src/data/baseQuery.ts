import * as wording from '@white-ember/core/words/screens/data';
import {
  fetchBaseQuery,
  type BaseQueryApi,
  type BaseQueryFn,
  type FetchArgs,
  type FetchBaseQueryError,
} from '@reduxjs/toolkit/query/react';
import type { Problem, RunningClocks, Session } from '@white-ember/core/contract';
import { arrived, onItsWay } from './sending.ts';
import { learnServerTime } from './serverClock.ts';
import { sessionEnded } from './sessionEnd.ts';

let csrfToken: string | undefined;

const raw = fetchBaseQuery({
  baseUrl: '/api',
  prepareHeaders: (headers) => {
    if (csrfToken) headers.set('x-csrf-token', csrfToken);
    return headers;
  },
});

/** An answer that carries the server's time tells how far this device's clock is off. */
const learnTime = (data: unknown, askedMs: number): void => {
  const now = (data as Partial<RunningClocks> | undefined)?.now;
  if (now !== undefined) learnServerTime(Date.parse(now), askedMs, Date.now());
};

const learnToken = (data: unknown): void => {
  const token = (data as Partial<Session> | undefined)?.csrfToken;
  if (token) csrfToken = token;
};

/** Every write carries the session's token; one that is out of date is fetched anew and the write sent once more. */
export const baseQuery: BaseQueryFn<string | FetchArgs, unknown, FetchBaseQueryError> = async (
  args,
  api,
  extra,
) => {
  const writes = typeof args !== 'string' && (args.method ?? 'GET') !== 'GET';
  if (writes && !csrfToken) learnToken((await raw('/session', api, extra)).data);
  const askedMs = Date.now();
  let result = await raw(args, api, extra);
  learnTime(result.data, askedMs);
  if (writes && result.error?.status === 403 && problemOf(result.error).title === OUT_OF_DATE) {
    learnToken((await raw('/session', api, extra)).data);
    result = await raw(args, api, extra);
  }
  learnToken(result.data);
  // Signing in and out have answers of their own; anything else that wants a session had one.
  const path = typeof args === 'string' ? args : args.url;
  if (result.error?.status === 401 && !path.startsWith('/session')) api.dispatch(sessionEnded());
  return result;
};

/** Below this nobody sees that a file is on its way. */
const SHOWN_AFTER_MS = 700;
const OUT_OF_DATE = wording.thePageIsOutOfDate;

/** Sends a file, with what the frame of the pages shows of it meanwhile. */
async function sent(file: File, id: string, { dispatch }: BaseQueryApi) {
  const { sendFile } = await import('./sendFile.ts');
  const began = Date.now();
  let share = 0;
  const show = (broken: boolean): void => {
    if (broken || Date.now() - began > SHOWN_AFTER_MS)
      dispatch(onItsWay({ id, name: file.name, share, broken }));
  };
  try {
    return await sendFile(file, {
      token: () => csrfToken,
      onSent: (now) => {
        share = now;
        show(false);
      },
      onBroken: () => show(true),
    });
  } finally {
    dispatch(arrived(id));
  }
}

/** An upload: the file first, in as many pieces as the connection takes, then the request that says what it is for. */
export const fileQuery =
  <A extends { readonly file: File }, T>(
    request: (args: A) => { readonly url: string; readonly fields: object },
  ) =>
  async (args: A, queryApi: BaseQueryApi): Promise<{ data: T } | { error: FetchBaseQueryError }> => {
    const ask = (what: string | FetchArgs) => baseQuery(what, queryApi, {});
    const { file } = args;
    const id = crypto.randomUUID();
    if (!csrfToken) await ask('/session');
    let kept = await sent(file, id, queryApi);
    if ('error' in kept && problemOf(kept.error).title === OUT_OF_DATE) {
      await ask('/session');
      kept = await sent(file, id, queryApi);
    }
    if ('error' in kept) {
      if (kept.error.status === 401) queryApi.dispatch(sessionEnded());
      return kept;
    }
    const { url, fields } = request(args);
    const { data, error } = await ask({
      url,
      method: 'POST',
      body: { upload: { id: kept.data.id, name: file.name }, fields },
    });
    if (error) return { error };
    await kept.data.forget().catch(() => undefined);
    return { data: data as T };
  };

/** What a failed request says to a person: what was wrong, and where. */
export function problemOf(error: unknown): Problem {
  const { status, data } = (error ?? {}) as FetchBaseQueryError;
  if (typeof data === 'object' && data !== null && 'title' in data) return data as Problem;
  if (
    status === 'FETCH_ERROR' ||
    status === 'TIMEOUT_ERROR' ||
    status === undefined ||
    status === 'CUSTOM_ERROR'
  ) {
    return {
      type: 'about:blank',
      status: 0,
      title: wording.theServerCannotBeReached,
      detail: wording.whatYouTypedIsKeptOnThis,
    };
  }
  return {
    type: 'about:blank',
    status: typeof status === 'number' ? status : 0,
    title: wording.theServersAnswerWasNotUnderstood,
  };
}

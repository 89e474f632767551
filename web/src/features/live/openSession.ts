import { useSyncExternalStore } from 'react';
import type { LiveSession } from './liveSession.ts';
import type { LiveState } from './liveState.ts';

/** Apart from the session itself, so that pages that only tell of it do not load the vehicle. */
let current: LiveSession | undefined;
const waiting = new Set<() => void>();
const told = (): void => waiting.forEach((listener) => listener());

const subscribe = (listener: () => void): (() => void) => {
  waiting.add(listener);
  return () => {
    waiting.delete(listener);
  };
};

/** The session of a job, if one is open on this page: it goes on while other views are looked at. */
export const useSessionOf = (jobId: string): LiveSession | undefined =>
  useSyncExternalStore(subscribe, () => (current?.jobId === jobId ? current : undefined));

/** Whichever session is open. */
export const useOpenSession = (): LiveSession | undefined => useSyncExternalStore(subscribe, () => current);

const never = (): (() => void) => () => undefined;

/** What is recorded in a session, if there is one. */
export const useRecordingOf = (session: LiveSession | undefined): LiveState['recording'] =>
  useSyncExternalStore(session?.subscribe ?? never, () => session?.get().recording);

/** Begins a session; one that was open before is ended, its recording kept. */
export function beginSession(session: LiveSession): void {
  current?.end();
  current = session;
  told();
}

export function endSession(): void {
  current?.end();
  current = undefined;
  told();
}

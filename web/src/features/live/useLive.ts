import { useSyncExternalStore } from 'react';
import { type LiveState } from './liveState.ts';
import type { LiveSession } from './liveSession.ts';

export const useLive = (session: LiveSession): LiveState =>
  useSyncExternalStore(session.subscribe, session.get);

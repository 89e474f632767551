import { useSyncExternalStore } from 'react';
import type { BurnWatch, WatchState } from './burnWatch.ts';

/** Apart from the watch itself, so that pages that only tell of it do not load the burn model. */
let current: BurnWatch | undefined;
const waiting = new Set<() => void>();

const subscribe = (listener: () => void): (() => void) => {
  waiting.add(listener);
  return () => {
    waiting.delete(listener);
  };
};
const told = (): void => waiting.forEach((listener) => listener());

/** The burn that is watched on this device, if one is. */
export const useBurnWatch = (): BurnWatch | undefined => useSyncExternalStore(subscribe, () => current);

const never = (): (() => void) => () => undefined;
export const useWatchState = (watch: BurnWatch | undefined): WatchState | undefined =>
  useSyncExternalStore(watch?.subscribe ?? never, () => watch?.get());

export function beginWatch(watch: BurnWatch): void {
  current?.end();
  current = watch;
  told();
}

export function endWatch(): void {
  current?.end();
  current = undefined;
  told();
}

import { useSyncExternalStore } from 'react';

/** What this device was told about single timers: kept over a reload, the last ones only. */
const KEPT = 50;
const listeners = new Set<() => void>();

function listKept(storedAs: string) {
  let text: string | null = null;
  let list: readonly string[] = [];
  const read = (): readonly string[] => {
    try {
      const now = localStorage.getItem(storedAs);
      if (now !== text) {
        text = now;
        list = JSON.parse(now ?? '[]') as string[];
      }
    } catch {
      list = [];
    }
    return list;
  };
  return {
    read,
    put: (id: string, there: boolean): void => {
      const others = read().filter((one) => one !== id);
      const next = (there ? [...others, id] : others).slice(-KEPT);
      try {
        localStorage.setItem(storedAs, JSON.stringify(next));
      } catch {
        // A browser that keeps nothing forgets it with the page.
        [text, list] = [JSON.stringify(next), next];
      }
      for (const listener of listeners) listener();
    },
  };
}

const SILENCED = listKept('white-ember clocks silenced');
const ASKED = listKept('white-ember clocks asked');

export const silence = (entryId: string): void => SILENCED.put(entryId, true);
export const askToRing = (entryId: string, rings: boolean): void => ASKED.put(entryId, rings);

const subscribe = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};
export const useSilenced = (): readonly string[] => useSyncExternalStore(subscribe, SILENCED.read);
export const useAsked = (): readonly string[] => useSyncExternalStore(subscribe, ASKED.read);

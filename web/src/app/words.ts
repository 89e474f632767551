import { useMemo } from 'react';
import {
  ENGLISH_OF_LISTS,
  inWords,
  measuresOf,
  wordsOf,
  type Phrases,
  type Spoken,
  type Words,
} from '@white-ember/core/words';
import { useSessionQuery } from './api.ts';
import type { Preferences } from './preferences.ts';
import { store, useAppSelector } from './store.ts';

/** Phrases that are here so far, by subject. The rest comes with the first page that is no list. */
const phrases: Record<string, Phrases[string]> = { ...ENGLISH_OF_LISTS };

/** Loads every phrase; resolves when all of core can be put into words. */
export async function loadPhrases(): Promise<void> {
  const { ENGLISH } = await import('./allPhrases.ts');
  Object.assign(phrases, ENGLISH);
}

let last: { readonly key: string; readonly words: Words } | undefined;

/** Words in the units and the manner of this person; the same object until one of them changes. */
export function wordsFor({ units, locale }: Preferences, currency?: string): Words {
  const key = JSON.stringify([units, locale, currency]);
  if (last?.key !== key)
    last = {
      key,
      words: wordsOf(
        [phrases],
        measuresOf({
          units,
          locale: locale ?? navigator.language,
          ...(currency === undefined ? {} : { currency }),
        }),
      ),
    };
  return last.words;
}

export function useWords(): Words {
  const preferences = useAppSelector((state) => state.preferences);
  const currency = useSessionQuery().data?.workshop?.currency;
  return wordsFor(preferences, currency);
}

/** Something of core in this person’s words. */
export function useSpoken<T>(value: T): Spoken<T> {
  const words = useWords();
  return useMemo(() => inWords(value, words), [value, words]);
}

/** The same outside of a component: for what is said in passing. */
export const spokenNow = <T>(value: T): Spoken<T> =>
  inWords(value, last?.words ?? wordsFor(store.getState().preferences));

import { useMemo } from 'react';
import {
  ENGLISH_OF_LISTS,
  inWords,
  localeOf,
  measuresOf,
  type Language,
  wordsOf,
  type Phrases,
  type Spoken,
  type Words,
} from '@white-ember/core/words';
import { api } from './api.ts';
import { keepWords, lastWords } from './lastWords.ts';
import { unbroken } from './unbroken.ts';
import type { Preferences } from './preferences.ts';
import { store, useAppSelector, type RootState } from './store.ts';

/** Phrases that are here so far, by subject. The rest comes with the first page that is no list. */
const phrases: Record<string, Phrases[string]> = { ...ENGLISH_OF_LISTS };

/** What another language than English says. */
const others: Record<Exclude<Language, 'en'>, Record<string, Phrases[string]>> = { de: {} };

/** Loads every phrase; resolves when all of core can be put into words. */
export async function loadPhrases(): Promise<void> {
  const { ENGLISH, GERMAN } = await import('./allPhrases.ts');
  Object.assign(phrases, ENGLISH);
  Object.assign(others.de, GERMAN);
}

const made = new Map<string, Words>();

/** Words in the units and the manner of this person; the same object as long as these stay. */
export function wordsFor(
  { units, locale: chosen }: Preferences,
  currency?: string,
  language: Language = 'en',
): Words {
  const key = JSON.stringify([units, chosen, currency, language]);
  let words = made.get(key);
  if (!words) {
    const locale = localeOf(language, chosen ?? navigator.language) ?? navigator.language;
    words = unbroken(
      wordsOf(
        language === 'en' ? [phrases] : [others[language], phrases],
        measuresOf({ units, locale, ...(currency === undefined ? {} : { currency }) }),
      ),
    );
    made.set(key, words);
  }
  if (language === 'en') keepWords(words);
  return words;
}

const sessionNow = api.endpoints.session.select();
const currencyNow = (state: RootState): string | undefined => sessionNow(state).data?.workshop?.currency;

let asked:
  | undefined
  | { readonly preferences: Preferences; readonly currency: string | undefined; readonly words: Words };

/** Asked by every part of a page: no more than a comparison while nothing was chosen anew. */
function wordsNowIn(state: RootState): Words {
  const { preferences } = state;
  const currency = currencyNow(state);
  if (asked?.preferences !== preferences || asked.currency !== currency)
    asked = { preferences, currency, words: wordsFor(preferences, currency) };
  return asked.words;
}

export const useWords = (): Words => useAppSelector(wordsNowIn);

/** Words of a caution or of the customer’s report, in the language that this person chose for them. */
export function useWordsIn(language: Language): Words {
  const preferences = useAppSelector((state) => state.preferences);
  const currency = useAppSelector(currencyNow);
  return wordsFor(preferences, currency, language);
}

/** What was put into words last, by what it is of: many places of a page show parts of one answer. */
const spoken = new WeakMap<object, { readonly words: Words; readonly value: unknown }>();

function spokenOnce<T>(value: T, words: Words): Spoken<T> {
  if (typeof value !== 'object' || value === null) return inWords(value, words);
  const known = spoken.get(value);
  if (known?.words === words) return known.value as Spoken<T>;
  const said = inWords(value, words);
  spoken.set(value, { words, value: said });
  return said;
}

/** Something of core in this person’s words. */
export function useSpoken<T>(value: T): Spoken<T> {
  const words = useWords();
  return useMemo(() => spokenOnce(value, words), [value, words]);
}

/** Words outside of a component: for what is said in passing. */
const wordsNow = (): Words => lastWords() ?? wordsFor(store.getState().preferences);

export const spokenNow = <T>(value: T): Spoken<T> => inWords(value, wordsNow());

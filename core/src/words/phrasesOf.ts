import { GERMAN } from './de/index.ts';
import { ENGLISH } from './en/index.ts';
import type { Language } from './languages.ts';
import type { Phrases } from './words.ts';

/** What each language says itself. */
const OWN: Readonly<Record<Language, readonly Phrases[]>> = { en: [], de: [GERMAN] };

/** Phrases of a language, then the English ones for what it does not say. */
export const phrasesOf = (language: Language = 'en'): readonly Phrases[] => [...OWN[language], ENGLISH];

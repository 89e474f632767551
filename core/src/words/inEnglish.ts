import { ENGLISH } from './en/index.ts';
import { inWords, type Spoken } from './inWords.ts';
import { measuresOf } from './measures.ts';
import { wordsOf } from './words.ts';

/** English in the units in which core counts: for what runs without a person who has chosen. */
export const PLAIN_WORDS = wordsOf([ENGLISH], measuresOf());

export const inEnglish = <T>(value: T): Spoken<T> => inWords(value, PLAIN_WORDS);

/** A function of core whose answer comes in words. */
export const spoken =
  <A extends readonly unknown[], R>(of: (...args: A) => R) =>
  (...args: A): Spoken<R> =>
    inEnglish(of(...args));

import type { Language, Meaning, Words } from './facets.ts';
import { DUTCH } from './languages/dutch.ts';
import { ENGLISH } from './languages/english.ts';
import { FRENCH } from './languages/french.ts';
import { GERMAN } from './languages/german.ts';
import { ITALIAN } from './languages/italian.ts';
import { POLISH } from './languages/polish.ts';
import { PORTUGUESE } from './languages/portuguese.ts';
import { SPANISH } from './languages/spanish.ts';
import { TRADE } from './languages/trade.ts';

export const WORDS: Readonly<Record<Language, Words>> = {
  trade: TRADE,
  en: ENGLISH,
  de: GERMAN,
  fr: FRENCH,
  es: SPANISH,
  it: ITALIAN,
  pl: POLISH,
  nl: DUTCH,
  pt: PORTUGUESE,
};

/** What a piece of a heading means, all of it at once, and the word by which it was read. */
export interface Sense {
  readonly meanings: readonly Meaning[];
  readonly word: string;
}

/** Languages in which words are joined to one. */
const JOINING: ReadonlySet<Language> = new Set(['de', 'nl', 'en', 'trade']);
/** Shorter ones would be found in anything. */
const SHORTEST_PIECE = 3;
const SHORT_PIECES = new Set(['ol']);

interface Lexicon {
  readonly whole: ReadonlyMap<string, readonly Sense[]>;
  /** Words of any ending, the longest first. */
  readonly stems: readonly (readonly [stem: string, sense: Sense])[];
  /** Phrases by their first word, the longest first. */
  readonly phrases: ReadonlyMap<string, readonly (readonly [words: readonly string[], sense: Sense])[]>;
  /** Words that can be a piece of a longer one. */
  readonly pieces: ReadonlyMap<string, readonly Sense[]>;
  /** All words in order, for what was cut off. */
  readonly sorted: readonly string[];
}

function build(): Lexicon {
  const whole = new Map<string, Sense[]>();
  const stems: [string, Sense][] = [];
  const phrases = new Map<string, [string[], Sense][]>();
  const pieces = new Map<string, Sense[]>();
  for (const [language, words] of Object.entries(WORDS) as [Language, Words][])
    for (const [meaning, list] of Object.entries(words))
      for (const written of list.split(' ')) {
        const word = written.replace('*', '');
        const sense: Sense = { meanings: meaning.split('+') as Meaning[], word: word.replaceAll('_', ' ') };
        if (word.includes('_')) {
          const parts = word.split('_');
          phrases.set(parts[0] as string, [...(phrases.get(parts[0] as string) ?? []), [parts, sense]]);
          continue;
        }
        if (written.endsWith('*')) stems.push([word, sense]);
        const known = whole.get(word) ?? [];
        if (!known.some((one) => one.meanings.join() === sense.meanings.join()))
          whole.set(word, [...known, sense]);
        if (JOINING.has(language) && (word.length >= SHORTEST_PIECE || SHORT_PIECES.has(word)))
          pieces.set(word, whole.get(word) ?? [sense]);
      }
  for (const list of phrases.values()) list.sort(([a], [b]) => b.length - a.length);
  return {
    whole,
    stems: stems.sort(([a], [b]) => b.length - a.length),
    phrases,
    pieces,
    sorted: [...whole.keys()].sort(),
  };
}

export const LEXICON: Lexicon = build();

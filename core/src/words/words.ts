import { withinSentence } from '../text/index.ts';
import type { Measures } from './measures.ts';
import type { Catalogue, Said, Subject } from './message.ts';

/** What a phrase writes with: figures in the person's units, and what else is said within it. */
export interface Words extends Measures {
  readonly say: (said: Said) => string;
  /** Within another sentence: without a capital where it is only that of a beginning. */
  readonly within: (said: Said) => string;
  /** What something is called that has an id. */
  readonly name: <S extends Subject>(subject: S, id: keyof Catalogue[S] & string) => string;
  readonly all: (said: readonly Said[]) => string;
}

/** A sentence, or how it is made from its figures. */
// oxlint-disable-next-line typescript/no-explicit-any -- each phrase has data of its own; `say` checks them by the code
export type Phrase = string | ((data: any, words: Words) => string);
/** Phrases of one language, by subject and code. */
export type Phrases = Readonly<Record<string, Readonly<Record<string, Phrase>>>>;

/** The phrases that another language has to have for a subject: the same codes from the same figures. */
export type Translation<Subject> = {
  readonly [K in keyof Subject]: Subject[K] extends string ? string : Subject[K];
};

/**
 * Says what core means in one language and one manner. What a language has no phrase for is said in the next one; a code that is known
 * nowhere, or figures that do not fit it, as it was put when it was kept.
 */
export function wordsOf(languages: readonly Phrases[], measures: Measures): Words {
  const say = (it: Said): string => {
    if (typeof it === 'string') return it;
    const [subject, code] = splitAtDot(it.say);
    for (const phrases of languages) {
      const of = Object.hasOwn(phrases, subject) ? phrases[subject] : undefined;
      const phrase = of && Object.hasOwn(of, code) ? of[code] : undefined;
      if (typeof phrase === 'string') return phrase;
      if (phrase === undefined) continue;
      try {
        return phrase(it.of ?? {}, words);
      } catch {
        // Kept by another version, with figures that this one does not know.
        break;
      }
    }
    return it.text ?? it.say;
  };
  const words: Words = {
    ...measures,
    say,
    within: (it) => withinSentence(say(it)),
    name: (subject, id) => say({ say: `${subject}.${id}` }),
    all: (many) => many.map(say).join(' '),
  };
  return words;
}

const splitAtDot = (say: string): [string, string] => {
  const at = say.indexOf('.');
  return [say.slice(0, at), say.slice(at + 1)];
};

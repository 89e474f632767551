import { parseUnit } from '../../quantities/index.ts';
import type { Meaning } from './facets.ts';
import { LEXICON, type Sense } from './words.ts';

/** A word of a heading, and what it can mean; several where it is not clear by itself, none where it is not known. */
export interface ReadWord {
  readonly text: string;
  readonly senses: readonly Sense[];
  /** How it was read. */
  readonly by: 'word' | 'ending' | 'compound' | 'abbreviation' | 'number' | 'learned' | 'unknown';
}

interface Token {
  readonly text: string;
  /** Cut off, as a dot behind it says. */
  readonly cut: boolean;
}

/** Headings are bounded where they are read; this is what a lexicon looks at. */
const MOST_TOKENS = 40;

/** Lower case without accents; joined words, digits and special signs taken apart. */
export function foldHeading(name: string): string {
  return name
    .replace(/(\p{Ll})(\p{Lu})/gu, '$1 $2')
    .replace(/(\p{Lu}{2,})(\p{Lu}\p{Ll}{2,})/gu, '$1 $2')
    .replace(/[Δ∆δ]/g, ' delta ')
    .replace(/λ/gi, ' lambda ')
    .toLowerCase()
    .replaceAll('ß', 'ss')
    .replaceAll('ł', 'l')
    .replaceAll('ø', 'o')
    .replaceAll('œ', 'oe')
    .normalize('NFD')
    .replace(/[\u0300-\u036f]/g, '')
    .replace(/([a-z])(\d)/g, '$1 $2')
    .replace(/(\d)([a-z])/g, '$1 $2')
    .replace(/[^a-z0-9.]+/g, ' ')
    .trim();
}

function tokensOf(name: string): Token[] {
  return foldHeading(name)
    .split(' ')
    .flatMap((piece) => {
      const parts = piece.split('.');
      return parts.flatMap((text, i) => (text === '' ? [] : [{ text, cut: i < parts.length - 1 }]));
    })
    .slice(0, MOST_TOKENS);
}

/** German written without its dots over letters. */
const undotted = (text: string): string => text.replace(/ae|oe|ue/g, (pair) => pair[0] as string);

const LONGEST_ENDING = 6;
const ENDINGS = ['s', 'n', 'e', 'en', 'es', 'er', 'em', 'a', 'o', 'i'] as const;
const LEAST_INFLECTED = 5;

function wordSenses(text: string): { senses: readonly Sense[]; by: ReadWord['by'] } | undefined {
  const known = LEXICON.whole.get(text);
  if (known) return { senses: known, by: 'word' };
  const stem = LEXICON.stems.find(
    ([one]) => text.startsWith(one) && text.length - one.length <= LONGEST_ENDING,
  );
  if (stem) {
    const same = LEXICON.stems.filter(([one]) => one === stem[0]).map(([, sense]) => sense);
    return { senses: same, by: 'ending' };
  }
  for (const ending of ENDINGS) {
    const base = text.endsWith(ending) ? text.slice(0, -ending.length) : '';
    const senses = base.length >= LEAST_INFLECTED ? LEXICON.whole.get(base) : undefined;
    if (senses) return { senses, by: 'ending' };
  }
  return undefined;
}

/** Letters that join two words. */
const JOINTS = ['', 's', 'n', 'en', 'e', 'er', 'ungs'] as const;
/** A word that was cut off to one or two letters is a quantity: Abgast., Luftm., Saugrohrdr. */
const CUT_QUANTITIES: readonly (readonly [word: string, meaning: Meaning])[] = [
  ['temperatur', 'quantity:temperature'],
  ['druck', 'quantity:pressure'],
  ['masse', 'quantity:mass'],
  ['drehzahl', 'quantity:rotation'],
  ['differenz', 'quantity:difference'],
  ['position', 'quantity:position'],
];
const LEAST_COMPOUND = 5;
const MOST_PIECES = 5;
const LONGEST_PIECE = 22;

/** The words that a joined one is made of, as few as can be, each with what it can mean; the last may be cut off. */
function piecesOf(text: string, cut: boolean): readonly (readonly Sense[])[] | null {
  const memo = new Map<number, readonly (readonly Sense[])[] | null>();
  const from = (at: number, depth: number): readonly (readonly Sense[])[] | null => {
    if (at === text.length) return [];
    if (depth > MOST_PIECES) return null;
    const kept = memo.get(at);
    if (kept !== undefined) return kept;
    let best: readonly (readonly Sense[])[] | null = null;
    for (let end = Math.min(text.length, at + LONGEST_PIECE); end >= at + 2; end--) {
      const senses = LEXICON.pieces.get(text.slice(at, end));
      if (!senses) continue;
      for (const joint of JOINTS) {
        // What ends a word is its ending, not a joint.
        if (!text.startsWith(joint, end) || (joint.length > 2 && end + joint.length === text.length))
          continue;
        const rest = from(end + joint.length, depth + 1);
        if (rest !== null && (best === null || rest.length + 1 < best.length)) best = [senses, ...rest];
      }
    }
    if (best === null && at > 0) {
      const tail = text.slice(at);
      const quantity = CUT_QUANTITIES.find(([word]) => word.startsWith(tail));
      if (quantity && (cut || tail.length >= 2)) best = [[{ meanings: [quantity[1]], word: quantity[0] }]];
      else if (tail.length >= LEAST_CUT) {
        const senses = cutOff(tail, true);
        if (senses.length > 0) best = [senses];
      }
    }
    memo.set(at, best);
    return best;
  };
  return from(0, 0);
}

const saysQuantity = (senses: readonly Sense[]): boolean =>
  senses.some(({ meanings }) => meanings.some((one) => one.startsWith('quantity:')));

/** What a joined word can mean, where it is made of words that are known. */
function compoundSenses(text: string, cut: boolean): readonly Sense[] {
  if (text.length < LEAST_COMPOUND) return [];
  const pieces = piecesOf(text, cut);
  if (pieces === null || pieces.length < 2) return [];
  // One letter is no second quantity: “barom.” is no mass.
  const whole = pieces.slice(0, -1).reduce((sum, [one]) => sum + (one?.word.length ?? 0), 0);
  if (text.length - whole === 1 && pieces.slice(0, -1).some(saysQuantity)) return [];
  let all: Sense[] = [{ meanings: [], word: '' }];
  for (const senses of pieces)
    all = all
      .flatMap((before) =>
        senses.map((sense) => ({
          meanings: [...new Set([...before.meanings, ...sense.meanings])],
          word: before.word === '' ? sense.word : `${before.word}+${sense.word}`,
        })),
      )
      .slice(0, MOST_SENSES);
  return all;
}

const LEAST_CUT = 3;
const MOST_SENSES = 6;

/** Words that begin so. */
function cutOff(text: string, piecesOnly = false): readonly Sense[] {
  const { sorted, whole, pieces } = LEXICON;
  let [low, high] = [0, sorted.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((sorted[middle] as string) < text) low = middle + 1;
    else high = middle;
  }
  const found = new Map<string, Sense>();
  for (let i = low; i < sorted.length && (sorted[i] as string).startsWith(text); i++) {
    const word = sorted[i] as string;
    if (word.length < text.length + 2 || (piecesOnly && !pieces.has(word))) continue;
    for (const sense of whole.get(word) ?? []) {
      const key = sense.meanings.join('+');
      if (!key.startsWith('filler') && !found.has(key)) found.set(key, sense);
    }
  }
  return found.size <= MOST_SENSES ? [...found.values()] : [];
}

/** Senses of both, each once. */
const joinedSenses = (a: readonly Sense[], b: readonly Sense[]): readonly Sense[] => [
  ...a,
  ...b.filter((one) => !a.some((other) => other.meanings.join() === one.meanings.join())),
];

function readOne({ text, cut }: Token): ReadWord {
  if (/^\d+$/.test(text)) {
    const digit = text.replace(/^0+(?=\d)/, '');
    return /^[1-9]$/.test(digit)
      ? { text, senses: [{ meanings: [`number:${digit}` as Meaning], word: digit }], by: 'number' }
      : { text, senses: [], by: 'unknown' };
  }
  const forms = [...new Set([text, undotted(text)])];
  for (const form of forms) {
    const known = wordSenses(form);
    // A short word with a point behind it may as well be the beginning of a longer one.
    if (known)
      return { text, ...known, senses: cut ? joinedSenses(known.senses, cutOff(form)) : known.senses };
  }
  for (const form of forms) {
    const joined = compoundSenses(form, cut);
    if (joined.length > 0) return { text, senses: joined, by: 'compound' };
  }
  if (text.length >= LEAST_CUT || (cut && text.length >= 2))
    for (const form of forms) {
      const senses = cutOff(form);
      if (senses.length > 0) return { text, senses, by: 'abbreviation' };
    }
  // A unit that was left in the name says nothing of what it is.
  return parseUnit(text).ok
    ? { text, senses: [{ meanings: ['filler:word'], word: text }], by: 'word' }
    : { text, senses: [], by: 'unknown' };
}

/** Whether a word of a heading is one of a phrase, whole or cut off. */
const isOf = (token: Token | undefined, word: string): boolean =>
  token !== undefined &&
  (token.text === word ||
    undotted(token.text) === word ||
    (token.text.length >= LEAST_CUT && word.length >= token.text.length + 2 && word.startsWith(token.text)));

/** The words of a heading in their order; phrases first, the longest of them. */
export function readWords(name: string): ReadWord[] {
  const tokens = tokensOf(name);
  const read: ReadWord[] = [];
  for (let at = 0; at < tokens.length;) {
    const token = tokens[at] as Token;
    const phrase = (LEXICON.phrases.get(token.text) ?? []).find(([words]) =>
      words.every((word, i) => (i === 0 ? token.text === word : isOf(tokens[at + i], word))),
    );
    if (phrase) {
      const [words, sense] = phrase;
      const others = LEXICON.phrases
        .get(token.text)
        ?.filter(([one]) => one.join() === words.join())
        .map(([, one]) => one) ?? [sense];
      read.push({
        text: tokens
          .slice(at, at + words.length)
          .map(({ text }) => text)
          .join(' '),
        senses: others,
        by: 'word',
      });
      at += words.length;
    } else {
      read.push(readOne(token));
      at += 1;
    }
  }
  return read;
}

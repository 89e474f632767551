import { measuresOf, type Measures, type Words } from '@white-ember/core/words';

let last: Words | undefined;

/** Keeps the words that the screen was last put into. */
export const keepWords = (words: Words): void => {
  last = words;
};
export const lastWords = (): Words | undefined => last;

const plain = measuresOf();
/** Figures as the screen writes them now; before there is one, in the plainest way. */
export const figuresNow = (): Measures => last ?? plain;

export {
  explainHeading,
  namesRole,
  saidIn,
  type ExplainedHeading,
  type NamedRole,
} from './explainHeading.ts';
export { FACETS, LANGUAGES, type Facet, type Language, type Meaning } from './facets.ts';
export { learnWords, type LearnedWords } from './learnedWords.ts';
export { inWords, readAs, whyNone } from './whyNone.ts';
export { foldHeading, readWords, type ReadWord } from './readWords.ts';
export type { Place } from './roleMeanings.ts';
export {
  ASKED,
  channelsSaid,
  leftToSay,
  saidByHeading,
  sayWord,
  type Asked,
  type Said,
} from './facetChoice.ts';
export { spellOut, type SpelledWord } from './spellOut.ts';

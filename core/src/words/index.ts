export { METRIC, UNIT_CHOICES, US_CUSTOMARY, unitChoiceFrom, type UnitChoice, type UnitChoiceOf } from './unitChoice.ts';
export { measuresOf, type Manner, type Measures } from './measures.ts';
export { isMessage, said, type Code, type DataOf, type Message, type Said } from './message.ts';
export { wordsOf, type Phrases, type Words } from './words.ts';
export { inWords, type Spoken } from './inWords.ts';
export { ENGLISH } from './en/index.ts';

export {
  METRIC,
  UNIT_CHOICES,
  US_CUSTOMARY,
  unitChoiceFrom,
  type UnitChoice,
  type UnitChoiceOf,
} from './unitChoice.ts';
export { limitUnit, type LimitUnit } from './limitUnit.ts';
export { chosenUnit } from './chosenUnit.ts';
export { measuresOf, type Manner, type Measures } from './measures.ts';
export {
  asSentence,
  isMessage,
  joined,
  named,
  say,
  type Code,
  type Catalogue,
  type DataOf,
  type FieldName,
  type Message,
  type Said,
  type Subject,
} from './message.ts';
export { describeFailure } from './describeFailure.ts';
export { fault, faultIn, plainly } from './fault.ts';
export { wordsOf, type Phrases, type Words } from './words.ts';
export { saidSchema } from './saidSchema.ts';
export { distinct } from './distinct.ts';
export { inWords, type Spoken } from './inWords.ts';
export { inEnglish, PLAIN_WORDS, spoken } from './inEnglish.ts';
export { ENGLISH_OF_LISTS } from './en/ofLists.ts';
export { ENGLISH } from './en/index.ts';
export { GERMAN } from './de/index.ts';
export { LANGUAGES, localeOf, type Language } from './languages.ts';
export { languageSchema } from './languageSchema.ts';
export { phrasesOf } from './phrasesOf.ts';

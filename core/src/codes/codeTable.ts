import { named, type Subject } from '../words/index.ts';
import type { CodeLine, CodeMeaning } from './codeLine.ts';
import { GENERIC_CODES } from './genericTable.ts';
import { SUSPECT_PARAMETERS } from './heavyTable.ts';

const tableOf = (
  subject: Subject,
  lines: Readonly<Record<string, CodeLine>>,
): ReadonlyMap<string, CodeMeaning> =>
  new Map(Object.entries(lines).map(([key, of]) => [key, { ...of, meaning: named(subject, key) }]));

/** By the code itself. */
export const GENERIC = tableOf('genericCodes', GENERIC_CODES);
/** By `spn` and the number. */
export const PARAMETERS = tableOf('suspectParameters', SUSPECT_PARAMETERS);

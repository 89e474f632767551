import { own } from '../text/index.ts';
import { named, type Said } from '../words/index.ts';

/** Ids that causes had once, in ledgers and inputs of then, and what they are called now. */
export const FORMER_CAUSES: Readonly<Record<string, string>> = { 'boost-leak': 'turbocharger-worn' };

/** A cause by its id of today. */
export const causeNow = (id: string): string => own(FORMER_CAUSES, id) ?? id;

/** A cause as it is called; one that somebody put in own words, in those. */
export const causeNamed = (id: string): Said => named('causes', causeNow(id), id);

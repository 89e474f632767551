import { proof } from './proof.ts';

/** Everything that core can say, in English; every other language falls back on it. */
export const ENGLISH = { proof } as const;

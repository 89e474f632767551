import type { z } from 'zod';
import type { Said } from '../words/index.ts';
import type { Stage } from './stages.ts';

/** Where entries of a kind stand, what is said of them, and what may still be done with them: all of it in one place. */
export interface EntryKindOf<S extends z.ZodType, B = z.infer<S>> {
  /** What it holds. */
  readonly schema: S;
  /** The stage that it belongs to; absent: it stands where it was made. */
  readonly stage?: Stage | ((body: B) => Stage);
  /** The few words at its pin on the tape: what, and its figure. */
  readonly pin: (body: B) => Said;
  /** All that it says, where it is opened. */
  readonly told: (body: B) => Said;
  /** Which labels of the tape go first where there is not room for all: 0 first. */
  readonly rank: 0 | 1 | 2 | 3 | 4 | 5;
  /** A form takes it up again; the others are withdrawn and entered anew. */
  readonly corrected?: boolean | ((body: B) => boolean);
  /** It changes nothing of what was handed over: it is still taken when the job is signed off. */
  readonly afterSignOff?: true;
  /** It only notes that something was read or taken back: no pin on the tape, and nothing is announced. */
  readonly silent?: true;
}

/** Keeps the type of the body with what is said of it. */
export const entryKind = <S extends z.ZodType>(kind: EntryKindOf<S>): EntryKindOf<S> => kind;

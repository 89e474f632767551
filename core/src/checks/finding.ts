import type { Catalogue } from '../words/index.ts';

/** A cause, or one of its forms. */
export type CauseRef = keyof Catalogue['causes'] | keyof Catalogue['causeForms'];

/** Something that is seen or not, and what brings it about. */
export interface FindingEntry {
  /** Why it shows what it shows. */
  readonly why: string;
  /** Chance of seeing it though none of our causes is there. */
  readonly leak: number;
  /** Causes that bring it about, and how surely; of a form only, where forms differ. */
  readonly shows: Readonly<Partial<Record<CauseRef, number>>>;
  /** Causes that hide it though another brings it about. */
  readonly hides?: Readonly<Partial<Record<CauseRef, number>>>;
}

import type { ENGLISH } from './en/index.ts';

type Catalogue = typeof ENGLISH;
type Subject = keyof Catalogue & string;

/** What can be said: subject and code. English has every one, so that a code without words fails the type check. */
export type Code = { [S in Subject]: `${S}.${keyof Catalogue[S] & string}` }[Subject];

type PhraseOf<C extends Code> = C extends `${infer S extends Subject}.${infer K}`
  ? K extends keyof Catalogue[S]
    ? Catalogue[S][K]
    : never
  : never;

/** What a sentence is made from, in base units. */
export type DataOf<C extends Code> =
  PhraseOf<C> extends (data: infer D, ...rest: never[]) => string ? D : undefined;

/** A sentence before it is one: a code, and the figures that it is made from. Plain JSON. */
export interface Message {
  readonly say: string;
  readonly of?: Readonly<Record<string, unknown>>;
  /** How it was put when it was kept; it stands where the code is known no more. */
  readonly text?: string;
}

/** A message; or a text that is somebody's own, or was put into words long ago. */
export type Said = Message | string;

type DataArgument<C extends Code> = DataOf<C> extends undefined ? [] : [of: DataOf<C>];

/** Says something by its code; words are made of it where somebody reads it. */
export const said = <C extends Code>(say: C, ...[of]: DataArgument<C>): Message =>
  of === undefined ? { say } : { say, of: of as Readonly<Record<string, unknown>> };

export const isMessage = (value: unknown): value is Message =>
  typeof value === 'object' && value !== null && typeof (value as { say?: unknown }).say === 'string';

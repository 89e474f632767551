import type { ENGLISH } from './en/index.ts';

export type Catalogue = typeof ENGLISH;
export type Subject = keyof Catalogue;

/** What can be said: subject and code. English has every one, so that a code without words fails the type check. */
export type Code = { [S in Subject]: `${S}.${keyof Catalogue[S] & string}` }[Subject];

/** What a field is called where something is wrong with it. */
export type FieldName = keyof Catalogue['fields'];

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
  readonly of?: Readonly<Record<string, unknown>> | undefined;
  /** How it was put when it was kept; it stands where the code is known no more. */
  readonly text?: string | undefined;
}

/** A message; or a text that is somebody's own, or was put into words long ago. */
export type Said = Message | string;

type DataArgument<C extends Code> = DataOf<C> extends undefined ? [] : [of: DataOf<C>];

/** Says something by its code; words are made of it where somebody reads it. */
export const say = <C extends Code>(code: C, ...[of]: DataArgument<C>): Message =>
  of === undefined ? { say: code } : { say: code, of: of as Readonly<Record<string, unknown>> };

/** What something is called, of which there is an id: the names of a subject are complete, which a test asks for where a type cannot. */
export const named = (subject: Subject, id: string, ownWords?: string): Message => ({
  say: `${subject}.${id}`,
  ...(ownWords === undefined ? {} : { text: ownWords }),
});

/** Several as one, with what stands between them; what says nothing is left out. */
export const joined = (parts: readonly Said[], by: string): Said => say('text.joined', { parts, by });
/** With its full stop. */
export const asSentence = (of: Said): Said => say('text.sentence', { of });

export const isMessage = (value: unknown): value is Message =>
  typeof value === 'object' && value !== null && typeof (value as { say?: unknown }).say === 'string';

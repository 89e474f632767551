import { z } from 'zod';

// Control characters other than tab and line ends cannot be stored or printed.
// oxlint-disable-next-line no-control-regex -- the control characters are the subject here
const CONTROL = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f]/;

const CONTROLS = new RegExp(CONTROL.source, 'g');

/** What a program says, for storing and showing: signs that can be neither give way to a mark. */
export const printable = (text: string): string => text.replace(CONTROLS, '\ufffd');

/** Free text: trimmed, bounded, no control characters. */
export const freeText = (what: string, max: number) =>
  z
    .string({ error: `${what}: enter text` })
    .trim()
    .max(max, `${what}: at most ${max} characters`)
    .refine((value) => !CONTROL.test(value), `${what}: holds characters that cannot be printed`);

export const requiredText = (what: string, max: number) =>
  freeText(what, max).refine((value) => value.length > 0, `${what} must not be empty`);

// Signs without a shape, and those that turn the direction of what follows: two names would look alike.
const INVISIBLE = /[\p{Cf}\p{Zl}\p{Zp}\u115f\u1160\u3164\uffa0]/u;

/** A name stands in lists, files and reports: one line without markup signs. */
export const nameText = (what: string, max: number) =>
  requiredText(what, max)
    .refine((value) => !/[<>\n\r\t]/.test(value), `${what}: one line without < or >`)
    .refine((value) => !INVISIBLE.test(value), `${what}: holds signs that cannot be seen`);

/**
 * What a record has of its own under a name: a name that comes from outside may be one that every object has, such as
 * “constructor”.
 */
export const own = <T>(record: Readonly<Partial<Record<string, T>>>, name: string): T | undefined =>
  Object.hasOwn(record, name) ? record[name] : undefined;

/** A sentence within another: its first word small, unless it is a sign or an abbreviation (ΔP, EGT). */
export const withinSentence = (sentence: string): string =>
  /^(?:\p{Lu}\p{Ll}|[AI] )/u.test(sentence) ? sentence.charAt(0).toLowerCase() + sentence.slice(1) : sentence;

// Control characters other than tab and line ends cannot be stored or printed.
// oxlint-disable-next-line no-control-regex -- the control characters are the subject here
export const CONTROL = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f]/;

const CONTROLS = new RegExp(CONTROL.source, 'g');

/** What a program says, for storing and showing: signs that can be neither give way to a mark. */
export const printable = (text: string): string => text.replace(CONTROLS, '\ufffd');

/**
 * What a record has of its own under a name: a name that comes from outside may be one that every object has, such as
 * “constructor”.
 */
export const own = <T>(record: Readonly<Partial<Record<string, T>>>, name: string): T | undefined =>
  Object.hasOwn(record, name) ? record[name] : undefined;

/** A sentence within another: its first word small, unless it is a sign or an abbreviation (ΔP, EGT). */
export const withinSentence = (sentence: string): string =>
  /^(?:\p{Lu}\p{Ll}|[AI] )/u.test(sentence) ? sentence.charAt(0).toLowerCase() + sentence.slice(1) : sentence;

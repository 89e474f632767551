import { z } from 'zod';
import { fault, say, type FieldName } from '../words/index.ts';
import { CONTROL } from '../text/index.ts';

export type { FieldName } from '../words/index.ts';

const of = (name: FieldName) => ({ field: say(`fields.${name}`) });

/** Free text: trimmed, bounded, no control characters. */
export const freeText = (name: FieldName, most: number) =>
  z
    .string(fault(say('faults.enter-text', of(name))))
    .trim()
    .max(most, fault(say('faults.too-long', { ...of(name), most })))
    .refine((value) => !CONTROL.test(value), fault(say('faults.unprintable', of(name))));

export const requiredText = (name: FieldName, most: number) =>
  freeText(name, most).refine((value) => value.length > 0, fault(say('faults.empty', of(name))));

// Signs without a shape, and those that turn the direction of what follows: two names would look alike.
const INVISIBLE = /[\p{Cf}\p{Zl}\p{Zp}\u115f\u1160\u3164\uffa0]/u;

/** A name stands in lists, files and reports: one line without markup signs. */
export const nameText = (name: FieldName, most: number) =>
  requiredText(name, most)
    .refine((value) => !/[<>\n\r\t]/.test(value), fault(say('faults.one-line', of(name))))
    .refine((value) => !INVISIBLE.test(value), fault(say('faults.invisible', of(name))));

/** A figure in its base unit, between what is possible. */
export const figure = (name: FieldName, low: number, high: number, unit: string) => {
  const range = fault(say('faults.range', { ...of(name), low, high, unit }));
  return z
    .number(fault(say('faults.enter-a-number', of(name))))
    .min(low, range)
    .max(high, range);
};

/** A count, between what is possible. */
export const wholeNumber = (name: FieldName, low: number, high: number) =>
  figure(name, low, high, '').int(fault(say('faults.whole-number', of(name))));

/** A day, as 2026-05-11. */
export const day = (name: FieldName) => z.iso.date({ ...fault(say('faults.date', of(name))) });

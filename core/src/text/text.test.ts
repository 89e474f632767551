import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { freeText } from '../fields/index.ts';
import { printable, withinSentence } from './index.ts';

describe('text from outside', () => {
  it('quotes what cannot be printed or stored by a sign in its place: a NUL ends a row of the database', () => {
    expect(printable('the heading “Time\u0000\u0007” is none')).toBe(
      'the heading “Time\ufffd\ufffd” is none',
    );
    expect(printable('Überdruck, 3 ± 1 mbar\n')).toMatch(/^Überdruck, 3 ± 1 mbar/);
  });
  it('is taken as free text once it is printable, whatever it was', () => {
    const schema = freeText('note', 500);
    fc.assert(
      fc.property(fc.string({ unit: 'binary', maxLength: 100 }), (text) => {
        expect(schema.safeParse(printable(text)).success).toBe(true);
      }),
    );
  });
});

it('a sentence within another keeps signs and abbreviations as they are', () => {
  expect(
    ['The ΔP sensor has failed', 'ΔP moves late', 'EGT 2 has failed', 'A hose is off'].map(withinSentence),
  ).toEqual(['the ΔP sensor has failed', 'ΔP moves late', 'EGT 2 has failed', 'a hose is off']);
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { madeEntry, madeId, note } from '../testing/madeEntries.ts';
import {
  canonicalJson,
  effectiveEntries,
  entriesOfKind,
  entryBodySchema,
  newEntrySchema,
  type Entry,
} from './index.ts';

const textsOf = (entries: readonly Entry[]): string[] =>
  entriesOfKind(effectiveEntries(entries), 'note').map((entry) => entry.body.text);

describe('what counts of a ledger', () => {
  it('keeps the order in which things happened, not in which they were sent', () => {
    expect(textsOf([madeEntry(1, note('late'), 50), madeEntry(2, note('early'), 10)])).toEqual([
      'early',
      'late',
    ]);
  });

  it('puts a correction in the place of what it corrects, through any chain', () => {
    const entries = [
      madeEntry(1, note('first'), 1),
      madeEntry(2, note('second'), 2),
      madeEntry(3, note('first, corrected'), 30, 1),
      madeEntry(4, note('first, corrected twice'), 31, 3),
    ];
    expect(textsOf(entries)).toEqual(['first, corrected twice', 'second']);
  });

  it('lets the server’s later correction count when two devices correct one entry', () => {
    const entries = [
      madeEntry(1, note('x')),
      madeEntry(2, note('van'), 9, 1),
      madeEntry(3, note('office'), 5, 1),
    ];
    expect(textsOf(entries)).toEqual(['office']);
  });

  it('takes a withdrawn entry out, and takes it back in when the withdrawal is corrected', () => {
    const entries = [madeEntry(1, note('x')), madeEntry(2, { kind: 'withdrawn', why: 'wrong job' }, 2, 1)];
    expect(textsOf(entries)).toEqual([]);
    expect(textsOf([...entries, madeEntry(3, note('x after all'), 3, 2)])).toEqual(['x after all']);
  });

  it('is the same in whatever order the entries arrive', () => {
    const ledger = fc
      .array(fc.record({ minute: fc.nat(500), corrects: fc.option(fc.nat(40)), withdrawn: fc.boolean() }), {
        minLength: 1,
        maxLength: 30,
      })
      .map((made) =>
        made.map(({ minute, corrects, withdrawn }, i) => {
          const target = corrects === null || i === 0 ? undefined : (corrects % i) + 1;
          const body =
            withdrawn && target !== undefined ? ({ kind: 'withdrawn', why: 'w' } as const) : note(`n${i}`);
          return madeEntry(i + 1, body, minute, target);
        }),
      );
    fc.assert(
      fc.property(ledger, fc.infiniteStream(fc.nat()), (entries, keys) => {
        const shuffled = entries
          .map((entry) => ({ entry, key: keys.next().value as number }))
          .sort((a, b) => a.key - b.key)
          .map(({ entry }) => entry);
        expect(effectiveEntries(shuffled)).toEqual(effectiveEntries(entries));
        const roots = entries.filter((entry) => entry.supersedes === undefined).length;
        expect(effectiveEntries(entries).length).toBeLessThanOrEqual(roots);
      }),
    );
  });
});

describe('canonical text', () => {
  it('does not depend on the order of keys, and minds every value', () => {
    fc.assert(
      fc.property(fc.dictionary(fc.string(), fc.jsonValue()), (record) => {
        const turned = Object.fromEntries(Object.entries(record).reverse());
        expect(canonicalJson(turned)).toBe(canonicalJson(record));
        expect(canonicalJson({ ...record, extra: 1 })).not.toBe(canonicalJson({ ...record, extra: 2 }));
      }),
    );
  });
});

describe('entries from outside', () => {
  const sample = { kind: 'hold', rpm: 3000, dpMbar: 80 };
  const reading = { kind: 'reading', purpose: 'before', origin: { type: 'hand' }, samples: [sample] };

  it('takes a plain reading', () => {
    expect(entryBodySchema.safeParse(reading).success).toBe(true);
  });

  it.each([
    ['a negative rpm', { ...reading, samples: [{ ...sample, rpm: -1 }] }, /Engine speed: 0 to 8000 rpm/],
    [
      'a ΔP beyond any sensor',
      { ...reading, samples: [{ ...sample, dpMbar: 99_999 }] },
      /ΔP: −1500 to 6000 mbar/,
    ],
    ['a ΔP that is text', { ...reading, samples: [{ ...sample, dpMbar: '12' }] }, /ΔP: enter a number/],
    ['no sample', { ...reading, samples: [] }, /at least one row/],
    ['a purpose that does not exist', { ...reading, purpose: 'sometime' }, /./],
    ['a kind that does not exist', { kind: 'rumour', text: 'x' }, /./],
    ['an empty complaint', { kind: 'complaint', text: '   ' }, /must not be empty/],
    ['a note with control characters', { kind: 'note', text: 'a\u0000b' }, /cannot be printed/],
  ])('refuses %s', (_name, body, message) => {
    const parsed = entryBodySchema.safeParse(body);
    expect(parsed.success).toBe(false);
    expect(parsed.error?.issues[0]?.message).toMatch(message);
  });

  it('wants a version 7 id and a time with its zone', () => {
    const entry = { id: madeId(1), deviceTime: '2026-05-11T08:00:00+02:00', body: note('x') };
    expect(newEntrySchema.safeParse(entry).success).toBe(true);
    expect(newEntrySchema.safeParse({ ...entry, id: '7c9e6679-7425-40de-944b-e07fc1f90ae7' }).success).toBe(
      false,
    );
    expect(newEntrySchema.safeParse({ ...entry, deviceTime: '2026-05-11 08:00' }).success).toBe(false);
  });
});

import { createHash } from 'node:crypto';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { madeEntry, note } from '../testing/madeEntries.ts';
import { canonicalJson, chainLink, contentOf, LedgerCheck, type Entry, type HashedEntry } from './index.ts';

const sha256 = (text: string): string => createHash('sha256').update(text).digest('hex');

/** A ledger with its hashes, as it is stored. */
function stored(texts: readonly string[]): HashedEntry[] {
  let link = '';
  return texts.map((text, i) => {
    const entry: Entry = madeEntry(i + 1, note(text));
    link = chainLink(link, entry, sha256);
    return { ...entry, contentHash: sha256(canonicalJson(contentOf(entry))), chainHash: link };
  });
}
const faultsIn = (entries: readonly HashedEntry[]): string[] => {
  const check = new LedgerCheck(sha256);
  return entries.flatMap((entry) => check.next(entry).fault?.code ?? []);
};

describe('the chain of a ledger', () => {
  it('has the value that it had when it began', () => {
    const [first, second] = stored(['one', 'two']);
    expect(first?.chainHash).toBe(PINNED[0]);
    expect(second?.chainHash).toBe(PINNED[1]);
  });

  it('is whole where nothing was changed, however moments and keys are spelled', () => {
    fc.assert(
      fc.property(fc.array(fc.string(), { minLength: 1, maxLength: 6 }), (texts) => {
        const entries = stored(texts);
        expect(faultsIn(entries)).toEqual([]);
        const spelled = entries.map((entry) => ({
          ...entry,
          deviceTime: entry.deviceTime.replace('Z', '+00:00'),
          body: Object.fromEntries(Object.entries(entry.body as object).reverse()),
        }));
        expect(faultsIn(spelled)).toEqual([]);
        expect(faultsIn(spelled.map(({ chainHash: _hash, ...entry }) => entry))).toEqual([]);
      }),
    );
  });

  it('breaks at any entry that is changed, left out, doubled or put in', () => {
    fc.assert(
      fc.property(
        fc.array(fc.string(), { minLength: 3, maxLength: 7 }),
        fc.nat(6),
        fc.constantFrom('body', 'author', 'time', 'left out', 'doubled'),
        (texts, nat, kind) => {
          const entries = stored(texts);
          // The last one that is left out is missed by the count of its job.
          const at = nat % (entries.length - 1);
          const one = entries[at] as HashedEntry;
          if (kind === 'left out') entries.splice(at, 1);
          else if (kind === 'doubled') entries.splice(at, 0, one);
          else
            entries[at] = {
              ...one,
              ...(kind === 'body' ? { body: note(`${texts[at] ?? ''}!`) } : {}),
              ...(kind === 'author' ? { authorName: `${one.authorName}!` } : {}),
              ...(kind === 'time' ? { serverTime: '2026-05-12T08:00:00.000Z' } : {}),
            };
          expect(faultsIn(entries).length).toBeGreaterThan(0);
        },
      ),
    );
  });

  it('misses what was cut off at the end by the count of the job', () => {
    const check = new LedgerCheck(sha256);
    const entries = stored(['a', 'b', 'c']);
    for (const entry of entries.slice(0, 2)) check.next(entry);
    expect(check.count(entries[0]?.jobId ?? '', 3)).toMatchObject({ code: 'count' });
    expect(check.count(entries[0]?.jobId ?? '', 2)).toBeUndefined();
  });

  it('without links, changed content is still known by its own hash', () => {
    const [entry] = stored(['a']);
    const { chainHash: _hash, ...old } = entry as HashedEntry;
    expect(faultsIn([{ ...old, body: note('b') }])).toEqual(['content']);
  });
});

/** Links that stand in databases and archives: they never change. */
const PINNED = [
  '40518de6b9094c136747eff9a2bc38f51229caa7c13b4529908c95791419dea3',
  'b878d3dc2847c793d0a1b24f8404e5678d59910475faa709057d184c11567faf',
];

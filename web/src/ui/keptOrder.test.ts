import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { inKeptOrder } from './keptOrder.ts';

const self = (id: string): string => id;
const kept = (list: string, seen: string) => {
  const { shown, moved } = inKeptOrder([...list], self, [...seen]);
  return [shown.join(''), moved];
};

describe('a list that does not move under the finger', () => {
  it('stays as it was seen, until the order is asked for', () => {
    expect(kept('abc', '')).toEqual(['abc', false]);
    expect(kept('abc', 'abc')).toEqual(['abc', false]);
    // Another one was worked on: it would have gone to the top.
    expect(kept('cab', 'abc')).toEqual(['abc', true]);
    // A new one waits, an older page is added, what has gone is gone.
    expect(kept('nabc', 'abc')).toEqual(['abc', true]);
    expect(kept('abcde', 'abc')).toEqual(['abcde', false]);
    expect(kept('ac', 'abc')).toEqual(['ac', false]);
  });

  it('shows no item twice, and none that is not there', () => {
    const ids = fc.uniqueArray(fc.integer({ min: 0, max: 20 }).map(String), { maxLength: 12 });
    fc.assert(
      fc.property(ids, ids, (list, seen) => {
        const { shown, moved } = inKeptOrder(list, self, seen);
        expect(new Set(shown).size).toBe(shown.length);
        expect(shown.every((id) => list.includes(id))).toBe(true);
        expect(shown.filter((id) => seen.includes(id))).toEqual(seen.filter((id) => list.includes(id)));
        if (!moved) expect(shown).toEqual(list);
      }),
    );
  });
});

import { describe, expect, it } from 'vitest';
import type { EntryBody } from '../ledger/index.ts';
import { DEFAULT_LIMITS } from '../limits/index.ts';
import { madeEntry } from '../testing/madeEntries.ts';
import { deriveJob } from './index.ts';

const named = (check: string, outcome: string): EntryBody => ({ kind: 'check', check, values: {}, outcome });

/** What stands of a repair of the manifold pressure sensor that was found so, with such a check after it. */
const shown = (found: EntryBody, after: EntryBody) =>
  deriveJob({
    limits: DEFAULT_LIMITS,
    entries: [
      found,
      { kind: 'work', work: 'cause-repaired', what: 'Sensor replaced' } as const,
      { kind: 'cause', cause: 'manifold-sensor-failed', state: 'put-right', why: 'Replaced' } as const,
      after,
    ].map((body, i) => madeEntry(i + 1, body)),
  }).evidence.find(({ id }) => id === 'repair')?.state;

describe('a repair is shown by what was found', () => {
  it('one that stood still not by agreeing at rest, one that was off not by its quickness', () => {
    const [still, off] = [named('pipe-response', 'manifold-still'), named('absolute-agree', 'manifold-off')];
    const [agrees, quick] = [
      named('absolute-agree', 'absolutes-agree'),
      named('pipe-response', 'response-quick'),
    ];
    expect([shown(still, agrees), shown(still, quick)]).toEqual(['open', 'shown']);
    expect([shown(off, quick), shown(off, agrees)]).toEqual(['open', 'shown']);
  });
});

import { describe, expect, it } from 'vitest';
import type { Entry } from '@white-ember/core/ledger';
import type { Waiting } from '../data/outboxStore.ts';
import { entriesShown } from './entriesShown.ts';

const AT = '2026-03-02T10:00:00.000Z';
const entry = (id: string, seq: number, jobId = 'a'): Entry => ({
  id,
  jobId,
  seq,
  authorId: 'm',
  authorName: 'Tobin',
  deviceTime: AT,
  serverTime: AT,
  body: { kind: 'note', text: id },
});
const waiting = (id: string, more: Partial<Waiting> = {}): Waiting => ({
  jobId: 'a',
  memberId: 'm',
  entry: { id, deviceTime: AT, body: { kind: 'note', text: id } },
  ...more,
});
const shown = (fetched: readonly Entry[], sent: readonly Entry[], mine: readonly Waiting[]): string[] =>
  entriesShown({ id: 'a', entries: [...fetched] }, sent, mine, 'Tobin').entries.map(
    ({ id, seq }) => `${id} ${seq}`,
  );

describe('entries that a page shows of a job', () => {
  it('are those that were fetched, stored since and waiting, each once and in order', () => {
    expect(shown([entry('one', 1)], [entry('two', 2)], [waiting('three')])).toEqual([
      'one 1',
      'two 2',
      'three 3',
    ]);
  });

  it('keep one that was stored while an older answer was on its way', () => {
    const stored = entry('two', 2);
    expect(shown([entry('one', 1), stored], [stored], [])).toEqual(['one 1', 'two 2']);
    expect(shown([entry('one', 1)], [stored], [])).toEqual(['one 1', 'two 2']);
  });

  it('leave out what was refused, what is of another job, and what waits though it is stored', () => {
    expect(
      shown(
        [entry('one', 1)],
        [entry('two', 2), entry('else', 7, 'b')],
        [waiting('two'), waiting('three', { refused: 'No' }), waiting('four', { jobId: 'b' })],
      ),
    ).toEqual(['one 1', 'two 2']);
  });
});

import type { Entry, EntryBody } from '../ledger/index.ts';

const JOB = '0197a000-0000-7000-8000-000000000001';
const AUTHOR = '0197a000-0000-7000-8000-000000000002';

export const madeId = (n: number): string => `0197a000-0000-7000-9000-${String(n).padStart(12, '0')}`;

/** An entry `n`, made `minute` minutes into the job. */
export function madeEntry(n: number, body: EntryBody, minute = n, supersedes?: number): Entry {
  const time = new Date(Date.UTC(2026, 4, 11, 8, 0) + minute * 60_000).toISOString();
  return {
    id: madeId(n),
    jobId: JOB,
    seq: n,
    authorId: AUTHOR,
    authorName: 'Wren Halloran',
    deviceTime: time,
    serverTime: time,
    ...(supersedes === undefined ? {} : { supersedes: madeId(supersedes) }),
    body,
  };
}

/** What proves the way of the pressure: the sensor the same as a known-good one, its hoses on again and whole. */
export const PROVEN_PATH: readonly [EntryBody, EntryBody] = [
  {
    kind: 'check',
    check: 'dp-swap',
    values: {
      pairs: [
        [0, 0, 0],
        [2500, 31, 30.5],
      ],
    },
  },
  { kind: 'check', check: 'hoses', values: { order: 'high', state: 'whole' } },
];

export const note = (text: string): EntryBody => ({ kind: 'note', text });

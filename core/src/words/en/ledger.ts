interface Numbered {
  readonly entryId: string;
  readonly jobId: string;
  readonly seq: number;
}

/** What is wrong with a ledger, by its numbers and hashes. */
export const ledger = {
  gap: ({ entryId, jobId, seq, expected }: Numbered & { expected: number }) =>
    `entry ${entryId} of job ${jobId} has number ${seq} instead of ${expected}: one is missing or was put in`,
  chain: ({ entryId, jobId, seq }: Numbered) =>
    `entry ${entryId} of job ${jobId} (number ${seq}) is not what was stored: its place in the chain does not fit`,
  content: ({ entryId, jobId, seq }: Numbered) =>
    `entry ${entryId} of job ${jobId} (number ${seq}) is not what was stored: its content does not fit its hash`,
  count: ({ jobId, counted, stated }: { jobId: string; counted: number; stated: number }) =>
    `job ${jobId} has ${counted} entries instead of ${stated}`,
} as const;

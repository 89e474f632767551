import type { Limits } from './spawnBounded.ts';

/** How a process ended that did not end by itself. */
export type Outrun = 'time' | 'memory' | 'stopped';

const MEGABYTE = 1024 * 1024;

/** A sentence part: "could not be read: …". */
export function describeOutrun(outrun: Outrun, { timeMs, memoryBytes }: Limits): string {
  switch (outrun) {
    case 'time':
      return `reading it takes longer than the ${Math.round(timeMs / 1000)} s that a file of this size is given`;
    case 'memory':
      return `reading it takes more than the ${Math.round(memoryBytes / MEGABYTE)} MB that a file of this size is given`;
    case 'stopped':
      return 'reading it stopped unexpectedly: the file is damaged or made to harm';
  }
}

/** Words by which a runtime says that it was refused memory. */
const NO_MEMORY =
  /heap out of memory|allocation failed|Cannot allocate memory|invalid array (?:buffer )?length|v8::/i;

/** How a process ended, if not by itself: its status and signal, and the last that it said. */
export function outrunOf({
  status,
  signal,
  said,
  outOfTime,
}: {
  readonly status: number | null;
  readonly signal: NodeJS.Signals | null;
  readonly said: string;
  readonly outOfTime: boolean;
}): Outrun | undefined {
  if (outOfTime || signal === 'SIGXCPU') return 'time';
  if (status !== 0 && NO_MEMORY.test(said)) return 'memory';
  // Aborted by itself: the runtime had no memory left even to say so.
  if (status === 134 || signal === 'SIGABRT' || signal === 'SIGTRAP') return 'memory';
  return signal !== null ? 'stopped' : undefined;
}

/** How a process ended that did not end by itself. */
export type Outrun = 'time' | 'memory' | 'stopped';

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

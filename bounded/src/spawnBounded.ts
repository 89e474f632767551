import { spawn, type ChildProcess, type StdioOptions } from 'node:child_process';

/** What a process that reads a file from outside may take. */
export interface Limits {
  /** Data that it may hold: its heap, its buffers and the stacks of its threads, bytes. */
  readonly memoryBytes: number;
  /**
   * Time of a processor until it is ended, ms. On a machine that is busy with other things it may take several times as
   * long by the clock, and the file is not to blame for that.
   */
  readonly timeMs: number;
}

export interface Spawned {
  readonly child: ChildProcess;
  /** True once it was ended because its time was over. */
  readonly outOfTime: () => boolean;
}

const KILOBYTE = 1024;
const MEGABYTE = 1024 * KILOBYTE;
/** By the clock it may take so many times its time: then it hangs, or the machine does. */
const WAITS = 6;
/** Node itself takes so much before it reads anything. */
const OWN_BYTES = 180 * MEGABYTE;

const running = new Set<ChildProcess>();
// They go with whoever started them.
process.on('exit', () => {
  for (const child of running) child.kill('SIGKILL');
});

/**
 * Starts a Node program that can take no more than it is given. The kernel refuses what is over the limit of data
 * (`RLIMIT_DATA`, Linux 4.7 or later) and ends what is over that of time (`RLIMIT_CPU`), whatever the program does.
 * @param program path of the program
 * @param niceness how far it stands back behind others, 0–19
 */
export function spawnBounded(
  program: string,
  args: readonly string[],
  { memoryBytes, timeMs }: Limits,
  {
    stdio,
    env = process.env,
    niceness = 0,
  }: { readonly stdio: StdioOptions; readonly env?: NodeJS.ProcessEnv; readonly niceness?: number },
): Spawned {
  const heapMegabytes = Math.max(64, Math.floor((memoryBytes - OWN_BYTES) / MEGABYTE));
  const child = spawn(
    '/bin/sh',
    [
      '-c',
      `ulimit -d "$1" && ulimit -S -t "$2" && ulimit -H -t "$(($2 + 2))" || exit 125; shift 2; exec ${niceness > 0 ? `nice -n ${niceness} ` : ''}"$@"`,
      'sh',
      String(Math.ceil(memoryBytes / KILOBYTE)),
      String(Math.ceil(timeMs / 1000)),
      process.execPath,
      `--max-old-space-size=${heapMegabytes}`,
      program,
      ...args,
    ],
    { stdio, env },
  );
  running.add(child);
  child.once('close', () => running.delete(child));
  let late = false;
  const timer = setTimeout(() => {
    late = true;
    child.kill('SIGKILL');
  }, WAITS * timeMs);
  child.once('exit', () => clearTimeout(timer));
  child.once('error', () => clearTimeout(timer));
  return { child, outOfTime: () => late };
}

import { spawn, type ChildProcess, type StdioOptions } from 'node:child_process';

/** What a process that reads a file from outside may take. */
export interface Limits {
  /** Data that it may hold: its heap, its buffers and the stacks of its threads, bytes. */
  readonly memoryBytes: number;
  /** Time until it is ended, ms. */
  readonly timeMs: number;
}

export interface Spawned {
  readonly child: ChildProcess;
  /** True once it was ended because its time was over. */
  readonly outOfTime: () => boolean;
}

const KILOBYTE = 1024;
const MEGABYTE = 1024 * KILOBYTE;
/** Node itself takes so much before it reads anything. */
const OWN_BYTES = 180 * MEGABYTE;

const running = new Set<ChildProcess>();
// They go with whoever started them.
process.on('exit', () => {
  for (const child of running) child.kill('SIGKILL');
});

/**
 * Starts a Node program that can take no more than it is given. The kernel refuses what is over the limit of data
 * (`RLIMIT_DATA`, Linux 4.7 or later), whatever the program does; the time is kept here.
 * @param program path of the program
 */
export function spawnBounded(
  program: string,
  args: readonly string[],
  { memoryBytes, timeMs }: Limits,
  {
    stdio,
    env = process.env,
    gently = false,
  }: { readonly stdio: StdioOptions; readonly env?: NodeJS.ProcessEnv; readonly gently?: boolean },
): Spawned {
  const heapMegabytes = Math.max(64, Math.floor((memoryBytes - OWN_BYTES) / MEGABYTE));
  const child = spawn(
    '/bin/sh',
    [
      '-c',
      `ulimit -d "$1" || exit 125; shift; exec ${gently ? 'nice -n 10 ' : ''}"$@"`,
      'sh',
      String(Math.ceil(memoryBytes / KILOBYTE)),
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
  }, timeMs);
  child.once('exit', () => clearTimeout(timer));
  child.once('error', () => clearTimeout(timer));
  return { child, outOfTime: () => late };
}

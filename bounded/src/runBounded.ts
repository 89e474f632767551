import { once } from 'node:events';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { FrameReader } from './frames.ts';
import { outrunOf, type Outrun } from './outrun.ts';
import { spawnBounded, type Limits } from './spawnBounded.ts';

export interface BoundedRun {
  /** Its answer, a piece at a time, while it is made. */
  readonly frames: AsyncGenerator<Buffer>;
  /** Known when the pieces have ended: how it was ended, if not by itself. */
  readonly outrun: () => Outrun | undefined;
}

/**
 * Runs a program on bytes from outside, with limits. What it writes to standard output are the pieces of its answer; to
 * standard error nobody listens but to tell why it ended.
 */
export function runBounded(
  program: string,
  args: readonly string[],
  limits: Limits,
  input: AsyncIterable<Uint8Array>,
  { env, niceness = 10 }: { readonly env?: NodeJS.ProcessEnv | undefined; readonly niceness?: number } = {},
): BoundedRun {
  let outrun: Outrun | undefined;
  async function* frames(): AsyncGenerator<Buffer> {
    const { child, outOfTime } = spawnBounded(program, args, limits, {
      stdio: ['pipe', 'pipe', 'pipe'],
      niceness,
      ...(env ? { env } : {}),
    });
    const { stdin, stdout, stderr } = child;
    if (!stdin || !stdout || !stderr) throw new Error('A process was started without its pipes');
    const ended = once(child, 'exit') as Promise<[number | null, NodeJS.Signals | null]>;
    ended.catch(() => undefined);
    let said = '';
    stderr.on('data', (piece: Buffer) => (said = (said + piece.toString()).slice(-4000)));
    // Where it ends before it has read everything, writing on fails: how it ended tells more. What fails in the source of
    // the bytes itself is not the file's fault, and told.
    let source: unknown;
    async function* watched(): AsyncGenerator<Uint8Array> {
      try {
        yield* input;
      } catch (error) {
        source = error;
        throw error;
      }
    }
    const fed = pipeline(Readable.from(watched()), stdin).catch(() => {
      if (source !== undefined) child.kill('SIGKILL');
    });
    const reader = new FrameReader();
    try {
      for await (const piece of stdout) yield* reader.push(piece as Buffer);
      const [status, signal] = await ended;
      await fed;
      if (source !== undefined) throw source as Error;
      outrun = outrunOf({ status, signal, said, outOfTime: outOfTime() });
      if (outrun === undefined && (status !== 0 || !reader.empty)) outrun = 'stopped';
    } finally {
      child.kill('SIGKILL');
    }
  }
  return { frames: frames(), outrun: () => outrun };
}

import { once } from 'node:events';
import { frame } from './frames.ts';

/**
 * The other end of `runBounded`: writes the pieces of an answer to standard output and ends the process. Whatever a library
 * throws or rejects, wherever, ends it with the reason on standard error.
 */
export function giveFrames(make: () => AsyncIterable<Uint8Array>): void {
  const fail = (error: unknown): void => {
    process.stderr.write(`${String((error as Error | undefined)?.message ?? error)}\n`, () =>
      process.exit(3),
    );
  };
  process.on('uncaughtException', fail);
  process.on('unhandledRejection', fail);
  const give = async (): Promise<void> => {
    for await (const piece of make())
      if (!process.stdout.write(frame(piece))) await once(process.stdout, 'drain');
    process.stdout.end(() => process.exit(0));
  };
  give().catch(fail);
}

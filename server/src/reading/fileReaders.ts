import { plainly, say } from '@white-ember/core/words';
import { join } from 'node:path';
import pLimit, { type LimitFunction } from 'p-limit';
import { runBounded, type Limits } from '@white-ember/bounded';

/** Programs that read files from outside, each a bundle of its own beside the server's. */
export type ReaderProgram = 'readLog' | 'readPhoto' | 'importArchive';

/** A file that could not be read, with the reason as a sentence without its full stop. */
export class FileNotReadable extends Error {}

/** Files read at the same time, whoever sent them: each takes a core. */
const AT_ONCE = 2;

/**
 * Reads files from outside in processes of their own: one at a time for each person, so that whoever sends many waits for
 * themselves.
 */
export class FileReaders {
  private readonly all = pLimit(AT_ONCE);
  /** An archive takes minutes: it has a place of its own, and other files do not wait for it. */
  private readonly archives = pLimit(1);
  private readonly people = new Map<string, LimitFunction>();

  constructor(
    private readonly programFolder: string,
    /** How far readers stand back behind whoever waits for a page. */
    private readonly niceness: number,
  ) {}

  /**
   * @param person whose turn it is
   * @param work what is done with the pieces of the answer as they come; they end early where the program was ended
   * @throws FileNotReadable where the program was ended or ended by itself; what the work or the input throws, as it is
   */
  run<T>(
    person: string,
    program: ReaderProgram,
    limits: Limits,
    input: () => AsyncIterable<Uint8Array>,
    work: (frames: AsyncGenerator<Buffer>) => Promise<T>,
    { args = [], env }: { readonly args?: readonly string[]; readonly env?: NodeJS.ProcessEnv } = {},
  ): Promise<T> {
    return this.inTurn(person, program === 'importArchive' ? this.archives : this.all, async () => {
      const run = runBounded(join(this.programFolder, `${program}.js`), args, limits, input(), {
        env,
        niceness: this.niceness,
      });
      let result: T;
      try {
        result = await work(run.frames);
      } catch (error) {
        const outrun = run.outrun();
        throw outrun ? new FileNotReadable(plainly(say('faults.outrun', { how: outrun, ...limits }))) : error;
      }
      const outrun = run.outrun();
      if (outrun) throw new FileNotReadable(plainly(say('faults.outrun', { how: outrun, ...limits })));
      return result;
    });
  }

  private async inTurn<T>(person: string, places: LimitFunction, task: () => Promise<T>): Promise<T> {
    const own = this.people.get(person) ?? pLimit(1);
    this.people.set(person, own);
    try {
      return await own(() => places(task));
    } finally {
      if (own.activeCount + own.pendingCount === 0) this.people.delete(person);
    }
  }
}

import { plainly, say } from '@white-ember/core/words';
import { told } from './told.ts';
import { once } from 'node:events';
import { statSync } from 'node:fs';
import { outrunOf, spawnBounded } from '@white-ember/bounded';
import { openTimeLimitMs, readMemoryLimitBytes } from '@white-ember/core/readings';

/** Says to a process of ours that it runs within limits already. */
const MARK = 'WHITE_EMBER_BOUNDED';
/** Commands that read files; their files are the arguments that are files. */
const READS_FILES = new Set(['analyse', 'convert', 'verify', 'diagnose', 'burn', 'judge', 'verify-ledger']);
/** Reads one file of JSON and nothing that it names. */
const READS_JSON_ONLY = 'judge';
/** So little JSON neither fills nor freezes anything: another process for it would only be waited for. */
const LITTLE_JSON_BYTES = 64 * 1024;
/** What is worked out from a log once it is read, beside reading it. */
const JUDGING_BYTES = 250 * 1024 * 1024;

const sizeOf = (path: string): number => {
  try {
    const stat = statSync(path);
    return stat.isFile() ? stat.size : 0;
  } catch {
    return 0;
  }
};

/**
 * A command on files from outside is run by a process that can take no more than its files are worth: what freezes or
 * fills it ends with a sentence, not the machine.
 * @returns the exit status, or nothing where the command is to be run here
 */
export async function runWithinLimits(args: readonly string[]): Promise<number | undefined> {
  const program = process.argv[1];
  if (process.env[MARK] === '1' || program === undefined || !READS_FILES.has(args[0] ?? '')) return undefined;
  const files = args.slice(1).filter((arg) => sizeOf(arg) > 0);
  const bytes = files.reduce((sum, file) => sum + sizeOf(file), 0);
  if (args[0] === READS_JSON_ONLY && bytes <= LITTLE_JSON_BYTES) return undefined;
  const limits = {
    timeMs: openTimeLimitMs(bytes),
    memoryBytes: readMemoryLimitBytes(bytes) + JUDGING_BYTES,
  };
  const { child, outOfTime } = spawnBounded(program, args, limits, {
    stdio: ['inherit', 'inherit', 'pipe'],
    env: { ...process.env, [MARK]: '1' },
  });
  let said = '';
  child.stderr?.on('data', (piece: Buffer) => (said = (said + piece.toString()).slice(-20_000)));
  const [status, signal] = (await once(child, 'close')) as [number | null, NodeJS.Signals | null];
  const outrun = outrunOf({ status, signal, said, outOfTime: outOfTime() });
  if (outrun !== undefined) {
    const why = plainly(say('faults.outrun', { how: outrun, ...limits }));
    process.stderr.write(told('of-the-files', { files: files.join(', '), limits: why }));
    return 2;
  }
  process.stderr.write(said);
  return status ?? 1;
}

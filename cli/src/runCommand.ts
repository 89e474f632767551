import { runWithinLimits } from './bounded.ts';

/** Runs what the line asks for: here, or by a process that is held within limits. Sets the exit status. */
export async function runCommand(): Promise<void> {
  // A reader that closes early, such as head, is no fault.
  process.stdout.on('error', (error: NodeJS.ErrnoException) => process.exit(error.code === 'EPIPE' ? 0 : 1));
  const args = process.argv.slice(2);
  const ended = await runWithinLimits(args);
  if (ended !== undefined) process.exit(ended);
  // The commands are loaded by who runs them: not by the process that only holds another within its limits.
  const { run } = await import('./run.ts');
  process.exitCode = await run(args);
}

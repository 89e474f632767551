import { runWithinLimits } from './bounded.ts';
import { run } from './run.ts';

// A reader that closes early, such as head, is no fault.
process.stdout.on('error', (error: NodeJS.ErrnoException) => process.exit(error.code === 'EPIPE' ? 0 : 1));

const args = process.argv.slice(2);
const ended = await runWithinLimits(args);
if (ended !== undefined) process.exit(ended);
process.exitCode = await run(args);

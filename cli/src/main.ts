import { runCommand } from './runCommand.ts';

await runCommand();

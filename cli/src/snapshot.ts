import { startupSnapshot } from 'node:v8';
import { checksFor, infer, networkFor, rankChecks, weigh } from '@white-ember/core/diagnosis';
// The command that is asked most: there when the program wakes, with all that it loads.
import './commands/judge.ts';
import { runCommand } from './runCommand.ts';

// What every judgement needs and none changes, the sets of causes above all, is kept with it.
const weighed = weigh(networkFor(), { 'code-p2463': true, 'dp-zero-off': false });
infer(weighed);
rankChecks(weighed, checksFor({}));

/** What a snapshot of the program does when it is started: the same as the program. */
startupSnapshot.setDeserializeMainFunction(() => void runCommand());

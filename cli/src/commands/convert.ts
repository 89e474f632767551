import { told } from '../told.ts';
import { once } from 'node:events';
import { createWriteStream, rmSync } from 'node:fs';
import { pipeline } from 'node:stream/promises';
import { Readable } from 'node:stream';
import { LOG_OUTPUTS, toRecording, writeLog, type LogOutput } from '@white-ember/core/readings';
import { InputError } from '../InputError.ts';
import { readRawLog, type Options } from '../input.ts';

/** Rewrites any readable log as one tidy wide table, on stdout or into a file. */
export async function convert(file: string, options: Options): Promise<void> {
  const to = options['to'] ?? (options['json'] ? 'json' : undefined);
  if (!isOutput(to))
    throw new InputError(told('to-must-be-one-of-it', { outputs: LOG_OUTPUTS.join(', '), to: to ?? '' }));
  const pieces = writeLog(toRecording(await readRawLog(file)), to);
  const out = options['out'];
  if (out === undefined) {
    for await (const piece of pieces) if (!process.stdout.write(piece)) await once(process.stdout, 'drain');
    return;
  }
  const stream = createWriteStream(out, { flags: 'wx' });
  try {
    await pipeline(Readable.from(pieces), stream);
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    // Half a file is worse than none; one that was there before is left alone.
    if (code !== 'EEXIST' && code !== 'ENOENT' && code !== 'EISDIR') rmSync(out, { force: true });
    throw new InputError(
      `${out}: ${code === 'EEXIST' ? told('exists-already-and-is-not-overwritten') : told('cannot-be-written', { code: code ?? (error as Error).message })}`,
    );
  }
}

const isOutput = (text: string | undefined): text is LogOutput => LOG_OUTPUTS.includes(text as LogOutput);

import { plainly, say } from '@white-ember/core/words';
import { Refusal } from '../http/problem.ts';
import type { UploadedFile } from '../uploads/uploadTaker.ts';
import { FileNotReadable, type FileReaders } from '../reading/fileReaders.ts';
import type { ImportAnswer } from './importArchive.program.ts';
import type { TakenIn } from './readArchive.ts';

const MEGABYTE = 1024 * 1024;
/** Rows and raw files pass through, some at a time: what is needed does not grow with the archive. */
const MEMORY_BYTES = 700 * MEGABYTE;
/** A slow disk takes in 2 MB a second. */
const timeMs = (sizeBytes: number): number => 120_000 + (sizeBytes / (2 * MEGABYTE)) * 1000;

async function* nothing(): AsyncGenerator<Uint8Array> {
  // The program reads the file itself.
}

/** Takes an archive into a workshop, in a process of its own with a connection of its own. */
export async function importArchive(
  readers: FileReaders,
  databaseUrl: string,
  target: { readonly workshopId: string; readonly memberId: string },
  file: UploadedFile,
): Promise<TakenIn> {
  try {
    return await readers.run(
      target.memberId,
      'importArchive',
      { memoryBytes: MEMORY_BYTES, timeMs: timeMs(file.sizeBytes) },
      nothing,
      async (frames) => {
        const answer = await frames.next();
        if (answer.done) throw new FileNotReadable(plainly(say('faults.reading-stopped')));
        const said = JSON.parse(answer.value.toString()) as ImportAnswer;
        if (said.ok) return said.takenIn;
        throw new Refusal(said.status, said.title, said.detail);
      },
      {
        args: [file.path, String(file.sizeBytes), target.workshopId],
        env: { ...process.env, DATABASE_URL: databaseUrl },
      },
    );
  } catch (error) {
    if (!(error instanceof FileNotReadable)) throw error;
    throw new Refusal(
      422,
      say('refusals.this-file-cannot-be-read-as'),
      say('refusals.why-nothing-was-kept', { why: error.message }),
    );
  }
}

import { describeFailure, inEnglish } from '@white-ember/core/words';
import { deflateSync } from 'node:zlib';
import { giveFrames } from '@white-ember/bounded';
import { openLog, packLog, PART_NUMBERS, toPlanes } from '@white-ember/core/readings';

/** What the program says of a log before its numbers come. */
export type ReadLogAnswer =
  | { readonly ok: true; readonly header: string }
  | { readonly ok: false; readonly why: string };

const answer = (said: ReadLogAnswer): Buffer => Buffer.from(JSON.stringify(said));

/** Reads a log from standard input; gives its header, then its numbers in compressed parts, array by array. */
async function* readLog(): AsyncGenerator<Uint8Array> {
  const reader = openLog();
  for await (const piece of process.stdin) reader.push(piece as Buffer);
  const read = await reader.finish();
  if (!read.ok) {
    yield answer({ ok: false, why: inEnglish(describeFailure(read.failure)) });
    return;
  }
  const { header, arrays } = packLog(read.value);
  yield answer({ ok: true, header: JSON.stringify(header) });
  for (const array of arrays)
    for (let at = 0; at < array.length; at += PART_NUMBERS)
      yield deflateSync(toPlanes(array.subarray(at, at + PART_NUMBERS)));
}

giveFrames(readLog);

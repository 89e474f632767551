import { say } from '../../words/index.ts';
import type { Result } from '../../quantities/index.ts';
import { canLog } from './canLog.ts';
import { checkLogBytes, PARQUET_SIGNATURE, startsWith, TextPieces, unreadable } from './decodeText.ts';
import { delimitedLog } from './delimitedLog.ts';
import { jsonLog } from './jsonLog.ts';
import type { LogFormat, LogSink, LogWarning, RawLog } from './rawLog.ts';

/** Every format of text that can be read. Adding one is a file and a line. */
const FORMATS: readonly LogFormat[] = [delimitedLog, canLog, jsonLog];

/** How much of a file is looked at before its format is chosen. */
const HEAD_BYTES = 262_144;
const PIECE_BYTES = 1_048_576;

/** Reads a log from pieces of its bytes, given in order; the file's name plays no part. */
export interface LogReader {
  readonly push: (bytes: Uint8Array) => void;
  readonly finish: () => Promise<Result<RawLog>>;
}

export function openLog(): LogReader {
  const waiting: Uint8Array[] = [];
  let waitingBytes = 0;
  let text: TextPieces | undefined;
  let sink: LogSink | undefined;
  let failure: Result<RawLog> | undefined;
  let parquet = false;

  const begin = (last: boolean): void => {
    const head = joined(waiting);
    const checked = checkLogBytes(head);
    if (!checked.ok) {
      failure = checked;
      return;
    }
    parquet = startsWith(head, PARQUET_SIGNATURE);
    if (parquet) return;
    waiting.length = 0;
    text = new TextPieces(head);
    const opening = text.push(head, last);
    const [best] = FORMATS.map((format) => ({ format, score: format.recognise(opening) })).sort(
      (a, b) => b.score - a.score,
    );
    if (!best || best.score <= 0) {
      failure = unreadable(say('logs.is-text-but-not-a-table'));
      return;
    }
    const opened = best.format.open(opening);
    if (!opened.ok) {
      failure = opened;
      return;
    }
    sink = opened.value;
    sink.push(opening);
  };

  return {
    push: (bytes) => {
      if (failure) return;
      if (text && sink) {
        sink.push(text.push(bytes));
        return;
      }
      waiting.push(bytes);
      waitingBytes += bytes.length;
      if (!parquet && waitingBytes >= HEAD_BYTES) begin(false);
    },
    finish: async () => {
      if (!failure && !sink && !parquet) begin(true);
      if (failure) return failure;
      if (parquet) {
        const whole = joined(waiting);
        // Loaded when the first such file comes: few logs are of this kind.
        return (await import('./parquetLog.ts')).readParquet(whole);
      }
      if (!text || !sink) return unreadable(say('logs.is-empty'));
      sink.push(text.push(new Uint8Array(), true));
      const read = await sink.finish();
      return read.ok
        ? { ok: true, value: { ...read.value, warnings: [...encodingWarning(text), ...read.value.warnings] } }
        : read;
    },
  };
}

const encodingWarning = (text: TextPieces): LogWarning[] =>
  text.damaged
    ? [
        {
          code: 'text-damaged',
          text: say('logs.the-file-is-utf-8-with'),
        },
      ]
    : [];

function joined(pieces: readonly Uint8Array[]): Uint8Array {
  const [only] = pieces;
  if (pieces.length === 1 && only) return only;
  const whole = new Uint8Array(pieces.reduce((sum, piece) => sum + piece.length, 0));
  let at = 0;
  for (const piece of pieces) {
    whole.set(piece, at);
    at += piece.length;
  }
  return whole;
}

/** The same for bytes that are at hand whole. */
export function readLog(bytes: Uint8Array): Promise<Result<RawLog>> {
  const reader = openLog();
  for (let at = 0; at < bytes.length; at += PIECE_BYTES) reader.push(bytes.subarray(at, at + PIECE_BYTES));
  return reader.finish();
}

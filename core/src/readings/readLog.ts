import { failed, type Result } from '../quantities/index.ts';
import { decodeText } from './decodeText.ts';
import { delimitedLog } from './delimitedLog.ts';
import type { LogFormat, RawLog } from './rawLog.ts';

/** Every format that can be read. Adding one is a file and a line. */
const FORMATS: readonly LogFormat[] = [delimitedLog];

const HEAD_CHARS = 200_000;

/** Bytes → columns, by the format that recognises the content best; the file's name plays no part. */
export function readLog(bytes: Uint8Array): Result<RawLog> {
  const decoded = decodeText(bytes);
  if (!decoded.ok) return decoded;
  const head = decoded.value.text.slice(0, HEAD_CHARS);
  const ranked = FORMATS.map((format) => ({ format, score: format.recognise(head) })).sort(
    (a, b) => b.score - a.score,
  );
  const best = ranked[0];
  if (!best || best.score <= 0) {
    return failed({
      code: 'unreadable',
      field: 'The file',
      requirement: 'is text, but not a table that can be read: export it as CSV with one column a channel',
    });
  }
  return best.format.read(decoded.value.text);
}

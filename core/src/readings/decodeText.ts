import { failed, success, type Result } from '../quantities/index.ts';

export interface DecodedText {
  readonly text: string;
  readonly encoding: 'utf-8' | 'utf-16le' | 'utf-16be' | 'latin-1';
}

const HEAD = 4096;

/** Signatures of files that people drop by mistake. By content, as a name says nothing. */
const NOT_LOGS: readonly (readonly [readonly number[], string])[] = [
  [[0x50, 0x4b, 0x03, 0x04], 'a zip archive or spreadsheet; export it as CSV text first'],
  [[0x25, 0x50, 0x44, 0x46], 'a PDF'],
  [[0x89, 0x50, 0x4e, 0x47], 'a picture'],
  [[0xff, 0xd8, 0xff], 'a picture'],
  [[0x47, 0x49, 0x46, 0x38], 'a picture'],
  [[0x1f, 0x8b], 'a compressed file; unpack it first'],
];

const startsWith = (bytes: Uint8Array, signature: readonly number[]): boolean =>
  signature.every((byte, i) => bytes[i] === byte);

function unreadable(requirement: string): {
  ok: false;
  failure: { code: 'unreadable'; field: string; requirement: string };
} {
  return { ok: false, failure: { code: 'unreadable', field: 'The file', requirement } };
}

/** Refuses what is certainly no text log: empty, a known binary kind, a web page, or full of control bytes. */
export function checkLogBytes(bytes: Uint8Array): Result<true> {
  if (bytes.length === 0) return unreadable('is empty');
  for (const [signature, what] of NOT_LOGS) {
    if (startsWith(bytes, signature)) return unreadable(`is ${what}, not a recorded log`);
  }
  const wide =
    startsWith(bytes, [0xff, 0xfe]) || startsWith(bytes, [0xfe, 0xff]) || guessUtf16(bytes) !== undefined;
  const head = bytes.subarray(0, HEAD);
  if (!wide && head.some((byte) => byte < 9 || (byte > 13 && byte < 32 && byte !== 27))) {
    return unreadable('holds binary data, not text, so it is not a recorded log that can be read here');
  }
  const opening = new TextDecoder('latin1').decode(head).trimStart().slice(0, 200).toLowerCase();
  if (opening.startsWith('<!doctype html') || opening.startsWith('<html')) {
    return unreadable('is a web page, not a recorded log');
  }
  return success(true);
}

function guessUtf16(bytes: Uint8Array): 'utf-16le' | 'utf-16be' | undefined {
  const length = Math.min(bytes.length, HEAD) & ~1;
  if (length < 4) return undefined;
  let evenZero = 0;
  let oddZero = 0;
  for (let i = 0; i < length; i += 2) {
    if (bytes[i] === 0) evenZero++;
    if (bytes[i + 1] === 0) oddZero++;
  }
  const pairs = length / 2;
  if (oddZero > 0.6 * pairs && evenZero < 0.1 * pairs) return 'utf-16le';
  if (evenZero > 0.6 * pairs && oddZero < 0.1 * pairs) return 'utf-16be';
  return undefined;
}

/** Bytes to text: byte order mark, UTF-16 by its zeros, UTF-8 where it is valid, else Latin-1 (Windows-1252). */
export function decodeText(bytes: Uint8Array): Result<DecodedText> {
  const checked = checkLogBytes(bytes);
  if (!checked.ok) return failed(checked.failure);
  const marked = startsWith(bytes, [0xff, 0xfe])
    ? 'utf-16le'
    : startsWith(bytes, [0xfe, 0xff])
      ? 'utf-16be'
      : undefined;
  const wide = marked ?? guessUtf16(bytes);
  if (wide) return success({ text: new TextDecoder(wide).decode(bytes), encoding: wide });
  try {
    return success({ text: new TextDecoder('utf-8', { fatal: true }).decode(bytes), encoding: 'utf-8' });
  } catch {
    return success({ text: new TextDecoder('windows-1252').decode(bytes), encoding: 'latin-1' });
  }
}

import { say, type Said } from '../../words/index.ts';
import { failed, success, type Result } from '../../quantities/index.ts';

export type Encoding = 'utf-8' | 'utf-16le' | 'utf-16be' | 'latin-1';

const HEAD = 4096;

/** Signatures of files that people drop by mistake. By content, as a name says nothing. */
const NOT_LOGS: readonly (readonly [readonly number[], Said])[] = [
  [[0x50, 0x4b, 0x03, 0x04], say('logs.a-zip-archive-or-spreadsheet-export')],
  [[0x25, 0x50, 0x44, 0x46], say('logs.a-pdf')],
  [[0x89, 0x50, 0x4e, 0x47], say('logs.a-picture')],
  [[0xff, 0xd8, 0xff], say('logs.a-picture')],
  [[0x47, 0x49, 0x46, 0x38], say('logs.a-picture')],
  [[0x1f, 0x8b], say('logs.a-compressed-file-unpack-it-first')],
];

export const PARQUET_SIGNATURE = [0x50, 0x41, 0x52, 0x31] as const;

export const startsWith = (bytes: Uint8Array, signature: readonly number[]): boolean =>
  signature.every((byte, i) => bytes[i] === byte);

export function unreadable(requirement: Said): ReturnType<typeof failed> {
  return failed({ code: 'unreadable', field: say('fields.the-file'), requirement });
}

/** Refuses what is certainly no log: empty, a known kind of other file, a web page, or full of control bytes. */
export function checkLogBytes(bytes: Uint8Array): Result<true> {
  if (bytes.length === 0) return unreadable(say('logs.is-empty'));
  if (startsWith(bytes, PARQUET_SIGNATURE)) return success(true);
  for (const [signature, what] of NOT_LOGS) {
    if (startsWith(bytes, signature)) return unreadable(say('logs.is-not-a-recorded-log', { what }));
  }
  const wide =
    startsWith(bytes, [0xff, 0xfe]) || startsWith(bytes, [0xfe, 0xff]) || guessUtf16(bytes) !== undefined;
  const head = bytes.subarray(0, HEAD);
  if (!wide && head.some((byte) => byte < 9 || (byte > 13 && byte < 32 && byte !== 27))) {
    return unreadable(say('logs.holds-binary-data-not-text-so'));
  }
  const opening = new TextDecoder('latin1').decode(head).trimStart().slice(0, 200).toLowerCase();
  if (opening.startsWith('<!doctype html') || opening.startsWith('<html')) {
    return unreadable(say('logs.is-a-web-page-not-a'));
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

/** How many bytes at the end begin a UTF-8 character that the next piece completes. */
function unfinishedTail(bytes: Uint8Array): number {
  for (let back = 1; back <= Math.min(3, bytes.length); back++) {
    const byte = bytes[bytes.length - back] as number;
    if ((byte & 0xc0) === 0x80) continue;
    const needed = byte >= 0xf0 ? 4 : byte >= 0xe0 ? 3 : byte >= 0xc0 ? 2 : 1;
    return needed > back ? back : 0;
  }
  return 0;
}

/**
 * Bytes to text, piece by piece: by byte order mark, UTF-16 by its zeros, UTF-8 while it is valid, else Windows-1252.
 * A file that turns out not to be UTF-8 is so from its first byte that is not ASCII on; one that is broken behind valid
 * UTF-8 is `damaged`.
 */
export class TextPieces {
  encoding: Encoding;
  damaged = false;
  private carry = new Uint8Array();
  private plain = true;
  private readonly wide: InstanceType<typeof TextDecoder> | undefined;

  constructor(head: Uint8Array) {
    const marked = startsWith(head, [0xff, 0xfe])
      ? 'utf-16le'
      : startsWith(head, [0xfe, 0xff])
        ? 'utf-16be'
        : guessUtf16(head);
    this.encoding = marked ?? 'utf-8';
    if (marked) this.wide = new TextDecoder(marked);
  }

  push(piece: Uint8Array, last = false): string {
    if (this.wide) return this.wide.decode(piece, { stream: !last });
    let bytes = piece;
    if (this.carry.length > 0) {
      bytes = new Uint8Array(this.carry.length + piece.length);
      bytes.set(this.carry);
      bytes.set(piece, this.carry.length);
    }
    if (this.encoding === 'latin-1') {
      this.carry = new Uint8Array();
      return new TextDecoder('windows-1252').decode(bytes);
    }
    const tail = last ? 0 : unfinishedTail(bytes);
    this.carry = bytes.slice(bytes.length - tail);
    const whole = bytes.subarray(0, bytes.length - tail);
    try {
      const text = new TextDecoder('utf-8', { fatal: true }).decode(whole);
      // One character a byte: nothing beyond ASCII.
      this.plain &&= text.length === whole.length;
      return text;
    } catch {
      if (this.plain) {
        this.encoding = 'latin-1';
        this.carry = new Uint8Array();
        return new TextDecoder('windows-1252').decode(bytes);
      }
      this.damaged = true;
      return new TextDecoder('utf-8').decode(whole);
    }
  }
}

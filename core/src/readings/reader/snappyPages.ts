import { snappyUncompress } from 'hyparquet/src/snappy.js';

/** Bytes behind the tag of a copy, by its kind (Snappy format description, 2.2). */
const COPY_BYTES = [0, 1, 2, 4] as const;

/**
 * Walks through the elements of a Snappy block without unpacking it. The library takes a length of four bytes for a signed
 * number, and then reads backwards without end.
 * @throws Error where an element reaches beyond the block, or all together beyond what it unpacks to
 */
function checkElements(input: Uint8Array, outputLength: number): void {
  let at = 0;
  while (at < input.length && (input[at] as number) >= 128) at++;
  at++;
  let length = 0;
  while (at < input.length) {
    const tag = input[at++] as number;
    const kind = tag & 3;
    if (kind > 0) {
      length += kind === 1 ? ((tag >>> 2) & 7) + 4 : (tag >>> 2) + 1;
      at += COPY_BYTES[kind] as number;
    } else {
      let literal = (tag >>> 2) + 1;
      if (literal > 60) {
        const bytes = literal - 60;
        literal = 1;
        for (let i = 0; i < bytes; i++) literal += (input[at + i] ?? 0) * 256 ** i;
        at += bytes;
      }
      length += literal;
      at += literal;
    }
    if (at > input.length || length > outputLength)
      throw new Error('a page unpacks to more than it can hold');
  }
}

/** Unpacks a Snappy block. */
export function decompressSnappy(input: Uint8Array, outputLength: number): Uint8Array {
  checkElements(input, outputLength);
  const output = new Uint8Array(outputLength);
  snappyUncompress(input, output);
  return output;
}

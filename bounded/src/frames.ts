/** A longer piece is none of ours. */
export const MOST_FRAME_BYTES = 64 * 1024 * 1024;

/** A piece of an answer with its length before it. */
export function frame(bytes: Uint8Array): Buffer {
  const size = Buffer.alloc(4);
  size.writeUInt32LE(bytes.length);
  return Buffer.concat([size, bytes]);
}

/** Puts pieces together again as they come. */
export class FrameReader {
  private waiting: Buffer[] = [];
  private length = 0;

  /** The pieces that are whole now. */
  *push(bytes: Buffer): Generator<Buffer> {
    this.waiting.push(bytes);
    this.length += bytes.length;
    for (let size = this.next(); size !== undefined && this.length >= 4 + size; size = this.next()) {
      const all = Buffer.concat(this.waiting);
      yield all.subarray(4, 4 + size);
      this.waiting = [all.subarray(4 + size)];
      this.length = all.length - 4 - size;
    }
  }

  private next(): number | undefined {
    if (this.length < 4) return undefined;
    const head = this.waiting[0] as Buffer;
    if (head.length < 4) this.waiting = [Buffer.concat(this.waiting)];
    const size = (this.waiting[0] as Buffer).readUInt32LE(0);
    if (size > MOST_FRAME_BYTES) throw new Error('a piece of the answer is too long');
    return size;
  }

  /** Whether nothing is left that waits for its end. */
  get empty(): boolean {
    return this.length === 0;
  }
}

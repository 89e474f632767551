/** A frame of the bus: 11-bit identifier and up to eight bytes. */
export interface CanFrame {
  readonly id: number;
  readonly bytes: Uint8Array;
}

const PADDING = 0xcc;
const MOST_BYTES = 4095;

const padded = (bytes: readonly number[]): Uint8Array => {
  const frame = new Uint8Array(8).fill(PADDING);
  frame.set(bytes);
  return frame;
};

interface Incoming {
  readonly bytes: Uint8Array;
  filled: number;
  next: number;
}

/**
 * One end of a connection by ISO 15765-2 with normal addressing: messages of up to 4095 bytes in frames of eight. Frames
 * that come are given to {@link receive}; frames to send come out of {@link send}. A long message waits for the other end
 * to clear it; one that comes is cleared at once, all of it without pause.
 */
export class IsoTpEnd {
  readonly #sendId: number;
  readonly #receiveId: number;
  readonly #put: (frame: CanFrame) => void;
  readonly #onMessage: (bytes: Uint8Array) => void;
  #outgoing: { bytes: Uint8Array; at: number; sequence: number } | undefined;
  #incoming: Incoming | undefined;
  /** Messages that came in frames that did not fit together. */
  lost = 0;

  constructor(of: {
    readonly sendId: number;
    readonly receiveId: number;
    readonly put: (frame: CanFrame) => void;
    readonly onMessage: (bytes: Uint8Array) => void;
  }) {
    this.#sendId = of.sendId;
    this.#receiveId = of.receiveId;
    this.#put = of.put;
    this.#onMessage = of.onMessage;
  }

  /** @throws RangeError where the message is empty or longer than 4095 bytes */
  send(bytes: Uint8Array): void {
    if (bytes.length === 0 || bytes.length > MOST_BYTES)
      throw new RangeError(`send: a message must have 1 to ${MOST_BYTES} bytes (it has ${bytes.length})`);
    if (bytes.length <= 7) {
      this.#frame([bytes.length, ...bytes]);
      return;
    }
    // Ready before the first frame is out: on a quick bus it is cleared before `put` returns.
    this.#outgoing = { bytes, at: 6, sequence: 1 };
    this.#frame([0x10 | (bytes.length >> 8), bytes.length & 0xff, ...bytes.subarray(0, 6)]);
  }

  #frame(bytes: readonly number[]): void {
    this.#put({ id: this.#sendId, bytes: padded(bytes) });
  }

  receive({ id, bytes }: CanFrame): void {
    if (id !== this.#receiveId || bytes.length === 0) return;
    const first = bytes[0] as number;
    switch (first >> 4) {
      case 0:
        this.#single(bytes, first & 0x0f);
        return;
      case 1:
        this.#begin(bytes);
        return;
      case 2:
        this.#goOn(bytes, first & 0x0f);
        return;
      case 3:
        this.#cleared(first & 0x0f, bytes[1] ?? 0);
        return;
      default:
        this.lost++;
    }
  }

  #single(bytes: Uint8Array, length: number): void {
    if (length === 0 || length >= bytes.length) this.lost++;
    else this.#onMessage(bytes.slice(1, 1 + length));
  }

  #begin(bytes: Uint8Array): void {
    if (this.#incoming) this.lost++;
    const length = (((bytes[0] as number) & 0x0f) << 8) | (bytes[1] ?? 0);
    if (length < 8) {
      this.lost++;
      this.#incoming = undefined;
      return;
    }
    const message = new Uint8Array(length);
    message.set(bytes.subarray(2, 8));
    this.#incoming = { bytes: message, filled: 6, next: 1 };
    this.#frame([0x30, 0, 0]);
  }

  #goOn(bytes: Uint8Array, sequence: number): void {
    const open = this.#incoming;
    if (!open || open.next !== sequence) {
      this.lost++;
      this.#incoming = undefined;
      return;
    }
    const piece = bytes.subarray(1, 1 + Math.min(7, open.bytes.length - open.filled));
    open.bytes.set(piece, open.filled);
    open.filled += piece.length;
    open.next = (sequence + 1) & 0x0f;
    if (open.filled < open.bytes.length) return;
    this.#incoming = undefined;
    this.#onMessage(open.bytes);
  }

  /** The other end lets the rest of a long message come: all of it, or a block. */
  #cleared(status: number, block: number): void {
    const out = this.#outgoing;
    if (!out) return;
    if (status === 2) {
      this.#outgoing = undefined;
      this.lost++;
      return;
    }
    if (status !== 0) return;
    for (let sent = 0; out.at < out.bytes.length && (block === 0 || sent < block); sent++) {
      this.#frame([0x20 | out.sequence, ...out.bytes.subarray(out.at, out.at + 7)]);
      out.at += 7;
      out.sequence = (out.sequence + 1) & 0x0f;
    }
    if (out.at >= out.bytes.length) this.#outgoing = undefined;
  }
}

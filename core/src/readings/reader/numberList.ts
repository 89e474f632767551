const CHUNK = 8192;

/**
 * Numbers of unknown count. Kept in pieces, so that growing never holds two copies; `take` joins them once.
 * Missing readings are NaN, which stays inside the reader.
 */
export class NumberList {
  private readonly pieces: Float64Array[] = [];
  private current = new Float64Array(CHUNK);
  private used = 0;

  get length(): number {
    return this.pieces.length * CHUNK + this.used;
  }

  push(value: number): void {
    if (this.used === CHUNK) {
      this.pieces.push(this.current);
      this.current = new Float64Array(CHUNK);
      this.used = 0;
    }
    this.current[this.used++] = value;
  }

  /** All numbers as one array. The list is empty afterwards. */
  take(): Float64Array {
    const whole = new Float64Array(this.length);
    let at = 0;
    for (let piece = this.pieces.shift(); piece; piece = this.pieces.shift()) {
      whole.set(piece, at);
      at += piece.length;
    }
    whole.set(this.current.subarray(0, this.used), at);
    this.current = new Float64Array(0);
    this.used = 0;
    return whole;
  }
}

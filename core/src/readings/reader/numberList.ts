/** Numbers in the first piece; each later one has twice as many as the one before, up to the largest. */
const FIRST = 256;
const LARGEST = 8192;

/**
 * Numbers of unknown count. Kept in pieces, so that growing never holds two copies; `take` joins them once. A list of few
 * numbers takes little: a file may name thousands of channels with one reading each.
 * Missing readings are NaN, which stays inside the reader.
 */
export class NumberList {
  private readonly pieces: Float64Array[] = [];
  private current = new Float64Array(FIRST);
  private used = 0;
  private inPieces = 0;

  get length(): number {
    return this.inPieces + this.used;
  }

  push(value: number): void {
    if (this.used === this.current.length) {
      this.pieces.push(this.current);
      this.inPieces += this.used;
      this.current = new Float64Array(Math.min(2 * Math.max(this.used, FIRST / 2), LARGEST));
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
    this.inPieces = 0;
    return whole;
  }
}

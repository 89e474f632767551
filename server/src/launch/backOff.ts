/** Waits between tries, ms: short at first, as most faults are over at once, and never longer than half a minute. */
const FIRST_MS = 200;
const LONGEST_MS = 30_000;
/** What ran for so long was sound: the next fault begins anew. */
const SOUND_AFTER_MS = 60_000;

/** Says how long to wait before something that stopped is started again. It never gives up. */
export class BackOff {
  private tries = 0;
  private lastMs = Number.NEGATIVE_INFINITY;

  /** @param nowMs a clock that only goes forward */
  next(nowMs: number): number {
    const waited = this.tries === 0 ? 0 : Math.min(FIRST_MS * 2 ** (this.tries - 1), LONGEST_MS);
    if (nowMs - this.lastMs > SOUND_AFTER_MS + waited) this.tries = 0;
    this.lastMs = nowMs;
    const wait = Math.min(FIRST_MS * 2 ** this.tries, LONGEST_MS);
    this.tries++;
    return wait;
  }
}

import { setTimeout as sleep } from 'node:timers/promises';

/** Longer than this nobody need wait at once. */
const LONGEST_REST_MS = 200;

/**
 * Work beside people who wait: after each piece it rests as long as the piece took, so that whoever works meanwhile has the
 * database and a processor for half of the time.
 */
export class Pace {
  #resumed = performance.now();

  async rest(): Promise<void> {
    await sleep(Math.min(LONGEST_REST_MS, performance.now() - this.#resumed));
    this.#resumed = performance.now();
  }
}

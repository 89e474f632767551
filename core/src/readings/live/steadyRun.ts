import { say, type Said } from '../../words/index.ts';
import {
  HOLD_TOLERANCE_RPM,
  HOLD_TOLERANCE_SHARE,
  OFF_RPM,
  RUNNING_RPM,
  SETTLE_S,
  idleCeilingRpm,
} from '../windows.ts';

export type RunKind = 'engine-off' | 'idle' | 'hold' | 'moving';

/** The stretch of steady engine speed that goes on now, by the rules by which windows of a log are found. */
export interface SteadyRun {
  readonly kind: RunKind;
  readonly startS: number;
  readonly meanRpm: number;
  /** For so long it has been steady, the settling at its beginning left out, s. */
  readonly steadyS: number;
}

const DRIVING_KM_H = 3;
/** Readings further apart than this belong to no common stretch, s. */
const LONGEST_GAP_S = 3;
/** An open pipe falls back in half a second, a restricted one takes over two: fewer readings than this cannot tell. */
const PIPE_HZ = 2;

/** What a link cannot show at so many readings a second of each channel, in words; nothing where it shows all. */
export function rateAdvice(hz: number): Said | undefined {
  if (hz <= 0) return undefined;
  if (hz < 1 / LONGEST_GAP_S) return say('live.too-slow-for-holds', { everyS: 1 / hz });
  if (hz < PIPE_HZ) return say('live.too-slow-for-pipes', { hz });
  return undefined;
}

/** Follows engine speed as it comes in and knows which steady stretch it is in. */
export class SteadyFollower {
  #startS = 0;
  #sum = 0;
  #count = 0;
  #lastS = Number.NEGATIVE_INFINITY;
  #moving = false;
  /** Lowest speed that was dwelt on: idle of this engine. */
  #idleRpm = Number.POSITIVE_INFINITY;

  push(timeS: number, rpm: number, kmPerH = 0): void {
    const mean = this.#count === 0 ? rpm : this.#sum / this.#count;
    const tolerance = mean < OFF_RPM ? OFF_RPM : Math.max(HOLD_TOLERANCE_RPM, HOLD_TOLERANCE_SHARE * mean);
    const gap = timeS - this.#lastS > LONGEST_GAP_S;
    this.#moving = kmPerH > DRIVING_KM_H;
    if (gap || Math.abs(rpm - mean) > tolerance) {
      this.#startS = timeS;
      this.#sum = 0;
      this.#count = 0;
    }
    this.#sum += rpm;
    this.#count += 1;
    this.#lastS = timeS;
    const run = this.run;
    if (run.meanRpm >= RUNNING_RPM && run.steadyS > 3) this.#idleRpm = Math.min(this.#idleRpm, run.meanRpm);
  }

  get idleRpm(): number | undefined {
    return Number.isFinite(this.#idleRpm) ? this.#idleRpm : undefined;
  }

  get run(): SteadyRun {
    const meanRpm = this.#count === 0 ? 0 : this.#sum / this.#count;
    const settle = meanRpm < OFF_RPM ? 0.3 : SETTLE_S;
    const steadyS = Math.max(0, this.#lastS - this.#startS - settle);
    const ceiling = idleCeilingRpm(this.idleRpm ?? 900);
    const kind: RunKind =
      meanRpm < OFF_RPM
        ? 'engine-off'
        : meanRpm < RUNNING_RPM || this.#moving
          ? 'moving'
          : meanRpm <= ceiling
            ? 'idle'
            : 'hold';
    return { kind, startS: this.#startS, meanRpm, steadyS };
  }
}

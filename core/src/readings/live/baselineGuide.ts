import { say, type Said } from '../../words/index.ts';
import { SteadyFollower, type SteadyRun } from './steadyRun.ts';

export const BASELINE_STEPS = [
  'key-on',
  'cold-idle',
  'warm-idle',
  'hold-low',
  'hold-high',
  'snaps',
  'key-off',
] as const;
export type BaselineStepId = (typeof BASELINE_STEPS)[number];

/** Which speeds are to be held: what the engine can be revved to without load decides. */
export interface BaselinePlan {
  readonly lowRpm: number;
  readonly highRpm: number;
  /** Coolant from which idle and holds count as warm, °C. */
  readonly warmC: number;
}

const LARGE_ENGINE_L = 4;

/** Worked values: 2.0 L → 2500 and 3000 rpm; 12.8 L → 1500 and 2000 rpm. */
export const baselinePlan = (displacementL: number | undefined, warmC: number): BaselinePlan =>
  (displacementL ?? 2) >= LARGE_ENGINE_L
    ? { lowRpm: 1500, highRpm: 2000, warmC }
    : { lowRpm: 2500, highRpm: 3000, warmC };

export interface BaselineStep {
  readonly id: BaselineStepId;
  readonly state: 'done' | 'now' | 'to-do' | 'not-needed';
  /** 0–1. */
  readonly share: number;
  /** What to do, or why it is done or not needed. */
  readonly text: Said;
}

export interface LiveMoment {
  readonly timeS: number;
  readonly rpm: number;
  readonly coolantC?: number | undefined;
  readonly kmPerH?: number | undefined;
}

/** Seconds that a step takes; snaps are counted. */
const NEEDED_S = {
  'key-on': 5,
  'cold-idle': 20,
  'warm-idle': 20,
  'hold-low': 15,
  'hold-high': 20,
  'key-off': 6,
};
const SNAPS = 3;
const COLD_BELOW_C = 60;
const SNAP_RISE_RPM = 700;
const SNAP_LONGEST_S = 8;
/** A speed held by foot counts for the one that was asked for within this share. */
const NEAR = 0.12;

/**
 * The guided baseline: recognises each step from the values themselves, in whatever order they come, and says what is
 * still missing. It asks for nothing that the vehicle cannot give: one that comes warm has no cold idle.
 */
export class BaselineGuide {
  readonly plan: BaselinePlan;
  readonly #follower = new SteadyFollower();
  readonly #have: Record<Exclude<BaselineStepId, 'snaps'>, number> = {
    'key-on': 0,
    'cold-idle': 0,
    'warm-idle': 0,
    'hold-low': 0,
    'hold-high': 0,
    'key-off': 0,
  };
  #snaps = 0;
  #riseS: number | undefined;
  #hasRun = false;
  #cameWarm = false;
  #coolantC: number | undefined;

  constructor(plan: BaselinePlan) {
    this.plan = plan;
  }

  push({ timeS, rpm, coolantC, kmPerH }: LiveMoment): void {
    this.#follower.push(timeS, rpm, kmPerH);
    this.#coolantC = coolantC ?? this.#coolantC;
    const { run } = this.#follower;
    if (rpm > 450 && !this.#hasRun) {
      this.#hasRun = true;
      this.#cameWarm = this.#coolantC === undefined || this.#coolantC >= COLD_BELOW_C;
    }
    const step = this.#stepOf(run);
    if (step !== undefined) this.#have[step] = Math.max(this.#have[step], run.steadyS);
    this.#countSnaps(timeS, rpm);
  }

  get run(): SteadyRun {
    return this.#follower.run;
  }

  /** Which step the present stretch belongs to. */
  #stepOf(run: SteadyRun): Exclude<BaselineStepId, 'snaps'> | undefined {
    if (run.kind === 'engine-off') return this.#hasRun ? 'key-off' : 'key-on';
    if (run.kind === 'idle') {
      if (this.#isWarm) return 'warm-idle';
      return (this.#coolantC ?? 0) < COLD_BELOW_C ? 'cold-idle' : undefined;
    }
    if (run.kind !== 'hold') return undefined;
    const near = (rpm: number): boolean => Math.abs(run.meanRpm - rpm) <= NEAR * rpm;
    const { lowRpm, highRpm } = this.plan;
    const lowNearer = Math.abs(run.meanRpm - lowRpm) <= Math.abs(run.meanRpm - highRpm);
    if (lowNearer) return near(lowRpm) ? 'hold-low' : undefined;
    return near(highRpm) ? 'hold-high' : undefined;
  }

  /** Unknown coolant counts as warm: nothing better can be asked for. */
  get #isWarm(): boolean {
    return this.#coolantC === undefined || this.#coolantC >= this.plan.warmC;
  }

  #countSnaps(timeS: number, rpm: number): void {
    const idle = this.#follower.idleRpm;
    if (idle === undefined) return;
    if (rpm > idle + SNAP_RISE_RPM) this.#riseS ??= timeS;
    else if (rpm < idle + 250 && this.#riseS !== undefined) {
      if (timeS - this.#riseS <= SNAP_LONGEST_S) this.#snaps += 1;
      this.#riseS = undefined;
    }
  }

  #isDone(id: BaselineStepId): boolean {
    if (id === 'snaps') return this.#snaps >= SNAPS;
    if (id === 'cold-idle' && this.#hasRun && (this.#cameWarm || this.#isWarm)) return true;
    // Begun with the engine running, the rest at the end gives the zero.
    if (id === 'key-on' && this.#have['key-off'] >= NEEDED_S['key-off']) return true;
    return this.#have[id] >= NEEDED_S[id];
  }

  get complete(): boolean {
    return BASELINE_STEPS.every((id) => this.#isDone(id));
  }

  /** The first step that is missing; key off comes last, and ends the drill. */
  get next(): BaselineStepId | undefined {
    return BASELINE_STEPS.find((id) => !this.#isDone(id) && !(id === 'key-on' && this.#hasRun));
  }

  get steps(): BaselineStep[] {
    const { next } = this;
    return BASELINE_STEPS.map((id) => {
      const done = this.#isDone(id);
      const skipped =
        (id === 'cold-idle' || id === 'key-on') && this.#hasRun && done && this.#have[id] < NEEDED_S[id];
      return {
        id,
        state: skipped ? 'not-needed' : done ? 'done' : id === next ? 'now' : 'to-do',
        share: id === 'snaps' ? Math.min(1, this.#snaps / SNAPS) : Math.min(1, this.#have[id] / NEEDED_S[id]),
        text: !skipped
          ? this.#words(id, done)
          : say(id === 'key-on' ? 'live.read-at-key-off' : 'live.came-warm'),
      };
    });
  }

  #words(id: BaselineStepId, done: boolean): Said {
    const { lowRpm, highRpm, warmC } = this.plan;
    if (id === 'snaps') {
      const count = this.#snaps;
      return done ? say('live.snaps-read', { count }) : say('live.snaps-to-do', { count, of: SNAPS });
    }
    if (done) return say('live.step-read', { readS: Math.round(this.#have[id]) });
    const leftS = Math.max(0, Math.ceil(NEEDED_S[id] - this.#have[id]));
    switch (id) {
      case 'key-on':
        return say('live.key-on', { leftS });
      case 'cold-idle':
        return say('live.cold-idle', { leftS });
      case 'warm-idle':
        return this.#isWarm
          ? say('live.warm-idle', { leftS })
          : say('live.warm-up', { coolantC: this.#coolantC ?? 0, warmC });
      case 'hold-low':
        return say('live.hold', { rpm: lowRpm, leftS });
      case 'hold-high':
        return say('live.hold', { rpm: highRpm, leftS });
      case 'key-off':
        return say('live.key-off', { leftS });
    }
  }
}

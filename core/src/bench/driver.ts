import { clamp, noise } from '../quantities/index.ts';
import type { BenchVehicle } from './benchVehicle.ts';

/** What the foot tries to do. */
export type Wish =
  | { readonly do: 'off' }
  | { readonly do: 'key-on' }
  | { readonly do: 'start' }
  | { readonly do: 'idle' }
  /** The pedal held where it is put, 0–1. */
  | { readonly do: 'pedal'; readonly pedal: number }
  | { readonly do: 'hold'; readonly rpm: number }
  | { readonly do: 'snap'; readonly pedal?: number }
  | { readonly do: 'cruise'; readonly kmPerH: number }
  | { readonly do: 'pull'; readonly gear: number };

const FOOT_STREAM = 40;

/** A person at the pedal: holds a speed as well as a foot does, by seed, and changes gear. */
export class Driver {
  #integral = 0;
  #wander = 0;
  readonly #vehicle: BenchVehicle;
  /** How unsteady the foot is; 0 is a machine. */
  readonly #unsteady: number;

  constructor(vehicle: BenchVehicle, { unsteady = 1 }: { unsteady?: number } = {}) {
    this.#vehicle = vehicle;
    this.#unsteady = unsteady;
  }

  /** Follows a wish for so many seconds, telling of each step. */
  follow(wish: Wish, seconds: number, each?: () => void): void {
    const steps = Math.round(seconds / this.#vehicle.stepS);
    for (let i = 0; i < steps; i++) {
      this.act(wish);
      this.#vehicle.step();
      each?.();
    }
  }

  /** Sets the controls for the next step. */
  act(wish: Wish): void {
    const { controls, plant, family } = this.#vehicle;
    controls.ignition = wish.do === 'off' ? 'off' : 'on';
    controls.starter = wish.do === 'start' && !plant.engine.running;
    controls.brake = 0;
    if (wish.do !== 'hold' && wish.do !== 'cruise') this.#integral = 0;
    switch (wish.do) {
      case 'off':
      case 'key-on':
      case 'start':
      case 'idle':
        controls.pedal = 0;
        controls.gear = 0;
        controls.brake = 1;
        return;
      case 'pedal':
        controls.gear = 0;
        controls.brake = 1;
        controls.pedal = clamp(wish.pedal, 0, 1);
        return;
      case 'snap':
        controls.gear = 0;
        controls.brake = 1;
        controls.pedal = wish.pedal ?? 0.75;
        return;
      case 'hold': {
        controls.gear = 0;
        controls.brake = 1;
        this.#pedalTowards(
          (wish.rpm + this.#drift() - plant.engine.rpm) / family.governedRpm,
          wish.rpm / family.governedRpm,
        );
        return;
      }
      case 'cruise': {
        this.#shift();
        const missing = wish.kmPerH - plant.road.kmPerH;
        const gearAt = family.kmPerHAt1000[Math.max(controls.gear - 1, 0)] ?? 10;
        const wantedRpm = (wish.kmPerH / gearAt) * 1000;
        this.#pedalTowards(missing / 60, clamp(wantedRpm / family.governedRpm, 0, 0.9));
        controls.brake = missing < -6 ? clamp((-missing - 6) / 30, 0, 0.6) : 0;
        return;
      }
      case 'pull':
        controls.gear = wish.gear;
        controls.pedal = 1;
        return;
    }
  }

  /** Slow wander of a foot, rpm. */
  #drift(): number {
    const { family, seed, tick, stepS } = this.#vehicle;
    if (this.#unsteady === 0) return 0;
    const each = Math.max(1, Math.round(0.25 / stepS));
    if (tick % each === 0) {
      const push = noise(seed, FOOT_STREAM, Math.round((tick * stepS) / 0.25));
      this.#wander = 0.9 * this.#wander + 0.0036 * family.governedRpm * this.#unsteady * push;
    }
    return this.#wander;
  }

  #pedalTowards(error: number, feedForward: number): void {
    const { controls, stepS } = this.#vehicle;
    this.#integral = clamp(this.#integral + 0.7 * error * stepS, -0.4, 0.6);
    const wanted = clamp(feedForward + 0.5 * error + this.#integral, 0, 1);
    // A leg takes a tenth of a second to move.
    controls.pedal += (wanted - controls.pedal) * (1 - Math.exp(-stepS / 0.1));
  }

  /** A gear that keeps the engine in its middle. */
  #shift(): void {
    const { controls, plant, family } = this.#vehicle;
    const gears = family.kmPerHAt1000.length;
    if (controls.gear === 0) controls.gear = 1;
    const { rpm } = plant.engine;
    if (rpm > 0.52 * family.governedRpm && controls.gear < gears) controls.gear += 1;
    else if (rpm < 0.27 * family.governedRpm && controls.gear > 1) controls.gear -= 1;
  }
}

import type { ChannelRole } from '../../readings/index.ts';
import { perform } from '../acts.ts';
import type { BenchVehicle } from '../benchVehicle.ts';
import { Driver, type Wish } from '../driver.ts';
import { baselinePlan } from '../../readings/index.ts';

const ALL_OFF_S = 2.5;
const READ_S = 1;

/** A person at the simulated vehicle with a scan tool: drives it, waits, reads means. */
export class BenchHand {
  readonly vehicle: BenchVehicle;
  readonly #driver: Driver;
  readonly holdRpm: number;

  constructor(vehicle: BenchVehicle) {
    this.vehicle = vehicle;
    this.#driver = new Driver(vehicle);
    this.holdRpm = baselinePlan(vehicle.family.displacementL, 78).highRpm;
  }

  follow(wish: Wish, seconds: number, each?: () => void): void {
    this.#driver.follow(wish, seconds, each);
  }

  /** Engine off, ignition on, for so long. */
  keyOn(seconds: number): void {
    if (this.vehicle.plant.engine.running) this.follow({ do: 'off' }, ALL_OFF_S);
    this.follow({ do: 'key-on' }, seconds);
  }

  start(): void {
    for (let i = 0; i < 4 && !this.vehicle.plant.engine.running; i++) this.follow({ do: 'start' }, 2);
  }

  /** In the hold of the baseline, or another, until flows stand. */
  hold(rpm = this.holdRpm, seconds = 10): void {
    this.start();
    this.follow({ do: 'hold', rpm }, seconds);
  }

  /** Mean of a channel while a wish is followed; undefined where there is none. */
  mean(role: ChannelRole, wish: Wish, seconds = READ_S): number | undefined {
    return this.means([role], wish, seconds)[0];
  }

  means(roles: readonly ChannelRole[], wish: Wish, seconds = READ_S): (number | undefined)[] {
    const sums = roles.map(() => 0);
    let count = 0;
    this.follow(wish, seconds, () => {
      count++;
      roles.forEach((role, i) => {
        sums[i] = (sums[i] as number) + (this.vehicle.read(role) ?? Number.NaN);
      });
    });
    return sums.map((sum) => (Number.isNaN(sum) ? undefined : sum / count));
  }

  /** A known-good sensor in the place of the old one while something is read; then the old one again. */
  withKnownGood<T>(sensor: 'dpfDeltaP' | 'exhaustBackPressure', read: () => T): T {
    const { vehicle } = this;
    const { faults } = vehicle;
    this.keyOn(1);
    perform(vehicle, { do: 'swap-sensor', sensor });
    const seen = read();
    this.keyOn(1);
    vehicle.faults = faults;
    vehicle.refreshWear();
    return seen;
  }
}

/** A figure as a person writes it down: three digits that count. */
export const written = (value: number): number => Number(value.toPrecision(3));

/** Values that are there; a sensor that is not fitted is not entered. */
export const entered = (
  values: Readonly<Record<string, number | string | undefined>>,
): Record<string, number | string> =>
  Object.fromEntries(
    Object.entries(values).flatMap(([id, value]) =>
      value === undefined ? [] : [[id, typeof value === 'number' ? written(value) : value]],
    ),
  );

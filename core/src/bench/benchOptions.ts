import type { ChannelRole } from '../readings/index.ts';
import { type TemperId } from './computer/temper.ts';
import type { BenchFamily } from './families.ts';
import { type Fault } from './faults.ts';
import { type Plant, type PlantStart } from './vehicle/plant.ts';

export const oilFuelPercent = ({ oil }: Plant): number => (100 * oil.fuelG) / (oil.litres * 870 + oil.fuelG);

/** Whether the family has the sensor at all. */
export const isFitted = (family: BenchFamily, role: ChannelRole): boolean =>
  role === 'exhaustBackPressure'
    ? family.backPressureSensor
    : !role.startsWith('egt') || family.egts.some((number) => role === `egt${number}`);

/** Fixed step of the model, s. */
export const STEP_S = 0.02;

export interface BenchOptions {
  readonly family: BenchFamily;
  readonly seed: number;
  readonly faults?: readonly Fault[];
  readonly start?: Partial<PlantStart>;
  readonly km?: number;
  /** What this MAF sensor shows of what passes it, though in order: meters of one make differ by some 3 %. */
  readonly airMeterTolerance?: number;
  /** What kind of ECU it has; absent: the strictest. */
  readonly temper?: TemperId;
  /** Another step than the usual one, for tests of the method itself. */
  readonly stepS?: number;
}

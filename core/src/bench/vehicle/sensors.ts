import { clamp, noise } from '../../quantities/index.ts';
import type { ChannelRole } from '../../readings/index.ts';
import type { BenchFamily } from '../families.ts';
import type { Plant } from './plant.ts';
import type { EgtNumber, SensorWear, Wear } from './wear.ts';

/** The sensors that give a voltage between 10 and 90 % of their 5 V supply. */
export type VoltSensor = 'dpfDeltaP' | 'exhaustBackPressure' | 'manifoldPressure';

/** End of the scale of the absolute sensors, mbar. */
const ABSOLUTE_FULL_MBAR = 4000;
/** Current through a sensor's ground, A. */
export const SENSOR_A = 0.012;
const PULL_UP_V = 5;
/** Voltages outside are an open or shorted circuit to the computer. */
export const CIRCUIT_LOW_V = 0.15;
export const CIRCUIT_HIGH_V = 4.85;
/** Without power nothing drives the pin. */
export const UNPOWERED_V = 0.04;

const STREAMS = {
  dpfDeltaP: 1,
  exhaustBackPressure: 2,
  manifoldPressure: 3,
  massAirFlow: 4,
  engineSpeed: 5,
  coolantTemp: 6,
  intakeAirTemp: 7,
  egt: 10,
} as const;

/** What sensors are read from, and which moment it is. */
export interface SensorView {
  readonly family: BenchFamily;
  readonly plant: Plant;
  readonly wear: Wear;
  /** Which sensors hang in the air with their plug off. */
  readonly unplugged: ReadonlySet<string>;
  readonly seed: number;
  readonly tick: number;
}

export const fullScaleMbar = (family: BenchFamily, sensor: VoltSensor): number =>
  sensor === 'dpfDeltaP' ? family.dpFullScaleMbar : ABSOLUTE_FULL_MBAR;

const warmth = (plant: Plant): number => clamp((plant.coolantC - 20) / 60, 0, 1);

/** The pressure at the sensor itself, with its pulsation, mbar; absolute for the absolute ones. */
function pressureAt({ plant, wear, seed, tick }: SensorView, sensor: VoltSensor): number {
  const n = noise(seed, STREAMS[sensor], tick);
  const { pipes } = plant;
  if (sensor === 'dpfDeltaP') {
    const difference = (pipes.high - pipes.low) * (wear.hosesCrossed ? -1 : 1);
    return difference + n * (0.12 + 0.012 * Math.abs(difference));
  }
  if (sensor === 'exhaustBackPressure')
    return plant.barometerMbar + pipes.backPressure + n * (0.8 + 0.012 * Math.abs(pipes.backPressure));
  return pipes.manifold + n * (plant.engine.running ? 2.5 : 0.6);
}

const wearOf = (wear: Wear, sensor: VoltSensor): SensorWear =>
  sensor === 'dpfDeltaP' ? wear.deltaP : sensor === 'exhaustBackPressure' ? wear.backPressure : wear.manifold;

/**
 * Voltage at the pin of a sensor that shows so much, V: 0.5 V at nothing, 4.5 V at full scale, in proportion to its supply.
 * mbar and V in; held between `leastV` and 4.75 V by the sensor itself. Worked value: 500 of 1000 mbar at 5 V → 2.5 V.
 */
export const pinVolts = (shownMbar: number, fullMbar: number, supplyV = 5, leastV = 0.2): number =>
  clamp((supplyV / 5) * (0.5 + (4 * shownMbar) / fullMbar), leastV, 4.75);

/** What the ECU makes of a voltage, mbar. Worked value: 2.5 V of a sensor to 1000 mbar → 500 mbar. */
export const mbarOfPin = (volts: number, fullMbar: number): number => ((volts - 0.5) / 4) * fullMbar;

/**
 * Voltage at the computer's pin: 0.5 V at nothing, 4.5 V at full scale with 5 V supplied, in proportion to what the
 * supply really is, raised by what the current drops in the ground. Held between 0.2 and 4.75 V by the sensor itself.
 * Worked value: 500 of 1000 mbar → 2.5 V.
 */
export function sensorVolts(view: SensorView, sensor: VoltSensor): number {
  const { wear, family, plant, unplugged } = view;
  if (unplugged.has(sensor)) return sensor === 'dpfDeltaP' ? 0 : PULL_UP_V;
  const its = wearOf(wear, sensor);
  if (its.open || wear.supplyV < 3.5) return UNPOWERED_V;
  const full = fullScaleMbar(family, sensor);
  const drift = its.offset + its.coldOffset * (1 - warmth(plant));
  const shown = its.stuckAt ?? pressureAt(view, sensor) * its.gain + drift;
  const low = sensor === 'dpfDeltaP' && !family.dpClipsAtZero ? 0.2 : 0.5;
  return pinVolts(shown, full, wear.supplyV, low) + wear.groundOhm * SENSOR_A;
}

/** What the computer makes of a voltage, mbar. */
export const mbarOfVolts = (family: BenchFamily, sensor: VoltSensor, volts: number): number =>
  mbarOfPin(volts, fullScaleMbar(family, sensor));

/** End of the scale that an open EGT circuit shows, °C. */
export const egtOpenC = ({ egtKind }: BenchFamily): number => (egtKind === 'platinum' ? 999 : -40);

function egtC(view: SensorView, index: number): number {
  const { wear, plant, seed, tick, family, unplugged } = view;
  const its = wear.egt[index] as SensorWear;
  if (its.open || unplugged.has(`egt${index + 1}`)) return egtOpenC(family);
  if (its.stuckAt !== undefined) return its.stuckAt + 0.2 * noise(seed, STREAMS.egt + index, tick);
  const true_ = plant.egtC[index] as number;
  const cold = its.coldOffset * clamp((150 - true_) / 120, 0, 1);
  return true_ * its.gain + its.offset + cold + 0.5 * noise(seed, STREAMS.egt + index, tick);
}

/** What an EGT's element senses, and what it stands in, °C, with the engine at rest; an open one senses nothing. */
export function egtResting(
  plant: Plant,
  wear: Wear,
  number: EgtNumber,
): { readonly senses: number | undefined; readonly standsIn: number } {
  const its = wear.egt[number - 1] as SensorWear;
  const standsIn = plant.egtC[number - 1] as number;
  if (its.open) return { senses: undefined, standsIn };
  const cold = its.coldOffset * clamp((150 - standsIn) / 120, 0, 1);
  return { senses: its.stuckAt ?? standsIn * its.gain + its.offset + cold, standsIn };
}

const voltsAsMbar =
  (sensor: VoltSensor) =>
  (view: SensorView): number =>
    mbarOfVolts(view.family, sensor, sensorVolts(view, sensor));

const aboveNothing =
  (read: (view: SensorView) => number) =>
  (view: SensorView): number =>
    Math.max(0, read(view));

function airMass(view: SensorView): number {
  const { plant, wear, seed, tick, unplugged } = view;
  if (unplugged.has('massAirFlow')) return 0;
  const its = wear.airMeter;
  const through = Math.max(0, plant.air.meteredGPerS) * its.gain + its.offset;
  return its.stuckAt ?? Math.max(0, through * (1 + 0.012 * noise(seed, STREAMS.massAirFlow, tick)));
}

const SENSORS: Readonly<Partial<Record<ChannelRole, (view: SensorView) => number | undefined>>> = {
  engineSpeed: ({ plant, seed, tick }) =>
    plant.engine.rpm > 20 ? Math.max(0, plant.engine.rpm + 3 * noise(seed, STREAMS.engineSpeed, tick)) : 0,
  dpfDeltaP: (view) => {
    const mbar = voltsAsMbar('dpfDeltaP')(view);
    return view.family.dpClipsAtZero || view.wear.deltaP.open ? Math.max(0, mbar) : mbar;
  },
  exhaustBackPressure: aboveNothing(voltsAsMbar('exhaustBackPressure')),
  manifoldPressure: aboveNothing(voltsAsMbar('manifoldPressure')),
  barometricPressure: ({ plant }) => Math.round(plant.barometerMbar),
  massAirFlow: airMass,
  egt1: (view) => egtC(view, 0),
  egt2: (view) => egtC(view, 1),
  egt3: (view) => egtC(view, 2),
  egt4: (view) => egtC(view, 3),
  coolantTemp: ({ plant, seed, tick }) => plant.coolantC + 0.15 * noise(seed, STREAMS.coolantTemp, tick),
  // Behind the charge cooler, before recirculated gas comes in.
  intakeAirTemp: ({ plant, seed, tick }) =>
    (plant.engine.running
      ? plant.ambientC + 8 + (plant.air.compressorC - plant.ambientC) * 0.3
      : plant.air.manifoldC) +
    0.2 * noise(seed, STREAMS.intakeAirTemp, tick),
  ambientTemp: ({ plant }) => plant.ambientC,
  oilTemp: ({ plant }) => plant.oilC,
  vehicleSpeed: ({ plant }) => plant.road.kmPerH,
  fuelLevel: ({ plant, family }) => (100 * plant.fuelL) / family.tankL,
  batteryVoltage: ({ plant }) => plant.battery.volts,
  egrPosition: ({ plant, wear }) => 100 * Math.max(plant.air.egr, wear.egrOpenAtLeast),
  turboVanePosition: ({ plant }) => 100 * plant.air.vanes,
  lambda: ({ plant }) => (plant.engine.running ? Math.min(plant.engine.airToFuel / 14.6, 16) : undefined),
  fuelRate: ({ plant }) => ((plant.engine.fuelGPerS + plant.exhaust.dosedGPerS) * 3600) / 835,
};

/** What a sensor shows at this moment, in base units; undefined for what no sensor measures. */
export const readSensor = (view: SensorView, role: ChannelRole): number | undefined => SENSORS[role]?.(view);

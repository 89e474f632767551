import type { FreezeFrame, RoutineId, RoutineState } from '../link/index.ts';
import { filterVolumeL, pressureDrop } from '../filter/index.ts';
import { clamp, noise } from '../quantities/index.ts';
import type { ChannelRole } from '../readings/index.ts';
import type { JointName, PipeName, PressurePort } from './acts.ts';
import { newComputer, type Computer } from './computer/computer.ts';
import { control, isHeating, type Seen } from './computer/control.ts';
import { ASSUMED_FILTER_C, computerSecond, frozen } from './computer/second.ts';
import { computerOf } from './computer/watchMonitors.ts';
import { startRoutine, stepRoutine } from './computer/routines.ts';
import { STRICT } from './computer/temper.ts';
import type { BenchFamily } from './families.ts';
import { FAULTS, wearAt, type Fault } from './faults.ts';
import {
  atRest,
  standingPlant,
  totalSootG,
  type Commands,
  type Controls,
  type Plant,
  type PlantStart,
} from './vehicle/plant.ts';
import { scaleOf, type Scale } from './vehicle/scale.ts';
import { mbarOfVolts, readSensor, sensorVolts, type SensorView, type VoltSensor } from './vehicle/sensors.ts';
import { stepPlant } from './vehicle/stepPlant.ts';
import type { Wear } from './vehicle/wear.ts';
import { oilFuelPercent, STEP_S, type BenchOptions, isFitted } from './benchOptions.ts';

/** What the computer shows of its own counting. */
const COUNTED: Readonly<Partial<Record<ChannelRole, (vehicle: BenchVehicle) => number>>> = {
  sootMass: ({ computer }) => computer.sootG,
  sootPercent: ({ computer, family }) =>
    (100 * computer.sootG) / (family.regenRefuseGPerL * filterVolumeL(family.filter)),
  ashMass: ({ computer }) => computer.ashG,
  distanceSinceRegen: ({ computer, plant }) => plant.road.km - computer.regeneration.lastKm,
  regenActive: ({ computer }) => (isHeating(computer) ? 1 : 0),
  pedal: ({ controls }) => 100 * controls.pedal,
  oilDilution: ({ plant }) => oilFuelPercent(plant),
};

const EGT_PLACES: readonly ChannelRole[] = ['egt1', 'egt2', 'egt3', 'egt4'];

/** Codes of a circuit, by what is sensed through it. */
const CIRCUIT_CODES: Readonly<Partial<Record<ChannelRole, readonly string[]>>> = {
  dpfDeltaP: ['P2454', 'P2455'],
  exhaustBackPressure: ['P0472', 'P0473'],
  manifoldPressure: ['P0107', 'P0108'],
  egt1: ['P0545', 'P0546'],
  egt2: ['P2032', 'P2033'],
  egt3: ['P242C', 'P242D'],
  egt4: ['P2470', 'P2471'],
};

/**
 * A simulated vehicle: plant, sensors, ECU, and what is wrong with them. Deterministic by its seed and by
 * what is done to it; it knows no clock but its own.
 */
export class BenchVehicle {
  readonly family: BenchFamily;
  readonly scale: Scale;
  readonly seed: number;
  readonly stepS: number;
  readonly plant: Plant;
  readonly controls: Controls;
  readonly commands: Commands;
  readonly computer: Computer;
  /** What is wrong; acts change it. */
  faults: readonly Fault[];
  wear: Wear;
  /** Sensors whose plug is off. */
  readonly unplugged = new Set<string>();
  /** Hand pumps at sensor ports, mbar above the air: what the sensor sees instead of its pipe. */
  readonly pumped = new Map<PressurePort, number>();
  /** Pipes that cleaner has stood in. */
  readonly soaked = new Set<PipeName>();
  /** Where the line was parted: what lies behind does not hold the gas back any more. */
  openJoint: JointName | undefined;
  filterOff = false;
  airMeterTolerance: number;
  tick = 0;
  readonly #startKm: number;
  readonly #averageKmPerH: number;
  readonly #stepsASecond: number;

  constructor({
    family,
    seed,
    faults = [],
    start = {},
    km = 120_000,
    airMeterTolerance = 1,
    temper,
    stepS = STEP_S,
  }: BenchOptions) {
    this.family = family;
    this.scale = scaleOf(family);
    this.seed = seed;
    this.stepS = stepS;
    this.#stepsASecond = Math.round(1 / stepS);
    this.#startKm = km;
    this.#averageKmPerH = averageKmPerH(seed, faults);
    this.faults = faults;
    const volumeL = filterVolumeL(family.filter);
    const begin: PlantStart = {
      ambientC: 18,
      barometerMbar: 1009,
      engineC: 82,
      sootG: 2 * volumeL,
      ashG: 5 * volumeL,
      fuelL: 0.55 * family.tankL,
      oilFuelG: 0.012 * family.oilL * 870,
      kmSinceOil: 7_000,
      ...start,
    };
    this.plant = standingPlant(family, begin);
    this.plant.road.km = km;
    this.controls = atRest();
    this.commands = {
      fuelMgPerLCycle: 0,
      dosingGPerS: 0,
      vanes: 0.6,
      egr: 0,
      throttle: 0,
      glow: false,
    };
    this.computer = newComputer(family, temper ? computerOf(temper, seed) : STRICT, {
      sootG: begin.sootG,
      ashG: begin.ashG,
      km,
      kmSinceOil: begin.kmSinceOil,
      kmSinceRegen: 180,
    });
    this.airMeterTolerance = airMeterTolerance;
    this.wear = wearAt(faults, 0, family);
    this.wear.airMeter.gain *= airMeterTolerance;
    for (const { id, severity } of faults) FAULTS[id].began?.(this.plant, this.computer, severity, family);
  }

  get timeS(): number {
    return this.plant.timeS;
  }

  /** Running time by the computer, h: the distance over how fast it has been driven on average, by its use. */
  get engineHours(): number {
    return this.plant.road.km / this.#averageKmPerH;
  }

  get startKm(): number {
    return this.#startKm;
  }

  /** The truth that a test or a teacher may look at; no channel shows it. */
  get truth(): { readonly sootG: number; readonly ashG: number; readonly deltaPMbar: number } {
    const { filter } = this.plant;
    return { sootG: totalSootG(filter), ashG: filter.ashG, deltaPMbar: filter.deltaPMbar };
  }

  /** Goes on by one step. */
  step(): void {
    const { plant, controls, commands, computer, family, scale, wear, stepS } = this;
    if (controls.ignition === 'on') computer.keyOnS += stepS;
    else computer.keyOnS = 0;
    computer.sinceStartS = plant.engine.running ? computer.sinceStartS + stepS : 0;
    computer.awake = controls.ignition === 'on';
    control(family, scale, computer, controls, commands, this.#seen(), stepS);
    if (computer.routine?.id === 'vane-sweep' && computer.routine.status === 'running') {
      commands.vanes = 0.5 + 0.5 * Math.sin((computer.routine.elapsedS + computer.secondS) * 1.6);
    }
    stepPlant(family, scale, plant, controls, commands, wear, stepS, this);
    this.#pump();
    this.tick += 1;
    computer.secondS += stepS;
    if (this.tick % this.#stepsASecond === 0) {
      computer.secondS = 0;
      this.#second();
    }
  }

  #pump(): void {
    const { pumped, plant } = this;
    if (pumped.size === 0) return;
    const { pipes } = plant;
    // With the hoses crossed the pipe from ahead of the filter ends at the low port.
    const [atHigh, atLow] = this.wear.hosesCrossed ? (['low', 'high'] as const) : (['high', 'low'] as const);
    pipes[atHigh] = pumped.get('dp-high') ?? pipes[atHigh];
    pipes[atLow] = pumped.get('dp-low') ?? pipes[atLow];
    pipes.backPressure = pumped.get('back-pressure') ?? pipes.backPressure;
    const manifold = pumped.get('manifold');
    if (manifold !== undefined) pipes.manifold = plant.barometerMbar + manifold;
  }

  /** Goes on by so many seconds. */
  run(seconds: number): void {
    const steps = Math.round(seconds / this.stepS);
    for (let i = 0; i < steps; i++) this.step();
  }

  #view(): SensorView {
    const { family, plant, wear, unplugged, seed, tick } = this;
    return { family, plant, wear, unplugged, seed, tick };
  }

  /** What a tool shows of a sensor, or of what the computer counts, now in base units; undefined where there is none. */
  read(role: ChannelRole): number | undefined {
    return this.#standIn(role) ?? this.#sensed(role);
  }

  /** What some computers show in place of a sensor whose circuit they know to be broken: what they reckon with. */
  #standIn(role: ChannelRole): number | undefined {
    const { computer, plant, family } = this;
    if (!computer.temper.substitutes || !isFitted(family, role)) return undefined;
    if (!CIRCUIT_CODES[role]?.some((code) => computer.codes.get(code)?.present === true)) return undefined;
    if (role === 'dpfDeltaP') return Math.max(0, this.#modelMbar());
    const place = EGT_PLACES.indexOf(role);
    return place < 0 ? Math.round(plant.barometerMbar) : plant.exhaust.gasC[place];
  }

  /** ΔP by its own idea of the soot and by the air that it counts, mbar. */
  #modelMbar(): number {
    const { computer, plant, family } = this;
    if (!plant.engine.running) return 0;
    const drop = pressureDrop(
      family.filter,
      { sootG: computer.modelSootG, ashG: computer.ashG },
      {
        exhaustKgPerS: Math.max(0, (this.#sensed('massAirFlow') ?? 0) + plant.engine.fuelGPerS) / 1000,
        temperatureC: ASSUMED_FILTER_C,
        outletPressurePa: plant.barometerMbar * 100,
      },
    );
    return drop.ok ? drop.value.totalMbar : 0;
  }

  #sensed(role: ChannelRole): number | undefined {
    const counted = COUNTED[role];
    if (counted) return counted(this);
    if (!isFitted(this.family, role)) return undefined;
    const read = readSensor(this.#view(), role);
    return role === 'dpfDeltaP' && read !== undefined
      ? read - this.computer.adaptations.deltaPZeroMbar
      : read;
  }

  /** Voltage at the computer's pin. */
  volts(sensor: VoltSensor): number {
    return sensorVolts(this.#view(), sensor);
  }

  /** What the sensor shows before the computer takes its learned zero off, mbar. */
  rawMbar(sensor: VoltSensor): number {
    return mbarOfVolts(this.family, sensor, this.volts(sensor));
  }

  startRoutine(id: RoutineId): RoutineState {
    const { plant, controls, computer, family } = this;
    const answer = startRoutine(family, computer, id, {
      ignition: controls.ignition === 'on',
      running: plant.engine.running,
      rpm: plant.engine.rpm,
      kmPerH: plant.road.kmPerH,
      km: plant.road.km,
      deltaPMbar: this.#sensed('dpfDeltaP') ?? 0,
    });
    if (answer.status === 'running') computer.routine = answer;
    return answer;
  }

  #seen(): Seen {
    const view = this.#view();
    const { plant } = this;
    return {
      rpm: plant.engine.rpm,
      running: plant.engine.running,
      airGPerS: readSensor(view, 'massAirFlow') ?? 0,
      manifoldMbar: readSensor(view, 'manifoldPressure') ?? plant.barometerMbar,
      barometerMbar: plant.barometerMbar,
      intakeC: plant.air.manifoldC,
      coolantC: plant.coolantC,
      egt2C: this.#egtOr('egt2', plant.exhaust.gasC[1]),
      egt3C: this.#egtOr('egt3', plant.exhaust.gasC[2]),
    };
  }

  /** Where the sensor is not fitted or at an end of its scale the computer uses its model, which is a sound one. */
  #egtOr(role: 'egt2' | 'egt3', modelC: number): number {
    const read = this.#sensed(role);
    return read === undefined || read < -35 || read > 950 ? modelC : read;
  }

  #second(): void {
    if (this.faults.some(({ startS }) => startS !== undefined)) this.refreshWear();
    if (this.controls.ignition === 'off') return;
    computerSecond(
      this,
      (role) => this.#sensed(role),
      () => this.#freezeFrame(),
    );
    stepRoutine(this.computer, 1);
  }

  #freezeFrame(): FreezeFrame {
    return frozen(this.timeS, this.plant.road.km, (role) => this.read(role));
  }

  /** Works out anew what the faults have made of the vehicle: after one came on, was repaired or was put in. */
  refreshWear(): void {
    this.wear = wearAt(this.faults, this.plant.runningS, this.family);
    this.wear.airMeter.gain *= this.airMeterTolerance;
  }
}

/** How fast it has been driven on average, km/h: short trips in town make half of what a mixed use does. */
function averageKmPerH(seed: number, faults: readonly Fault[]): number {
  const short = faults.find(({ id }) => id === 'short-trips')?.severity ?? 0;
  return (44 + 4 * clamp(noise(seed, USE_STREAM, 0), -2, 2)) * (1 - 0.55 * Math.sqrt(short));
}

const USE_STREAM = 62;

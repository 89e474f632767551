import {
  type LinkAnswer,
  type LinkChannel,
  type LinkCode,
  type LinkIdentity,
  type LinkListener,
  type LinkReading,
  type LinkRoutine,
  type LinkState,
  ObdLink,
  type RoutineId,
  type RoutineState,
  type ScanLink,
  type StreamPlan,
} from '@white-ember/core/link';
import { temperatures, type Answer, type Settings } from '@white-ember/core/learn';
import { expose } from 'comlink';
import type { CheckId, CheckValues } from '@white-ember/core/checks';
import {
  answerCheck,
  benchFamily,
  BenchVehicle,
  Driver,
  perform,
  SimulatedAdapter,
  SimulatedBus,
  type Act,
  type ActResult,
  type AdapterFaults,
  type Fault,
  type TemperId,
  type Wish,
} from '@white-ember/core/bench';

export interface BenchSetup {
  readonly family: string;
  readonly seed: number;
  readonly faults: readonly Fault[];
  /** How readily its ECU sets codes. */
  readonly temper: TemperId;
  /** Stood overnight. */
  readonly cold: boolean;
  /** The tool between: one of our own with its faults, or one that knows OBD frames alone. */
  readonly tool: { readonly speaks: 'own'; readonly faults: AdapterFaults } | { readonly speaks: 'obd' };
}

/** What a person at the vehicle sees without any tool. */
export interface AtTheVehicle {
  readonly timeS: number;
  readonly ignition: boolean;
  readonly running: boolean;
  readonly rpm: number;
  readonly kmPerH: number;
  readonly pedal: number;
}

export interface BenchListener {
  readonly onReadings: (readings: readonly LinkReading[]) => void;
  readonly onState: (state: LinkState) => void;
  readonly onVehicle: (vehicle: AtTheVehicle) => void;
  /** The device slept for so long: the vehicle went on, and nobody asked it anything. */
  readonly onSlept: (seconds: number) => void;
}

const TICK_MS = 40;
/** Told no more often than this, so that the page has nothing to do but show it. */
const TELL_EVERY_MS = 80;
/** A device that is only busy is not made to catch up what it missed. */
const LONGEST_TICK_MS = 400;
/** Longer than this without a tick, and the device slept. */
const SLEPT_MS = 1500;
/** The vehicle is let run on for so much of its time at the most, s. */
const MOST_MISSED_S = 900;

let vehicle: BenchVehicle | undefined;
let driver: Driver | undefined;
let link: ScanLink | undefined;
/** Lets the tool do what is due after a step of the vehicle. */
let advance: () => void = () => undefined;
let listener: BenchListener | undefined;
let wish: Wish = { do: 'off' };
let pace = 1;
let waiting: LinkReading[] = [];
let owedS = 0;
let lastMs = 0;
let lastAliveMs = 0;
let toldMs = 0;

function tick(): void {
  const now = performance.now();
  const passedMs = Math.min(now - lastMs, LONGEST_TICK_MS);
  lastMs = now;
  // The finer clock may stand still while a device sleeps; the calendar's does not.
  const awayMs = Date.now() - lastAliveMs;
  lastAliveMs = Date.now();
  if (!vehicle || !driver) return;
  if (awayMs > SLEPT_MS) sleptThrough(vehicle, driver, awayMs / 1000);
  owedS += (passedMs / 1000) * pace;
  const steps = Math.floor(owedS / vehicle.stepS);
  owedS -= steps * vehicle.stepS;
  for (let i = 0; i < steps; i++) {
    driver.act(wish);
    vehicle.step();
    advance();
    wish = letGo(wish, vehicle);
  }
  if (now - toldMs < TELL_EVERY_MS) return;
  toldMs = now;
  tell(vehicle);
}

/** What happened while the device slept: an engine that ran went on running, unseen. */
function sleptThrough(on: BenchVehicle, foot: Driver, seconds: number): void {
  foot.follow(wish, Math.min(seconds * pace, MOST_MISSED_S));
  listener?.onSlept(seconds);
}

let snapS = 0;

/** A key is let go once the engine runs, the pedal of a snap once the engine is well up. */
function letGo(now: Wish, { plant, family, stepS }: BenchVehicle): Wish {
  if (now.do === 'start' && plant.engine.running) return { do: 'idle' };
  if (now.do !== 'snap') {
    snapS = 0;
    return now;
  }
  snapS += stepS;
  const wellUp = plant.engine.rpm > Math.min(family.idleRpm + 2200, 0.75 * family.governedRpm);
  return wellUp || snapS > 3 ? { do: 'idle' } : now;
}

function tell({ plant, controls }: BenchVehicle): void {
  if (waiting.length > 0) {
    const batch = waiting;
    waiting = [];
    listener?.onReadings(batch);
  }
  listener?.onVehicle({
    timeS: plant.timeS,
    ignition: controls.ignition === 'on',
    running: plant.engine.running,
    rpm: plant.engine.rpm,
    kmPerH: plant.road.kmPerH,
    pedal: controls.pedal,
  });
}

const connected = (): ScanLink => {
  if (!link) throw new Error('No simulated vehicle is set up');
  return link;
};

function plugIn(on: BenchVehicle, tool: BenchSetup['tool'], listen: LinkListener): void {
  if (tool.speaks === 'own') {
    const adapter = new SimulatedAdapter(on, listen, tool.faults);
    link = adapter;
    advance = () => adapter.advance();
  } else {
    const bus = new SimulatedBus(on);
    const obd = new ObdLink(bus, listen);
    link = obd;
    advance = () => {
      bus.advance();
      obd.advance(on.timeS);
    };
  }
}

/** A simulated vehicle with its scan link, run by its own clock away from the main thread. */
const worker = {
  /** The page that shows how the gas temperatures rise. */
  learn: (settings: Settings): Answer => temperatures.answer(settings),
  setUp({ family: name, seed, faults, temper, cold, tool }: BenchSetup, to: BenchListener): void {
    const family = benchFamily(name);
    if (!family) throw new Error(`There is no simulated vehicle “${name}”`);
    listener = to;
    wish = { do: 'off' };
    waiting = [];
    vehicle = new BenchVehicle({
      family,
      seed,
      faults,
      temper,
      start: { engineC: cold ? 12 : 82, ambientC: 12 },
    });
    driver = new Driver(vehicle);
    plugIn(vehicle, tool, {
      onReadings: (some) => waiting.push(...some),
      onState: (state) => to.onState(state),
    });
    lastMs = performance.now();
    lastAliveMs = Date.now();
    setInterval(tick, TICK_MS);
  },
  drive(next: Wish): void {
    wish = next;
  },
  setPace(times: number): void {
    pace = times;
  },
  /** Slope of the road, m/m: what the engine has to pull. */
  setGrade(grade: number): void {
    if (vehicle) vehicle.controls.grade = grade;
  },
  perform: (act: Act): ActResult => {
    if (!vehicle) throw new Error('No simulated vehicle is set up');
    return perform(vehicle, act);
  },
  /** Makes a check by hand and by tool, as fast as it can be worked out; the engine is off after it. */
  answerCheck: (check: CheckId): CheckValues => {
    if (!vehicle) throw new Error('No simulated vehicle is set up');
    const values = answerCheck(vehicle, check);
    wish = { do: 'key-on' };
    lastAliveMs = Date.now();
    return values;
  },
  connect: (): Promise<LinkIdentity> => connected().connect(),
  channels: (): Promise<readonly LinkChannel[]> => connected().channels(),
  stream: (ids: readonly string[]): Promise<StreamPlan> => connected().stream(ids),
  codes: (): Promise<readonly LinkCode[]> => connected().codes(),
  routines: (): Promise<readonly LinkRoutine[]> => connected().routines(),
  routineState: (): Promise<RoutineState | undefined> => connected().routineState(),
  clearCodes: (): Promise<LinkAnswer> => connected().clearCodes(),
  startRoutine: (id: RoutineId): Promise<RoutineState> => connected().startRoutine(id),
  disconnect: (): Promise<void> => connected().disconnect(),
};

export type BenchWorker = typeof worker;

expose(worker);

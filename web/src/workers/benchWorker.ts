import { expose } from 'comlink';
import {
  benchFamily,
  BenchVehicle,
  Driver,
  SimulatedAdapter,
  type AdapterFaults,
  type LinkChannel,
  type Fault,
  type LinkAnswer,
  type LinkCode,
  type LinkIdentity,
  type LinkReading,
  type LinkState,
  type RoutineId,
  type RoutineState,
  type StreamPlan,
  type Wish,
} from '@white-ember/core/bench';

export interface BenchSetup {
  readonly family: string;
  readonly seed: number;
  readonly faults: readonly Fault[];
  /** Stood overnight. */
  readonly cold: boolean;
  readonly adapter: AdapterFaults;
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
}

const TICK_MS = 40;
/** Told no more often than this, so that the page has nothing to do but show it. */
const TELL_EVERY_MS = 80;
/** A computer that slept is not made to catch up what it missed. */
const LONGEST_TICK_MS = 400;

let vehicle: BenchVehicle | undefined;
let driver: Driver | undefined;
let adapter: SimulatedAdapter | undefined;
let listener: BenchListener | undefined;
let wish: Wish = { do: 'off' };
let pace = 1;
let waiting: LinkReading[] = [];
let owedS = 0;
let lastMs = 0;
let toldMs = 0;

function tick(): void {
  const now = performance.now();
  const passedMs = Math.min(now - lastMs, LONGEST_TICK_MS);
  lastMs = now;
  if (!vehicle || !driver || !adapter) return;
  owedS += (passedMs / 1000) * pace;
  const steps = Math.floor(owedS / vehicle.stepS);
  owedS -= steps * vehicle.stepS;
  for (let i = 0; i < steps; i++) {
    driver.act(wish);
    vehicle.step();
    adapter.advance();
    wish = letGo(wish, vehicle);
  }
  if (now - toldMs < TELL_EVERY_MS) return;
  toldMs = now;
  tell(vehicle);
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

const link = (): SimulatedAdapter => {
  if (!adapter) throw new Error('No bench vehicle is set up');
  return adapter;
};

/** A bench vehicle with its scan link, run by its own clock away from the main thread. */
const worker = {
  setUp({ family: name, seed, faults, cold, adapter: adapterFaults }: BenchSetup, to: BenchListener): void {
    const family = benchFamily(name);
    if (!family) throw new Error(`There is no bench vehicle “${name}”`);
    listener = to;
    wish = { do: 'off' };
    waiting = [];
    vehicle = new BenchVehicle({ family, seed, faults, start: { engineC: cold ? 12 : 82, ambientC: 12 } });
    driver = new Driver(vehicle);
    adapter = new SimulatedAdapter(
      vehicle,
      { onReadings: (some) => waiting.push(...some), onState: (state) => to.onState(state) },
      adapterFaults,
    );
    lastMs = performance.now();
    setInterval(tick, TICK_MS);
  },
  drive(next: Wish): void {
    wish = next;
  },
  setPace(times: number): void {
    pace = times;
  },
  connect: (): Promise<LinkIdentity> => link().connect(),
  channels: (): Promise<readonly LinkChannel[]> => link().channels(),
  stream: (ids: readonly string[]): Promise<StreamPlan> => link().stream(ids),
  codes: (): Promise<readonly LinkCode[]> => link().codes(),
  clearCodes: (): Promise<LinkAnswer> => link().clearCodes(),
  startRoutine: (id: RoutineId): Promise<RoutineState> => link().startRoutine(id),
  disconnect: (): Promise<void> => link().disconnect(),
};

export type BenchWorker = typeof worker;

expose(worker);

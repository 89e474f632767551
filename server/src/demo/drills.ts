import { type LinkReading, RecordingText } from '@white-ember/core/link';
import { BenchVehicle, Driver, SimulatedAdapter, type Fault } from '@white-ember/core/bench';
import type { FilterState } from '@white-ember/core/filter';
import type { ReadingBody, SteadySample } from '@white-ember/core/ledger';
import { mean } from '@white-ember/core/quantities';
import {
  baselinePlan,
  CHANNEL_PRESETS,
  type BaselinePlan,
  type ChannelRole,
} from '@white-ember/core/readings';
import { family } from './demoWorld.ts';

export interface Drill {
  /** Engine family of the bench. */
  readonly family: string;
  readonly filter: FilterState;
  readonly seed: number;
  readonly faults?: readonly Fault[];
  /** What the ECU counts, whatever is in the filter. */
  readonly sootCounterG: number;
  /** Coolant as it came from the road, °C; that of a warm engine where it is not said. */
  readonly coolantC?: number;
}

/** Enough for the line to be as warm as a drive leaves it. */
const WARM_UP_S = 120;

/** A simulated vehicle that came warm from the road, its filter as the drill wants it; and who stands on its pedal. */
function fromTheRoad(drill: Drill): { vehicle: BenchVehicle; driver: Driver; plan: BaselinePlan } {
  const its = family(drill.family);
  const vehicle = new BenchVehicle({
    family: its,
    seed: drill.seed,
    faults: drill.faults ?? [],
    start: {
      sootG: drill.filter.sootG,
      ashG: drill.filter.ashG,
      ...(drill.coolantC === undefined ? {} : { engineC: drill.coolantC }),
    },
  });
  const driver = new Driver(vehicle);
  const plan = baselinePlan(its.displacementL, 78);
  driver.follow({ do: 'key-on' }, 4);
  driver.follow({ do: 'start' }, 2.5);
  driver.follow({ do: 'hold', rpm: plan.lowRpm }, WARM_UP_S);
  driver.follow({ do: 'off' }, 6);
  // What was burnt and made on the way here is put right: the drill begins with what it was asked for.
  vehicle.plant.filter.sootG.fill(drill.filter.sootG / vehicle.plant.filter.sootG.length);
  vehicle.plant.filter.ashG = drill.filter.ashG;
  vehicle.computer.sootG = drill.sootCounterG;
  vehicle.computer.modelSootG = drill.sootCounterG;
  return { vehicle, driver, plan };
}

const BASELINE = CHANNEL_PRESETS.find(({ id }) => id === 'baseline')?.roles ?? [];

/**
 * A baseline as a scan tool records it from a simulated vehicle that came warm from the road: key on, idle, two holds, snaps,
 * idle, key off. Text as the live page writes it.
 */
export async function drillRecording(drill: Drill): Promise<string> {
  const { vehicle, driver, plan } = fromTheRoad(drill);
  const readings: LinkReading[] = [];
  const adapter = new SimulatedAdapter(vehicle, {
    onReadings: (some) => readings.push(...some),
    onState: () => undefined,
  });
  driver.follow({ do: 'key-on' }, 0.5);
  const identity = await adapter.connect();
  const channels = (await adapter.channels()).filter(
    ({ role, status }) => status === 'live' && BASELINE.includes(role),
  );
  await adapter.stream(channels.map(({ id }) => id));
  const go = (wish: Parameters<Driver['follow']>[0], seconds: number): void =>
    driver.follow(wish, seconds, () => adapter.advance());
  go({ do: 'key-on' }, 12);
  go({ do: 'start' }, 3);
  go({ do: 'idle' }, 45);
  go({ do: 'hold', rpm: plan.lowRpm }, 35);
  go({ do: 'hold', rpm: plan.highRpm }, 45);
  go({ do: 'idle' }, 8);
  for (let snap = 0; snap < 3; snap++) {
    go({ do: 'snap', pedal: 0.7 }, 0.7);
    go({ do: 'idle' }, 6);
  }
  go({ do: 'idle' }, 25);
  go({ do: 'off' }, 3);
  go({ do: 'key-on' }, 9);
  const text = new RecordingText(channels, identity);
  return text.head + text.rows(readings);
}

/** As a person writes it down: no finer than it can be read from a jumping figure, and never a minus zero. */
const byEye = (value: number, digits: number): number => Number(value.toFixed(digits)) + 0;

/** A reading by hand: key on, idle and two holds on a simulated vehicle, figures read off when they have settled. */
export function handReading(drill: Drill, purpose: ReadingBody['purpose'], note?: string): ReadingBody {
  const { vehicle, driver, plan } = fromTheRoad(drill);
  const roles: readonly ChannelRole[] = ['engineSpeed', 'dpfDeltaP', 'massAirFlow', 'egt3', 'egt4'];
  const settled = (
    kind: SteadySample['kind'],
    wish: Parameters<Driver['follow']>[0],
    seconds: number,
  ): SteadySample => {
    driver.follow(wish, seconds - 4);
    const seen = new Map<ChannelRole, number[]>(roles.map((role) => [role, []]));
    driver.follow(wish, 4, () => {
      for (const role of roles) {
        const value = vehicle.read(role);
        if (value !== undefined) seen.get(role)?.push(value);
      }
    });
    const at = (role: ChannelRole): number | undefined => mean(seen.get(role) ?? []);
    const deltaP = at('dpfDeltaP') ?? 0;
    const filterC = mean([at('egt3'), at('egt4')].filter((value): value is number => value !== undefined));
    const air = at('massAirFlow');
    return {
      kind,
      rpm: 10 * Math.round((at('engineSpeed') ?? 0) / 10),
      dpMbar: byEye(deltaP, Math.abs(deltaP) < 20 ? 1 : 0),
      ...(kind === 'key-off' || air === undefined ? {} : { airMassGPerS: byEye(air, 1) }),
      ...(kind === 'key-off' || filterC === undefined ? {} : { filterC: byEye(filterC, 0) }),
    };
  };
  const samples = [settled('key-off', { do: 'key-on' }, 6)];
  driver.follow({ do: 'start' }, 3);
  samples.push(
    settled('idle', { do: 'idle' }, 25),
    settled('hold', { do: 'hold', rpm: plan.lowRpm }, 25),
    settled('hold', { do: 'hold', rpm: plan.highRpm }, 25),
  );
  return {
    kind: 'reading',
    purpose,
    origin: { type: 'hand' },
    samples,
    barometerMbar: Math.round(vehicle.read('barometricPressure') ?? 1010),
    sootCounterG: byEye(Math.max(0, vehicle.read('sootMass') ?? 0), 1),
    ...(note === undefined ? {} : { note }),
  };
}

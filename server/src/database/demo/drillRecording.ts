import {
  benchFamily,
  BenchVehicle,
  Driver,
  RecordingText,
  SimulatedAdapter,
  type Fault,
  type LinkReading,
} from '@white-ember/core/bench';
import type { FilterState } from '@white-ember/core/filter';
import { baselinePlan, CHANNEL_PRESETS } from '@white-ember/core/readings';

export interface Drill {
  /** Engine family of the bench. */
  readonly family: string;
  readonly filter: FilterState;
  readonly seed: number;
  readonly faults?: readonly Fault[];
  /** What the engine computer counts, whatever is in the filter. */
  readonly sootCounterG: number;
}

const BASELINE = CHANNEL_PRESETS.find(({ id }) => id === 'baseline')?.roles ?? [];

/**
 * A baseline as a scan tool records it from a bench vehicle that came warm from the road: key on, idle, two holds, snaps,
 * idle, key off. Text as the live page writes it.
 */
export async function drillRecording(drill: Drill): Promise<string> {
  const family = benchFamily(drill.family);
  if (!family) throw new Error(`There is no bench family “${drill.family}”`);
  const vehicle = new BenchVehicle({
    family,
    seed: drill.seed,
    faults: drill.faults ?? [],
    start: { sootG: drill.filter.sootG, ashG: drill.filter.ashG },
  });
  vehicle.computer.sootG = drill.sootCounterG;
  const driver = new Driver(vehicle);
  const readings: LinkReading[] = [];
  const adapter = new SimulatedAdapter(vehicle, {
    onReadings: (some) => readings.push(...some),
    onState: () => undefined,
  });
  const plan = baselinePlan(family.displacementL, 78);
  driver.follow({ do: 'key-on' }, 4);
  driver.follow({ do: 'start' }, 2.5);
  driver.follow({ do: 'hold', rpm: plan.lowRpm }, 80);
  driver.follow({ do: 'off' }, 6);
  // What was burnt and made on the way here is put right: the drill begins with what it was asked for.
  vehicle.plant.filter.sootG.fill(drill.filter.sootG / vehicle.plant.filter.sootG.length);
  vehicle.computer.sootG = drill.sootCounterG;
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

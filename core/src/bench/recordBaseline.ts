import { inEnglish } from '../words/index.ts';
import { plainLabel } from '../quantities/index.ts';
import type { ChannelRole, RawLog } from '../readings/index.ts';
import { BaselineGuide, baselinePlan, CHANNEL_ROLES, roleName } from '../readings/index.ts';
import type { BenchVehicle } from './benchVehicle.ts';
import { Driver, type Wish } from './driver.ts';

/** What is recorded in a guided baseline. */
export const BASELINE_ROLES: readonly ChannelRole[] = [
  'engineSpeed',
  'dpfDeltaP',
  'exhaustBackPressure',
  'manifoldPressure',
  'barometricPressure',
  'massAirFlow',
  'egt1',
  'egt2',
  'egt3',
  'egt4',
  'coolantTemp',
  'intakeAirTemp',
  'ambientTemp',
  'sootMass',
  'egrPosition',
  'vehicleSpeed',
];

export interface BaselineRun {
  readonly log: RawLog;
  readonly complete: boolean;
  readonly seconds: number;
}

const LONGEST_S = 3 * 3600;

/**
 * Drives a simulated vehicle through the guided baseline, doing at every moment what the guide asks for, and records what its
 * sensors show at so many readings a second.
 */
export function recordBaseline(
  vehicle: BenchVehicle,
  {
    sampleHz = 10,
    coolantWarmC = 78,
    pull = false,
  }: { sampleHz?: number; coolantWarmC?: number; pull?: boolean } = {},
): BaselineRun {
  const { family } = vehicle;
  const driver = new Driver(vehicle);
  const guide = new BaselineGuide(baselinePlan(family.displacementL, coolantWarmC));
  const roles = BASELINE_ROLES.filter((role) => vehicle.read(role) !== undefined);
  const timeS: number[] = [];
  const values = roles.map((): number[] => []);
  const every = Math.round(1 / sampleHz / vehicle.stepS);
  const startS = vehicle.timeS;
  const sample = (): void => {
    if (vehicle.tick % every !== 0) return;
    const at = vehicle.timeS - startS;
    timeS.push(at);
    roles.forEach((role, i) => values[i]?.push(vehicle.read(role) ?? Number.NaN));
    guide.push({
      timeS: at,
      rpm: vehicle.read('engineSpeed') ?? 0,
      coolantC: vehicle.read('coolantTemp'),
      kmPerH: vehicle.read('vehicleSpeed'),
    });
  };
  const go = (wish: Wish, seconds: number): void => driver.follow(wish, seconds, sample);
  let warmedS = 0;
  while (!guide.complete && vehicle.timeS - startS < LONGEST_S) {
    const { next } = guide;
    const { running } = vehicle.plant.engine;
    if (next === 'key-on' || next === 'key-off') {
      if (next === 'key-off' && pull) pullOnce(vehicle, go);
      if (running) go({ do: 'off' }, 2.5);
      go({ do: 'key-on' }, 1);
    } else if (!running) go({ do: 'start' }, 1);
    else if (next === 'hold-low' || next === 'hold-high')
      go({ do: 'hold', rpm: next === 'hold-low' ? guide.plan.lowRpm : guide.plan.highRpm }, 2);
    else if (next === 'snaps') {
      snap(vehicle, go);
    } else {
      // A cold engine is warmed at raised speed; one that never warms is not waited for without end.
      const cold = next === 'warm-idle' && (vehicle.read('coolantTemp') ?? 90) < coolantWarmC;
      if (cold && warmedS > 1500) break;
      if (cold) warmedS += 2;
      if (!cold) go({ do: 'idle' }, 2);
      // A large engine does not get warm without work.
      else if (family.kind === 'truck') go({ do: 'cruise', kmPerH: 60 }, 2);
      else go({ do: 'hold', rpm: 0.42 * family.governedRpm }, 2);
    }
  }
  if (!guide.complete) {
    go({ do: 'off' }, 3);
    go({ do: 'key-on' }, 8);
  }
  return {
    complete: guide.complete,
    seconds: vehicle.timeS - startS,
    log: {
      format: 'live',
      durationS: timeS.at(-1) ?? 0,
      facts: { displacementL: family.displacementL },
      warnings: [],
      columns: roles.map((role, i) => ({
        name: inEnglish(roleName(role)),
        source: role,
        role,
        unitText: plainLabel(CHANNEL_ROLES[role].unit),
        timeS: Float64Array.from(timeS),
        values: Float64Array.from(values[i] ?? []),
      })),
    },
  };
}

/** Treads down until the engine is well up, as a foot does that hears it; lets go after 3 s at the latest. */
function snap(vehicle: BenchVehicle, go: (wish: Wish, seconds: number) => void): void {
  const { family, plant } = vehicle;
  const enoughRpm = Math.min(family.idleRpm + 2200, 0.75 * family.governedRpm);
  for (let s = 0; s < 3 && plant.engine.rpm < enoughRpm; s += 0.1) go({ do: 'snap', pedal: 0.8 }, 0.1);
  go({ do: 'idle' }, 6);
}

/** One loaded pull on the road, for what only load shows. */
function pullOnce(vehicle: BenchVehicle, go: (wish: Wish, seconds: number) => void): void {
  const truck = vehicle.family.kind === 'truck';
  go({ do: 'cruise', kmPerH: truck ? 35 : 30 }, 35);
  go({ do: 'pull', gear: truck ? 5 : 3 }, truck ? 14 : 9);
  go({ do: 'cruise', kmPerH: 10 }, 25);
  go({ do: 'idle' }, 25);
}

import { BENCH_FAMILIES, BenchVehicle, Driver, type Wish } from '../bench/index.ts';
import { bedLimits } from '../burn/index.ts';
import { filterVolumeL } from '../filter/index.ts';
import { DEFAULT_LIMITS } from '../limits/index.ts';
import { isRefused } from '../treatment/index.ts';
import { dice } from './drills.ts';
import { TreatedJob } from './treatedJob.ts';

export interface DroppedBurn {
  readonly about: string;
  /** Whether the choice allowed a burn at all, and whether the ECU began it. */
  readonly allowed: boolean;
  readonly began: boolean;
  /** Hottest slice of the true bed, with the engine dropped to idle in the middle of the burn, and what it stands, °C. */
  readonly peakC: number;
  readonly limitC: number;
}

const WARM_UP_S = 600;
const BURN_S = 1500;
const AFTER_DROP_S = 420;

/**
 * Vehicle number `seed` of an endless row with a moderate load. Where the interlocks allow a burn it is driven, and the foot is
 * taken off at a random moment after ignition: what the drop-to-idle limit promises is tried at the vehicle itself.
 */
export function droppedBurn(seed: number): DroppedBurn {
  const d = dice(seed * 32_452_843);
  const family = d.pick(BENCH_FAMILIES);
  const volumeL = filterVolumeL(family.filter);
  const sootGPerL = d.between(1, 9);
  const vehicle = new BenchVehicle({
    family,
    seed,
    km: Math.round(d.between(40_000, 240_000)),
    start: {
      ambientC: d.between(2, 30),
      sootG: sootGPerL * volumeL,
      ashG: d.between(0, 12) * volumeL,
    },
  });
  const job = new TreatedJob(vehicle);
  job.read('before');
  job.look();
  const drive = job.options().find(({ treatment }) => treatment === 'drive');
  const limitC = bedLimits(DEFAULT_LIMITS, family.filter.material).peakC;
  const about = `${seed}: ${family.name}, soot ${sootGPerL.toFixed(1)} g/L`;
  if (!drive || isRefused(drive)) return { about, allowed: false, began: false, peakC: 0, limitC };
  const driver = new Driver(vehicle);
  driver.follow({ do: 'key-on' }, 2);
  driver.follow({ do: 'start' }, 4);
  driver.follow({ do: 'cruise', kmPerH: 65 }, WARM_UP_S);
  const began = vehicle.startRoutine('regenerate-driving').status === 'running';
  const startG = vehicle.truth.sootG;
  const dropAtShare = d.between(0.03, 0.5);
  let wish: Wish = { do: 'cruise', kmPerH: 65 };
  let sinceDropS = 0;
  let peakC = 0;
  for (let s = 0; s < BURN_S && sinceDropS < AFTER_DROP_S; s++) {
    driver.follow(wish, 1);
    peakC = Math.max(peakC, vehicle.plant.filter.peakC);
    if (vehicle.truth.sootG < (1 - dropAtShare) * startG) wish = { do: 'idle' };
    if (wish.do === 'idle') sinceDropS += 1;
  }
  return {
    about: `${about}, dropped at ${(100 * dropAtShare).toFixed(0)} % burnt, ${peakC.toFixed(0)} of ${limitC} °C`,
    allowed: true,
    began,
    peakC,
    limitC,
  };
}

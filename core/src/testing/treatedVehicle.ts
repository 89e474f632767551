import type { Said } from '../words/index.ts';
import { BENCH_FAMILIES, BenchVehicle } from '../bench/index.ts';
import { bedLimits } from '../burn/index.ts';
import { filterVolumeL } from '../filter/index.ts';
import { type DerivedJob } from '../job/index.ts';
import type { Treatment } from '../ledger/index.ts';
import { DEFAULT_LIMITS } from '../limits/index.ts';
import { isRefused } from '../treatment/index.ts';
import { dice } from './drills.ts';
import { TreatedJob } from './treatedJob.ts';

export interface TreatedVehicle {
  readonly about: string;
  /** Whether there was something in it that a treatment takes out. */
  readonly curable: boolean;
  readonly treatments: readonly Treatment[];
  readonly verdict: DerivedJob['verdict'];
  /** Hottest slice of the bed in any burn, and what it stands, °C. */
  readonly peakC: number;
  readonly limitC: number;
  /** Burns that were begun though an interlock held them off. */
  readonly forbidden: readonly string[];
  /** What is not shown or has failed of the proof. */
  readonly missing: readonly Said[];
}

const MOST_TREATMENTS = 3;

/** From so much soot or ash on a filter is not as it should be. */
const LOADED_SOOT_G_PER_L = 4;
const LOADED_ASH_G_PER_L = 40;

/** Vehicle number `seed` of an endless row, treated by what the choice puts first until it is proved or three were done. */
export function treatedVehicle(seed: number): TreatedVehicle {
  const d = dice(seed * 15_485_863);
  const family = d.pick(BENCH_FAMILIES);
  const volumeL = filterVolumeL(family.filter);
  const sootGPerL = d.chance(0.15) ? d.between(0.5, 2) : d.between(3, 16);
  const ashGPerL = d.chance(0.2) ? d.between(40, 75) : d.between(2, 20);
  const ambientC = d.between(2, 30);
  const vehicle = new BenchVehicle({
    family,
    seed,
    km: Math.round(d.between(40_000, 240_000)),
    start: { ambientC, engineC: ambientC, sootG: sootGPerL * volumeL, ashG: ashGPerL * volumeL },
  });
  const job = new TreatedJob(vehicle);
  job.read('before');
  job.look();
  const treatments: Treatment[] = [];
  while (treatments.length < MOST_TREATMENTS) {
    const option = job
      .options()
      .find((one) => !isRefused(one) && !(one.treatment === 'nothing' && treatments.length > 0));
    if (!option) break;
    treatments.push(option.treatment);
    job.do(option);
    if (option.treatment === 'nothing' || job.derive().verdict === 'equal-flow') break;
  }
  if (treatments.at(-1) !== 'nothing') job.finish();
  const { verdict, evidence, proof } = job.derive();
  return {
    about: `${seed}: ${family.name}, soot ${sootGPerL.toFixed(1)} g/L, ash ${ashGPerL.toFixed(0)} g/L, ${treatments.join(', then ')}: ${verdict}`,
    curable: sootGPerL >= LOADED_SOOT_G_PER_L || ashGPerL >= LOADED_ASH_G_PER_L,
    treatments,
    verdict,
    peakC: job.peakC,
    limitC: bedLimits(DEFAULT_LIMITS, family.filter.material).peakC,
    forbidden: job.forbidden,
    missing: [
      ...evidence.filter(({ state }) => state !== 'shown').map(({ text }) => text),
      ...(proof?.verdict === 'proved' ? [] : (proof?.reasons ?? [])),
    ],
  };
}

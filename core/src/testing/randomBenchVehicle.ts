import { BENCH_FAMILIES, BenchVehicle, FAULT_IDS, FAULTS, type Fault } from '../bench/index.ts';
import { recordBaseline } from '../bench/recordBaseline.ts';
import { groupOf, requiredFindings, type Drill } from '../bench/signature.ts';
import { analyseRaw } from '../readings/index.ts';
import { dice, type Dice } from './drills.ts';

/** One to three faults that do not sit on the same part; none for every fifth vehicle. */
function randomFaults(d: Dice): Fault[] {
  const faults: Fault[] = [];
  const wanted = d.pick([1, 1, 2, 2, 3]);
  while (faults.length < wanted) {
    const id = d.pick(FAULT_IDS);
    if (faults.some((fault) => groupOf(fault.id) === groupOf(id))) continue;
    const { forms } = FAULTS[id];
    faults.push({ id, severity: d.between(0.3, 1), ...(forms ? { form: d.pick(forms) } : {}) });
  }
  return faults;
}

export interface DrivenVehicle {
  readonly about: string;
  readonly healthy: boolean;
  readonly complete: boolean;
  readonly required: readonly string[];
  readonly found: readonly string[];
}

/** Vehicle number `seed` of an endless row, driven through the guided baseline, with what its log had to show and shows. */
export function drivenVehicle(seed: number): DrivenVehicle {
  const d = dice(seed * 104_729);
  const family = d.pick(BENCH_FAMILIES);
  const healthy = seed % 5 === 0;
  const faults = healthy ? [] : randomFaults(d);
  const drill: Drill = { cold: d.chance(0.4), pull: d.chance(0.5) };
  const ambientC = d.between(-5, 32);
  const vehicle = new BenchVehicle({
    family,
    seed,
    faults,
    start: {
      ambientC,
      barometerMbar: Math.round(d.between(920, 1030)),
      engineC: drill.cold ? ambientC : d.between(70, 88),
    },
  });
  const { log, complete } = recordBaseline(vehicle, { pull: drill.pull });
  const { analysis } = analyseRaw(log, { geometry: family.filter });
  const names = faults.map(
    ({ id, form, severity }) => `${id}${form ? ` ${form}` : ''} ${severity.toFixed(2)}`,
  );
  return {
    about: `${seed}: ${family.name}, ${drill.cold ? 'cold' : 'warm'}${drill.pull ? ', with a pull' : ''}, ${names.join(' + ') || 'healthy'}`,
    healthy,
    complete,
    required: requiredFindings(faults, family, drill),
    found: [...new Set(analysis.findings.map(({ id }) => id))],
  };
}

import { BENCH_FAMILIES, BenchVehicle, type BenchFamily, type Fault, type FaultId } from '../bench/index.ts';
import { leaveOver } from '../bench/computer/computer.ts';
import { canHave, feltFaults } from './feltFaults.ts';
import type { Life } from './life.ts';
import { dice, type Dice } from './drills.ts';

/** Three computers of ten tell readily, one third tells next to nothing: as met on vehicles, not as the diagnosis reckons. */
function lifeOf(d: Dice): Life {
  return {
    temper: d.pick(['strict', 'usual', 'lenient']),
    memory: d.pick(['clean', 'clean', 'cleared', 'dirty']),
    tool: d.pick(['codes', 'codes', 'codes', 'codes', 'names', 'modules']),
    customer: d.pick(['plain', 'plain', 'plain', 'silent', 'wrong']),
  };
}

/** What is found together, the beginning first: not by chance, but as one brings the other about or both come of one neglect. */
const TOGETHER: readonly (readonly FaultId[])[] = [
  ['thermostat-stuck-open', 'soot-loaded'],
  ['egr-stuck-open', 'soot-loaded'],
  ['intake-leak', 'soot-loaded'],
  ['glow-plugs-failed', 'soot-loaded'],
  ['dosing-injector-blocked', 'soot-loaded'],
  ['injector-over-fuelling', 'soot-loaded', 'oil-counter'],
  ['turbocharger-worn', 'oil-in-exhaust'],
  ['oil-in-exhaust', 'ash-full'],
  ['short-trips', 'oil-counter'],
  ['high-pipe-blocked', 'soot-loaded'],
  ['back-pressure-pipe-blocked', 'egr-cooler-fouled'],
  ['dp-sensor-failed', 'soot-loaded', 'glow-plugs-failed'],
  ['charge-leak', 'soot-loaded'],
];

/** Of ten vehicles that come in for one thing, four have another; what comes by chance is mostly alone. */
export function faultsInLife(d: Dice, family: BenchFamily): Fault[] {
  if (d.chance(0.6)) return feltFaults(d, family, [1, 1, 1, 1, 2, 3]);
  const [first, ...others] = d.pick(TOGETHER.filter((ids) => ids.every((id) => canHave(family, id))));
  return [first as FaultId, ...others].map((id) => ({ id, severity: d.between(0.6, 1), ...formOf(d, id) }));
}

const FORMS: Readonly<Partial<Record<FaultId, readonly string[]>>> = {
  'oil-counter': ['diluted'],
  'dp-sensor-failed': ['dead', 'stuck', 'zero-off', 'low'],
  'glow-plugs-failed': ['plugs', 'relay'],
  'back-pressure-pipe-blocked': ['blocked', 'broken'],
};
const formOf = (d: Dice, id: FaultId): { form?: string } => {
  const forms = FORMS[id];
  return forms ? { form: d.pick(forms) } : {};
};

/** Codes that earlier faults leave behind for years. */
const LEFT_OVER = ['P0380', 'P0671', 'P0101', 'P0299', 'P0404', 'P2453', 'P2458', 'P0128', 'P242C', 'P0471'];

/** A computer as most are, with nothing in its memory but what is there, a tool that says all of it, a customer who tells what he knows. */
export const ORDINARY: Life = { temper: 'usual', memory: 'clean', tool: 'codes', customer: 'plain' };

/** Vehicle number `seed` of an endless row as in life, or with its faults under other circumstances. */
export function livelyVehicle(
  seed: number,
  given?: Life,
): { readonly vehicle: BenchVehicle; readonly life: Life } {
  const d = dice(seed * 86_028_121);
  const family = d.pick(BENCH_FAMILIES);
  const own = lifeOf(d);
  const life = given ?? own;
  const faults = faultsInLife(d, family);
  const ambientC = d.between(-5, 32);
  const vehicle = new BenchVehicle({
    family,
    seed,
    faults,
    temper: life.temper,
    km: Math.round(d.between(30_000, 260_000)),
    start: { ambientC, barometerMbar: Math.round(d.between(920, 1030)), engineC: ambientC },
  });
  if (life.memory === 'dirty')
    leaveOver(vehicle.computer, d.chance(0.5) ? [d.pick(LEFT_OVER)] : [d.pick(LEFT_OVER), d.pick(LEFT_OVER)]);
  return { vehicle, life };
}

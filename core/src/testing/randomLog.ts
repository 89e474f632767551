import { pressureDrop, exhaustMassGPerS, speedDensityGPerS } from '../filter/index.ts';
import { valueOf } from '../quantities/index.ts';
import { madeLog, madeVehicle, type MadeFaults, type MadeVehicle } from './madeLog.ts';
import { dice, DRILLS, type Dice, type DrillName } from './drills.ts';
import { writeLog } from './logDialects.ts';

export interface RandomLog {
  readonly seed: number;
  readonly bytes: Uint8Array;
  readonly displacementL: number;
  readonly about: string;
  /** Finding ids that the made faults must give. */
  readonly injected: readonly string[];
  /** Ids that may be given too without being wrong. */
  readonly allowed: readonly string[];
}

interface Injection {
  readonly name: string;
  readonly drills: readonly DrillName[];
  readonly make: (
    d: Dice,
    vehicle: MadeVehicle,
  ) => {
    faults: MadeFaults;
    vehicle?: Partial<MadeVehicle>;
    injected: readonly string[];
    allowed?: readonly string[];
  };
}

/** ΔP of the vehicle's filter at a stationary speed, warm, mbar. */
function dropAt(vehicle: MadeVehicle, rpm: number, sootG: number): number {
  const air = valueOf(
    speedDensityGPerS({
      displacementL: vehicle.displacementL,
      rpm,
      manifoldMbar: vehicle.barometerMbar + vehicle.boostMbar * (rpm / 3000) ** 2,
      manifoldC: vehicle.ambientC + 12,
      volumetricEfficiency: vehicle.volumetricEfficiency,
    }),
  );
  const drop = pressureDrop(
    vehicle.geometry,
    { sootG, ashG: 8 },
    {
      exhaustKgPerS: exhaustMassGPerS(air, 52) / 1000,
      temperatureC: rpm < 1000 ? 150 : 230,
      outletPressurePa: vehicle.barometerMbar * 100,
    },
  );
  // More soot than the channels hold: no flow at all.
  return drop.ok ? drop.value.totalMbar : Number.POSITIVE_INFINITY;
}

/** A filter at `mbar` in a hold at 3000 rpm: by soot as far as its channels hold it, the rest by deposits that are not modelled. */
function restricted(vehicle: MadeVehicle, mbar: number): { sootG: number; dpGain: number } {
  let [low, high] = [0, 400];
  for (let i = 0; i < 40; i++) {
    const middle = (low + high) / 2;
    if (dropAt(vehicle, 3000, middle) < mbar) low = middle;
    else high = middle;
  }
  return { sootG: low, dpGain: mbar / dropAt(vehicle, 3000, low) };
}

const STANDING: readonly DrillName[] = ['full', 'short'];
const egtNumber = (d: Dice): 1 | 2 | 3 | 4 => d.pick([1, 2, 3, 4] as const);

const INJECTIONS: readonly Injection[] = [
  {
    name: 'full of soot',
    drills: STANDING,
    make: (d, vehicle) => {
      const full = restricted(vehicle, d.between(230, 380));
      const told = d.chance(0.6);
      const counter = told ? Math.max(d.between(48, 70), 48) : d.between(2, 10);
      return {
        faults: { ...full, sootCounterG: counter },
        injected: [
          'dp-high-hold',
          told ? 'soot-high' : 'soot-disagrees-with-pressure',
          ...(full.dpGain * dropAt(vehicle, vehicle.idleRpm, full.sootG) > 26 ? ['dp-high-idle'] : []),
        ],
        allowed: ['dp-high-idle'],
      };
    },
  },
  {
    name: 'dead ΔP sensor',
    drills: STANDING,
    make: () => ({ faults: { dpDead: true }, injected: ['dp-no-response'] }),
  },
  {
    name: 'ΔP stuck high',
    drills: STANDING,
    make: (d) => ({ faults: { dpStuckMbar: d.between(25, 700) }, injected: ['dp-stuck-high'] }),
  },
  {
    name: 'hoses crossed',
    drills: STANDING,
    make: () => ({ faults: { dpReversed: true, sootG: 14 }, injected: ['dp-reversed'] }),
  },
  {
    name: 'ΔP zero off',
    drills: STANDING,
    make: (d) => ({
      faults: { dpZeroMbar: d.pick([-1, 1]) * d.between(13, 30), sootG: 12 },
      injected: ['dp-zero-offset'],
    }),
  },
  {
    name: 'ΔP pipe slow',
    drills: ['full'],
    make: (d) => ({ faults: { dpLagS: d.between(3.5, 12), sootG: 15 }, injected: ['dp-slow-response'] }),
  },
  {
    name: 'ΔP at the end of its scale',
    drills: ['full'],
    make: (d, vehicle) => ({
      faults: { ...restricted(vehicle, d.between(1500, 2200)), sootCounterG: 60 },
      injected: ['dp-saturated', 'dp-high-hold', 'soot-high'],
      allowed: ['dp-high-idle', 'dp-falling'],
    }),
  },
  {
    name: 'ΔP low',
    drills: STANDING,
    make: (d) => ({ faults: { dpGain: d.between(0.02, 0.08), sootG: 5 }, injected: ['dp-low-for-flow'] }),
  },
  {
    name: 'opening after a clean',
    drills: ['longHold'],
    make: (d, vehicle) => ({
      faults: { opening: d.between(300, 420) / dropAt(vehicle, 3000, 7) },
      injected: ['dp-falling'],
      allowed: ['dp-high-hold', 'dp-high-idle', 'soot-disagrees-with-pressure'],
    }),
  },
  {
    name: 'back-pressure dead',
    drills: STANDING,
    make: (_d, vehicle) => ({
      faults: { ebpStuckMbar: vehicle.barometerMbar },
      injected: ['ebp-no-response'],
    }),
  },
  {
    name: 'back-pressure pipe slow',
    drills: ['full'],
    make: (d) => ({ faults: { ebpLagS: d.between(3.5, 12) }, injected: ['ebp-slow-decay'] }),
  },
  {
    name: 'back-pressure off at key on',
    drills: STANDING,
    make: (d) => ({
      faults: { ebpOffset: d.pick([-1, 1]) * d.between(0.13, 0.25) },
      injected: ['ebp-key-on-mismatch'],
    }),
  },
  {
    name: 'manifold dead',
    drills: STANDING,
    make: (_d, vehicle) => ({
      faults: { mapStuckMbar: vehicle.barometerMbar },
      injected: ['map-no-response'],
    }),
  },
  {
    name: 'manifold slow',
    drills: ['full'],
    make: (d) => ({
      faults: { mapLagS: d.between(4, 10) },
      vehicle: { boostMbar: d.between(140, 260) },
      injected: ['map-slow-decay'],
    }),
  },
  {
    name: 'intake leak',
    drills: STANDING,
    make: (d) => ({ faults: { airShare: d.between(0.4, 0.58) }, injected: ['maf-low-for-speed'] }),
  },
  {
    name: 'MAF sensor high',
    drills: STANDING,
    make: (d) => ({ faults: { airShare: d.between(1.5, 1.9) }, injected: ['maf-high-for-speed'] }),
  },
  {
    name: 'EGT open',
    drills: ['full', 'short', 'regeneration'],
    make: (d) => {
      const n = d.pick([1, 2, 4] as const);
      return {
        faults: { egtOpen: [n, d.pick([-40, 999, 1100])] },
        injected: [`egt${n}-open`],
        allowed: ['regen-event'],
      };
    },
  },
  {
    name: 'EGT stuck',
    drills: ['full'],
    make: (d) => {
      const n = egtNumber(d);
      return {
        faults: { egtStuck: [n, d.between(60, 230)] },
        injected: [`egt${n}-stuck`],
        allowed: ['egt-order'],
      };
    },
  },
  {
    name: 'EGT off when cold',
    drills: ['full'],
    make: (d) => {
      const n = egtNumber(d);
      return {
        faults: { egtColdOffset: [n, d.between(32, 55)] },
        vehicle: { cold: true },
        injected: [`egt${n}-cold-mismatch`],
        allowed: ['egt-order'],
      };
    },
  },
  {
    name: 'coolant too cold',
    drills: ['longIdle'],
    make: (d) => ({ faults: { coolantC: d.between(45, 60) }, injected: ['coolant-below-regen-temperature'] }),
  },
  {
    name: 'regeneration',
    drills: ['regeneration'],
    make: (d) => ({ faults: { sootG: d.between(10, 20) }, injected: ['regen-event'] }),
  },
  {
    name: 'back-pressure tube cracked',
    drills: ['pull'],
    make: (d) => ({
      faults: { ebpGain: d.between(0.05, 0.15) },
      injected: ['ebp-low-for-boost'],
      allowed: ['ebp-no-response'],
    }),
  },
];

const HEALTHY: readonly DrillName[] = ['full', 'full', 'short', 'idleOnly', 'longHold', 'longIdle', 'pull'];

/** Log number `seed` of an endless row: one in three healthy, the others with one fault, made by the same physics. */
export function randomLog(seed: number): RandomLog {
  const d = dice(seed * 7919 + 13);
  const base = madeVehicle(d);
  const healthy = d.chance(1 / 3);
  const injection = d.pick(INJECTIONS);
  const drillName = d.pick(healthy ? HEALTHY : injection.drills);
  const made = healthy ? { faults: {}, injected: [] } : injection.make(d, base);
  const coldStart = healthy && drillName === 'full' && d.chance(0.25);
  const vehicle: MadeVehicle = { ...base, cold: coldStart, ...('vehicle' in made ? made.vehicle : {}) };
  const log = madeLog(vehicle, DRILLS[drillName](vehicle.idleRpm, d), made.faults, d);
  const written = writeLog(log, d);
  return {
    seed,
    bytes: written.bytes,
    displacementL: vehicle.displacementL,
    about: `${healthy ? 'healthy' : injection.name}, ${drillName}, ${written.dialect}`,
    injected: made.injected,
    allowed: ('allowed' in made ? made.allowed : undefined) ?? [],
  };
}

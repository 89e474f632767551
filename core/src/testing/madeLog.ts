import { exhaustMassGPerS, pressureDrop, speedDensityGPerS, type FilterGeometry } from '../filter/index.ts';
import { valueOf } from '../quantities/index.ts';
import type { ChannelRole } from '../readings/index.ts';
import { type Dice, type Part } from './drills.ts';

/** What is wrong with the made vehicle; each with how badly, in the unit of its name. */
export interface MadeFaults {
  readonly sootG?: number;
  readonly ashG?: number;
  readonly sootCounterG?: number;
  /** ΔP goes from so many times the clean one down to the clean one over the longest hold. */
  readonly opening?: number;
  readonly dpStuckMbar?: number;
  readonly dpDead?: boolean;
  readonly dpReversed?: boolean;
  readonly dpZeroMbar?: number;
  readonly dpLagS?: number;
  readonly dpGain?: number;
  readonly ebpStuckMbar?: number;
  readonly ebpLagS?: number;
  readonly ebpOffset?: number;
  readonly ebpGain?: number;
  readonly mapStuckMbar?: number;
  readonly mapLagS?: number;
  readonly airShare?: number;
  readonly egtOpen?: readonly [1 | 2 | 3 | 4, number];
  readonly egtStuck?: readonly [1 | 2 | 3 | 4, number];
  readonly egtColdOffset?: readonly [1 | 2 | 3 | 4, number];
  readonly egtSwapped?: readonly [1 | 2 | 3 | 4, 1 | 2 | 3 | 4];
  readonly coolantC?: number;
}

export interface MadeVehicle {
  readonly displacementL: number;
  readonly idleRpm: number;
  readonly geometry: FilterGeometry;
  readonly barometerMbar: number;
  readonly ambientC: number;
  /** Engine cold at the beginning. */
  readonly cold: boolean;
  readonly volumetricEfficiency: number;
  /** Boost and back-pressure above the barometer at 3000 rpm without load, mbar. */
  readonly boostMbar: number;
  readonly backMbar: number;
}

export function madeVehicle(d: Dice): MadeVehicle {
  const displacementL = d.pick([1.3, 1.5, 1.6, 2.0, 2.2, 2.5, 3.0]);
  const volumeL = displacementL * d.between(1.15, 1.5);
  const lengthMm = d.between(140, 185);
  return {
    displacementL,
    idleRpm: Math.round(d.between(750, 900)),
    geometry: {
      diameterMm: Math.sqrt((4 * volumeL * 1e6) / (Math.PI * lengthMm)),
      lengthMm,
      cpsi: d.pick([200, 300]),
      wallMm: d.pick([0.254, 0.305, 0.33]),
    },
    barometerMbar: Math.round(d.between(900, 1030)),
    ambientC: d.between(-5, 32),
    cold: false,
    volumetricEfficiency: d.between(0.83, 0.91),
    boostMbar: d.between(90, 260),
    backMbar: d.between(180, 480),
  };
}

export type MadeChannels = Partial<Record<ChannelRole, Float64Array>>;

export interface MadeLog {
  readonly timeS: Float64Array;
  readonly channels: MadeChannels;
}

const STEP_S = 0.1;

/** Steps a value towards another with a time constant. */
const towards = (from: number, to: number, tauS: number): number =>
  tauS <= 0 ? to : from + (to - from) * (1 - Math.exp(-STEP_S / tauS));

/**
 * A recording as the true engine and filter would make it: air by speed–density, ΔP by the wall-flow law, temperatures
 * along the line with thermal masses, sensors with lags, noise and faults. Every 0.1 s, in base units.
 */
export function madeLog(vehicle: MadeVehicle, drill: readonly Part[], faults: MadeFaults, d: Dice): MadeLog {
  const total = Math.floor(drill.reduce((sum, part) => sum + part.seconds, 0) / STEP_S);
  const roles = [
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
    'vehicleSpeed',
  ] as const;
  const out = Object.fromEntries(roles.map((role) => [role, new Float64Array(total)])) as Record<
    (typeof roles)[number],
    Float64Array
  >;
  const timeS = Float64Array.from({ length: total }, (_, i) => i * STEP_S);
  const { barometerMbar: baro, ambientC } = vehicle;
  const warmC = faults.coolantC ?? 84;
  let coolant = vehicle.cold ? ambientC : warmC;
  const startC = vehicle.cold ? ambientC : undefined;
  let egt = [startC ?? 82, startC ?? 86, startC ?? 95, startC ?? 100] as [number, number, number, number];
  const egtSensor = [...egt];
  let [rpm, wander, map, back, sensedBack, sensedMap, sensedDp] = [
    drill[0]?.rpm ?? 0,
    0,
    baro,
    0,
    baro,
    baro,
    0,
  ];
  const counter = faults.sootCounterG ?? faults.sootG ?? 7;
  const holdStart = drill
    .slice(
      0,
      drill.findIndex((part) => part.seconds > 150),
    )
    .reduce((sum, part) => sum + part.seconds, 0);
  const holdEnd = holdStart + Math.max(...drill.map((part) => part.seconds));
  const swing = d.between(40, 100);
  let k = 0;
  /** Share of the soot that a regeneration has not burnt yet. */
  let left = 1;
  let partEnd = drill[0]?.seconds ?? 0;
  let first = true;
  for (let i = 0; i < total; i++) {
    const t = timeS[i] as number;
    while (t >= partEnd && k < drill.length - 1) partEnd += drill[++k]?.seconds ?? 0;
    const part = drill[k] as Part;
    wander += -wander * 0.06 + d.noise(part.rpm > 1200 ? swing * 0.12 : part.rpm > 0 ? 1.2 : 0);
    rpm = towards(rpm, part.rpm === 0 ? 0 : part.rpm + wander, part.rpm === 0 ? 0.5 : 0.45);
    if (rpm < 60 && part.rpm === 0) rpm = 0;
    const load = part.load ?? 0;
    const share = rpm / 3000;
    map = towards(
      map,
      baro + vehicle.boostMbar * share ** 2 + 1300 * load ** 1.5 * Math.min(share * 1.4, 1),
      rpm === 0 ? 0.3 : 0.55,
    );
    const air =
      rpm < 100
        ? 0
        : valueOf(
            speedDensityGPerS({
              displacementL: vehicle.displacementL,
              rpm,
              manifoldMbar: map,
              manifoldC: ambientC + 12,
              volumetricEfficiency: vehicle.volumetricEfficiency,
            }),
          );
    const target1 = rpm < 100 ? Math.max(egt[0] - 2, ambientC) : 120 + 190 * share + 420 * load;
    egt = [
      towards(egt[0], target1, rpm < 100 ? 400 : 9),
      towards(egt[1], part.regenC === undefined ? egt[0] - 12 : egt[0] + 40, rpm < 100 ? 500 : 16),
      towards(egt[2], part.regenC ?? egt[1] - 8, rpm < 100 ? 600 : 24),
      towards(egt[3], egt[2] - 4, rpm < 100 ? 700 : 40),
    ];
    if (rpm > 100) coolant = towards(coolant, warmC, 260);
    const bedC = (egt[2] + egt[3]) / 2;
    const exhaust = exhaustMassGPerS(air, load > 0.2 ? 28 : 52) / 1000;
    const opening =
      faults.opening === undefined || t < holdStart
        ? (faults.opening ?? 1)
        : 1 + (faults.opening - 1) * Math.exp(-(4 * (t - holdStart)) / (holdEnd - holdStart));
    const drop =
      exhaust < 0.001
        ? 0
        : opening *
          valueOf(
            pressureDrop(
              vehicle.geometry,
              { sootG: (faults.sootG ?? 7) * left, ashG: faults.ashG ?? 8 },
              { exhaustKgPerS: exhaust, temperatureC: bedC, outletPressurePa: baro * 100 },
            ),
          ).totalMbar;
    const flow = air / (vehicle.displacementL * 21);
    back = towards(back, vehicle.backMbar * flow ** 1.6 + drop, 0.2);
    if (part.regenC !== undefined && egt[2] > 520) left *= 1 - STEP_S / 260;
    if (first) sensedBack = baro + back;
    first = false;
    const smoothed = {
      dp: (sensedDp = towards(sensedDp, drop, faults.dpLagS ?? 0.15)),
      back: (sensedBack = towards(sensedBack, baro + back * (faults.ebpGain ?? 1), faults.ebpLagS ?? 0.2)),
      map: (sensedMap = towards(sensedMap, map, faults.mapLagS ?? 0.1)),
    };
    egt.forEach((value, n) => (egtSensor[n] = towards(egtSensor[n] as number, value, 1.5)));
    out.engineSpeed[i] = rpm === 0 ? 0 : rpm + d.noise(4);
    out.dpfDeltaP[i] = sensedDpMbar(smoothed.dp, faults, d);
    out.exhaustBackPressure[i] =
      faults.ebpStuckMbar === undefined
        ? smoothed.back * (1 + (faults.ebpOffset ?? 0)) + d.noise(2.5)
        : faults.ebpStuckMbar + d.noise(1);
    out.manifoldPressure[i] =
      faults.mapStuckMbar === undefined ? smoothed.map + d.noise(2.5) : faults.mapStuckMbar + d.noise(1);
    out.barometricPressure[i] = baro;
    out.massAirFlow[i] = Math.max(0, air * (faults.airShare ?? 1) * (1 + d.noise(0.012)) + d.noise(0.02));
    const shown = [1, 2, 3, 4].map((n) => {
      if (faults.egtStuck?.[0] === n) return faults.egtStuck[1] + d.noise(0.25);
      if (faults.egtOpen?.[0] === n) return faults.egtOpen[1];
      const from =
        faults.egtSwapped?.[0] === n
          ? faults.egtSwapped[1]
          : faults.egtSwapped?.[1] === n
            ? faults.egtSwapped[0]
            : n;
      return (
        (egtSensor[from - 1] as number) +
        (faults.egtColdOffset?.[0] === n ? faults.egtColdOffset[1] : 0) +
        d.noise(0.5)
      );
    }) as [number, number, number, number];
    [out.egt1[i], out.egt2[i], out.egt3[i], out.egt4[i]] = shown;
    out.coolantTemp[i] = coolant + d.noise(0.15);
    out.intakeAirTemp[i] = (vehicle.cold ? ambientC + Math.min(t / 60, 8) : ambientC + 9) + d.noise(0.2);
    out.ambientTemp[i] = ambientC;
    out.sootMass[i] = counter * left;
    out.vehicleSpeed[i] = part.kmPerH ?? 0;
  }
  return { timeS, channels: out };
}

const FULL_SCALE_MBAR = 1000;

function sensedDpMbar(trueMbar: number, faults: MadeFaults, d: Dice): number {
  if (faults.dpDead) return 0;
  if (faults.dpStuckMbar !== undefined) return faults.dpStuckMbar;
  const read =
    trueMbar * (faults.dpGain ?? 1) * (faults.dpReversed ? -1 : 1) +
    (faults.dpZeroMbar ?? 0) +
    d.noise(0.12) +
    trueMbar * d.noise(0.012);
  return Math.min(read, FULL_SCALE_MBAR);
}

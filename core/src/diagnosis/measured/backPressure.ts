import { logDensity, normal, withSlip, type LogPart } from './density.ts';
import type { CauseSet } from './states.ts';

/** A row with a pressure before the turbo, mbar absolute. */
export interface BackPressureRow {
  readonly running: boolean;
  readonly held: boolean;
  readonly backPressureMbar: number;
  /** Manifold pressure above the barometer, mbar; absent: not read. */
  readonly boostMbar?: number | undefined;
}

const SLIP = 1 / 3000;

type Sensor = 'good' | 'stuck' | 'off' | 'pipe-blocked' | 'pipe-broken' | 'ground';

const sensorOf = (set: CauseSet): Sensor => {
  for (const { cause, form } of set) {
    if (cause === 'back-pressure-sensor-failed') return form === 'off' ? 'off' : 'stuck';
    if (cause === 'back-pressure-pipe-blocked') return form === 'broken' ? 'pipe-broken' : 'pipe-blocked';
    if (cause === 'sensor-wiring') return 'ground';
  }
  return 'good';
};

/** Whether something holds the gas back after the turbo: then pressure stands before it also at idle. */
const heldBack = (set: CauseSet): boolean =>
  set.some(({ cause }) =>
    ['soot-loaded', 'ash-full', 'catalyst-restricted', 'downstream-restricted'].includes(cause),
  );

/** With the engine off it agrees with the air, mbar from the barometer. */
function restDensity(sensor: Sensor, off: number, doubt: number): number {
  const wide = (sd: number): number => normal(off, 0, Math.hypot(sd, doubt));
  switch (sensor) {
    case 'good':
      return 0.97 * wide(6) + 0.03 * wide(20);
    case 'pipe-blocked':
      // Gas may stand in it.
      return 0.8 * wide(8) + 0.2 * wide(120);
    case 'pipe-broken':
      return wide(8);
    case 'off':
      return 0.5 * wide(60) + 0.5 * wide(160);
    case 'stuck':
      return 0.4 * wide(10) + 0.3 * wide(150) + (0.3 * (off > -1100 && off < 9000 ? 1 : 0)) / 10_000;
    case 'ground':
      return 0.5 * wide(20) + 0.5 * wide(80);
  }
}

/** Above the air on a hold it stands at least as high as the manifold, and a bit more for what the line itself holds back. */
function heldDensity(
  sensor: Sensor,
  rise: number,
  boostMbar: number | undefined,
  back: boolean,
  doubt: number,
): number {
  const wanted = Math.max(30, (boostMbar ?? 110) + 25) * (back ? 2 : 1);
  const own = boostMbar === undefined ? 0.6 : 0.4;
  const flat = (sd: number): number => normal(rise, 0, Math.hypot(sd, doubt));
  const parts = (middle: number, spread: number): readonly LogPart[] => [{ share: 1, middle, spread }];
  // As a density of the pressure itself, to stand beside the flat ones.
  const rising = (middle: number, spread: number): number =>
    rise <= 1 ? 0 : logDensity(Math.log(rise), parts(middle, spread), 0.1) / rise;
  switch (sensor) {
    case 'good':
    case 'ground':
      return rising(wanted, own);
    case 'off':
      return 0.5 * rising(wanted, own + 0.5) + 0.5 * normal(rise, wanted, 120);
    case 'stuck':
      return 0.9 * flat(6) + 0.1 * flat(40);
    case 'pipe-blocked':
      return 0.55 * flat(8) + 0.45 * rising(0.4 * wanted, 0.7);
    case 'pipe-broken':
      return 0.4 * flat(8) + 0.6 * rising(0.3 * wanted, 0.7);
  }
}

/** At warm idle it stands a little above the air; much more says that the gas is held back. */
function idleDensity(sensor: Sensor, rise: number, back: boolean, doubt: number): number {
  const rising = (middle: number, spread: number): number =>
    rise <= 1 ? 0 : logDensity(Math.log(rise), [{ share: 1, middle, spread }], 0.2) / rise;
  const small = 0.5 * normal(rise, 5, Math.hypot(8, doubt)) + 0.5 * rising(20, 0.8);
  if (sensor === 'good' || sensor === 'ground') return back ? 0.4 * small + 0.6 * rising(120, 0.9) : small;
  return sensor === 'off' ? 0.5 * small + 0.5 * normal(rise, 0, 100) : normal(rise, 0, Math.hypot(12, doubt));
}

/**
 * The chance of pressures before the turbo, against the air and the manifold, under a set of causes.
 * @param barometerMbar air pressure; its doubt is larger where it was assumed
 */
export function backPressureChance(
  rows: readonly BackPressureRow[],
  barometerMbar: number,
  barometerDoubtMbar: number,
): ((set: CauseSet) => number) | undefined {
  if (rows.length === 0) return undefined;
  const kept = new Map<string, number>();
  return (set) => {
    const [sensor, back] = [sensorOf(set), heldBack(set)];
    const key = `${sensor} ${back}`;
    const known = kept.get(key);
    if (known !== undefined) return known;
    let chance = 1;
    for (const { running, held, backPressureMbar, boostMbar } of rows) {
      const rise = backPressureMbar - barometerMbar;
      const density = !running
        ? restDensity(sensor, rise, barometerDoubtMbar)
        : held
          ? heldDensity(sensor, rise, boostMbar, back, barometerDoubtMbar)
          : idleDensity(sensor, rise, back, barometerDoubtMbar);
      chance *= withSlip(density, SLIP, 0.005);
    }
    kept.set(key, chance);
    return chance;
  };
}

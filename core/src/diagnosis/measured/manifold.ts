import { normal, withSlip } from './density.ts';
import type { CauseSet } from './states.ts';

/** A row with manifold pressure, mbar absolute. */
export interface ManifoldRow {
  readonly kind: 'at-rest' | 'idle' | 'held';
  readonly manifoldMbar: number;
}

type Sensor = 'good' | 'stuck' | 'off' | 'ground';

const sensorOf = (set: CauseSet): Sensor => {
  for (const { cause, form } of set) {
    // A clogged port comes late, and is right once the speed is held.
    if (cause === 'manifold-sensor-failed' && form !== 'slow') return form === 'off' ? 'off' : 'stuck';
    if (cause === 'sensor-wiring' && form !== 'supply') return 'ground';
  }
  return 'good';
};

/** A manifold pressure could be anything within this, where a figure is a slip, mbar. */
const SLIP = 1 / 3000;

/** With the engine off it is that of the air, mbar from the barometer. */
function restDensity(sensor: Sensor, off: number, doubt: number): number {
  const wide = (sd: number): number => normal(off, 0, Math.hypot(sd, doubt));
  switch (sensor) {
    case 'good':
      return 0.97 * wide(6) + 0.03 * wide(20);
    case 'ground':
      // Some tenths of a volt that the ground stands too high, at one bar a volt.
      return 0.35 * wide(20) + 0.35 * wide(80) + 0.3 * wide(220);
    case 'off':
      return 0.5 * wide(60) + 0.5 * wide(160);
    case 'stuck':
      return 0.5 * wide(15) + 0.5 * wide(250);
  }
}

/** Unloaded, a turbocharged engine holds little boost at idle and up to some hundred mbar on a hold. */
function runningDensity(sensor: Sensor, held: boolean, off: number, restOff: number, doubt: number): number {
  const free = (over: number): number =>
    held
      ? 0.45 * normal(over, 20, Math.hypot(40, doubt)) + 0.55 * normal(over, 150, Math.hypot(120, doubt))
      : normal(over, -10, Math.hypot(45, doubt));
  switch (sensor) {
    case 'good':
      return free(off);
    case 'ground':
      // It stands too high running as at rest.
      return free(off - restOff);
    case 'off':
      return 0.7 * normal(off - restOff, held ? 80 : -10, held ? 110 : 45) + 0.3 * normal(off, 0, 160);
    case 'stuck':
      return normal(off - restOff, 0, 5);
  }
}

/** The chance of manifold pressures against the air under a set of causes; nothing where none was read at rest. */
export function manifoldChance(
  rows: readonly ManifoldRow[],
  barometerMbar: number,
  barometerDoubtMbar: number,
): ((set: CauseSet) => number) | undefined {
  const rest = rows.find(({ kind }) => kind === 'at-rest');
  if (!rest) return undefined;
  const restOff = rest.manifoldMbar - barometerMbar;
  const kept = new Map<Sensor, number>();
  return (set) => {
    const sensor = sensorOf(set);
    const known = kept.get(sensor);
    if (known !== undefined) return known;
    let chance = withSlip(restDensity(sensor, restOff, barometerDoubtMbar), SLIP, 0.005);
    for (const { kind, manifoldMbar } of rows)
      if (kind !== 'at-rest')
        chance *= withSlip(
          runningDensity(sensor, kind === 'held', manifoldMbar - barometerMbar, restOff, barometerDoubtMbar),
          SLIP,
          0.01,
        );
    kept.set(sensor, chance);
    return chance;
  };
}

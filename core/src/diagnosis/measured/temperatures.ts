import { logDensity } from './density.ts';
import type { CauseSet } from './states.ts';

/** Temperatures of one row, °C. */
export interface TemperatureRow {
  readonly kind: 'cold' | 'idle' | 'held';
  /** By number of the sensor. */
  readonly egts: ReadonlyMap<number, number>;
  /** What was read of the same cold vehicle by other sensors: coolant, intake air. */
  readonly beside: readonly number[];
}

/** Where a sensor shows a circuit and no temperature, or the pen slipped, K. */
const ANYWHERE = 1 / 1300;
/** How a sensor that failed shows itself: right for now, off by an amount, anywhere. */
const FAILED = { right: 0.15, off: 0.45, anywhere: 0.4 } as const;
const SOUND = { right: 0.996, off: 0, anywhere: 0.004 } as const;
const AGREES_K = 5;
const OFF_K = 60;
/** Cold vehicles stand at about this. */
const [COLD_C, COLD_SPREAD_K] = [18, 18];

/** Density of temperatures that share one unknown cold temperature (a normal vector with a common part). */
function agreeing(values: readonly { readonly c: number; readonly sd: number }[]): number {
  let log = -0.5 * Math.log(2 * Math.PI) * values.length - Math.log(COLD_SPREAD_K);
  let [weight, weighted, squares] = [1 / COLD_SPREAD_K ** 2, 0, 0];
  for (const { c, sd } of values) {
    const off = c - COLD_C;
    log -= Math.log(sd);
    weight += 1 / sd ** 2;
    weighted += off / sd ** 2;
    squares += (off / sd) ** 2;
  }
  return Math.exp(log - 0.5 * Math.log(weight) - 0.5 * (squares - weighted ** 2 / weight));
}

/** All ways in which the sensors of a cold row may be right, off or anywhere, each by its share. */
function coldDensity(
  egts: readonly (readonly [sensor: number, c: number])[],
  beside: readonly number[],
  failed: ReadonlySet<number>,
): number {
  const over = (at: number, values: readonly { readonly c: number; readonly sd: number }[]): number => {
    const one = egts[at];
    if (!one) return agreeing(values);
    const [sensor, c] = one;
    const ways = failed.has(sensor) ? FAILED : SOUND;
    return (
      ways.right * over(at + 1, [...values, { c, sd: AGREES_K }]) +
      (ways.off === 0 ? 0 : ways.off * over(at + 1, [...values, { c, sd: OFF_K }])) +
      ways.anywhere * ANYWHERE * over(at + 1, values)
    );
  };
  return over(
    0,
    beside.map((c) => ({ c, sd: AGREES_K })),
  );
}

/** With the engine running unloaded the gas stands somewhere between a warm engine and a hot bed. */
const runningDensity = (held: boolean, c: number): number =>
  c <= 1 ? 0 : logDensity(Math.log(c), [{ share: 1, middle: held ? 210 : 140, spread: 0.5 }], 0) / c;

/** The chance of exhaust temperatures read by hand, cold and running, under a set of causes. */
export function temperaturesChance(rows: readonly TemperatureRow[]): ((set: CauseSet) => number) | undefined {
  const telling = rows.filter(({ kind, egts, beside }) =>
    kind === 'cold' ? egts.size > 0 && egts.size + beside.length > 1 : egts.size > 0,
  );
  if (telling.length === 0) return undefined;
  const kept = new Map<string, number>();
  return (set) => {
    const failed = new Set(
      set.flatMap(({ cause }) => {
        const sensor = /^egt(\d)-failed$/.exec(cause)?.[1];
        return sensor === undefined ? [] : [Number(sensor)];
      }),
    );
    const key = [...failed].toSorted((a, b) => a - b).join();
    const known = kept.get(key);
    if (known !== undefined) return known;
    let chance = 1;
    for (const { kind, egts, beside } of telling) {
      if (kind === 'cold') {
        chance *= coldDensity([...egts], beside, failed);
        continue;
      }
      for (const [sensor, c] of egts) {
        const right = runningDensity(kind === 'held', c);
        chance *= failed.has(sensor)
          ? 0.4 * right + 0.6 * ANYWHERE
          : SOUND.right * right + SOUND.anywhere * ANYWHERE;
      }
    }
    kept.set(key, chance);
    return chance;
  };
}

/** Causes that change an exhaust temperature that is shown. */
export const TEMPERATURE_CAUSES = ['egt1-failed', 'egt2-failed', 'egt3-failed', 'egt4-failed'] as const;

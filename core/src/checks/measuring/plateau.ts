import { say } from '../../words/index.ts';
import { fitDecay } from './decay.ts';
import { failed, success, type Result } from '../../quantities/index.ts';

export interface Plateau {
  readonly reached: boolean;
  /** Mean of the last quarter. */
  readonly value: number;
  /** Where it is going, by an exponential through the last half. */
  readonly goesTo: number;
  /** Rise in the last quarter, per minute. */
  readonly perMinute: number;
}

/** A rise slower than this is none, °C a minute. */
const STILL_PER_MINUTE = 0.8;
/** Times the length of what was seen, over which an exponential may be drawn on. */
const FORESEEN = 3;

/**
 * Whether a slow value settled, and where it is going if not: a thermostat is blamed from a plateau, never from a warm-up.
 * Times in s, values in °C; needs two minutes. Worked value: 85 °C kept over 4 min → reached, 85.
 */
export function findPlateau(times: readonly number[], values: readonly number[]): Result<Plateau> {
  const lengthS = (times.at(-1) ?? 0) - (times[0] ?? 0);
  if (times.length < 4 || lengthS < 120)
    return failed({
      code: 'not-enough-data',
      field: 'Coolant',
      requirement: say('checks.needs-two-minutes-or-more'),
    });
  const last = Math.max(2, Math.ceil(times.length / 4));
  const [t, v] = [times.slice(-last), values.slice(-last)];
  const meanT = t.reduce((a, b) => a + b, 0) / last;
  const meanV = v.reduce((a, b) => a + b, 0) / last;
  let [stt, stv] = [0, 0];
  t.forEach((at, i) => {
    stt += (at - meanT) ** 2;
    stv += (at - meanT) * ((v[i] as number) - meanV);
  });
  const perMinute = stt > 0 ? (60 * stv) / stt : 0;
  const half = Math.floor(times.length / 2);
  const fit = fitDecay(times.slice(half), values.slice(half));
  const reached = Math.abs(perMinute) <= STILL_PER_MINUTE;
  // Further ahead than a few times what was seen is a guess.
  const foreseen = fit.ok && fit.value.timeS < FORESEEN * (lengthS / 2) ? fit.value.to : meanV;
  const goesTo = reached ? meanV : foreseen;
  return success({ reached, value: meanV, goesTo, perMinute });
}

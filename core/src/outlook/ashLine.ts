import { say, type Said } from '../words/index.ts';
import type { Limits } from '../limits/index.ts';
import { Z90, type Interval } from '../proof/index.ts';
import type { Interval80 } from './due.ts';
import type { Visit } from './visit.ts';

/** What stays in a filter whenever it was cleaned, over the road: what no burn and no clean in place takes out. */
export type AshLine =
  | { readonly known: false; readonly why: Said }
  | {
      readonly known: true;
      /** Restriction that a clean left behind, × clean, at its distance, km. */
      readonly points: readonly { readonly km: number; readonly left: Interval }[];
      /** Rise on 10 000 km, × clean. */
      readonly rise: Interval80;
      /** Where the line stands at the last clean, × clean. */
      readonly now: number;
      /** Odometer at which a clean no longer brings it under the good limit, km; a missing end: not to be foreseen. */
      readonly reachesKm?: { readonly low: number; readonly value: number; readonly high?: number };
      readonly limitRatio: number;
    };

const Z80 = 1.2816;

/**
 * The ash line of a filter since it was new, exchanged or cleaned off the vehicle: residual restriction after each clean
 * against distance, by least squares with weights. A rise below nothing is no ash and counts as none.
 */
export function ashLine(visits: readonly Visit[], limits: Limits): AshLine {
  const start = visits.findLastIndex(({ filter }) => filter === 'exchanged' || filter === 'cleaned-off');
  const points = visits
    .slice(Math.max(start, 0))
    .flatMap(({ km, after, filter }) =>
      km === undefined || !after || filter === 'as-it-was' ? [] : [{ km, left: after }],
    );
  if (points.length < 2)
    return {
      known: false,
      why: say('outlook.two-cleans-with-an-after'),
    };
  let [w, wx, wy, wxx, wxy] = [0, 0, 0, 0, 0];
  const zero = (points[0] as { km: number }).km;
  for (const { km, left } of points) {
    const weight = 1 / (((left.high - left.low) / (2 * Z90)) ** 2 + limits.cleanToCleanSpread ** 2);
    const x = (km - zero) / 10_000;
    w += weight;
    wx += weight * x;
    wy += weight * left.value;
    wxx += weight * x * x;
    wxy += weight * x * left.value;
  }
  const determinant = w * wxx - wx * wx;
  if (determinant <= 1e-9 * w * w)
    return {
      known: false,
      why: say('outlook.all-cleans'),
    };
  const slope = (w * wxy - wx * wy) / determinant;
  const sd = Math.sqrt(w / determinant);
  const last = points.at(-1) as { km: number };
  const now = (wy - slope * wx) / w + (slope * (last.km - zero)) / 10_000;
  const rise = {
    low: Math.max(slope - Z80 * sd, 0),
    value: Math.max(slope, 0),
    high: Math.max(slope + Z80 * sd, 0),
  };
  const limitRatio = limits.restrictionGoodRatio;
  const reaches = (perTenThousand: number): number =>
    last.km + (10_000 * Math.max(limitRatio - now, 0)) / perTenThousand;
  return {
    known: true,
    points,
    rise,
    now,
    limitRatio,
    ...(rise.value > 0
      ? {
          reachesKm: {
            low: reaches(rise.high),
            value: reaches(rise.value),
            ...(rise.low > 0 ? { high: reaches(rise.low) } : {}),
          },
        }
      : {}),
  };
}

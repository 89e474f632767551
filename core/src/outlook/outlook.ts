import { say, type Said } from '../words/index.ts';
import type { Limits } from '../limits/index.ts';
import { Z90, type Interval } from '../proof/index.ts';
import { chanceDueBy, dueDistance, type Interval80 } from './due.ts';
import { growthAhead, stretchesOf, type GrowthAhead } from './growth.ts';
import { type GrowthPrior } from './growthKernel.ts';
import { hasOpenCause, leftAt, type Visit } from './visit.ts';

/** What is ahead of a vehicle, or why nothing can be said. */
export type Outlook =
  | { readonly known: false; readonly why: Said }
  | {
      readonly known: true;
      /** Where the forecast begins: the last visit with a reading. */
      readonly from: Visit;
      /** Restriction then, × clean, without the swing between two regenerations. */
      readonly now: Interval;
      /** Growth on the road ahead, × on 1000 km, on average until it is due. */
      readonly growth: Interval80;
      /** Distance from that visit at which it is due again, km; `FARTHEST_KM` stands for beyond the forecast. */
      readonly dueKm: Interval80;
      readonly limitRatio: number;
      /** Stretches of its own that it rests on; none: on vehicles of its kind alone. */
      readonly stretches: number;
      /** Causes that are still there. */
      readonly openCauses: readonly string[];
      /** Chance that it is back within the distance of a come-back, by the profile. */
      readonly comeBack: { readonly chance: number; readonly withinKm: number };
    };

/** A reading in the middle of use, with the swing between two regenerations taken out and added to its doubt. */
function withoutSwing(reading: Interval, swing: number): Interval {
  // No filter reads less than clean.
  const value = Math.max(reading.value - swing / 2, Math.min(reading.value, 1));
  const half = Z90 * Math.hypot((reading.high - reading.low) / (2 * Z90), swing / Math.sqrt(12));
  return { value, low: value - half, high: value + half };
}

/** Growth below which a chance lies, over a road of a length; between two growths of the grid by their logarithms. */
function quantile(
  { growth, thousandKm, chances, logStep }: GrowthAhead,
  road: number,
  wanted: number,
): number {
  const at = thousandKm.findIndex((length) => length >= road);
  const chance = chances.at(at) as Float64Array;
  let sum = 0;
  for (let i = 0; i < growth.length; i++) {
    const p = chance[i] as number;
    if (sum + p >= wanted) return (growth[i] as number) * Math.exp(((wanted - sum) / p - 0.5) * logStep);
    sum += p;
  }
  return growth.at(-1) as number;
}

/**
 * When a filter is due again: from how its vehicle's visits read, and how fast filters of its kind fill up.
 *
 * The restriction grows evenly with the road; how fast is lognormal, between vehicles and from stretch to stretch, and a cause
 * that was left as it was makes it faster. Visits in the order of time; the outlook begins at the last one with a reading.
 */
export function outlookOf(visits: readonly Visit[], prior: GrowthPrior, limits: Limits): Outlook {
  const from = visits.findLast(({ before, after }) => before ?? after);
  const left = from ? leftAt(from) : undefined;
  if (from && !left)
    return {
      known: false,
      why: say('outlook.its-filter-was-worked', { number: from.number }),
    };
  if (!from || !left)
    return {
      known: false,
      why: say('outlook.no-restriction-known-yet'),
    };
  const swing = limits.restrictionSwing;
  const now = from.filter === 'as-it-was' ? withoutSwing(left, swing) : left;
  const openCauses = from.causes.filter(({ open, fills }) => open && fills).map(({ cause }) => cause);
  const stretches = stretchesOf(visits);
  const limitRatio = limits.dueRestrictionRatio;
  const ahead = growthAhead(stretches, hasOpenCause(from), prior, limits);
  const dueKm = dueDistance(now, ahead, limitRatio);
  const growthBelow = (chance: number): number => quantile(ahead, dueKm.value / 1000, chance);
  return {
    known: true,
    from,
    now,
    growth: { low: growthBelow(0.1), value: growthBelow(0.5), high: growthBelow(0.9) },
    dueKm,
    limitRatio,
    stretches: stretches.length,
    openCauses,
    comeBack: {
      chance: chanceDueBy(limits.comesBackWithinKm, now, ahead, limitRatio),
      withinKm: limits.comesBackWithinKm,
    },
  };
}

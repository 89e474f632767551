import type { Limits } from '../limits/index.ts';
import { median } from '../quantities/index.ts';

/** Distance between two regenerations as it stood at a visit. */
export interface RegenerationMark {
  readonly at: string;
  readonly betweenKm: number;
}

/** Whether regenerations come closer together, and by how much. */
export interface RegenerationTrend {
  readonly lastKm: number;
  /** Middle of the earlier ones, km. */
  readonly earlierKm: number;
  readonly percent: number;
  readonly limitPercent: number;
  readonly closer: boolean;
}

/** Undefined with less than three marks: one earlier figure may be a chance. */
export function regenerationTrend(
  marks: readonly RegenerationMark[],
  limits: Limits,
): RegenerationTrend | undefined {
  const inTime = [...marks].sort((a, b) => a.at.localeCompare(b.at));
  const last = inTime.at(-1);
  const earlier = inTime.slice(0, -1).map(({ betweenKm }) => betweenKm);
  const earlierKm = median(earlier);
  if (!last || earlierKm === undefined || earlier.length < 2) return undefined;
  const percent = (100 * last.betweenKm) / earlierKm;
  return {
    lastKm: last.betweenKm,
    earlierKm,
    percent,
    limitPercent: limits.regenCloserPercent,
    closer: percent < limits.regenCloserPercent,
  };
}

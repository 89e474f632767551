import { DEFAULT_LIMITS } from '../../limits/index.ts';
import type { Interval } from '../../proof/index.ts';
import { madeId } from '../../testing/index.ts';
import { type Visit } from '../index.ts';

export const LIMITS = DEFAULT_LIMITS;

export const about = (value: number, percent = 5): Interval => ({
  value,
  low: value * (1 - percent / 100),
  high: value * (1 + percent / 100),
});

export const DAY_MS = 86_400_000;

/** A visit on a day at a distance; cleaned to `after` where that is given. */
export const visit = (
  day: number,
  km: number | undefined,
  before: number | undefined,
  after?: number,
  more: Partial<Visit> = {},
): Visit => ({
  jobId: madeId(day),
  number: day + 1,
  at: new Date(Date.UTC(2026, 0, 5) + day * DAY_MS).toISOString(),
  ...(km === undefined ? {} : { km }),
  ...(before === undefined ? {} : { before: about(before) }),
  ...(after === undefined ? {} : { after: about(after) }),
  filter: after === undefined ? 'as-it-was' : 'cleaned-in-place',
  causes: [],
  ...more,
});

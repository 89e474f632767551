import { plainly, say } from '../words/index.ts';
import type { NewEntry } from './entry.ts';

/** Earlier than any job that is entered here. */
const FIRST_YEAR = 2000;
/** Later than any part on order. */
const LAST_DUE_YEAR = 2100;
/** A day and what time zones differ by, at the most, ms: a clock that is further ahead is wrong. */
const AHEAD_MS = 38 * 3_600_000;

/** Why a moment that somebody enters cannot be; nothing where it can. What was stored before is read as it is. */
export function impossibleMoment(moment: string, nowMs: number): string | undefined {
  const ms = Date.parse(moment);
  if (Number.isNaN(ms) || new Date(ms).getUTCFullYear() < FIRST_YEAR)
    return plainly(say('faults.too-early', { year: String(FIRST_YEAR), is: moment }));
  return ms > nowMs + AHEAD_MS ? plainly(say('faults.too-late', { is: moment })) : undefined;
}

/** The same for a day that is still to come. */
export function impossibleDay(day: string): string | undefined {
  const year = Number(day.slice(0, 4));
  return year >= FIRST_YEAR && year <= LAST_DUE_YEAR
    ? undefined
    : plainly(say('faults.years', { from: String(FIRST_YEAR), to: String(LAST_DUE_YEAR), is: day }));
}

/** Moments of a new entry that cannot be, by their field. */
export function impossibleMoments({ deviceTime, body }: NewEntry, nowMs: number): Record<string, string> {
  const made = impossibleMoment(deviceTime, nowMs);
  const dueIn = (path: string, due: unknown): [string, string][] => {
    const wrong = typeof due === 'string' ? impossibleDay(due) : undefined;
    return wrong === undefined ? [] : [[path, wrong]];
  };
  const holder = body as { readonly due?: unknown; readonly order?: { readonly due?: unknown } };
  return Object.fromEntries([
    ...(made === undefined ? [] : [['deviceTime', made]]),
    ...dueIn('body.due', holder.due),
    ...dueIn('body.order.due', holder.order?.due),
  ]) as Record<string, string>;
}

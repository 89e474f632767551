import type { Limits } from '../limits/index.ts';
import type { Interval80 } from './due.ts';
import type { Visit } from './visit.ts';

const DAY_MS = 86_400_000;
/** Over less time or road the odometer says nothing of a year's use. */
const LEAST_DAYS = 21;
const LEAST_KM = 300;

/** Road on a day by the odometer of the visits, km; undefined where they are too near to each other. */
export function kmPerDay(visits: readonly Visit[]): number | undefined {
  const read = visits.filter((visit): visit is Visit & { km: number } => visit.km !== undefined);
  const [first, last] = [read.at(0), read.at(-1)];
  if (!first || !last) return undefined;
  const days = (Date.parse(last.at) - Date.parse(first.at)) / DAY_MS;
  const km = last.km - first.km;
  return days >= LEAST_DAYS && km >= LEAST_KM ? km / days : undefined;
}

/** The day on which a vehicle comes to a distance on its clock, ISO 8601, by how much it is driven. */
export const momentAtKm = (
  from: { readonly at: string; readonly km: number },
  km: number,
  perDay: number,
): string => new Date(Date.parse(from.at) + ((km - from.km) / perDay) * DAY_MS).toISOString();

/** When a distance from a visit will have been driven, ISO 8601, with an 80 % interval; use changes, which widens it. */
export function dueDate(
  from: Visit,
  dueKm: Interval80,
  perDay: number,
  limits: Limits,
): { readonly low: string; readonly value: string; readonly high: string } {
  const after = (km: number): string => new Date(Date.parse(from.at) + (km / perDay) * DAY_MS).toISOString();
  // Both doubts are independent: their squares add up about the middle, as factors.
  const widened = (end: number, use: number): number => {
    if (dueKm.value <= 0 || end <= 0) return end;
    const distance = Math.log(end / dueKm.value);
    return (
      dueKm.value *
      Math.exp(Math.sign(distance || use) * Math.hypot(distance, Math.log(limits.useChangesFactor)))
    );
  };
  return {
    low: after(widened(dueKm.low, -1)),
    value: after(dueKm.value),
    high: after(widened(dueKm.high, 1)),
  };
}

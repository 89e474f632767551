import type { Limits } from '../limits/index.ts';
import { leftAt, type Visit } from './visit.ts';

/** A filter that was cleaned and came back full, sooner than the limits allow. */
export interface ComeBack {
  readonly from: Visit;
  readonly to: Visit;
  readonly days: number;
  readonly km?: number;
  /** Causes that fill a filter and were known and left at the first visit, or found at the second; none: nobody knows. */
  readonly causes: readonly string[];
  /** Whether the first visit knew of a cause and left it. */
  readonly leftOpen: boolean;
}

const DAY_MS = 86_400_000;

/** Visits in the order of time. Within the distance of the limits, or within their days if the distance is unknown. */
export function comeBacksOf(visits: readonly Visit[], limits: Limits): ComeBack[] {
  return visits.slice(1).flatMap((to, i): ComeBack[] => {
    const from = visits[i] as Visit;
    const left = from.filter === 'as-it-was' ? undefined : leftAt(from);
    if (!left || !to.before) return [];
    if (left.value >= limits.dueRestrictionRatio || to.before.value < limits.dueRestrictionRatio) return [];
    const days = Math.round((Date.parse(to.at) - Date.parse(from.at)) / DAY_MS);
    const km = from.km === undefined || to.km === undefined || to.km < from.km ? undefined : to.km - from.km;
    if (km === undefined ? days > limits.comesBackWithinDays : km > limits.comesBackWithinKm) return [];
    const open = from.causes.filter((cause) => cause.open && cause.fills);
    const found = to.causes.filter(({ fills }) => fills);
    return [
      {
        from,
        to,
        days,
        ...(km === undefined ? {} : { km }),
        causes: [...new Set([...open, ...found].map(({ cause }) => cause))],
        leftOpen: open.length > 0,
      },
    ];
  });
}

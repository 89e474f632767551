import { addMonths, format, startOfMonth } from 'date-fns';
import type { VehicleOutlook } from '@white-ember/core/outlook';

const BACK_MONTHS = 1;
const AHEAD_MONTHS = 12;

/** The months that stand over every vehicle’s bar: a little back, a year ahead. */
export interface Months {
  readonly from: number;
  readonly to: number;
  readonly now: number;
}

export const monthsAbout = (now: number): Months => ({
  from: addMonths(now, -BACK_MONTHS).getTime(),
  to: addMonths(now, AHEAD_MONTHS).getTime(),
  now,
});

/** Where a moment stands, %; what is outside stands at the end. */
const placeOf = ({ from, to }: Months, ms: number): number =>
  Math.min(Math.max((100 * (ms - from)) / (to - from), 0), 100);

/** The names of the months, and today. */
export function MonthRuler({ months }: { months: Months }) {
  const marks = Array.from({ length: BACK_MONTHS + AHEAD_MONTHS + 1 }, (_, i) =>
    startOfMonth(addMonths(months.from, i)).getTime(),
  ).filter((ms) => ms >= months.from && ms < months.to);
  return (
    <div className="relative h-6 text-sm text-ink2" aria-hidden>
      {marks.map((ms, i) => (
        <span
          key={ms}
          className={`absolute top-0 border-l-2 border-rule pl-1 ${i % 2 === 1 ? 'max-xl:text-transparent' : ''}`}
          style={{ left: `${placeOf(months, ms)}%` }}
        >
          {format(ms, 'MMM')}
        </span>
      ))}
    </div>
  );
}

/** When a vehicle is due, drawn under the months: eight in ten from end to end, the middle as a post, today as a line. */
export function DueBar({ months, dueDate }: { months: Months; dueDate: VehicleOutlook['dueDate'] }) {
  const today = (
    <span
      className="absolute inset-y-0 border-l-2 border-ink"
      style={{ left: `${placeOf(months, months.now)}%` }}
    />
  );
  if (!dueDate)
    return (
      <div className="relative h-7 border-b-2 border-rule" aria-hidden>
        {today}
      </div>
    );
  const [low, value, high] = [dueDate.low, dueDate.value, dueDate.high].map((day) => Date.parse(day)) as [
    number,
    number,
    number,
  ];
  const [left, right] = [placeOf(months, low), placeOf(months, high)];
  const late = value < months.now;
  return (
    <div className="relative h-7 border-b-2 border-rule" aria-hidden>
      {today}
      {low < months.to ? (
        <span
          className={`absolute top-2.5 h-2 ${late ? 'bg-ember' : 'bg-steel'}`}
          style={{ left: `${left}%`, width: `max(3px, ${right - left}%)` }}
        />
      ) : (
        <span className="absolute right-0 top-0 text-steel">›</span>
      )}
      {value < months.to ? (
        <span
          className={`absolute top-0.5 h-6 w-1.5 -ml-[3px] ${late ? 'bg-ember' : 'bg-steel'}`}
          style={{ left: `${placeOf(months, value)}%` }}
        />
      ) : null}
    </div>
  );
}

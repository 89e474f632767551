import type { LogWarning } from './rawLog.ts';

const NAMES =
  /^(time ?stamp|time|zeit|zeitstempel|uhrzeit|elapsed|elapsed time|t|temps|heure|tiempo|hora|tempo|ora|czas|sec|seconds)\b/i;
const SAMPLE_NAMES = /^(sample|sample no|index|nr|no|#|row|messpunkt|record)\.?$/i;
const CLOCK = /^(?:\d{1,4}[-./]\d{1,2}[-./]\d{1,4}[ T])?(\d{1,2}):(\d{2})(?::(\d{2}(?:[.,]\d+)?))?$/;
const ISO = /^\d{4}-\d{2}-\d{2}[T ]\d{2}:\d{2}/;

export const isTimeName = (name: string): boolean => NAMES.test(name.trim());
export const isSampleName = (name: string): boolean => SAMPLE_NAMES.test(name.trim());

const DAY_S = 86_400;

/** Seconds since the first row from clock, ISO, seconds, milliseconds or epoch cells; NaN where unreadable. */
export function readTimes(
  cells: readonly string[],
  unitText: string | undefined,
  decimalComma: boolean,
): Float64Array {
  const raw = new Float64Array(cells.length);
  let dayOffset = 0;
  let previousClock = Number.NEGATIVE_INFINITY;
  for (let i = 0; i < cells.length; i++) {
    const cell = (cells[i] as string).trim();
    if (ISO.test(cell)) {
      raw[i] = Date.parse(cell.replace(' ', 'T').replace(',', '.')) / 1000;
      continue;
    }
    const clock = CLOCK.exec(cell);
    if (clock) {
      const seconds =
        Number(clock[1]) * 3600 + Number(clock[2]) * 60 + Number((clock[3] ?? '0').replace(',', '.'));
      // A clock that jumps back by most of a day has passed midnight; a small step back is a fault of the recorder.
      if (seconds < previousClock - DAY_S / 2) dayOffset += DAY_S;
      previousClock = seconds;
      raw[i] = seconds + dayOffset;
      continue;
    }
    raw[i] = cell === '' ? Number.NaN : Number(decimalComma ? cell.replace(',', '.') : cell);
  }
  const unit = (unitText ?? '').trim().toLowerCase();
  const first = raw.find(Number.isFinite) ?? 0;
  const last = raw.findLast(Number.isFinite) ?? 0;
  const milliseconds = unit === 'ms' || unit.startsWith('msec') || unit.startsWith('milli') || first > 1e11;
  const factor = milliseconds ? 0.001 : unit === 'min' ? 60 : 1;
  const steps = raw.length > 1 ? (last - first) / (raw.length - 1) : 0;
  // Without a unit, rows that are tens to thousands apart are milliseconds: nobody records a log with a row every minute.
  const bare =
    unit === '' &&
    !milliseconds &&
    steps >= 20 &&
    !cells.some((c) => CLOCK.test(c.trim()) || ISO.test(c.trim()));
  const scale = bare ? 0.001 : factor;
  return raw.map((value) => (value - first) * scale);
}

/**
 * Makes the axis usable: rows without a time take the place between their neighbours, rows that go backwards or
 * repeat a time are dropped. Returns the rows to keep; each repair is a warning with its first line.
 */
export function repairTimes(
  times: Float64Array,
  firstLine: number,
): { keep: Int32Array; warnings: LogWarning[] } {
  const keep: number[] = [];
  let last = Number.NEGATIVE_INFINITY;
  let backwards = 0;
  let missing = 0;
  let firstBad: number | undefined;
  for (let i = 0; i < times.length; i++) {
    const t = times[i] as number;
    if (Number.isFinite(t) && t > last) {
      keep.push(i);
      last = t;
      continue;
    }
    if (Number.isFinite(t)) backwards++;
    else missing++;
    firstBad ??= firstLine + i;
  }
  const warnings: LogWarning[] = [];
  if (backwards + missing > 0) {
    warnings.push({
      code: 'time-repaired',
      text: `${backwards + missing} rows left out: ${backwards} repeat a time or go backwards, ${missing} have none.`,
      ...(firstBad === undefined ? {} : { row: firstBad }),
    });
  }
  return { keep: Int32Array.from(keep), warnings };
}

import { plainNumber, type DecimalMark } from './cellValue.ts';
import { READ_BOUNDS } from './readBounds.ts';

const TIME_WORDS =
  'time|timestamp|time stamp|zeit|zeitstempel|uhrzeit|elapsed|t|temps|heure|horodatage|tiempo|hora|tempo|ora|orario|czas|godzina|znacznik czasu|sec|secs|seconds|second|ms|msec|millis|milliseconds|epoch|unix|utc|gmt|clock|datetime|date time|marca de tiempo|marca temporal|laufzeit|messzeit|duree|duracion|durata|uptime|date|datum|fecha|data|dzien';
const QUALIFIER =
  '(?: (?:s|ms|us|sec|secs|seconds|sekunden|since start|elapsed|relative|relativ|absolute|absolut|local|utc|gmt|of day|stamp|time|zeit|date|iso|unix|epoch|log|logged|recorded|offset|code|\\d{1,2}|[a-h]))*';
const NAMES = new RegExp(
  `^(?:(?:log|device|system|sample|recording|elapsed|relative|rel|absolute|abs|local|real|unix|epoch|start|pc|data|mess|test|frame|scan|gps|total|tps|temps) )?(?:${TIME_WORDS})${QUALIFIER}$`,
);
const SAMPLE_NAMES =
  /^(?:sample|index|nr|no|num|number|row|line|record|point|frame|count|messpunkt|lfd nr|zeile|muestra|numero|campione|probka|nr probki|echantillon|punto|n)(?: (?:no|nr|number|index|id))?$/;
const DATE_NAMES = /^(?:date|datum|fecha|data|dzien|day|tag)$/;

/** Lower case, accents folded, punctuation to single spaces. */
const fold = (name: string): string =>
  name
    .toLowerCase()
    .normalize('NFD')
    .replace(/[\u0300-\u036f]/g, '')
    .replaceAll('#', 'no')
    .replace(/[^a-z0-9]+/g, ' ')
    .trim();

export const isTimeName = (name: string): boolean => NAMES.test(fold(name));
export const isDateName = (name: string): boolean => DATE_NAMES.test(fold(name));
export const isSampleName = (name: string): boolean => SAMPLE_NAMES.test(fold(name));

const DAY_S = 86_400;
const CLOCK =
  /^(\d{1,3}):(\d{1,2})(?::(\d{1,2})(?:[.,:](\d{1,9}))?|[.,](\d{1,9}))?\s*([ap])?\.?m?\.?\s*(Z|[+-]\d{2}:?\d{2})?$/i;
const YEAR_FIRST = /^(\d{4})[-./](\d{1,2})[-./](\d{1,2})(?:[T ]+|$)/;
const YEAR_LAST = /^(\d{1,2})([-./])(\d{1,2})[-./](\d{4}|\d{2})(?:[T, ]+|$)/;
const COMPACT = /^(\d{4})(\d{2})(\d{2})T(\d{2})(\d{2})(\d{2})(?:[.,](\d+))?(Z)?$/;

const fraction = (digits: string | undefined): number => (digits ? Number(`0.${digits}`) : 0);

interface Clock {
  readonly seconds: number;
  /** Two parts without seconds: hours and minutes, or minutes and seconds; only the whole column tells. */
  readonly short: boolean;
}

function clockOf(text: string): Clock | undefined {
  const m = CLOCK.exec(text);
  if (!m) return undefined;
  const [first, second] = [Number(m[1]), Number(m[2])];
  if (second > 59 || Number(m[3] ?? 0) > 60) return undefined;
  if (m[5] !== undefined) return { seconds: first * 60 + second + fraction(m[5]), short: false };
  const half = m[6]?.toLowerCase();
  const hour = half ? (first % 12) + (half === 'p' ? 12 : 0) : first;
  const zone = m[7] && m[7] !== 'Z' && m[7] !== 'z' ? m[7].replace(':', '') : undefined;
  const shift = zone
    ? Number(`${zone[0]}1`) * (Number(zone.slice(1, 3)) * 60 + Number(zone.slice(3, 5))) * 60
    : 0;
  return {
    seconds: hour * 3600 + second * 60 + Number(m[3] ?? 0) + fraction(m[4]) - shift,
    short: m[3] === undefined && half === undefined,
  };
}

/** Seconds since 1970 of a date cell with or without a clock; NaN if it is none. Zones are honoured, local time is kept. */
function dateOf(text: string, dayFirst: boolean): number {
  const compact = COMPACT.exec(text);
  if (compact) {
    const part = (i: number): number => Number(compact[i]);
    const seconds = Date.UTC(part(1), part(2) - 1, part(3), part(4), part(5), part(6)) / 1000;
    return seconds + fraction(compact[7]);
  }
  const first = YEAR_FIRST.exec(text);
  const last = first ? undefined : YEAR_LAST.exec(text);
  const found = first ?? last;
  if (!found) return Number.NaN;
  let year: number;
  let month: number;
  let day: number;
  if (first) [year, month, day] = [Number(first[1]), Number(first[2]), Number(first[3])];
  else {
    const [a, b, y] = [Number(last?.[1]), Number(last?.[3]), Number(last?.[4])];
    year = y < 100 ? 2000 + y : y;
    [day, month] = (dayFirst && b <= 12) || a > 12 ? [a, b] : [b, a];
  }
  if (month < 1 || month > 12 || day < 1 || day > 31) return Number.NaN;
  const rest = text.slice(found[0].length).trim();
  const clock = rest === '' ? { seconds: 0 } : clockOf(rest);
  return clock ? Date.UTC(year, month - 1, day) / 1000 + clock.seconds : Number.NaN;
}

/**
 * Reads the cells of a time column in their order. Numbers stay as they stand until `scale` sees all of them; clocks and
 * dates are seconds at once, clocks going on over midnight.
 */
export class TimeCells {
  private numbers = 0;
  private clocks = 0;
  private shortClocks = 0;
  private dates = 0;
  private integers = 0;
  private dayOffset = 0;
  private previousClock = Number.NEGATIVE_INFINITY;

  constructor(
    private readonly mark: DecimalMark,
    /** 03/04 is the third of April, unless the column shows otherwise. */
    private readonly dayFirst = true,
  ) {}

  /** One cell; NaN where it is no time. `dateCell` is the date that stands in a column of its own. */
  read(cell: string, dateCell?: string): number {
    const plain = plainNumber(cell, this.mark);
    if (plain === plain && dateCell === undefined) {
      this.numbers++;
      if (Number.isInteger(plain)) this.integers++;
      return plain;
    }
    const text = cell.length > READ_BOUNDS.cellLength ? '' : cell.trim();
    if (text === '') return Number.NaN;
    const dated = dateOf(text, this.dayFirst);
    if (Number.isFinite(dated)) {
      this.dates++;
      return dated;
    }
    const clock = clockOf(text);
    if (clock) {
      if (dateCell !== undefined) {
        const day = dateOf(dateCell.trim(), this.dayFirst);
        if (Number.isFinite(day)) {
          this.dates++;
          return day + clock.seconds;
        }
      }
      this.clocks++;
      if (clock.short) this.shortClocks++;
      // A clock that jumps back by most of a day has passed midnight; a smaller step back is a fault of the recorder.
      if (clock.seconds < this.previousClock - DAY_S / 2) this.dayOffset += DAY_S;
      this.previousClock = clock.seconds;
      return clock.seconds + this.dayOffset;
    }
    const number = Number(this.mark === ',' ? text.replace(',', '.') : text);
    if (!Number.isFinite(number)) return Number.NaN;
    this.numbers++;
    if (Number.isInteger(number)) this.integers++;
    return number;
  }

  /** Turns all that was read into seconds, in place, by the stated unit or by what the numbers can only be. */
  scale(raw: Float64Array, unitText: string | undefined): void {
    const factor = this.factor(raw, (unitText ?? '').trim().toLowerCase());
    if (factor !== 1) for (let i = 0; i < raw.length; i++) raw[i] = (raw[i] as number) * factor;
  }

  private factor(raw: Float64Array, unit: string): number {
    if (this.numbers < this.clocks + this.dates) {
      // 14:05 in hundreds of rows is a clock to the minute; where it changes with nearly every row it counts seconds.
      if (this.shortClocks < this.clocks || this.clocks === 0) return 1;
      return distinctShare(raw) > 0.05 ? 1 / 60 : 1;
    }
    if (/^(?:ms|msec|milli)/.test(unit)) return 0.001;
    if (/^(?:us|µs|μs|usec|micro)/.test(unit)) return 1e-6;
    if (/^(?:ns|nano)/.test(unit)) return 1e-9;
    if (/^min/.test(unit)) return 60;
    if (/^(?:h|hr|hour|hours|std)$/.test(unit)) return 3600;
    const first = raw.find(Number.isFinite) ?? 0;
    if (first > 1e17) return 1e-9;
    if (first > 1e14) return 1e-6;
    if (first > 1e11) return 0.001;
    if (first > 1e9 || /^s/.test(unit)) return 1;
    const step = medianStep(raw);
    const span = (raw.findLast(Number.isFinite) ?? 0) - first;
    // Days since 1900, as spreadsheets count them: large numbers in tiny steps.
    if (first > 30_000 && first < 80_000 && step > 0 && step < 1e-3 && span < 2) return DAY_S;
    // Without a unit, rows tens apart or a log of half a day in whole numbers are milliseconds.
    const whole = this.integers === this.numbers;
    return step >= 20 || (whole && span > 43_200) ? 0.001 : 1;
  }
}

/** Middle of the steps forward between neighbouring readings, 0 without any; judged from the first thousand. */
export function medianStep(times: Float64Array): number {
  const steps: number[] = [];
  for (let i = 1; i < times.length && steps.length < 1000; i++) {
    const step = (times[i] as number) - (times[i - 1] as number);
    if (step > 0) steps.push(step);
  }
  steps.sort((a, b) => a - b);
  return steps[steps.length >> 1] ?? 0;
}

function distinctShare(times: Float64Array): number {
  const seen = new Set<number>();
  const upTo = Math.min(times.length, 2000);
  for (let i = 0; i < upTo; i++) seen.add(times[i] as number);
  return seen.size / Math.max(upTo, 1);
}

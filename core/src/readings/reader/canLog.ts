import { say, type Said } from '../../words/index.ts';
import { plainLabel, success, type Result } from '../../quantities/index.ts';
import { unreadable } from './decodeText.ts';
import { NumberList } from './numberList.ts';
import { OBD_PARAMETERS, obdValueOf, type ObdValue } from './obdParameters.ts';
import type { LogFormat, LogSink, LogWarning, RawColumn, RawLog } from './rawLog.ts';
import { seriesOf } from './tableBuilder.ts';
import { READ_BOUNDS } from './readBounds.ts';
import { settleTimes } from './timeAxis.ts';

/** `(time) interface id#data` or `(time) interface id [length] bytes`, as CAN tools write text. */
const COMPACT = /^\s*\(?(\d+\.\d+)\)?\s+\S+\s+([0-9a-f]{3}|[0-9a-f]{8})#([0-9a-f]{2,16})(?:\s|$)/i;
const SPACED =
  /^\s*\(?(\d+\.\d+)\)?\s+\S+\s+(?:[RT]X?\s+-?\s*)?([0-9a-f]{3}|[0-9a-f]{8})\s+\[\d\]\s+((?:[0-9a-f]{2}\s*){1,8})/i;

interface Frame {
  readonly timeS: number;
  readonly id: string;
  readonly bytes: Uint8Array;
}

function frameOf(line: string): Frame | undefined {
  const match = COMPACT.exec(line) ?? SPACED.exec(line);
  if (!match) return undefined;
  const hex = (match[3] ?? '').replace(/\s/g, '');
  const bytes = new Uint8Array(hex.length >> 1);
  for (let i = 0; i < bytes.length; i++) bytes[i] = Number.parseInt(hex.slice(2 * i, 2 * i + 2), 16);
  return { timeS: Number(match[1]), id: (match[2] ?? '').toUpperCase(), bytes };
}

/** Identifiers under which control units answer: 7E8–7EF, and 18DAF1xx with 29 bits. */
const isAnswer = (id: string): boolean => /^7E[89A-F]$/.test(id) || /^18DAF1[0-9A-F]{2}$/.test(id);

/** A message that comes in several frames (ISO 15765-2), being put together. */
interface Pending {
  readonly bytes: Uint8Array;
  readonly timeS: number;
  filled: number;
  next: number;
}

interface ObdColumn {
  readonly value: ObdValue | undefined;
  readonly pid: number;
  readonly ecu: string;
  readonly rows: NumberList;
  readonly numbers: NumberList;
}

const hex = (number: number): string => number.toString(16).toUpperCase().padStart(2, '0');
const SERVICE_01 = 0x41;

class CanReader implements LogSink {
  private rest = '';
  private line = 0;
  private readonly times = new NumberList();
  private readonly lines = new NumberList();
  private readonly pending = new Map<string, Pending>();
  private readonly columns = new Map<string, ObdColumn>();
  private answers = 0;
  private lost = 0;
  private firstLost: number | undefined;
  private odd = 0;
  private firstOdd: number | undefined;

  push(text: string): void {
    const whole = this.rest + text;
    let from = 0;
    for (let end = whole.indexOf('\n'); end >= 0; end = whole.indexOf('\n', from)) {
      this.read(whole.slice(from, end));
      from = end + 1;
    }
    this.rest = whole.slice(from);
    // Nothing that waits this long for its end is a frame.
    if (this.rest.length > 10_000) this.rest = this.rest.slice(-10_000);
  }

  private read(line: string): void {
    this.line++;
    const frame = frameOf(line);
    if (!frame) {
      if (line.trim() === '' || line.startsWith('#') || line.startsWith('//')) return;
      this.odd++;
      this.firstOdd ??= this.line;
      return;
    }
    if (!isAnswer(frame.id)) return;
    const kind = (frame.bytes[0] as number) >> 4;
    const low = (frame.bytes[0] as number) & 0x0f;
    if (kind === 0) {
      if (low > 0 && low < frame.bytes.length)
        this.message(frame, frame.bytes.subarray(1, 1 + low), frame.timeS);
      else this.lose();
    } else if (kind === 1) {
      const length = (low << 8) | (frame.bytes[1] ?? 0);
      if (this.pending.has(frame.id)) this.lose();
      if (length < 8) return this.lose();
      const bytes = new Uint8Array(length);
      bytes.set(frame.bytes.subarray(2));
      this.pending.set(frame.id, { bytes, timeS: frame.timeS, filled: frame.bytes.length - 2, next: 1 });
    } else if (kind === 2) this.consecutive(frame, low);
  }

  private consecutive(frame: Frame, sequence: number): void {
    const open = this.pending.get(frame.id);
    if (!open || open.next !== sequence) {
      this.pending.delete(frame.id);
      return this.lose();
    }
    const piece = frame.bytes.subarray(1, 1 + Math.min(7, open.bytes.length - open.filled));
    open.bytes.set(piece, open.filled);
    open.filled += piece.length;
    open.next = (sequence + 1) & 0x0f;
    if (open.filled < open.bytes.length) return;
    this.pending.delete(frame.id);
    this.message(frame, open.bytes, open.timeS);
  }

  private lose(): void {
    this.lost++;
    this.firstLost ??= this.line;
  }

  private message({ id }: Frame, bytes: Uint8Array, timeS: number): void {
    if (bytes[0] !== SERVICE_01) return;
    this.answers++;
    this.times.push(timeS);
    this.lines.push(this.line);
    const row = this.times.length - 1;
    let at = 1;
    while (at < bytes.length) {
      const pid = bytes[at] as number;
      const parameter = OBD_PARAMETERS[pid];
      const known = parameter && at + 1 + parameter.length <= bytes.length;
      if (!known) {
        // Of an unknown number the length is unknown too: its bytes are kept as one figure, and the message ends.
        if (at === 1 && !parameter && pid % 0x20 !== 0 && bytes.length <= 6)
          this.keepRaw(id, pid, bytes.subarray(2), row);
        else if (parameter) this.lose();
        return;
      }
      const data = bytes.subarray(at + 1, at + 1 + parameter.length);
      for (const value of parameter.values) this.keep(id, pid, value, data, row);
      at += 1 + parameter.length;
    }
  }

  /** The column of a value; none where a file invents control units without end. */
  private column(ecu: string, pid: number, value: ObdValue | undefined): ObdColumn | undefined {
    const key = `${ecu} ${pid} ${value?.label ?? ''}`;
    let column = this.columns.get(key);
    if (!column && this.columns.size < READ_BOUNDS.columns) {
      column = { value, pid, ecu, rows: new NumberList(), numbers: new NumberList() };
      this.columns.set(key, column);
    }
    return column;
  }

  private keep(ecu: string, pid: number, value: ObdValue, data: Uint8Array, row: number): void {
    const number = obdValueOf(value, data);
    if (number === undefined) return;
    const column = this.column(ecu, pid, value);
    column?.rows.push(row);
    column?.numbers.push(number);
  }

  private keepRaw(ecu: string, pid: number, data: Uint8Array, row: number): void {
    const column = this.column(ecu, pid, undefined);
    column?.rows.push(row);
    column?.numbers.push(data.reduce((sum, byte) => sum * 256 + byte, 0));
  }

  finish(): Result<RawLog> {
    if (this.rest !== '') this.read(this.rest);
    for (const _ of this.pending) this.lose();
    if (this.answers === 0) {
      return unreadable(say('logs.is-a-record-of-can-frames'));
    }
    const lines = this.lines.take();
    const { timeS, warnings } = settleTimes(this.times.take(), (row) => lines[row] ?? 0);
    const all = [...this.columns.values()];
    if (all.length === 0) return unreadable(say('logs.holds-answers-of-service-01-but'));
    const busiest = this.busiestUnit(all);
    const columns = all.map((column): RawColumn => rawColumn(column, busiest, timeS));
    return success({
      format: say('logs.can-frames-obd-service-01'),
      durationS: Math.max(...columns.map((column) => column.timeS.at(-1) ?? 0)),
      columns: columns.filter((column) => column.values.length > 0),
      facts: {},
      warnings: [...warnings, ...this.frameWarnings()],
    });
  }

  /** The control unit that answers most: its channels are the engine's. */
  private busiestUnit(columns: readonly ObdColumn[]): string {
    const counts = new Map<string, number>();
    for (const { ecu, rows } of columns) counts.set(ecu, (counts.get(ecu) ?? 0) + rows.length);
    return [...counts].sort((a, b) => b[1] - a[1])[0]?.[0] ?? '';
  }

  private frameWarnings(): LogWarning[] {
    const warning = (code: string, row: number | undefined, text: Said): LogWarning[] =>
      row === undefined ? [] : [{ code, row, text }];
    return [
      ...warning(
        'can-frame-lost',
        this.firstLost,
        say('logs.of-a-message-of-several-frames', { count: this.lost }),
      ),
      ...warning(
        'can-line-unreadable',
        this.firstOdd,
        say('logs.hold-no-can-frame-and-were', { count: this.odd }),
      ),
    ];
  }
}

function rawColumn(
  { pid, ecu, value, rows, numbers }: ObdColumn,
  busiest: string,
  timeS: Float64Array,
): RawColumn {
  const source = `PID ${hex(pid)}`;
  const label = value === undefined ? ' as raw figure' : value.label === '' ? '' : ` ${value.label}`;
  const engine = ecu === busiest;
  return {
    name: `${source}${label}${engine ? '' : ` of ${ecu}`}`,
    source,
    ...(value?.unit === undefined ? {} : { unitText: plainLabel(value.unit) }),
    ...(value?.role === undefined || !engine ? {} : { role: value.role }),
    ...seriesOf(rows.take(), numbers.take(), timeS),
  };
}

/** CAN text with answers of OBD service 01 (SAE J1979), in one frame or several (ISO 15765-2). */
export const canLog: LogFormat = {
  id: 'can',
  recognise: (head) => {
    const lines = head.split('\n', 60).filter((line) => line.trim() !== '');
    const frames = lines.filter((line) => frameOf(line) !== undefined).length;
    return frames > 0.5 * lines.length ? 0.95 : 0;
  },
  open: () => success(new CanReader()),
};

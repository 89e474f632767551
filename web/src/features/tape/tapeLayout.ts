import * as common from '@white-ember/core/words/screens/common';
import type { Said } from '@white-ember/core/words';
import { entryFigure, type JobClock } from '@white-ember/core/job';
import { happenedAt, isSilent, rankOf, type Entry } from '@white-ember/core/ledger';

const MINUTE = 60_000;
const DAY = 24 * 60 * MINUTE;
/** Longer pauses (nights, parts on order) are drawn as a break of this length. */
const LONGEST_GAP = 35 * MINUTE;
const CHAR_PX = 6.6;
const LABEL_GAP_PX = 10;

export interface Pin {
  readonly entry: Entry;
  readonly x: number;
  readonly text: string;
  readonly widthPx: number;
  /** Where the label stands, or nothing where none fits: the pin alone is drawn then. */
  readonly label?: PinLabel;
}

export interface PinLabel {
  /** Row under the ruler, 0 on top. */
  readonly row: number;
  /** At the right of its stem, or at the left where the tape ends. */
  readonly side: 'right' | 'left';
  readonly from: number;
  readonly to: number;
}

export interface TapeLayout {
  readonly pins: readonly Pin[];
  readonly ticks: readonly { x: number; text?: string }[];
  /** Pauses cut short: where, and how long they were. */
  readonly breaks: readonly { x: number; text: string }[];
  readonly waits: readonly { from: number; to: number; clock: JobClock }[];
  /** Where now is; absent on a job that is closed. */
  readonly nowX?: number;
  readonly xOf: (ms: number) => number;
  readonly msAt: (x: number) => number;
}

export interface TapeFacts {
  /** Puts what stands at a pin into words. */
  readonly say: (it: Said) => string;
  readonly clockAt: (ms: number) => string;
  readonly entries: readonly Entry[];
  readonly clocks: readonly JobClock[];
  readonly nowMs: number;
  /** A closed job ends with its last entry. */
  readonly closed: boolean;
  readonly width: number;
  readonly rows: number;
}

interface Knot {
  readonly ms: number;
  readonly at: number;
}

function pauseText(ms: number): string {
  if (ms >= 1.5 * DAY) return common.days(Math.round(ms / DAY));
  if (ms >= 90 * MINUTE) return `${Math.round(ms / (60 * MINUTE))} h`;
  return common.min(Math.round(ms / MINUTE));
}

/** Piecewise straight time: gaps that are too long count as LONGEST_GAP. */
function knotsOf(moments: readonly number[]): Knot[] {
  const knots: Knot[] = [];
  for (const ms of moments) {
    const previous = knots.at(-1);
    if (!previous) knots.push({ ms, at: 0 });
    else if (ms > previous.ms) knots.push({ ms, at: previous.at + Math.min(ms - previous.ms, LONGEST_GAP) });
  }
  return knots;
}

function between(knots: readonly Knot[], key: 'ms' | 'at', value: number): number {
  const other = key === 'ms' ? 'at' : 'ms';
  const i = knots.findIndex((knot) => knot[key] >= value);
  const b = knots[i === -1 ? knots.length - 1 : i] as Knot;
  const a = i > 0 ? (knots[i - 1] as Knot) : undefined;
  if (i === -1 || !a) return b[other];
  return a[other] + ((value - a[key]) / (b[key] - a[key])) * (b[other] - a[other]);
}

/**
 * Gives each pin a row for its label, so that no label touches another and no stem runs through one. A stem passes all
 * rows above its own; so the deepest free row is taken first, and later pins stand above earlier ones.
 */
function placeLabels(
  pins: readonly Omit<Pin, 'label'>[],
  rows: number,
  width: number,
  nowX: number | undefined,
): Pin[] {
  const placed = new Map<string, { x: number; label: PinLabel }>();
  const fits = (x: number, { row, from, to }: PinLabel): boolean =>
    from >= 0 &&
    to <= width &&
    (nowX === undefined || to < nowX || from > nowX) &&
    [...placed.values()].every((other) => {
      const its = other.label;
      if (its.row === row && from < its.to && its.from < to) return false;
      const itsStemRunsThroughMe = its.row > row && other.x > from - 2 && other.x < to + 2;
      const myStemRunsThroughIt = row > its.row && x > its.from - 2 && x < its.to + 2;
      return !itsStemRunsThroughMe && !myStemRunsThroughIt;
    });
  const byRank = [...pins].sort((a, b) => rankOf(a.entry.body.kind) - rankOf(b.entry.body.kind) || a.x - b.x);
  const deepestFirst = Array.from({ length: rows }, (_, i) => rows - 1 - i);
  for (const { entry, x, widthPx } of byRank) {
    const candidates = (['right', 'left'] as const).flatMap((side) =>
      deepestFirst.map((row): PinLabel =>
        side === 'right' ? { row, side, from: x, to: x + widthPx } : { row, side, from: x - widthPx, to: x },
      ),
    );
    const label = candidates.find((candidate) => fits(x, candidate));
    if (label) placed.set(entry.id, { x, label });
  }
  return pins.map((pin) => {
    const label = placed.get(pin.entry.id)?.label;
    return label ? { ...pin, label } : pin;
  });
}

/** How far a wait has come: until it was ended, else until now, and never past its end. */
const waitedTo = ({ endMs, endedMs }: JobClock, nowMs: number): number => endedMs ?? Math.min(endMs, nowMs);

/** Places the ledger on a ruler of a width in px: true to time, long pauses cut, labels that do not collide. */
export function layTape({
  entries,
  clocks,
  nowMs,
  closed,
  width,
  rows,
  say,
  clockAt,
}: TapeFacts): TapeLayout {
  const shown = entries.filter((entry) => !isSilent(entry.body.kind));
  const moments = [
    ...shown.map(happenedAt),
    ...clocks.flatMap((clock) => [clock.startMs, waitedTo(clock, nowMs)]),
  ].sort((a, b) => a - b);
  const first = moments[0] ?? nowMs;
  const last = moments.at(-1) ?? nowMs;
  const end = closed ? last + 4 * MINUTE : Math.max(nowMs, last);
  const knots = knotsOf([first - 3 * MINUTE, ...moments, end]);
  const total = Math.max((knots.at(-1) as Knot).at, 20 * MINUTE) * 1.06;
  const scale = width / total;
  const xOf = (ms: number): number => between(knots, 'ms', ms) * scale;
  const msAt = (x: number): number => between(knots, 'at', x / scale);

  const pins = shown.map((entry) => {
    const text = say(entryFigure(entry));
    return { entry, x: xOf(happenedAt(entry)), text, widthPx: text.length * CHAR_PX + LABEL_GAP_PX };
  });

  const breaks: { x: number; text: string }[] = [];
  const ticks: { x: number; text?: string }[] = [];
  let previousX = -100;
  for (let i = 1; i < knots.length; i++) {
    const a = knots[i - 1] as Knot;
    const b = knots[i] as Knot;
    if (b.ms - a.ms > LONGEST_GAP) {
      breaks.push({ x: ((a.at + b.at) / 2) * scale, text: pauseText(b.ms - a.ms) });
      previousX = b.at * scale - 60;
      continue;
    }
    const step = 5 * MINUTE;
    for (let t = Math.ceil(a.ms / step) * step; t < b.ms; t += step) {
      const x = xOf(t);
      const labelled = x - previousX > 74 && x < width - 40;
      ticks.push({ x, ...(labelled ? { text: clockAt(t) } : {}) });
      if (labelled) previousX = x;
    }
  }
  return {
    pins: placeLabels(pins, rows, width, closed ? undefined : xOf(nowMs)),
    ticks,
    breaks,
    waits: clocks.map((clock) => ({
      from: xOf(clock.startMs),
      to: Math.max(xOf(waitedTo(clock, nowMs)), xOf(clock.startMs) + 4),
      clock,
    })),
    ...(closed ? {} : { nowX: xOf(nowMs) }),
    xOf,
    msAt,
  };
}

import { entryFigure, stageOf, type Dwell } from '@white-ember/core/job';
import { happenedAt, type Entry } from '@white-ember/core/ledger';

const MINUTE = 60_000;
/** Longer pauses (nights, parts on order) are drawn as a break of this length. */
const LONGEST_GAP = 35 * MINUTE;
const CHAR_PX = 6.9;

export interface Pin {
  readonly entry: Entry;
  readonly x: number;
  readonly text: string;
  /** Row under the ruler, or none where no label fits: the pin alone is drawn then. */
  readonly row?: number;
}

export interface TapeLayout {
  readonly pins: readonly Pin[];
  readonly ticks: readonly { x: number; text?: string }[];
  readonly breaks: readonly number[];
  readonly dwells: readonly { from: number; to: number; dwell: Dwell; row: number }[];
  readonly nowX: number;
}

const clock = (ms: number): string =>
  new Date(ms).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });

/** Places the ledger on a ruler of a width in px: true to time, long pauses cut, labels in rows that do not collide. */
export function layTape(
  entries: readonly Entry[],
  dwells: readonly Dwell[],
  nowMs: number,
  width: number,
  rows: number,
): TapeLayout {
  const shown = entries.filter((entry) => entry.body.kind !== 'caution-acknowledged');
  const moments = [
    ...shown.map(happenedAt),
    ...dwells.flatMap((d) => [d.startMs, Math.min(d.endMs, nowMs)]),
  ].sort((a, b) => a - b);
  const first = moments[0] ?? nowMs;
  const last = Math.max(moments.at(-1) ?? nowMs, first);
  const end = nowMs - last < LONGEST_GAP ? nowMs : last + 6 * MINUTE;

  // Time is piecewise straight: gaps that are too long count as LONGEST_GAP.
  const knots: { ms: number; at: number }[] = [{ ms: first - 3 * MINUTE, at: 0 }];
  const breaks: number[] = [];
  for (const ms of [...moments, end]) {
    const previous = knots.at(-1) as { ms: number; at: number };
    if (ms <= previous.ms) continue;
    const gap = ms - previous.ms;
    if (gap > LONGEST_GAP) breaks.push(previous.at + LONGEST_GAP / 2);
    knots.push({ ms, at: previous.at + Math.min(gap, LONGEST_GAP) });
  }
  const total = Math.max((knots.at(-1) as { at: number }).at, 20 * MINUTE) * 1.06;
  const scale = width / total;
  const xOf = (ms: number): number => {
    const i = knots.findIndex((knot) => knot.ms >= ms);
    if (i <= 0) return i === 0 ? 0 : (knots.at(-1) as { at: number }).at * scale;
    const a = knots[i - 1] as { ms: number; at: number };
    const b = knots[i] as { ms: number; at: number };
    return (a.at + ((ms - a.ms) / (b.ms - a.ms)) * (b.at - a.at)) * scale;
  };

  const hatches = dwells.map((dwell) => ({
    from: xOf(dwell.startMs),
    to: Math.max(xOf(Math.min(dwell.endMs, nowMs)), xOf(dwell.startMs) + 4),
    dwell,
    row: rows - 1,
  }));
  const freeFrom: number[] = Array.from({ length: rows }, () => 0);
  const pins = shown.map((entry): Pin => {
    const x = xOf(happenedAt(entry));
    const text = entryFigure(entry);
    const labelled = text.length * CHAR_PX + 14;
    const row = freeFrom.findIndex(
      (free, r) =>
        free <= x &&
        !(r === rows - 1 && hatches.some((h) => x < h.to && x + labelled > h.from && h.to - h.from > 60)),
    );
    if (row < 0 || x + labelled > width + 40) return { entry, x, text };
    freeFrom[row] = x + labelled;
    return { entry, x, text, row };
  });

  const ticks: { x: number; text?: string }[] = [];
  let previousX = -100;
  for (let i = 1; i < knots.length; i++) {
    const a = knots[i - 1] as { ms: number; at: number };
    const b = knots[i] as { ms: number; at: number };
    if (b.ms - a.ms > LONGEST_GAP) continue;
    const step = 5 * MINUTE;
    for (let t = Math.ceil(a.ms / step) * step; t < b.ms; t += step) {
      const x = xOf(t);
      const labelled = x - previousX > 74;
      ticks.push({ x, ...(labelled ? { text: clock(t) } : {}) });
      if (labelled) previousX = x;
    }
  }
  return { pins, ticks, breaks: breaks.map((at) => at * scale), dwells: hatches, nowX: xOf(nowMs) };
}

export const pinStage = (entry: Entry): string | undefined => stageOf(entry);

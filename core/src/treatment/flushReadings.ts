import { restrictionRatio } from '../filter/index.ts';
import { entriesOfKind, happenedAt, type Entry, type EntryOf } from '../ledger/index.ts';
import { judgeReading, Z90 } from '../proof/index.ts';
import type { FlowContext } from '../readings/index.ts';
import type { FlushReading, SootLeft } from './flushGain.ts';
import { burnLimitGPerL, type BurnForecast } from './interlocks.ts';
import { mostSoot, type KnownFilter } from './sootLoad.ts';

export interface FlushReadingOfJob extends FlushReading {
  readonly entry: EntryOf<'reading'>;
  /** Fills that had gone in by then. */
  readonly fills: number;
  readonly flowM3PerH: number;
}

/** Fills that went in to stand there; what only rinses is none. */
export const fillsOf = (entries: readonly Entry[]): EntryOf<'work'>[] =>
  entriesOfKind(entries, 'work').filter(
    ({ body }) => body.work === 'chemical-clean' && body.step !== 'rinse',
  );

/** What the last of these readings leaves room for of soot, by its upper end, against what may be there when codes are cleared. */
export function sootLeft(
  readings: readonly FlushReadingOfJob[],
  filter: KnownFilter,
  context: FlowContext,
  forecast?: BurnForecast,
): SootLeft | undefined {
  const last = readings.at(-1);
  const most = last ? mostSoot(last.entry.body, filter, context, { counterIsStale: true }) : undefined;
  return most?.ok
    ? {
        gPerL: most.value.gPerL,
        limitGPerL: burnLimitGPerL(filter, context.limits),
        ...(forecast ? { drop: { peakC: forecast.dropPeakC, limitC: forecast.limitC } } : {}),
      }
    : undefined;
}

/**
 * The readings of a job along its flushes, as restriction ratios in the hold of most flow of each, so that they compare at any
 * flow: of those from before the first fill the last one, then the last after each fill. What cannot be placed is left out.
 */
export function flushReadings(
  entries: readonly Entry[],
  filter: KnownFilter,
  context: FlowContext,
): readonly FlushReadingOfJob[] {
  const fills = fillsOf(entries);
  const byFills = new Map<number, FlushReadingOfJob>();
  for (const entry of entriesOfKind(entries, 'reading').toSorted((a, b) => happenedAt(a) - happenedAt(b))) {
    const before = fills.filter((fill) => happenedAt(fill) < happenedAt(entry)).length;
    const judged = judgeReading(entry.body, context);
    const [hold] = judged.samples
      .filter(({ kind }) => kind === 'hold')
      .toSorted((a, b) => b.flow.flowM3PerH - a.flow.flowM3PerH);
    if (!hold) continue;
    const ratio = restrictionRatio(filter, hold.flow, hold.dpMbar);
    if (!ratio.ok) continue;
    const doubtMbar = Math.hypot(
      Z90 * judged.zeroSdMbar,
      hold.dpMbar * hold.flow.flowDoubt,
      (hold.dpMbar * context.limits.handSpreadPercent) / 100,
    );
    byFills.set(before, {
      entry,
      fills: before,
      flowM3PerH: hold.flow.flowM3PerH,
      ratio: ratio.value.ratio,
      lowRatio: Math.max(0, hold.dpMbar - doubtMbar) / ratio.value.cleanMbar,
      highRatio: (hold.dpMbar + doubtMbar) / ratio.value.cleanMbar,
    });
  }
  return [...byFills.values()].sort((a, b) => a.fills - b.fills);
}

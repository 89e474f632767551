import { say, type Said } from '../words/index.ts';
import type { Catalyst } from '../burn/index.ts';
import {
  filterVolumeL,
  sootFromPressure,
  type SootEstimate,
  type SootQuestion,
  type FilterMaterial,
  type FilterSize,
} from '../filter/index.ts';
import type { PartId, ReadingBody } from '../ledger/index.ts';
import { judgeReading, Z90 } from '../proof/index.ts';
import type { FlowContext } from '../readings/index.ts';
import { failed, success, type Result } from '../quantities/index.ts';

export interface SootLoad {
  readonly gPerL: number;
  readonly grams: number;
  /** Where the figure is from, in words. */
  readonly by: Said;
}

/**
 * The most soot that a reading leaves room for, g and g/L: the upper end (90 %) of the estimate by pressure in its hold of most flow,
 * narrowed by what the ECU says where that agrees; the ECU's figure if that is more and not left aside. A size that nobody entered
 * widens both.
 */
export function mostSoot(
  reading: ReadingBody,
  filter: FilterSize,
  context: FlowContext,
  { counterIsStale = false }: { readonly counterIsStale?: boolean } = {},
): Result<SootLoad> {
  const estimate = sootByPressure(reading, filter, context);
  if (!estimate.ok) return estimate;
  const { lowG, highG } = estimate.value;
  const load = (grams: number, by: Said): Result<SootLoad> =>
    success({ grams, gPerL: grams / filterVolumeL(filter), by });
  const counted = counterIsStale ? undefined : countedSoot(reading, filter, context);
  if (!counted) return load(highG, say('treatment.the-upper-end'));
  // A second measure that agrees narrows the first: what both leave room for.
  if (counted.mostG >= lowG && counted.grams <= highG)
    return load(Math.min(highG, counted.mostG), counted.agreeing);
  return counted.grams > highG
    ? load(counted.grams, say('treatment.the-ecus-figure'))
    : load(highG, say('treatment.the-upper-end'));
}

interface CountedSoot {
  readonly grams: number;
  /** What it leaves room for. */
  readonly mostG: number;
  readonly agreeing: Said;
}

/** Soot by the ECU: grams, or a fill level, which is of its own filter and so knows its size. */
function countedSoot(
  { sootCounterG, sootPercent }: ReadingBody,
  filter: FilterSize,
  { limits }: FlowContext,
): CountedSoot | undefined {
  const undercounts = 1 + limits.counterTooLowPercent / 100;
  if (sootCounterG !== undefined && sootCounterG > 0) {
    // Grams in a smaller filter are more for each litre of it: of two doubts the one does not wait for the other.
    const larger = Math.hypot(Math.log(undercounts), Z90 * (filter.size?.volumeSd ?? 0));
    return {
      grams: sootCounterG,
      mostG: Math.exp(larger) * sootCounterG,
      agreeing: say('treatment.pressure-and-counter-in-agreement'),
    };
  }
  if (sootPercent === undefined || sootPercent <= 0) return undefined;
  const atHundredG = limits.sootAtHundredPercentGPerL * filterVolumeL(filter);
  const grams = (sootPercent / 100) * atHundredG;
  return {
    grams,
    // Up to 100 % it is what the vehicle burns by itself.
    mostG: sootPercent <= 100 ? atHundredG : undercounts * grams,
    agreeing: say('treatment.pressure-and-fill-level-in-agreement'),
  };
}

/** Interlocks, resets and choice of one judgement ask for the same reading, each for itself. */
const LATELY = new Map<string, ReturnType<typeof sootFromPressure>>();
const MOST_LATELY = 8;

function askedLately(question: SootQuestion): ReturnType<typeof sootFromPressure> {
  const key = JSON.stringify(question);
  const kept = LATELY.get(key) ?? sootFromPressure(question);
  LATELY.delete(key);
  LATELY.set(key, kept);
  if (LATELY.size > MOST_LATELY) LATELY.delete(LATELY.keys().next().value ?? '');
  return kept;
}

/**
 * Soot that the pressure of a reading leaves room for, g, with both ends of 90 %: in its hold of most flow, if there is no ash. Fails
 * where the reading has no hold that can be placed on the flow axis.
 */
export function sootByPressure(
  reading: ReadingBody,
  filter: FilterSize,
  context: FlowContext,
): Result<SootEstimate> {
  const judged = judgeReading(reading, context);
  const holds = judged.samples.filter(({ kind }) => kind === 'hold');
  const [first] = [...holds].sort((a, b) => b.flow.flowM3PerH - a.flow.flowM3PerH);
  if (!first) {
    return failed({
      code: 'not-enough-data',
      field: say('treatment.the-reading'),
      requirement: say('treatment.needs-a-hold-with-flow'),
    });
  }
  return askedLately({
    geometry: filter,
    gas: first.flow,
    dpMbar: Math.max(first.dpMbar, 0),
    dpDoubtMbar: Math.hypot(Z90 * judged.zeroSdMbar, first.dpMbar * first.flow.flowDoubt),
    size: filter.size,
  });
}

/**
 * Room for soot by the pressure, g, as a check of the counter needs it. With the low side of the sensor open to the air, all that lies
 * behind the filter is in its ΔP: it may be that alone, so the lower end is nothing.
 */
export function sootRoom(
  reading: ReadingBody | undefined,
  filter: FilterSize | undefined,
  context: FlowContext,
  fitted: readonly PartId[] | undefined,
): { readonly lowG: number; readonly highG: number } | undefined {
  if (!reading || !filter) return undefined;
  const estimate = sootByPressure(reading, filter, context);
  if (!estimate.ok) return undefined;
  const openToAir = fitted !== undefined && !fitted.includes('low-pipe');
  const { lowG, highG, capped } = estimate.value;
  return { lowG: openToAir ? 0 : lowG, highG: capped ? Number.POSITIVE_INFINITY : highG };
}

/** A filter as far as its size is known, with what it is made of and coated with where that is known. */
export type KnownFilter = FilterSize & {
  readonly material?: FilterMaterial;
  readonly catalyst?: Catalyst | undefined;
};

import { say, type Said } from '../words/index.ts';
import type { Catalyst } from '../burn/index.ts';
import {
  filterVolumeL,
  sootFromPressure,
  type SootEstimate,
  type FilterGeometry,
  type FilterMaterial,
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
 * The most soot that a reading leaves room for, g and g/L: the upper end (90 %) of the estimate by pressure in its
 * hold of most flow, or the ECU's figure if that is more and not left aside.
 */
export function mostSoot(
  reading: ReadingBody,
  geometry: FilterGeometry,
  context: FlowContext,
  { counterIsStale = false }: { readonly counterIsStale?: boolean } = {},
): Result<SootLoad> {
  const estimate = sootByPressure(reading, geometry, context);
  if (!estimate.ok) return estimate;
  const volumeL = filterVolumeL(geometry);
  const counter = counterIsStale ? 0 : (reading.sootCounterG ?? 0);
  const { lowG, highG } = estimate.value;
  // A second measure that agrees narrows the first: what both leave room for.
  const most = (1 + context.limits.counterTooLowPercent / 100) * counter;
  if (counter > 0 && most >= lowG && counter <= highG) {
    const grams = Math.min(highG, most);
    return success({ grams, gPerL: grams / volumeL, by: say('treatment.pressure-and-counter-in-agreement') });
  }
  return success(
    counter > highG
      ? { grams: counter, gPerL: counter / volumeL, by: say('treatment.the-ecus-figure') }
      : { grams: highG, gPerL: highG / volumeL, by: say('treatment.the-upper-end') },
  );
}

/**
 * Soot that the pressure of a reading leaves room for, g, with both ends of 90 %: in its hold of most flow, if there is no ash. Fails
 * where the reading has no hold that can be placed on the flow axis.
 */
export function sootByPressure(
  reading: ReadingBody,
  geometry: FilterGeometry,
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
  return sootFromPressure({
    geometry,
    gas: first.flow,
    dpMbar: Math.max(first.dpMbar, 0),
    dpDoubtMbar: Math.hypot(Z90 * judged.zeroSdMbar, first.dpMbar * first.flow.flowDoubt),
  });
}

/**
 * Room for soot by the pressure, g, as a check of the counter needs it. With the low side of the sensor open to the air, all that lies
 * behind the filter is in its ΔP: it may be that alone, so the lower end is nothing.
 */
export function sootRoom(
  reading: ReadingBody | undefined,
  geometry: FilterGeometry | undefined,
  context: FlowContext,
  fitted: readonly PartId[] | undefined,
): { readonly lowG: number; readonly highG: number } | undefined {
  if (!reading || !geometry) return undefined;
  const estimate = sootByPressure(reading, geometry, context);
  if (!estimate.ok) return undefined;
  const openToAir = fitted !== undefined && !fitted.includes('low-pipe');
  const { lowG, highG, capped } = estimate.value;
  return { lowG: openToAir ? 0 : lowG, highG: capped ? Number.POSITIVE_INFINITY : highG };
}

/** A filter with what it is made of and coated with, where that is known. */
export type KnownFilter = FilterGeometry & {
  readonly material?: FilterMaterial;
  readonly catalyst?: Catalyst | undefined;
};

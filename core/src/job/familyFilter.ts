import { filterByReadings, type FilterSize, type ProvedDrop } from '../filter/index.ts';
import { effectiveEntries, entriesOfKind, type Entry, type ReadingBody } from '../ledger/index.ts';
import type { Limits } from '../limits/index.ts';
import { judgeReading } from '../proof/index.ts';

/** A vehicle of the family whose filter was proved after work on it. */
export interface ProvedVehicle {
  readonly displacementL?: number | undefined;
  /** Its readings, with what corrects or withdraws them. */
  readonly entries: readonly Entry[];
}

/** The hold of most flow of a reading. */
function dropOf(reading: ReadingBody, displacementL: number | undefined, limits: Limits): ProvedDrop[] {
  const { samples } = judgeReading(reading, {
    limits,
    ...(displacementL === undefined ? {} : { displacementL }),
  });
  const [hold] = samples
    .filter(({ kind }) => kind === 'hold')
    .toSorted((a, b) => b.flow.flowM3PerH - a.flow.flowM3PerH);
  return hold ? [{ dpMbar: hold.dpMbar, gas: hold.flow }] : [];
}

/**
 * The filter of an engine family by what its vehicles showed when they were proved: what nobody measured is learned from what was
 * read. Nothing where none of them has a hold whose flow is known.
 */
export function familyFilter(
  displacementL: number | undefined,
  vehicles: readonly ProvedVehicle[],
  limits: Limits,
): FilterSize | undefined {
  const drops = vehicles.flatMap(({ displacementL: its, entries }) => {
    const after = entriesOfKind(effectiveEntries(entries), 'reading').findLast(
      ({ body }) => body.purpose === 'after',
    );
    return after ? dropOf(after.body, its ?? displacementL, limits) : [];
  });
  return filterByReadings(displacementL, limits.filterPerEngineSize, drops);
}

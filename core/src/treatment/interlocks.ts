import {
  entriesOfKind,
  happenedAt,
  type Entry,
  type EntryOf,
  type PartId,
  type PartState,
  type WorkType,
} from '../ledger/index.ts';
import type { Limits } from '../limits/index.ts';
import { SENSOR_UNPROVEN } from '../readings/index.ts';
import { describeFailure } from '../quantities/index.ts';
import { mostSoot, type KnownFilter } from './sootLoad.ts';

/** What is asked of the engine computer, sorted by what it can do harm to. */
export type LinkCommand = 'burn' | 'clear-codes' | 'reset-counter';

export interface Interlock {
  readonly id: 'no-reading' | 'pressure-unproven' | 'size-unknown' | 'over-full' | 'codes-not-kept';
  /** Why it is held, with the value and the limit, and what to do. */
  readonly text: string;
}

export interface InterlockFacts {
  /** What counts of a job, and the state of each part. */
  readonly derived: {
    readonly entries: readonly Entry[];
    readonly parts: ReadonlyMap<PartId, { readonly state: PartState }>;
  };
  readonly limits: Limits;
  readonly filter: KnownFilter | undefined;
  readonly displacementL?: number;
}

/** What stands between the filter and its ΔP. */
export const PRESSURE_PATH: Readonly<Partial<Record<PartId, string>>> = {
  'dp-sensor': 'the ΔP sensor',
  'high-pipe': 'the high pipe',
  'low-pipe': 'the low pipe',
};

/** Findings of a log after which its ΔP is no measure of the filter. */
const PRESSURE_DOUBTED = new Set([...SENSOR_UNPROVEN, 'dp-zero-offset', 'dp-saturated']);

/** The last reading that was taken of the filter as it is. */
const latestReading = ({ entries }: InterlockFacts['derived']): EntryOf<'reading'> | undefined =>
  entriesOfKind(entries, 'reading')
    .toSorted((a, b) => happenedAt(a) - happenedAt(b))
    .at(-1);

const TAKES_SOOT_OUT: ReadonlySet<WorkType> = new Set<WorkType>([
  'chemical-clean',
  'off-vehicle-clean',
  'filter-exchanged',
]);

/** Whether soot was taken out, not burnt, before this moment: the engine computer does not know of it. */
const sootWasTakenOut = ({ entries }: InterlockFacts['derived'], before: number): boolean =>
  entriesOfKind(entries, 'work').some(
    (entry) => TAKES_SOOT_OUT.has(entry.body.work) && happenedAt(entry) < before,
  );

/** Why the pressure that the reading rests on is not proven; nothing where it is. */
function unproven(reading: EntryOf<'reading'>, { parts }: InterlockFacts['derived']): string | undefined {
  const bad = [...parts].find(
    ([id, { state }]) => PRESSURE_PATH[id] !== undefined && (state === 'doubtful' || state === 'failed'),
  );
  if (bad) return `${PRESSURE_PATH[bad[0]] ?? ''} is ${bad[1].state}`;
  const { origin } = reading.body;
  if (origin.type === 'log') {
    const finding = origin.findings.find((id) => PRESSURE_DOUBTED.has(id));
    return finding === undefined ? undefined : `the last log shows ${finding}`;
  }
  const seen = ['sound', 'replaced'].includes(parts.get('dp-sensor')?.state ?? '');
  return seen
    ? undefined
    : 'the last reading was written down by hand and the ΔP sensor has not been checked';
}

/**
 * What holds a command off on this job, each with its reason; nothing where it may go. To clear codes or reset a counter
 * can release an automatic burn, so the same stands before them as before a burn: a believed load under the limit of the
 * material, by the upper end of the estimate.
 */
export function commandInterlocks(command: LinkCommand, facts: InterlockFacts): readonly Interlock[] {
  const { derived, limits, filter, displacementL } = facts;
  const held: Interlock[] = [];
  if (command === 'clear-codes' && entriesOfKind(derived.entries, 'code-scan').length === 0) {
    held.push({
      id: 'codes-not-kept',
      text: 'The codes are not kept with the job: read and keep them first.',
    });
  }
  const reading = latestReading(derived);
  if (!reading) {
    held.push({
      id: 'no-reading',
      text: 'How much soot there is, is not known: take a baseline with a hold first. A full filter burns itself.',
    });
    return held;
  }
  const doubt = unproven(reading, derived);
  if (doubt !== undefined) {
    held.push({
      id: 'pressure-unproven',
      text: `No soot estimate is to be believed: ${doubt}. Prove sensor and pipes, and read again.`,
    });
  }
  if (!filter) {
    held.push({
      id: 'size-unknown',
      text: 'The filter’s size is not known, so its load per litre is not: enter diameter and length.',
    });
    return held;
  }
  const load = mostSoot(
    reading.body,
    filter,
    { limits, ...(displacementL === undefined ? {} : { displacementL }) },
    // A counter from before the soot was taken out is what a reset is for; a burn goes by the higher all the same.
    { counterIsStale: command !== 'burn' && sootWasTakenOut(derived, happenedAt(reading)) },
  );
  const limit =
    filter.material === 'silicon-carbide' ? limits.burnLimitSiliconCarbideGPerL : limits.burnLimitOtherGPerL;
  if (!load.ok) held.push({ id: 'no-reading', text: `${describeFailure(load.failure)}.` });
  else if (load.value.gPerL > limit) {
    const { gPerL, grams, by } = load.value;
    held.push({
      id: 'over-full',
      text: `Up to ${gPerL.toFixed(1)} g/L of soot (${grams.toFixed(0)} g, ${by}); at most ${limit} g/L may burn in ${filter.material === 'silicon-carbide' ? 'silicon carbide' : filter.material === 'cordierite' ? 'cordierite' : 'a filter of this or unknown material'}. Clean it chemically first.`,
    });
  }
  return held;
}

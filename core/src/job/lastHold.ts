import type { Hold } from '../checks/index.ts';
import type { Limits } from '../limits/index.ts';
import { entriesOfKind, happenedAt, type Entry } from '../ledger/index.ts';

/** The fastest steady hold of the last reading, if it was read a moment ago: a check that asks for one need not ask again. */
export function lastHold(
  entries: readonly Entry[],
  nowMs: number,
  { readingFreshMin }: Pick<Limits, 'readingFreshMin'>,
): Hold | undefined {
  const reading = entriesOfKind(entries, 'reading')
    .toSorted((a, b) => happenedAt(a) - happenedAt(b))
    .at(-1);
  if (!reading || nowMs - happenedAt(reading) > 60_000 * readingFreshMin) return undefined;
  const [fastest] = reading.body.samples
    .flatMap(({ kind, rpm, dpMbar }) => (kind === 'hold' && dpMbar !== undefined ? [{ rpm, dpMbar }] : []))
    .toSorted((a, b) => b.rpm - a.rpm);
  return fastest && { ...fastest, atMs: happenedAt(reading) };
}

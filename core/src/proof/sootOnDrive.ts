import { say, type Said } from '../words/index.ts';
import { entriesOfKind, happenedAt, type Entry, type EntryOf } from '../ledger/index.ts';
import type { Limits } from '../limits/index.ts';
import type { Evidence } from './evidenceItem.ts';

interface Counter {
  readonly grams: number;
  readonly atMs: number;
  /** It stood there because it was set back, not because it counted so. */
  readonly justReset: boolean;
}

/** Everything that was read of the soot counter on a job, in order. */
function countersOf(entries: readonly Entry[]): Counter[] {
  return entries.flatMap((entry): Counter[] => {
    const { body } = entry;
    const atMs = happenedAt(entry);
    if (body.kind === 'reading' && body.sootCounterG !== undefined)
      return [{ grams: body.sootCounterG, atMs, justReset: false }];
    if (body.kind === 'reset' && body.after?.sootG !== undefined)
      return [{ grams: body.after.sootG, atMs, justReset: true }];
    return [];
  });
}

/** Filter of a light vehicle, L, where its size is not known. */
const USUAL_L = 2.5;

/** Soot that is taken out and not burnt: the computer does not know of it until it is told. */
const TAKES_SOOT_OUT: ReadonlySet<string> = new Set([
  'chemical-clean',
  'off-vehicle-clean',
  'filter-exchanged',
]);

/**
 * What the soot counter does on the drive. It must fall, or stay low and rise by no more than a sound engine makes. That it stands at 0,
 * or at the figure a reset puts it to, says nothing; that it stays there on the road does. Nothing where no counter is known.
 */
export function sootOnDrive(
  entries: readonly Entry[],
  drive: EntryOf<'drive'> | undefined,
  since: number,
  { limits, volumeL = USUAL_L }: { readonly limits: Limits; readonly volumeL?: number | undefined },
): Evidence | undefined {
  const counters = countersOf(entries);
  const start = drive?.body.sootStartG;
  const end = drive?.body.sootEndG;
  if (counters.length === 0 && start === undefined && end === undefined) return undefined;
  const id = 'soot' as const;
  const open = (text: Said, ask: Said): Evidence => ({ id, state: 'open', text, ask });
  if (!drive || end === undefined)
    return open(say('proof.the-soot-counter-over'), say('proof.note-the-soot-counter-before'));
  const before = counters.filter(({ atMs }) => atMs >= since && atMs <= happenedAt(drive)).at(-1);
  const from = start ?? before?.grams;
  if (from === undefined)
    return open(say('proof.the-soot-counter-after', { end }), say('proof.drive-again-and-note-both'));
  const out = entriesOfKind(entries, 'work').findLast(({ body }) => TAKES_SOOT_OUT.has(body.work));
  const told = entriesOfKind(entries, 'reset').some(
    (entry) =>
      (entry.body.reset === 'reset-soot' || entry.body.reset === 'new-filter') &&
      out !== undefined &&
      happenedAt(entry) >= happenedAt(out),
  );
  const rise = end - from;
  if (rise <= -limits.sootRiseFreeG)
    return { id, state: 'shown', text: say('proof.soot-fell-on-the-drive', { fromG: from, toG: end }) };
  if (end > limits.sootAfterCleanG && out && !told)
    return open(say('proof.the-soot-counter-is-still', { end }), say('proof.reset-the-counter-if-nothing'));
  const reset = before?.justReset === true;
  const made = (limits.sootRiseGPerLPer100Km * volumeL * drive.body.distanceKm) / 100;
  // Set back, it first finds again what the clean has left: that much is expected.
  const most = reset ? limits.sootAfterCleanG + made : limits.sootRiseFreeG + made;
  if (rise > most)
    return {
      id,
      state: 'failed',
      text: say('proof.soot-rose-on-the-drive', { fromG: from, toG: end, mostG: most }),
    };
  // Without work on soot the counter need not be low, only not run up.
  if (end > limits.sootAfterCleanG + made && out)
    return {
      id,
      state: 'failed',
      text: say('proof.soot-by-the-counter-after', { end, sootAfterCleanG: limits.sootAfterCleanG + made }),
    };
  return {
    id,
    state: 'shown',
    text: say('proof.soot-over-the-drive', { fromG: from, toG: end, mostG: most, reset }),
  };
}

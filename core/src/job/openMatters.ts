import { say, type Said } from '../words/index.ts';
import { entriesOfKind, type Entry, type EntryOf } from '../ledger/index.ts';

/** Something that an entry left open. */
export interface OpenMatter {
  readonly kind: 'temporary-repair' | 'choice' | 'broken';
  readonly entry: EntryOf<'temporary-repair'> | EntryOf<'choice-offered'> | EntryOf<'part-broke'>;
  readonly text: Said;
  /** The part that it waits for. */
  readonly waitsFor?: string;
  readonly due?: string;
}

/** What is open on the job: repairs that hold for now until they are settled, offers that nobody has chosen from yet. */
export function openMatters(entries: readonly Entry[]): OpenMatter[] {
  const settled = new Set(entriesOfKind(entries, 'settled').map(({ body }) => body.entry));
  const chosen = new Set(entriesOfKind(entries, 'choice-made').map(({ body }) => body.offer));
  // A correction of an entry stands for it: what was settled may be named by either.
  const isClosed = ({ id, supersedes }: Entry, closed: ReadonlySet<string>): boolean =>
    closed.has(id) || (supersedes !== undefined && closed.has(supersedes));
  const repairs = entriesOfKind(entries, 'temporary-repair')
    .filter((entry) => !isClosed(entry, settled))
    .map((entry): OpenMatter => {
      const { what, order } = entry.body;
      return {
        kind: 'temporary-repair',
        entry,
        text: what,
        ...(order ? { waitsFor: order.name } : {}),
        ...(order?.due === undefined ? {} : { due: order.due }),
      };
    });
  const offers = entriesOfKind(entries, 'choice-offered')
    .filter((entry) => !isClosed(entry, chosen) && !isClosed(entry, settled))
    .map((entry): OpenMatter => ({ kind: 'choice', entry, text: entry.body.question }));
  const broken = entriesOfKind(entries, 'part-broke')
    .filter((entry) => !isClosed(entry, settled))
    .map((entry): OpenMatter => {
      const { what, order } = entry.body;
      return {
        kind: 'broken',
        entry,
        text: say('job.broke', { what }),
        ...(order ? { waitsFor: order.name } : {}),
        ...(order?.due === undefined ? {} : { due: order.due }),
      };
    });
  return [...repairs, ...broken, ...offers];
}

export interface MadeChoice {
  readonly offer: EntryOf<'choice-offered'>;
  readonly made?: EntryOf<'choice-made'>;
}

/** Offers with what was chosen from each, if anything was. */
export function choicesOf(entries: readonly Entry[]): MadeChoice[] {
  const made = entriesOfKind(entries, 'choice-made');
  return entriesOfKind(entries, 'choice-offered').map((offer) => {
    const choice = made.findLast(({ body }) => body.offer === offer.id || body.offer === offer.supersedes);
    return { offer, ...(choice ? { made: choice } : {}) };
  });
}

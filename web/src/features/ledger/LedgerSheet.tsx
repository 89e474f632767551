import * as wording from '@white-ember/core/words/screens/ledger';
import { useWords } from '../../data/words.ts';
import { Say } from '../../ui/Say.tsx';
import { entryFigure } from '@white-ember/core/job';
import type { Entry } from '@white-ember/core/ledger';
import { Sheet } from '../../ui/Sheet.tsx';

/** The whole ledger as a list, with what was corrected or withdrawn: large enough for a gloved finger. */
export function LedgerSheet({
  entries,
  open,
  onOpenChange,
  onEntry,
}: {
  /** Every entry as it was made, also those that count no more. */
  entries: readonly Entry[];
  open: boolean;
  onOpenChange: (open: boolean) => void;
  onEntry: (entry: Entry) => void;
}) {
  const successor = new Map(
    entries.flatMap((entry) => (entry.supersedes ? [[entry.supersedes, entry]] : [])),
  );
  return (
    <Sheet open={open} onOpenChange={onOpenChange} title={wording.entriesOfThisJob} wide>
      <ol className="border-t-2 border-ink">
        {entries.map((entry) => {
          const next = successor.get(entry.id);
          const fate = next ? (next.body.kind === 'withdrawn' ? 'withdrawn' : 'corrected') : undefined;
          return <LedgerRow key={entry.id} entry={entry} onEntry={onEntry} fate={fate} />;
        })}
      </ol>
      {entries.length === 0 ? <p>{wording.nothingEnteredYet}</p> : null}
    </Sheet>
  );
}

/** One entry, and what became of it. */
function LedgerRow({
  entry,
  onEntry,
  fate,
}: {
  entry: Entry;
  onEntry: (entry: Entry) => void;
  fate: 'withdrawn' | 'corrected' | undefined;
}) {
  const words = useWords();
  return (
    <li className="border-b-2 border-rule">
      <button
        className="w-full min-h-12 grid grid-cols-[8rem_1fr] sm:grid-cols-[8rem_1fr_10rem] gap-x-3 items-center text-left"
        onClick={() => onEntry(entry)}
      >
        <span className="text-sm text-ink2">{words.moment(entry.deviceTime)}</span>
        <span>
          <span className={`font-head font-semibold ${fate ? 'line-through' : ''}`}>
            <Say it={entryFigure(entry)} />
          </span>
          {fate ? <span className="text-sm text-ink2"> · {fate}</span> : null}
        </span>
        <span className="text-sm text-ink2 max-sm:col-start-2">
          {entry.authorName}
          {entry.imported ? wording.fromAnArchive : ''}
        </span>
      </button>
    </li>
  );
}

import { spokenNow } from '../data/words.ts';
import { useCallback } from 'react';
import { entryFigure } from '@white-ember/core/job';
import { entryBodySchema, isSilent, type EntryBody, type NewEntry } from '@white-ember/core/ledger';
import { useAppDispatch } from '../data/store.ts';
import { addEntry } from '../data/outbox.ts';

export type AddEntry = (
  body: EntryBody,
  supersedes?: string,
  options?: {
    /** Stored by itself, with nobody who would take it back at once. */
    readonly quiet?: boolean;
    /** Its form says by itself what is wrong, beside each field or at its top. */
    readonly told?: boolean;
  },
) => Promise<Record<string, string> | undefined>;

const spoken = (body: EntryBody): string => {
  const figure = spokenNow(entryFigure({ body }));
  return `${figure.charAt(0).toUpperCase()}${figure.slice(1)}: entered`;
};

/** A fault that must not pass unseen, wherever on the page its field is. */
async function tell(title: string, description: string): Promise<void> {
  const { toast } = await import('sonner');
  toast.error(title, { description, duration: 12_000 });
}

/** Time for a form to show its faults beside their fields, ms. */
const SHOWN_BY_MS = 250;

/** Of the faults of an entry those that the form has no place for, such as of a field that is folded away. */
async function tellUnseen(faults: readonly string[]): Promise<void> {
  await new Promise((later) => setTimeout(later, SHOWN_BY_MS));
  const page = document.body.innerText;
  const unseen = [...new Set(faults)].filter((fault) => !page.includes(fault));
  if (unseen.length > 0) await tell('Not entered', unseen.join(' · '));
}

/** Checks an entry by the ledger's own schema, keeps it and offers to take it back. Resolves to what is wrong, by field. */
export function useAddEntry(jobId: string): AddEntry {
  const dispatch = useAppDispatch();
  return useCallback(
    async (body, supersedes, { quiet = false, told = false } = {}) => {
      const parsed = entryBodySchema.safeParse(body);
      if (!parsed.success) {
        if (!told) void tellUnseen(parsed.error.issues.map(({ message }) => message));
        return Object.fromEntries(parsed.error.issues.map((issue) => [issue.path.join('.'), issue.message]));
      }
      let entry: NewEntry;
      try {
        entry = await dispatch(
          addEntry({ jobId, body: parsed.data, ...(supersedes ? { supersedes } : {}) }),
        ).unwrap();
      } catch (error) {
        const { message = 'Not entered' } = error as { message?: string };
        await tell('Not entered', message);
        return { entry: message };
      }
      if (!quiet && !isSilent(body.kind)) {
        const { toast } = await import('sonner');
        toast(spoken(parsed.data), {
          action: {
            label: 'Undo',
            onClick: () =>
              void dispatch(
                addEntry({
                  jobId,
                  body: { kind: 'withdrawn', why: 'Undone' },
                  supersedes: entry.id,
                }),
              ),
          },
        });
      }
      return undefined;
    },
    [dispatch, jobId],
  );
}

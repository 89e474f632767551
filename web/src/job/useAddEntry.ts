import * as wording from '@white-ember/core/words/screens/common';
import { useCallback } from 'react';
import type { EntryBody, NewEntry } from '@white-ember/core/ledger';
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

/** Waits for no network when an entry is made: loaded beside the first page. */
export const importEntryCheck = () => import('./checkEntry.ts');

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
  if (unseen.length > 0) await tell(wording.notEntered, unseen.join(' · '));
}

/** Checks an entry by the ledger's own schema, keeps it and offers to take it back. Resolves to what is wrong, by field. */
export function useAddEntry(jobId: string): AddEntry {
  const dispatch = useAppDispatch();
  return useCallback(
    async (body, supersedes, { quiet = false, told = false } = {}) => {
      const { checkEntry } = await importEntryCheck();
      const checked = checkEntry(body);
      if (!checked.ok) {
        if (!told) void tellUnseen(checked.faults.map(({ message }) => message));
        return Object.fromEntries(checked.faults.map(({ field, message }) => [field, message]));
      }
      let entry: NewEntry;
      try {
        entry = await dispatch(
          addEntry({ jobId, body: checked.body, ...(supersedes ? { supersedes } : {}) }),
        ).unwrap();
      } catch (error) {
        const { message = wording.notEntered } = error as { message?: string };
        await tell(wording.notEntered, message);
        return { entry: message };
      }
      if (!quiet && !checked.silent) {
        const { toast } = await import('sonner');
        toast(checked.entered, {
          action: {
            label: wording.undo,
            onClick: () =>
              void dispatch(
                addEntry({
                  jobId,
                  body: { kind: 'withdrawn', why: wording.undone },
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

import { useSearchParams } from 'react-router';
import { entriesOfKind, type EntryKind, type EntryOf } from '@white-ember/core/ledger';
import type { OpenJob } from './useJob.ts';

export interface Correcting<K extends EntryKind> {
  readonly entry: EntryOf<K>;
  readonly leave: () => void;
}

/** The entry that a form corrects, named in the address: what is entered then supersedes it. */
export function useCorrecting<K extends EntryKind>(
  open: OpenJob,
  kind: K,
  fits: (entry: EntryOf<K>) => boolean = () => true,
): Correcting<K> | undefined {
  const [params, setParams] = useSearchParams();
  const id = params.get('correct');
  const entry = entriesOfKind(open.derived.entries, kind).find((e) => e.id === id && fits(e));
  if (!entry) return undefined;
  const leave = (): void => {
    const next = new URLSearchParams(params);
    next.delete('correct');
    setParams(next, { replace: true });
  };
  return { entry, leave };
}

import type { CautionId } from '@white-ember/core/checks';
import { entriesOfKind } from '@white-ember/core/ledger';
import { useSessionQuery } from '../data/api.ts';
import { useAddEntry } from './useAddEntry.ts';
import type { OpenJob } from './useJob.ts';

/** Whether this person has acknowledged a caution for an act on this job, and how to do so. */
export function useCaution(
  open: OpenJob,
  caution: CautionId | undefined,
  act: string,
): { acknowledged: boolean; acknowledge: () => void } {
  const session = useSessionQuery();
  const addEntry = useAddEntry(open.job.id);
  const acknowledged =
    caution === undefined ||
    entriesOfKind(open.derived.entries, 'caution-acknowledged').some(
      ({ body, authorId }) =>
        body.caution === caution && body.act === act && authorId === session.data?.member?.id,
    );
  return {
    acknowledged,
    acknowledge: () => {
      if (caution) void addEntry({ kind: 'caution-acknowledged', caution, act });
    },
  };
}

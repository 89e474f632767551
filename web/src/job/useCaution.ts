import type { CautionId } from '@white-ember/core/checks';
import { entriesOfKind } from '@white-ember/core/ledger';
import { useSessionQuery } from '../data/api.ts';
import { useAddEntry } from './useAddEntry.ts';
import { useNow } from '../ui/useNow.ts';
import type { OpenJob } from './useJob.ts';

/** Of this the vehicle is as dangerous in the next act as in this one: read once, it stands read for the visit. */
const FOR_THE_VISIT: ReadonlySet<CautionId> = new Set(['running-engine']);

/** Whether this person has acknowledged a caution for an act on this job, and how to do so. */
export function useCaution(
  open: OpenJob,
  caution: CautionId | undefined,
  act: string,
): { acknowledged: boolean; acknowledge: () => void } {
  const session = useSessionQuery();
  const addEntry = useAddEntry(open.job.id);
  const now = useNow(600_000);
  const acknowledged =
    caution === undefined ||
    entriesOfKind(open.derived.entries, 'caution-acknowledged').some(
      ({ body, authorId, deviceTime }) =>
        body.caution === caution &&
        (body.act === act ||
          (FOR_THE_VISIT.has(caution) &&
            now - Date.parse(deviceTime) < 60_000 * open.limits.cautionVisitMin)) &&
        authorId === session.data?.member?.id,
    );
  return {
    acknowledged,
    acknowledge: () => {
      if (caution) void addEntry({ kind: 'caution-acknowledged', caution, act });
    },
  };
}

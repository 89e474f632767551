import { useEffect, useState } from 'react';
import { entriesOfKind } from '@white-ember/core/ledger';
import { fillsOf, type WarmUp } from '@white-ember/core/treatment';
import type { OpenJob } from '../../../job/useJob.ts';
import { WarmUpLine } from '../WarmUpLine.tsx';
import { warmUpInLog } from './openedLogs.ts';

/** On a job with a chemical clean: whether the filter had come to its plateau in this log. */
export function LogWarmUp({ open: { derived, vehicle, limits }, logId }: { open: OpenJob; logId: string }) {
  const { filter } = vehicle;
  // What was read before the clean was never wet.
  const before = entriesOfKind(derived.entries, 'reading').some(
    ({ body }) => body.purpose === 'before' && body.origin.type === 'log' && body.origin.logId === logId,
  );
  const wanted = filter !== undefined && !before && fillsOf(derived.entries).length > 0;
  const [warmUp, setWarmUp] = useState<WarmUp>();
  useEffect(() => {
    let current = true;
    if (wanted && filter) void warmUpInLog(logId, filter, limits).then((told) => current && setWarmUp(told));
    return () => {
      current = false;
    };
  }, [wanted, filter, limits, logId]);
  return wanted && warmUp ? <WarmUpLine warmUp={warmUp} live={false} /> : null;
}

import { useCallback, useEffect, useState } from 'react';
import { recordingStore, type KeptRecording } from './recordingStore.ts';

/** The recordings of a job that lie on this device and are not kept with the job yet. */
export function useRecordings(
  jobId: string,
  keptIds: ReadonlySet<string>,
): { recordings: readonly KeptRecording[]; refresh: () => void; remove: (id: string) => void } {
  const [recordings, setRecordings] = useState<readonly KeptRecording[]>([]);
  const refresh = useCallback((): void => {
    void recordingStore.ofJob(jobId).then(async (all) => {
      // Once the server has the file, byte for byte, the copy here is not needed.
      const kept = all.filter(({ id }) => keptIds.has(id));
      await Promise.all(kept.map(({ id }) => recordingStore.remove(id)));
      setRecordings(all.filter(({ id }) => !keptIds.has(id)));
    });
  }, [jobId, keptIds]);
  useEffect(refresh, [refresh]);
  return {
    recordings,
    refresh,
    remove: (id) => void recordingStore.remove(id).then(refresh),
  };
}

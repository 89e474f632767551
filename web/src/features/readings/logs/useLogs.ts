import * as wording from '@white-ember/core/words/screens/readings';
import { useCallback, useEffect, useMemo } from 'react';
import type { ReadingBody } from '@white-ember/core/ledger';
import { readingFromLog, type AnalyseOptions, type MappingCorrections } from '@white-ember/core/readings';
import {
  problemOf,
  useChannelCorrectionsQuery,
  useRememberCorrectionMutation,
  useSessionQuery,
  useUploadLogMutation,
} from '../../../data/api.ts';
import { useAddEntry } from '../../../job/useAddEntry.ts';
import type { OpenJob } from '../../../job/useJob.ts';
import {
  groundsOf,
  judgeAgain,
  markKept,
  openFile,
  openKept,
  refuseFile,
  useOpenedLogs,
  type KeptLog,
  type OpenedLog,
} from './openedLogs.ts';

export interface Logs {
  readonly opened: readonly OpenedLog[];
  /** Reads files; gives the id of the first that is read. One that was recorded here has its id already. */
  readonly open: (files: readonly File[], id?: string) => string | undefined;
  readonly openStored: (log: KeptLog) => void;
  /** Says what a column is: for this log at once, and for every later one of the workshop. */
  readonly correct: (log: OpenedLog, column: string, role: string) => void;
  /** Keeps the file with the job and enters its windows as a reading. Resolves to what went wrong. */
  readonly use: (
    log: OpenedLog,
    purpose: ReadingBody['purpose'],
    leftOut: ReadonlySet<number>,
  ) => Promise<string | undefined>;
}

const MEGABYTE = 1024 * 1024;

/** The recorded logs of a job: opened, corrected and used as readings. */
export function useLogs({ job, vehicle, limits }: OpenJob): Logs {
  const maxBytes = useSessionQuery().data?.maxUploadBytes ?? Number.POSITIVE_INFINITY;
  const remembered = useChannelCorrectionsQuery();
  const [remember] = useRememberCorrectionMutation();
  const [upload] = useUploadLogMutation();
  const addEntry = useAddEntry(job.id);
  const opened = useOpenedLogs(job.id);

  const known = useMemo(
    (): MappingCorrections =>
      Object.fromEntries((remembered.data ?? []).map(({ heading, role }) => [heading, role])),
    [remembered.data],
  );
  const optionsWith = useCallback(
    (corrections: MappingCorrections): AnalyseOptions => ({
      limits,
      corrections,
      remembered: known,
      ...(vehicle.filter === undefined ? {} : { geometry: vehicle.filter }),
      ...(vehicle.displacementL === undefined ? {} : { displacementL: vehicle.displacementL }),
    }),
    [limits, known, vehicle.filter, vehicle.displacementL],
  );
  // What is judged by changes: another unit, other limits, corrections that arrive while a log is still being read.
  const grounds = groundsOf(optionsWith({}));
  useEffect(() => {
    for (const log of opened)
      if (log.state.status === 'ready' && log.judgedBy !== grounds)
        void judgeAgain(log.id, optionsWith(log.corrections), log.corrections);
  }, [opened, grounds, optionsWith]);

  return {
    opened,
    open: (files, ownId) => {
      let first: string | undefined;
      for (const file of files) {
        if (file.size > maxBytes) {
          refuseFile(
            job.id,
            file,
            wording.isLargerThanTheMbThatThis(file.name, Math.round(maxBytes / MEGABYTE)),
          );
        } else {
          const id = openFile(job.id, file, optionsWith({}), ownId);
          first ??= id;
        }
      }
      return first;
    },
    openStored: (log) => openKept(log, optionsWith({})),
    correct: (log, column, role) => {
      const corrections = { ...log.corrections, [column]: role };
      void judgeAgain(log.id, optionsWith(corrections), corrections);
      void remember({ heading: column.slice(0, 500), role });
    },
    use: async (log, purpose, leftOut) => {
      if (log.state.status !== 'ready') return wording.theLogIsNotReadYet;
      if (!log.kept && log.file) {
        const kept = await upload({ jobId: job.id, id: log.id, file: log.file });
        if (!kept.data) {
          const { title, detail } = problemOf(kept.error);
          return wording.theFileIsStillOpenHereTry(title, detail ?? '');
        }
        markKept(log.id);
      }
      const wrong = await addEntry(
        readingFromLog(log.state.read, { purpose, logId: log.id, fileName: log.fileName, leftOut }),
      );
      return wrong === undefined ? undefined : Object.values(wrong)[0];
    },
  };
}

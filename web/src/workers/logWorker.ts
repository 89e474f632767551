import { expose } from 'comlink';
import { describeFailure } from '@white-ember/core/quantities';
import {
  analyseLog,
  loggedFacts,
  type AnalyseOptions,
  type LogReadingParts,
} from '@white-ember/core/readings';

export type LogAnswer =
  ({ readonly ok: true } & LogReadingParts) | { readonly ok: false; readonly text: string };

/** Reads a file away from the main thread, with the same core as server and command line. */
const worker = {
  async read(file: Blob, options: AnalyseOptions): Promise<LogAnswer> {
    const read = await analyseLog(new Uint8Array(await file.arrayBuffer()), options);
    if (!read.ok) return { ok: false, text: describeFailure(read.failure) };
    const { analysis, samples, recording } = read.value;
    return { ok: true, analysis, samples, ...loggedFacts(recording) };
  },
};

export type LogWorker = typeof worker;
expose(worker);

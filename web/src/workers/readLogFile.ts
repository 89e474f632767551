import { wrap, type Remote } from 'comlink';
import type { AnalyseOptions } from '@white-ember/core/readings';
import type { LogAnswer, LogWorker } from './logWorker.ts';

let remote: Remote<LogWorker> | undefined;

/** One worker for the page, started when the first file comes. */
export function readLogFile(file: Blob, options: AnalyseOptions): Promise<LogAnswer> {
  remote ??= wrap<LogWorker>(new Worker(new URL('./logWorker.ts', import.meta.url), { type: 'module' }));
  return remote.read(file, options);
}

import { wrap, type Remote } from 'comlink';
import type { BurnWorker } from './burnWorker.ts';

let shared: Remote<BurnWorker> | undefined;

/** The worker that burns, made when it is first wanted. */
export const burnRemote = (): Remote<BurnWorker> =>
  (shared ??= wrap<BurnWorker>(new Worker(new URL('./burnWorker.ts', import.meta.url), { type: 'module' })));

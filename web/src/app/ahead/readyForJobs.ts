import { loadPhrases } from '../../data/words.ts';
import { importJobPage } from '../jobPage.ts';

/**
 * What the page is made of, piece by piece: each is worked out as it comes in, and all of them at once would hold up whoever taps
 * meanwhile.
 */
const PIECES: readonly (() => Promise<unknown>)[] = [
  loadPhrases,
  () => import('./limits.ts'),
  () => import('./entries.ts'),
  () => import('./checks.ts'),
  () => import('./findings.ts'),
  () => import('./headings.ts'),
  () => import('./sheets.ts'),
  () => import('./forms.ts'),
  () => import('./job.ts'),
  importJobPage,
];

/** Lets everything else that waits have its turn. */
const pause = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 0));

/** Makes ready what a job needs, while nobody waits: the page, its words, and the worker that judges. */
export async function readyForJobs(): Promise<void> {
  for (const piece of PIECES) {
    await piece();
    await pause();
  }
  const { wakeJudge } = await import('../../features/diagnosis/judging.ts');
  wakeJudge();
}

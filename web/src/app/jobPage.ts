import { loadPhrases } from '../data/words.ts';

/** The page that follows the list of jobs nearly always. */
export const importJobPage = () => import('../features/job/JobPage.tsx');

/** Makes ready what a job needs, while nobody waits: the page, its words, and the worker that judges. */
export async function readyForJobs(): Promise<void> {
  const [{ wakeJudge }] = await Promise.all([
    import('../features/diagnosis/judging.ts'),
    importJobPage(),
    loadPhrases(),
  ]);
  wakeJudge();
}

/** The page that follows the list of jobs nearly always. */
export const importJobPage = () => import('../features/job/JobPage.tsx');

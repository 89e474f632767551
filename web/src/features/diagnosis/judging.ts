import { wrap, type Remote } from 'comlink';
import type { JudgedFacts } from '@white-ember/core/job';
import type { BurnForecast, JobBurn } from '@white-ember/core/treatment';
import type { DiagnosisWorker, Judged } from '../../workers/diagnosisWorker.ts';
import { burnKey } from '../../workers/burnKey.ts';
import { burnRemote } from '../../workers/burnRemote.ts';

let shared: Remote<DiagnosisWorker> | undefined;
export const diagnosisRemote = (): Remote<DiagnosisWorker> =>
  (shared ??= wrap<DiagnosisWorker>(
    new Worker(new URL('../../workers/diagnosisWorker.ts', import.meta.url), { type: 'module' }),
  ));

/** Starts the worker before there is anything to judge: it takes longer to start than to judge. */
export const wakeJudge = (): void => void diagnosisRemote().wake();

export interface Judgement extends Judged {
  /** The burn model has not answered yet: what it may hold off is not known. */
  readonly forecasting: boolean;
}

interface Kept {
  /** The facts that it was asked with, as text. */
  readonly words: string;
  readonly judgement: Judgement | undefined;
  /** Whether the judgement is of these facts, not of those before. */
  readonly settled: boolean;
}

const KEPT_JOBS = 4;
const KEPT_FORECASTS = 60;

/** Judgements of the jobs that are open: each is worked out once for all that show it. */
const jobs = new Map<string, Kept>();
const forecasts = new Map<string, BurnForecast | undefined>();
const listeners = new Set<() => void>();

export function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** The last answer of a job: one of a moment ago stands until the next is there. */
export const judgementOf = (jobId: string): Judgement | undefined => jobs.get(jobId)?.judgement;

/** Whether what was asked last is answered. */
export const isSettled = (jobId: string): boolean => jobs.get(jobId)?.settled === true;

function keep(jobId: string, kept: Kept): void {
  jobs.delete(jobId);
  jobs.set(jobId, kept);
  for (const old of [...jobs.keys()].slice(0, -KEPT_JOBS)) jobs.delete(old);
  for (const listener of listeners) listener();
}

/** Asks for the judgement of a job; the same facts are not judged again, however often the job is fetched. */
export function ask(jobId: string, facts: JudgedFacts): void {
  const words = JSON.stringify(facts);
  if (jobs.get(jobId)?.words === words) return;
  keep(jobId, { words, judgement: judgementOf(jobId), settled: false });
  void answer(jobId, words, facts);
}

/** First without the burn model, then with what it says, as it takes its time. */
async function answer(jobId: string, words: string, facts: JudgedFacts): Promise<void> {
  const isAsked = (): boolean => jobs.get(jobId)?.words === words;
  for (;;) {
    // What was asked since has its own turn: the worker does not work for nobody.
    if (!isAsked()) return;
    const judged = await diagnosisRemote().judge(facts, forecasts);
    const forecasting = judged.toForecast.length > 0;
    if (isAsked()) keep(jobId, { words, judgement: { ...judged, forecasting }, settled: true });
    if (!forecasting) return;
    for (const burn of judged.toForecast) await forecast(burn, facts);
  }
}

async function forecast(burn: JobBurn, { limits }: JudgedFacts): Promise<void> {
  const told = await burnRemote().forecast(burn, limits);
  forecasts.set(burnKey(burn, limits), told.ok ? told.value : undefined);
  for (const old of [...forecasts.keys()].slice(0, -KEPT_FORECASTS)) forecasts.delete(old);
}

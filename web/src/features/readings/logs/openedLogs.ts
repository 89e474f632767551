import * as wording from '@white-ember/core/words/screens/readings';
import { proxy, wrap, type Remote } from 'comlink';
import { useSyncExternalStore } from 'react';
import { v7 as uuidv7 } from 'uuid';
import type { FilterGeometry } from '@white-ember/core/filter';
import type { Limits } from '@white-ember/core/limits';
import { openTimeLimitMs, type AnalyseOptions, type LogOutput, type Trace } from '@white-ember/core/readings';
import type { WarmUp } from '@white-ember/core/treatment';
import type { LogAnswer, LogWorker } from '../../../workers/logWorker.ts';

export type ReadLog = Extract<LogAnswer, { ok: true }>;

export type LogState =
  | { readonly status: 'reading'; readonly share: number; readonly leftS?: number }
  | { readonly status: 'ready'; readonly read: ReadLog }
  | { readonly status: 'failed'; readonly text: string };

/** A log that is open on this page. Each has a worker of its own, so that to stop is to end it. */
export interface OpenedLog {
  /** The id under which the server keeps it, or will. */
  readonly id: string;
  readonly jobId: string;
  readonly fileName: string;
  readonly sizeBytes: number;
  /** Absent for one that came from the server. */
  readonly file?: File;
  /** Whether the server has it. */
  readonly kept: boolean;
  readonly corrections: Readonly<Record<string, string>>;
  /** By which limits, units and remembered corrections it was judged, or is being judged. */
  readonly judgedBy: string;
  readonly state: LogState;
}

interface Held {
  log: OpenedLog;
  readonly worker: Worker;
  readonly remote: Remote<LogWorker>;
}

const held = new Map<string, Held>();
const listeners = new Set<() => void>();
let snapshot: readonly OpenedLog[] = [];

function changed(): void {
  snapshot = [...held.values()].map(({ log }) => log);
  for (const listener of listeners) listener();
}

function update(id: string, next: Partial<OpenedLog>): void {
  const one = held.get(id);
  if (!one) return;
  one.log = { ...one.log, ...next };
  changed();
}

const subscribe = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** The logs of a job that are open on this page, in the order in which they came. */
export const useOpenedLogs = (jobId: string): readonly OpenedLog[] =>
  useSyncExternalStore(subscribe, () => snapshot).filter((log) => log.jobId === jobId);

/** The one that came last: what a person most likely means where none was chosen. */
export const openedBefore = (opened: readonly OpenedLog[]): OpenedLog | undefined => opened.at(-1);

function hold(log: OpenedLog): Held {
  closeLog(log.id);
  const worker = new Worker(new URL('../../../workers/logWorker.ts', import.meta.url), { type: 'module' });
  const one = { log, worker, remote: wrap<LogWorker>(worker) };
  held.set(log.id, one);
  changed();
  giveUpOn(one);
  return one;
}

/** A file that stops its worker, or keeps it longer than any honest one of its size, is answered with that. */
function giveUpOn({ log: { id, sizeBytes }, worker }: Held): void {
  const end = (text: string): void => {
    if (held.get(id)?.worker !== worker || held.get(id)?.log.state.status !== 'reading') return;
    worker.terminate();
    update(id, { state: { status: 'failed', text } });
  };
  const limitMs = openTimeLimitMs(sizeBytes);
  setTimeout(() => end(wording.theFileCouldNotBeReadIt(Math.round(limitMs / 1000))), limitMs);
  worker.addEventListener('error', (event) => {
    event.preventDefault();
    end(wording.theFileCouldNotBeReadItTitle);
  });
}

const settle = (id: string, answer: LogAnswer): void =>
  update(id, {
    state: answer.ok ? { status: 'ready', read: answer } : { status: 'failed', text: answer.text },
  });

const fault = (error: unknown): LogAnswer => ({
  ok: false,
  text: wording.theFileCouldNotBeRead((error as Error).message),
});

/** What a log is judged by apart from its own corrections; alike for alike grounds. */
export const groundsOf = ({ corrections: _own, ...grounds }: AnalyseOptions): string =>
  JSON.stringify(grounds);

const reading = (): LogState => ({ status: 'reading', share: 0 });

/** Starts to read a file; what comes of it is seen in the log's state. */
export function openFile(jobId: string, file: File, options: AnalyseOptions, id: string = uuidv7()): string {
  const { remote } = hold({
    id,
    jobId,
    fileName: file.name,
    sizeBytes: file.size,
    file,
    kept: false,
    corrections: {},
    judgedBy: groundsOf(options),
    state: reading(),
  });
  const sinceMs = performance.now();
  const tell = (share: number): void => {
    if (held.get(id)?.log.state.status !== 'reading') return;
    const passedS = (performance.now() - sinceMs) / 1000;
    const leftS = share > 0.02 && passedS > 1 ? Math.ceil((passedS * (1 - share)) / share) : undefined;
    update(id, { state: { status: 'reading', share, ...(leftS === undefined ? {} : { leftS }) } });
  };
  void remote.open(file, options, proxy(tell)).then(
    (answer) => settle(id, answer),
    (error: unknown) => settle(id, fault(error)),
  );
  return id;
}

/** A file that is refused before it is read, with the reason beside its name. */
export function refuseFile(jobId: string, file: File, text: string): void {
  hold({
    id: uuidv7(),
    jobId,
    fileName: file.name,
    sizeBytes: file.size,
    kept: false,
    corrections: {},
    judgedBy: '',
    state: { status: 'failed', text },
  });
}

export interface KeptLog {
  readonly id: string;
  readonly jobId: string;
  readonly fileName: string;
  readonly sizeBytes: number;
  /** Why the server could not read it. */
  readonly unreadable?: string | undefined;
}

/** Opens a log that the server keeps, from its columns. */
export function openKept({ id, jobId, fileName, sizeBytes }: KeptLog, options: AnalyseOptions): void {
  if (held.has(id)) return;
  const { remote } = hold({
    id,
    jobId,
    fileName,
    sizeBytes,
    kept: true,
    corrections: {},
    judgedBy: groundsOf(options),
    state: reading(),
  });
  void (async (): Promise<LogAnswer> => {
    const answer = await fetch(`/api/logs/${id}/columns`);
    if (!answer.ok) {
      const problem = (await answer.json().catch(() => undefined)) as
        | { title?: string; detail?: string }
        | undefined;
      return { ok: false, text: problem?.detail ?? problem?.title ?? wording.theServerDidNotGiveTheLog };
    }
    return remote.openColumns(await answer.arrayBuffer(), options);
  })().then(
    (answer) => settle(id, answer),
    (error: unknown) => settle(id, fault(error)),
  );
}

/** Judges an open log anew, with other corrections or limits. */
export async function judgeAgain(
  id: string,
  options: AnalyseOptions,
  corrections: Readonly<Record<string, string>>,
): Promise<void> {
  const one = held.get(id);
  if (one?.log.state.status !== 'ready') return;
  update(id, { corrections, judgedBy: groundsOf(options) });
  settle(id, await one.remote.analyse(options).catch(fault));
}

export const markKept = (id: string): void => update(id, { kept: true });

/** Ends a log, also while it is being read. */
export function closeLog(id: string): void {
  held.get(id)?.worker.terminate();
  if (held.delete(id)) changed();
}

export const tracesOf = (
  id: string,
  names: readonly string[],
  fromS: number,
  toS: number,
  points: number,
): Promise<Trace[]> => held.get(id)?.remote.traces([...names], fromS, toS, points) ?? Promise.resolve([]);

export const valuesAt = (
  id: string,
  names: readonly string[],
  atS: number,
): Promise<(number | undefined)[]> => held.get(id)?.remote.valuesAt([...names], atS) ?? Promise.resolve([]);

/** The warm-up that a log shows, for a filter of this size. */
export const warmUpInLog = (
  id: string,
  geometry: FilterGeometry,
  limits: Limits,
): Promise<WarmUp | undefined> => held.get(id)?.remote.warmUp(geometry, limits) ?? Promise.resolve(undefined);

export const rewritten = (id: string, to: LogOutput): Promise<Blob> =>
  held.get(id)?.remote.rewrite(to) ?? Promise.reject(new Error('The log is not open any more'));

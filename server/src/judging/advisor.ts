import { join } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import { Worker } from 'node:worker_threads';
import type { Logger } from 'pino';
import type { DataSource, EntityManager } from 'typeorm';
import type { Advice } from '@white-ember/core/contract';
import type { JudgedFacts } from '@white-ember/core/job';
import { SOFTWARE } from '@white-ember/core/report';
import type { Advised, ToAdvise } from './advise.program.ts';
import { foundInFamily } from './family.ts';
import { factsOf, readEntries, readStoredJob } from './storedJob.ts';

/** What is written down in one go is judged once. */
const SETTLES_MS = 400;
/** Between two jobs, so that a long list of them leaves room for others. */
const PAUSE_MS = 100;
/** What another server of the same database was told is found by this. */
const LOOKS_EVERY_MS = 60_000;
/** A judgement takes some tenths of a second; a thread that says nothing for so long hangs. */
const LONGEST_MS = 30_000;
const HEAP_MB = 256;
/** A thread with nothing to do is let go. */
const IDLE_MS = 60_000;
const NICENESS = 10;

interface Waiting {
  id: string;
  workshop_id: string;
  entry_count: number;
  /** By which entry it was judged last; below nothing where something else changed since. */
  advice_of: number | null;
}

/** The facts that a job is judged by, as they are in the database now. */
async function judgedFacts(
  { manager }: DataSource,
  { id, workshop_id: workshopId }: Waiting,
): Promise<{ readonly facts: JudgedFacts; readonly entryCount: number } | undefined> {
  const job = await readStoredJob(manager, workshopId, id);
  if (!job || job.seal) return undefined;
  const facts = await factsOf(manager, job, await readEntries(manager, id));
  const family = await foundInFamily(manager, workshopId, job, facts.limits);
  return { facts: { ...facts, ...(family ? { family } : {}) }, entryCount: job.entryCount };
}

/**
 * Works out what each open job waits for, behind the appends: a job whose ledger, vehicle or limits changed since stands open in the
 * database until it is done, so that nothing is forgotten by a server that goes down.
 */
export class Advisor {
  readonly #db: DataSource;
  readonly #program: string;
  readonly #log: Logger;
  readonly #closing = new AbortController();
  /** Jobs that could not be judged, by what they were then: not tried again before they change. */
  readonly #failed = new Map<string, number>();
  #working: Promise<void> | undefined;
  #again = false;
  #worker: Worker | undefined;
  #idle: NodeJS.Timeout | undefined;
  readonly #timer: NodeJS.Timeout;

  constructor(db: DataSource, programFolder: string, log: Logger) {
    this.#db = db;
    this.#program = join(programFolder, 'advise.js');
    this.#log = log;
    this.#timer = setInterval(() => this.wake(), LOOKS_EVERY_MS);
    this.#timer.unref();
    this.wake();
  }

  /** Something may have changed. */
  wake(): void {
    if (this.#closing.signal.aborted) return;
    this.#again = true;
    this.#working ??= this.#work().finally(() => (this.#working = undefined));
  }

  /** Until all that is known of is done. */
  async settled(): Promise<void> {
    while (this.#working) await this.#working;
  }

  async close(): Promise<void> {
    this.#closing.abort();
    clearInterval(this.#timer);
    clearTimeout(this.#idle);
    await this.#worker?.terminate();
    await this.#working;
  }

  async #work(): Promise<void> {
    try {
      while (this.#again) {
        this.#again = false;
        await sleep(SETTLES_MS, undefined, { signal: this.#closing.signal });
        for (const waiting of await this.#waiting()) {
          await this.#advise(waiting);
          await sleep(PAUSE_MS, undefined, { signal: this.#closing.signal });
          this.#again = true;
        }
      }
    } catch (error) {
      // The database is away or it closes: what is open is found again.
      if (!this.#closing.signal.aborted) this.#log.warn({ err: error }, 'jobs are not judged for now');
    }
  }

  async #waiting(): Promise<Waiting[]> {
    const rows = await this.#db.query<Waiting[]>(
      `SELECT id, workshop_id, entry_count, advice_of FROM job
        WHERE (summary->>'signedOff') = 'false' AND advice_of IS DISTINCT FROM entry_count
        ORDER BY last_entry_at DESC LIMIT 40`,
    );
    return rows.filter(({ id, entry_count }) => this.#failed.get(id) !== entry_count);
  }

  async #advise(waiting: Waiting): Promise<void> {
    const known = await judgedFacts(this.#db, waiting);
    if (!known) {
      this.#failed.set(waiting.id, waiting.entry_count);
      return;
    }
    const { advice, fault } = await this.#ask({ id: waiting.id, facts: known.facts });
    // Whoever closes ends the thread: that job is found again.
    if (this.#closing.signal.aborted) return;
    if (!advice) {
      this.#failed.set(waiting.id, waiting.entry_count);
      this.#log.error({ job: waiting.id, fault }, 'a job could not be judged');
      return;
    }
    this.#failed.delete(waiting.id);
    await keepAdvice(this.#db, waiting, known.entryCount, advice);
  }

  async #ask(question: ToAdvise): Promise<Advised> {
    const worker = this.#thread();
    clearTimeout(this.#idle);
    const answer = await new Promise<Advised>((resolve) => {
      const give = (advised: Advised): void => {
        clearTimeout(timer);
        worker.off('message', give);
        worker.off('error', fail);
        worker.off('exit', gone);
        resolve(advised);
      };
      const fail = (error: Error): void => give({ id: question.id, fault: String(error.stack) });
      const gone = (): void => give({ id: question.id, fault: 'the thread that judges is gone' });
      const timer = setTimeout(() => {
        void worker.terminate();
      }, LONGEST_MS);
      worker.on('message', give);
      worker.on('error', fail);
      worker.on('exit', gone);
      worker.postMessage(question);
    });
    this.#idle = setTimeout(() => void this.#worker?.terminate(), IDLE_MS);
    this.#idle.unref();
    return answer;
  }

  #thread(): Worker {
    if (this.#worker) return this.#worker;
    const worker = new Worker(this.#program, {
      workerData: { niceness: NICENESS, software: SOFTWARE },
      resourceLimits: { maxOldGenerationSizeMb: HEAP_MB },
    });
    worker.unref();
    worker.on('error', () => undefined);
    worker.on('exit', () => {
      if (this.#worker === worker) this.#worker = undefined;
    });
    this.#worker = worker;
    return worker;
  }
}

/** Only where nothing was written down or changed since it was judged. */
const keepAdvice = (
  db: DataSource,
  { id, advice_of: seen }: Waiting,
  entryCount: number,
  advice: Advice,
): Promise<unknown> =>
  db.query(
    `UPDATE job SET advice = $3, advice_of = $2
      WHERE id = $1 AND entry_count = $2 AND advice_of IS NOT DISTINCT FROM $4`,
    [id, entryCount, advice, seen],
  );

/** What stands of a job in lists: nothing while it is not worked out for its last entry, or the job is over. */
export const ADVICE_NOW = `CASE WHEN advice_of = entry_count AND (summary->>'signedOff') = 'false' THEN advice END`;

export async function adviceNow(manager: EntityManager, id: string): Promise<Advice | undefined> {
  const [row] = await manager.query<{ advice: Advice | null }[]>(
    `SELECT ${ADVICE_NOW} AS advice FROM job WHERE id = $1`,
    [id],
  );
  return row?.advice ?? undefined;
}

/** A number that no entry has and that was not there before: whoever judges it just now does not keep what is old already. */
const CHANGED = 'LEAST(coalesce(advice_of, 0), 0) - 1';

/** What was worked out by other limits or another vehicle is worked out anew. */
export const adviceIsOld = (manager: EntityManager, ids: readonly string[]): Promise<unknown> =>
  manager.query(`UPDATE job SET advice_of = ${CHANGED} WHERE id = ANY($1)`, [ids]);

/** After an update of the program all that another one worked out is worked out anew. */
export const adviceOfAnotherProgram = (db: DataSource): Promise<unknown> =>
  db.query(
    `UPDATE job SET advice_of = ${CHANGED}
      WHERE (summary->>'signedOff') = 'false' AND advice IS NOT NULL AND advice->>'by' <> $1`,
    [SOFTWARE],
  );

import { PLAIN_WORDS } from '@white-ember/core/words';
import { told } from '../told.ts';
import { createHash } from 'node:crypto';
import { linesIn, openZip, ZipNotReadable } from '@white-ember/bounded';
import { LedgerCheck, type HashedEntry, type LedgerFault } from '@white-ember/core/ledger';
import { z } from 'zod';
import { InputError, LedgerAtFault } from '../InputError.ts';
import type { Options } from '../input.ts';
import { print, printJson } from '../output.ts';

const sha256 = (text: string): string => createHash('sha256').update(text).digest('hex');

/** A fault, and in which line of which file it stands where it is an archive. */
interface FoundFault extends Pick<LedgerFault, 'code'> {
  readonly text: string;
  readonly line?: number;
}

const found = ({ code, what }: LedgerFault, line?: number): FoundFault => ({
  code,
  text: PLAIN_WORDS.say(what),
  ...(line === undefined ? {} : { line }),
});

interface Checked {
  readonly jobs: number;
  readonly entries: number;
  readonly faults: readonly FoundFault[];
}

const entryRow = z.object({
  id: z.string(),
  job_id: z.string(),
  seq: z.number(),
  author_id: z.string(),
  author_name: z.string(),
  device_time: z.string(),
  server_time: z.string(),
  supersedes: z.string().nullable(),
  body: z.unknown(),
  content_hash: z.string(),
  chain_hash: z.string().optional(),
});
const jobRow = z.object({ id: z.string(), entry_count: z.number() });

const hashed = (row: z.infer<typeof entryRow>): HashedEntry => ({
  id: row.id,
  jobId: row.job_id,
  seq: row.seq,
  authorId: row.author_id,
  authorName: row.author_name,
  deviceTime: row.device_time,
  serverTime: row.server_time,
  supersedes: row.supersedes,
  body: row.body,
  contentHash: row.content_hash,
  chainHash: row.chain_hash,
});

const ENTRIES = 'tables/entry.jsonl';
const JOBS = 'tables/job.jsonl';

function parsed<T>(schema: z.ZodType<T>, line: string, place: string): T {
  let value: unknown;
  try {
    value = JSON.parse(line);
  } catch {
    throw new InputError(told('is-no-json', { place }));
  }
  const read = schema.safeParse(value);
  if (!read.success)
    throw new InputError(`${place}: ${read.error.issues[0]?.message ?? told('is-not-right')}`);
  return read.data;
}

const notRead = (path: string, error: unknown): unknown =>
  error instanceof ZipNotReadable ? new InputError(`${path}: ${error.message}`) : error;

async function checkArchive(path: string): Promise<Checked> {
  const zip = await openZip(path).catch((error: unknown) => {
    throw notRead(path, error);
  });
  try {
    const check = new LedgerCheck(sha256);
    const faults: FoundFault[] = [];
    let entries = 0;
    for await (const [line, number] of linesIn(zip, ENTRIES)) {
      entries++;
      const { fault } = check.next(hashed(parsed(entryRow, line, `${path}: ${ENTRIES}, line ${number}`)));
      if (fault) faults.push(found(fault, number));
    }
    let jobs = 0;
    for await (const [line, number] of linesIn(zip, JOBS)) {
      jobs++;
      const { id, entry_count } = parsed(jobRow, line, `${path}: ${JOBS}, line ${number}`);
      const fault = check.count(id, entry_count);
      if (fault) faults.push(found(fault, number));
    }
    return { jobs, entries, faults };
  } catch (error) {
    throw notRead(path, error);
  } finally {
    zip.close();
  }
}

const PAGE_ROWS = 1000;

async function checkDatabase(url: string): Promise<Checked> {
  const { default: pg } = await import('pg');
  const client = new pg.Client({ connectionString: url, connectionTimeoutMillis: 5000 });
  try {
    await client.connect();
    await client.query('BEGIN ISOLATION LEVEL REPEATABLE READ READ ONLY');
    const check = new LedgerCheck(sha256);
    const faults: FoundFault[] = [];
    let entries = 0;
    for (let after: readonly [string, number] = ['00000000-0000-0000-0000-000000000000', 0]; ;) {
      const { rows } = await client.query<{ row: unknown }>(
        `SELECT jsonb_build_object('id', id, 'job_id', job_id, 'seq', seq, 'author_id', author_id, 'author_name', author_name,
                  'device_time', device_time, 'server_time', server_time, 'supersedes', supersedes, 'body', body,
                  'content_hash', content_hash, 'chain_hash', chain_hash) AS row
           FROM entry WHERE (job_id, seq) > ($1::uuid, $2::int) ORDER BY job_id, seq LIMIT ${PAGE_ROWS}`,
        [...after],
      );
      for (const { row } of rows) {
        const entry = entryRow.parse(row);
        entries++;
        const { fault } = check.next(hashed(entry));
        if (fault) faults.push(found(fault));
        after = [entry.job_id, entry.seq];
      }
      if (rows.length < PAGE_ROWS) break;
    }
    const jobs = await client.query<{ id: string; entry_count: number }>(
      'SELECT id, entry_count FROM job ORDER BY id',
    );
    for (const { id, entry_count } of jobs.rows) {
      const fault = check.count(id, entry_count);
      if (fault) faults.push(found(fault));
    }
    return { jobs: jobs.rows.length, entries, faults };
  } catch (error) {
    throw error instanceof z.ZodError
      ? error
      : new InputError(told('the-database-cannot-be-checked', { error: (error as Error).message }));
  } finally {
    await client.end().catch(() => undefined);
  }
}

const counted = (count: number, one: string, many: string): string => `${count} ${count === 1 ? one : many}`;

/** Checks a ledger against its hashes, in an archive or in a database; status 1 where something is wrong with it. */
export async function verifyLedger(archive: string | undefined, options: Options): Promise<void> {
  const url = options['database'];
  if ((archive === undefined) === (url === undefined))
    throw new InputError(told('name-an-archive-or-a-database'));
  const checked = url === undefined ? await checkArchive(archive ?? '') : await checkDatabase(url);
  const { jobs, entries, faults } = checked;
  if (options['json']) printJson({ jobs, entries, sound: faults.length === 0, faults });
  else
    print(
      `${counted(jobs, 'job', 'jobs')}, ${counted(entries, 'entry', 'entries')}: ${
        faults.length === 0 ? told('all-as-they-were-stored') : counted(faults.length, 'fault', 'faults')
      }`,
      ...faults.slice(0, 20).map(({ line, text }) => `${line === undefined ? '' : `line ${line}: `}${text}`),
      ...(faults.length > 20 ? [told('and-more-json-prints-all', { faults: faults.length - 20 })] : []),
    );
  if (faults.length > 0) throw new LedgerAtFault();
}

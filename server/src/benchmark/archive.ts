import { createHash, randomFillSync } from 'node:crypto';
import {
  createWriteStream,
  mkdtempSync,
  openAsBlob,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { setTimeout as sleep } from 'node:timers/promises';
import { v7 as uuidv7 } from 'uuid';
import type { Row } from './bench.ts';
import { withBenchServer, type BenchServer } from './benchServer.ts';

const MEGABYTE = 1024 * 1024;
const LARGE_MB = 500;
const SMALL_MB = 50;
const FILE_MB = 10;
/** More than in rest the server may need for it, however large the archive is. */
const EXTRA_MB = 160;

/** Time for a large archive to go out, s. */
const OUT_S = 60;

const TABLES = [
  'mail',
  'report_share',
  'photo',
  'log',
  'entry',
  'job',
  'blob_chunk',
  'blob',
  'vehicle_outlook',
  'vehicle',
];

/** A workshop with raw files of so many MB on jobs: noise, which no packing makes smaller. */
async function fillFiles({ db, workshopId }: BenchServer, megabytes: number): Promise<void> {
  const vehicle = uuidv7();
  await db.query(
    `INSERT INTO vehicle (id, workshop_id, plate, model, family, fitted, content_hash) VALUES ($1, $2, 'QF 1', 'van', 'Tarn 2.0', '[]', '')`,
    [vehicle, workshopId],
  );
  const piece = Buffer.alloc(MEGABYTE);
  for (let n = 0; n < megabytes / FILE_MB; n++) {
    const [job, blob] = [uuidv7(), uuidv7()];
    await db.query(
      `INSERT INTO job (id, workshop_id, vehicle_id, number, opened_at, last_entry_at, summary, content_hash)
       VALUES ($1, $2, $3, $4, now(), now(), '{"stage":"intake","headline":"","verdict":"open","signedOff":false,"clocks":[]}', '')`,
      [job, workshopId, vehicle, n + 1],
    );
    const hash = createHash('sha256');
    await db.query(`INSERT INTO blob (id, workshop_id, size_bytes, sha256) VALUES ($1, $2, $3, '')`, [
      blob,
      workshopId,
      FILE_MB * MEGABYTE,
    ]);
    for (let position = 0; position < FILE_MB; position++) {
      hash.update(randomFillSync(piece));
      await db.query('INSERT INTO blob_chunk (blob_id, position, bytes) VALUES ($1, $2, $3)', [
        blob,
        position,
        piece,
      ]);
    }
    await db.query('UPDATE blob SET sha256 = $2 WHERE id = $1', [blob, hash.digest('hex')]);
    await db.query(
      `INSERT INTO log (id, workshop_id, job_id, blob_id, file_name, content_hash) VALUES ($1, $2, $3, $4, 'a.csv', '')`,
      [uuidv7(), workshopId, job, blob],
    );
  }
}

const memoryMb = (pid: number, field: 'VmRSS' | 'VmHWM'): number =>
  Number(new RegExp(`${field}:\\s+(\\d+) kB`).exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1]) / 1024;

/** How much more memory a process takes at its peak than in rest, MB; and how long the work lasts, s. */
async function peakOf(
  pid: number,
  restMb: number,
  work: () => Promise<void>,
): Promise<{ extraMb: number; seconds: number }> {
  // The mark of the highest is set back by the kernel itself.
  writeFileSync(`/proc/${pid}/clear_refs`, '5');
  const begin = performance.now();
  await work();
  return {
    extraMb: memoryMb(pid, 'VmHWM') - restMb,
    seconds: (performance.now() - begin) / 1000,
  };
}

interface Measured {
  readonly out: { extraMb: number; seconds: number };
  readonly back: { extraMb: number; seconds: number };
  readonly bytes: number;
}

async function outAndBack(
  server: BenchServer,
  megabytes: number,
  restMb: number,
  folder: string,
): Promise<Measured> {
  const { db, address, client, child } = server;
  const pid = child.pid as number;
  const path = join(folder, `${megabytes}.zip`);
  await fillFiles(server, megabytes);
  const out = await peakOf(pid, restMb, async () => {
    const answer = await fetch(`${address}/api/workshop/archive`, { headers: { cookie: client.cookie } });
    if (!answer.ok || !answer.body) throw new Error(`The archive: ${answer.status}`);
    await pipeline(Readable.fromWeb(answer.body as never), createWriteStream(path));
  });
  const [hashes] = await db.query<[{ all: string }]>(
    `SELECT string_agg(sha256, ',' ORDER BY id) AS all FROM blob`,
  );
  await db.query(`TRUNCATE ${TABLES.join(', ')} CASCADE`);
  const back = await peakOf(pid, restMb, async () => {
    const form = new FormData();
    form.set('fields', '{}');
    form.set('file', await openAsBlob(path), 'archive.zip');
    const answer = await fetch(`${address}/api/workshop/archive`, {
      method: 'POST',
      headers: { cookie: client.cookie, 'x-csrf-token': client.token },
      body: form,
    });
    if (!answer.ok) throw new Error(`Taking it in: ${answer.status} ${await answer.text()}`);
  });
  const [again] = await db.query<[{ all: string; bytes: string }]>(
    `SELECT string_agg(sha256, ',' ORDER BY id) AS all,
            (SELECT sum(length(bytes)) FROM blob_chunk) AS bytes FROM blob`,
  );
  if (again.all !== hashes.all || Number(again.bytes) !== megabytes * MEGABYTE)
    throw new Error('The archive did not bring back what was in it.');
  await db.query(`TRUNCATE ${TABLES.join(', ')} CASCADE`);
  const bytes = statSync(path).size;
  rmSync(path);
  return { out, back, bytes };
}

/** The middle one of archives that workshops take in while others work. */
const BESIDE_MB = 60;
const BESIDE_P99_MS = 100;
/** On so many jobs a workshop works meanwhile: a single one would grow to thousands of entries. */
const BESIDE_JOBS = 40;

/** How others fare at 100 requests a second while an archive is imported: their p99, and answers that are none. */
async function besideOthers(server: BenchServer, folder: string): Promise<Row[]> {
  const { address, client, db, workshopId } = server;
  const path = join(folder, 'beside.zip');
  await fillFiles(server, BESIDE_MB);
  const answer = await fetch(`${address}/api/workshop/archive`, { headers: { cookie: client.cookie } });
  await pipeline(Readable.fromWeb(answer.body as never), createWriteStream(path));
  await db.query(`TRUNCATE ${TABLES.join(', ')} CASCADE`);
  const vehicle = uuidv7();
  const jobs = Array.from({ length: BESIDE_JOBS }, () => uuidv7());
  await client.post('/api/vehicles', {
    id: vehicle,
    plate: 'QF 9',
    model: 'van',
    family: 'Tarn 2.0',
    fitted: ['engine'],
  });
  // Numbers of the archive come from 1 on.
  await db.query('UPDATE workshop SET next_job_number = 5000 WHERE id = $1', [workshopId]);
  for (const id of jobs)
    await client.post('/api/jobs', { id, vehicleId: vehicle, openedAt: new Date().toISOString() });
  const form = new FormData();
  form.set('fields', '{}');
  form.set('file', await openAsBlob(path), 'archive.zip');
  let going = true;
  const taken = fetch(`${address}/api/workshop/archive`, {
    method: 'POST',
    headers: { cookie: client.cookie, 'x-csrf-token': client.token },
    body: form,
  }).finally(() => (going = false));
  const times: number[] = [];
  let refused = 0;
  const sent: Promise<void>[] = [];
  for (let i = 0; going; i++) {
    sent.push(
      (async () => {
        const began = performance.now();
        const note = {
          id: uuidv7(),
          deviceTime: new Date().toISOString(),
          body: { kind: 'note', text: `n${i}` },
        };
        const { status } =
          i % 2 === 0
            ? await client.get('/api/jobs?show=open')
            : await client.post(`/api/jobs/${jobs[i % BESIDE_JOBS]}/entries`, note);
        times.push(performance.now() - began);
        if (status >= 300) refused++;
      })(),
    );
    await sleep(10);
  }
  await Promise.all(sent);
  const came = await taken;
  if (!came.ok) throw new Error(`Taking it in: ${came.status} ${await came.text()}`);
  const p99 = times.sort((a, b) => a - b)[Math.floor(0.99 * times.length)] ?? 0;
  const size = (statSync(path).size / 1e6).toFixed(0);
  return [
    {
      what: `Reads and appends of others at some 100 a second while an archive of ${size} MB comes in`,
      measured: `p99 ${p99.toFixed(0)} ms of ${times.length} requests`,
      against: `at most ${BESIDE_P99_MS} ms`,
      ratio: p99 / BESIDE_P99_MS,
    },
    {
      what: 'Of these, answers that are none',
      measured: String(refused),
      against: 'none',
      ratio: refused > 0 ? 2 : 0,
    },
  ];
}

/** A whole workshop out and in again: what the server needs for it does not grow with the archive. */
export function measureArchive(root: string): Promise<Row[]> {
  const folder = mkdtempSync(join(tmpdir(), 'white-ember-bench-'));
  return withBenchServer(root, 'archive', async (server) => {
    // Signed in, and nothing else done yet.
    const restMb = memoryMb(server.child.pid as number, 'VmRSS');
    const small = await outAndBack(server, SMALL_MB, restMb, folder);
    const large = await outAndBack(server, LARGE_MB, restMb, folder);
    const row = (what: string, side: 'out' | 'back'): Row => ({
      what: `Archive of ${(large.bytes / 1e6).toFixed(0)} MB ${what}, memory of the server over that in rest`,
      measured: `${large[side].extraMb.toFixed(0)} MB at most, in ${large[side].seconds.toFixed(0)} s (of ${(small.bytes / 1e6).toFixed(0)} MB: ${small[side].extraMb.toFixed(0)} MB)`,
      against: `at most ${EXTRA_MB} MB`,
      ratio: large[side].extraMb / EXTRA_MB,
    });
    const timely: Row = {
      what: `Archive of ${(large.bytes / 1e6).toFixed(0)} MB out`,
      measured: `${large.out.seconds.toFixed(0)} s`,
      against: `at most ${OUT_S} s`,
      ratio: large.out.seconds / OUT_S,
    };
    const beside = await besideOthers(server, folder);
    return [row('out', 'out'), timely, row('in again', 'back'), ...beside];
  }).finally(() => rmSync(folder, { recursive: true, force: true }));
}

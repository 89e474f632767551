import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import autocannon from 'autocannon';
import type { DataSource } from 'typeorm';
import { v7 as uuidv7 } from 'uuid';
import { deriveJob, summariseJob } from '@white-ember/core/job';
import type { Entry } from '@white-ember/core/ledger';
import { DEFAULT_LIMITS } from '@white-ember/core/limits';
import { median } from '@white-ember/core/quantities';
import { DISPLACEMENT_L, FILTER, madeEntry, madeReading } from '@white-ember/core/testing';
import type { Row } from './bench.ts';
import { withBenchServer } from './benchServer.ts';

const JOBS = 10_000;
const VEHICLES = 2_000;
const RATE = 100;
/** Devices at work at once. All connections fire together, so more of them would be bursts rather than a rate. */
const CONNECTIONS = 4;
const SECONDS = 15;
const P99_MS = 50;
const PDFS = 30;
const PDF_MS = 2000;

/** Ten thousand jobs as real ones are: complaint, codes, readings, work, in all states. */
export async function fill(
  db: DataSource,
  workshopId: string,
  memberId: string,
): Promise<{ job: string; open: string[] }> {
  const filterId = uuidv7();
  await db.query(
    `INSERT INTO filter_model (id, workshop_id, name, diameter_mm, length_mm, cpsi, wall_mm, material, basis, content_hash)
     VALUES ($1, $2, 'Tarn 2.0', $3, $4, $5, $6, 'silicon-carbide', 'measured', '')`,
    [filterId, workshopId, FILTER.diameterMm, FILTER.lengthMm, FILTER.cpsi, FILTER.wallMm],
  );
  const vehicles = Array.from({ length: VEHICLES }, () => uuidv7());
  await db.query(
    `INSERT INTO vehicle (id, workshop_id, plate, model, family, displacement_l, filter_model_id, fitted, content_hash)
     SELECT id, $1, 'QF ' || n, 'Tarn 2.0 van', 'Tarn 2.0', $2, $3, '["engine","filter","dp-sensor"]', ''
       FROM unnest($4::uuid[]) WITH ORDINALITY AS t (id, n)`,
    [workshopId, DISPLACEMENT_L, filterId, vehicles],
  );
  const bodies = [
    madeEntry(1, {
      kind: 'complaint',
      text: 'Filter lamp on, power limited',
      powerLimited: true,
      distanceKm: 148_300,
    }),
    madeEntry(2, { kind: 'code-scan', when: 'before', codes: [{ code: 'P2463' }, { code: 'P244A' }] }),
    madeEntry(3, madeReading('before', { sootG: 35 })),
    madeEntry(4, { kind: 'part-state', part: 'high-pipe', state: 'sound', why: 'Falls back in 0.3 s' }),
    madeEntry(5, {
      kind: 'work',
      work: 'chemical-clean',
      what: 'One fill through the high pipe',
      dwellMin: 30,
    }),
    madeEntry(6, madeReading('after', { sootG: 4 })),
    madeEntry(7, { kind: 'drive', distanceKm: 12, powerLimitGone: true, reportedBy: 'technician' }),
    madeEntry(8, { kind: 'code-scan', when: 'after-drive', codes: [] }),
    madeEntry(9, { kind: 'sign-off' }),
  ];
  const summaryOf = (entries: readonly Entry[]): string =>
    JSON.stringify(
      summariseJob(
        deriveJob({ entries, limits: DEFAULT_LIMITS, displacementL: DISPLACEMENT_L, geometry: FILTER }),
      ),
    );
  const lengths = Array.from({ length: JOBS }, (_, i) => (i % 5 === 0 ? 3 + ((i / 5) % 6) : 9));
  const summaries = new Map([...new Set(lengths)].map((n) => [n, summaryOf(bodies.slice(0, n))]));
  const jobs = lengths.map((length, i) => ({
    id: uuidv7(),
    length,
    vehicle: vehicles[i % VEHICLES] as string,
    number: i + 1,
  }));
  for (let from = 0; from < JOBS; from += 1000) {
    const part = jobs.slice(from, from + 1000);
    await db.query(
      `INSERT INTO job (id, workshop_id, vehicle_id, number, opened_at, last_entry_at, entry_count, summary, content_hash)
       SELECT id, $1, vehicle, number, now() - number * interval '1 hour', now() - number * interval '1 hour', n, summary, ''
         FROM unnest($2::uuid[], $3::uuid[], $4::int[], $5::int[], $6::jsonb[]) AS t (id, vehicle, number, n, summary)`,
      [
        workshopId,
        part.map((job) => job.id),
        part.map((job) => job.vehicle),
        part.map((job) => job.number),
        part.map((job) => job.length),
        part.map((job) => summaries.get(job.length)),
      ],
    );
    const entries = part.flatMap((job) =>
      bodies.slice(0, job.length).map((entry) => ({ job: job.id, entry })),
    );
    await db.query(
      `INSERT INTO entry (id, workshop_id, job_id, seq, author_id, author_name, device_time, server_time, body, content_hash,
                          chain_hash)
       SELECT id, $1, job, seq, $2, 'Bench', at, at, body, '', ''
         FROM unnest($3::uuid[], $4::uuid[], $5::int[], $6::timestamptz[], $7::jsonb[]) AS t (id, job, seq, at, body)`,
      [
        workshopId,
        memberId,
        entries.map(() => uuidv7()),
        entries.map(({ job }) => job),
        entries.map(({ entry }) => entry.seq),
        entries.map(({ entry }) => entry.deviceTime),
        entries.map(({ entry }) => JSON.stringify(entry.body)),
      ],
    );
  }
  await db.query(`UPDATE workshop SET next_job_number = ${JOBS + 1} WHERE id = $1`, [workshopId]);
  await db.query('ANALYZE');
  return { job: jobs[1234]?.id ?? '', open: jobs.filter(({ length }) => length < 9).map(({ id }) => id) };
}

/** Latency under a steady load of 100 requests a second, each kind of request on its own. */
export function measureApi(root: string): Promise<Row[]> {
  return withBenchServer(root, 'api', async ({ db, address, client, workshopId, memberId }) => {
    const { job, open } = await fill(db, workshopId, memberId);
    const headers = {
      cookie: client.cookie,
      'x-csrf-token': client.token,
      'content-type': 'application/json',
    };
    const note = (): string =>
      JSON.stringify({
        id: uuidv7(),
        deviceTime: new Date().toISOString(),
        body: { kind: 'note', text: 'Under load' },
      });
    let appended = 0;
    const kinds: [string, autocannon.Request][] = [
      ['Job list, open', { path: '/api/jobs?show=open' }],
      ['Job list, by a part of the plate', { path: '/api/jobs?show=all&find=QF%20177' }],
      ['One job with its ledger', { path: `/api/jobs/${job}` }],
      [
        'Appending an entry',
        {
          method: 'POST',
          // Every append goes to the next open job, as many vans at work would send them.
          setupRequest: (request) => ({
            ...request,
            path: `/api/jobs/${open[appended++ % open.length]}/entries`,
            body: note(),
          }),
        },
      ],
    ];
    const rows: Row[] = [];
    const load = async (url: string, request: autocannon.Request): Promise<autocannon.Result> => {
      const run = (duration: number) =>
        autocannon({
          url,
          connections: CONNECTIONS,
          overallRate: RATE,
          duration,
          requests: [{ headers, ...request }],
        });
      await run(3);
      return run(SECONDS);
    };
    const bare = await bareServer();
    try {
      for (const [what, request] of kinds) {
        // How busy the machine is with other things at this moment: a server that does nothing, under the same load.
        const nothing = await load(bare.address, { path: '/' });
        const result = await load(address, request);
        if (result.non2xx + result.errors > 0) {
          throw new Error(`${what}: ${result.non2xx + result.errors} requests failed`);
        }
        rows.push({
          what: `${what}, over ${JOBS} jobs at ${RATE} requests/s`,
          measured: `p50 ${result.latency.p50} ms, p99 ${result.latency.p99} ms (${result.requests.total} requests)`,
          against: `p99 at most ${P99_MS} ms; a bare Node.js server just before: p50 ${nothing.latency.p50} ms, p99 ${nothing.latency.p99} ms`,
          ratio: result.latency.p99 / P99_MS,
        });
      }
    } finally {
      bare.close();
    }
    return [...rows, await measurePdf(address, job, headers.cookie)];
  });
}

/** The report as PDF, asked for again and again; the first one, which loads the fonts, counts too. */
async function measurePdf(address: string, job: string, cookie: string): Promise<Row> {
  const times: number[] = [];
  for (let i = 0; i < PDFS; i++) {
    const begin = performance.now();
    const answer = await fetch(`${address}/api/jobs/${job}/report.pdf`, { headers: { cookie } });
    const bytes = (await answer.arrayBuffer()).byteLength;
    if (!answer.ok || bytes < 5000) throw new Error(`The report as PDF: ${answer.status}, ${bytes} bytes`);
    times.push(performance.now() - begin);
  }
  const longest = Math.max(...times);
  return {
    what: `Report of a job as PDF, ${PDFS} one after the other`,
    measured: `${(median(times) ?? 0).toFixed(0)} ms in the middle, the longest ${longest.toFixed(0)} ms`,
    against: `each at most ${PDF_MS} ms`,
    ratio: longest / PDF_MS,
  };
}

async function bareServer(): Promise<{ address: string; close: () => void }> {
  const server = createServer((_request, response) => response.end('nothing'));
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  return {
    address: `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
    close: () => {
      server.close();
      server.closeAllConnections();
    },
  };
}

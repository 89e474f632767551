import type { DataSource } from 'typeorm';
import { v7 as uuidv7 } from 'uuid';
import type { FleetPage } from '@white-ember/core/contract';
import { DEFAULT_LIMITS } from '@white-ember/core/limits';
import type { Visit } from '@white-ember/core/outlook';
import { median } from '@white-ember/core/quantities';
import { dice, madeFleet } from '@white-ember/core/testing';
import type { Row } from './bench.ts';
import { withBenchServer, type BenchServer } from './benchServer.ts';

const VEHICLES = 2000;
const JOBS_OF_EACH = 10;
const FAMILIES = 8;
const PAGES = 100;
const P95_MS = 400;

const SUMMARY = { stage: 'hand-over', headline: 'Proved', verdict: 'proved', signedOff: true, clocks: [] };

/** Vehicles with ten visits each, as a made fleet lives: jobs with what they left and what is to be done after them. */
async function fillFleet(db: DataSource, workshopId: string): Promise<string[]> {
  const lives = madeFleet(901, VEHICLES, {
    years: 5,
    dueRatio: DEFAULT_LIMITS.dueRestrictionRatio,
    goodRatio: DEFAULT_LIMITS.restrictionGoodRatio,
  });
  const vehicles = lives.map((_, i) => ({ id: uuidv7(), family: `Family ${(i % FAMILIES) + 1}` }));
  await db.query(
    `INSERT INTO vehicle (id, workshop_id, plate, model, family, fitted, content_hash)
     SELECT id, $1, 'QF ' || n, family || ' van', family, '[]', ''
       FROM unnest($2::uuid[], $3::text[]) WITH ORDINALITY AS t (id, family, n)`,
    [workshopId, vehicles.map(({ id }) => id), vehicles.map(({ family }) => family)],
  );
  const jobs = lives.flatMap(({ visits }, i) =>
    Array.from({ length: JOBS_OF_EACH }, (_, n) => {
      // Of one that has lived through fewer visits the others are jobs in which nothing was read.
      const { jobId: _jobId, ...visit } = visits[n] ?? {
        ...(visits.at(-1) as Visit),
        before: undefined,
        after: undefined,
        filter: 'as-it-was',
        causes: [],
      };
      const id = uuidv7();
      const number = i * JOBS_OF_EACH + n + 1;
      return {
        id,
        number,
        vehicle: vehicles[i]?.id,
        at: visit.at,
        visit: { ...visit, jobId: id, number },
        followUps:
          n === JOBS_OF_EACH - 1
            ? [{ key: 'oil', kind: 'oil', what: 'Change the oil', dueKm: (visit.km ?? 0) + 9000 }]
            : [],
      };
    }),
  );
  for (let at = 0; at < jobs.length; at += 2000) {
    const part = jobs.slice(at, at + 2000);
    await db.query(
      `INSERT INTO job (id, workshop_id, vehicle_id, number, opened_at, last_entry_at, entry_count, summary, visit,
                        follow_ups, content_hash)
       SELECT id, $1, vehicle, number, at, at, 0, $2, visit, follow_ups, ''
         FROM unnest($3::uuid[], $4::uuid[], $5::int[], $6::timestamptz[], $7::jsonb[], $8::jsonb[])
              AS t (id, vehicle, number, at, visit, follow_ups)`,
      [
        workshopId,
        SUMMARY,
        part.map(({ id }) => id),
        part.map(({ vehicle }) => vehicle),
        part.map(({ number }) => number),
        part.map(({ at: openedAt }) => openedAt),
        part.map(({ visit }) => JSON.stringify(visit)),
        part.map(({ followUps }) => JSON.stringify(followUps)),
      ],
    );
  }
  await db.query('ANALYZE');
  return jobs.map(({ id }) => id);
}

/** What the page asks for, all at a time, as it does; how long until the last of it is there. */
async function openPage({ address, client }: BenchServer): Promise<{ ms: number; page: FleetPage }> {
  const begin = performance.now();
  const ask = async (path: string): Promise<unknown> => {
    const answer = await fetch(`${address}/api/${path}`, { headers: { cookie: client.cookie } });
    if (!answer.ok) throw new Error(`${path}: ${answer.status}`);
    return answer.json();
  };
  const [page] = await Promise.all([ask('fleet'), ask('fleet/causes'), ask('tasks?withinDays=60')]);
  return { ms: performance.now() - begin, page: page as FleetPage };
}

/** The fleet page over many vehicles: the first time, when every outlook is still to be made, and from then on. */
export function measureFleet(root: string): Promise<Row[]> {
  return withBenchServer(root, 'fleet', async (server) => {
    const { db, workshopId } = server;
    const jobs = await fillFleet(db, workshopId);
    const first: number[] = [];
    const begin = performance.now();
    for (let waiting = 1; waiting > 0;) {
      const { ms, page } = await openPage(server);
      first.push(ms);
      waiting = page.waiting;
    }
    const cold = (performance.now() - begin) / 1000;
    const d = dice(7);
    const times: number[] = [];
    let seen = 0;
    for (let i = 0; i < PAGES; i++) {
      // Between two looks a visit changes somewhere, as work goes on.
      const job = jobs[Math.floor(d.between(0, jobs.length))];
      await db.query(
        `UPDATE job SET visit = jsonb_set(visit, '{km}', to_jsonb((visit->>'km')::float8 + 1)) WHERE id = $1`,
        [job],
      );
      const { ms, page } = await openPage(server);
      times.push(ms);
      seen = page.known;
    }
    const p95 = times.toSorted((a, b) => a - b)[Math.ceil(0.95 * PAGES) - 1] as number;
    const over = `${VEHICLES} vehicles and ${jobs.length} jobs`;
    return [
      {
        what: `Fleet page over ${over}, a visit changed before each of ${PAGES}`,
        measured: `p50 ${(median(times) ?? 0).toFixed(0)} ms, p95 ${p95.toFixed(0)} ms (${seen} outlooks known)`,
        against: `p95 at most ${P95_MS} ms`,
        ratio: p95 / P95_MS,
      },
      {
        what: `The same the first time, when every outlook is still to be made: ${first.length} answers, ${cold.toFixed(1)} s in all`,
        measured: `${(median(first) ?? 0).toFixed(0)} ms in the middle, the longest ${Math.max(...first).toFixed(0)} ms`,
        against: `each at most ${2 * P95_MS} ms`,
        ratio: Math.max(...first) / (2 * P95_MS),
      },
    ];
  });
}

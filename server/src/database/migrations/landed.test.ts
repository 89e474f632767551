import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import pg from 'pg';
import { describe, expect, it } from 'vitest';
import type { Job, JobListItem } from '@white-ember/core/contract';
import { sealOldSignOffs } from '../../jobs/seals.ts';
import { freshDatabase, startTestApp } from '../../testing/testApp.ts';
import { DEMO_PASSWORD } from '../../demo/demoWorld.ts';

const folder = import.meta.dirname;
const dumps = readdirSync(join(folder, 'landed')).filter((name) => name.endsWith('.sql.gz'));

/** A database as a version of the program left it, with a few of its jobs. */
async function restored(dump: string): Promise<string> {
  const url = await freshDatabase();
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  await client.query(gunzipSync(readFileSync(join(folder, 'landed', dump))).toString('utf8'));
  await client.end();
  return url;
}

describe.each(dumps)('a database of the state %s', (dump) => {
  it('is brought to today, and every page of it can be read', async () => {
    const app = await startTestApp({ demo: true }, await restored(dump));
    try {
      await sealOldSignOffs(app.db);
      const lead = app.client();
      expect((await lead.signIn('imke', DEMO_PASSWORD)).status).toBe(200);
      const read = async <T>(path: string): Promise<T> => {
        const { status, body } = await lead.get<T>(path);
        expect([path, status]).toEqual([path, 200]);
        return body;
      };
      const { jobs } = await read<{ jobs: JobListItem[] }>('/api/jobs?show=all&find=a');
      const all = (await read<{ jobs: JobListItem[] }>('/api/jobs?show=all')).jobs;
      expect([all.length, jobs.length > 0]).toEqual([4, true]);
      expect(all.filter(({ summary }) => summary.signedOff)).toHaveLength(2);
      for (const { id, summary } of all) {
        const { vehicle, seal, entries } = await read<Job>(`/api/jobs/${id}`);
        expect(entries.length).toBeGreaterThan(0);
        expect(seal !== undefined).toBe(summary.signedOff);
        for (const part of ['', '/outlook', '/history', '/family'])
          await read(`/api/vehicles/${vehicle.id}${part}`);
        await read(`/api/jobs/${id}/report.pdf`);
        await read(`/api/jobs/${id}/hand-over`);
      }
      for (const path of [
        'vehicles',
        'vehicles?find=a',
        'fleet',
        'fleet/causes',
        'tasks',
        'tasks.ics',
        'clocks',
      ])
        await read(`/api/${path}`);
      for (const path of [
        'limits',
        'filters',
        'customers',
        'fluids',
        'members',
        'readings.csv',
        'workshop/archive',
      ])
        await read(`/api/${path}`);
    } finally {
      await app.close();
    }
  });
});

/** Of what has landed nothing is changed again: a folder somewhere has run it as it is. */
const LANDED = {
  '1732400000000-Ground.ts': '3eb7b001b66babb7',
  '1764000000000-LogColumns.ts': 'b5a6372fe03b74cd',
  '1764200000000-Photos.ts': '1786affef6b3d13d',
  '1764300000000-Clocks.ts': '895dd1b304c832d0',
  '1764310000000-Fluids.ts': '419afe6761c7fba3',
  '1764320000000-FilterCatalyst.ts': '43f07e8d2ac17678',
  '1764330000000-HandOver.ts': 'c938f63489e4904f',
  '1764340000000-Visits.ts': 'a5097095ff1a6757',
  '1764350000000-Fleet.ts': '8d8b29423e5feed8',
  '1764360000000-Repair.ts': 'c33c0cb549a0ffa0',
  '1764361000000-LogFailures.ts': '9f750aa3d60fb14d',
  '1764362000000-Seals.ts': 'd83919fb9f2f6d8a',
  '1764363000000-Chain.ts': 'a48a190c23ee244b',
  '1764364000000-People.ts': 'a8dbdd8c52203f4e',
  '1764365000000-PhotoCopies.ts': 'c2dfeb957303613a',
  '1764366000000-Advice.ts': '3eb865a14439f0b4',
} as const;

it('no migration that has landed was changed', () => {
  const files = readdirSync(folder).filter((name) => /^\d+-\w+\.ts$/.test(name));
  const hashes = Object.fromEntries(
    files.map((name) => [
      name,
      createHash('sha256')
        .update(readFileSync(join(folder, name)))
        .digest('hex')
        .slice(0, 16),
    ]),
  );
  expect(hashes).toMatchObject(LANDED);
});

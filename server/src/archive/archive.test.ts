import { spawnSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { v7 as uuidv7 } from 'uuid';
import { describe, expect, it } from 'vitest';
import type { Job, Member } from '@white-ember/core/contract';
import type { VehicleOutlook } from '@white-ember/core/outlook';
import { madeReading } from '@white-ember/core/testing';
import { entry, makeWorkshop, PASSWORD, startTestApp } from '../testing/testApp.ts';
import { MANIFEST_NAME, tableFile, TABLE_NAMES } from './archiveFormat.ts';
import {
  contentOf,
  emptyInstallation,
  fetched,
  LOG,
  take,
  textOf,
  useArchivedWorkshop,
} from './testing/archivedWorkshop.ts';

const made = useArchivedWorkshop();

describe('an archive', () => {
  it('holds every table of the workshop and its raw files byte for byte, and nothing of another or of passwords', async () => {
    const content = await contentOf(made.archive);
    for (const table of TABLE_NAMES) expect(content.get(tableFile(table)), table).toBeTruthy();
    const raw = [...content].filter(([name]) => name.startsWith('files/')).map(([, text]) => text);
    const photo = await fetched(made.mine.lead, `/api/photos/${made.ids.photo}`);
    expect(raw.sort()).toEqual([Buffer.from(LOG), photo].map((b) => b.toString('base64')).sort());
    const all = [...content.values()].join('\n');
    expect(all).not.toMatch(/Not theirs|Otherford|argon2|password/);
  });

  it('taken into another installation gives the same archive again, and the same judgements', async () => {
    const { other, lead } = await emptyInstallation('Reedmere');
    try {
      const { status, body } = await take(lead, await fetched(made.mine.lead, '/api/workshop/archive'));
      expect(status).toBe(200);
      expect(body).toMatchObject({ vehicles: 1, jobs: 2, files: 2, people: 3, renamed: [], known: 0 });
      const [before, after] = [
        await contentOf(made.archive),
        await contentOf(await made.saved(lead, 'again.zip')),
      ];
      // Of the new installation its own first lead is in it, too.
      const own = after
        .get(tableFile('member'))
        ?.split('\n')
        .filter((line) => !line.includes('new-lead'));
      after.set(tableFile('member'), own?.join('\n') ?? '');
      after.set(MANIFEST_NAME, (after.get(MANIFEST_NAME) ?? '').replace('"member":4', '"member":3'));
      expect([...after.keys()].sort()).toEqual([...before.keys()].sort());
      for (const [name, text] of before) expect(after.get(name), name).toBe(text);

      const path = `/api/jobs/${made.mine.ids.job}`;
      const [here, there] = [await made.mine.lead.get<Job>(path), await lead.get<Job>(path)];
      expect(there.body.entries.every(({ imported }) => imported)).toBe(true);
      const unmarked = JSON.parse(JSON.stringify(there.body).replaceAll('"imported":true,', '')) as Job;
      expect(unmarked).toEqual(here.body);
      const outlook = `/api/vehicles/${made.mine.ids.vehicle}/outlook`;
      expect((await lead.get<VehicleOutlook>(outlook)).body).toEqual(
        (await made.mine.lead.get<VehicleOutlook>(outlook)).body,
      );
      const list = '/api/jobs?show=all';
      expect((await lead.get(list)).body).toEqual((await made.mine.lead.get(list)).body);
      expect(await fetched(lead, `/api/logs/${made.ids.log}/raw`)).toEqual(Buffer.from(LOG));
      // A photo that came from outside is made anew before it is shown.
      expect((await fetched(lead, `/api/photos/${made.ids.photo}`)).length).toBeGreaterThan(50);
      // The next job gets the number that it would have got there.
      const next = await lead.post<Job>('/api/jobs', {
        id: uuidv7(),
        vehicleId: made.mine.ids.vehicle,
        openedAt: new Date().toISOString(),
      });
      expect(next.body.number).toBe(3);
    } finally {
      await other.close();
    }
  });

  it('brings people without passwords: nobody signs in before a lead has set one', async () => {
    const { other, lead } = await emptyInstallation('Empty');
    try {
      await take(lead, await fetched(made.mine.lead, '/api/workshop/archive'));
      const technician = other.client();
      for (const password of [PASSWORD, '', ' '])
        expect((await technician.signIn('reedmere-technician', password)).status).toBeGreaterThanOrEqual(400);
      const people = (await lead.get<Member[]>('/api/members')).body;
      const them = people.find(({ signInName }) => signInName === 'reedmere-technician');
      expect(them?.maySignIn).toBe(false);
      const set = await lead.put<Member>(`/api/members/${them?.id ?? ''}/password`, { password: PASSWORD });
      expect(set.body.maySignIn).toBe(true);
      expect((await technician.signIn('reedmere-technician', PASSWORD)).status).toBe(200);
      // The name of the workshop came with it, as nothing was here before.
      expect((await technician.get<{ workshop: object }>('/api/session')).body.workshop).toMatchObject({
        name: 'Reedmere',
      });
      // A new password signs out whoever used the old one.
      await lead.put(`/api/members/${them?.id ?? ''}/password`, { password: 'another long word' });
      expect((await technician.get('/api/jobs')).status).toBe(401);
    } finally {
      await other.close();
    }
  });

  it('taken into the same workshop again changes nothing; what was lost since comes back', async () => {
    const bytes = await fetched(made.mine.lead, '/api/workshop/archive');
    const before = await contentOf(await made.saved(made.mine.lead, 'before.zip'));
    const { status, body } = await take(made.mine.lead, bytes);
    expect(status).toBe(200);
    expect(body.added).toBe(0);
    expect(await contentOf(await made.saved(made.mine.lead, 'same.zip'))).toEqual(before);
    await made.app.db.query('DELETE FROM channel_correction WHERE heading = $1', ['Kanal 7']);
    expect((await take(made.mine.lead, bytes)).body.added).toBe(1);
    expect(await contentOf(await made.saved(made.mine.lead, 'back.zip'))).toEqual(before);
  });
});

describe('the ledger, checked by the command line', () => {
  const verify = (...args: string[]): { status: number | null; stdout: string; stderr: string } =>
    spawnSync(join(import.meta.dirname, '../../../bin/white-ember'), ['verify-ledger', ...args], {
      encoding: 'utf8',
    });

  it('is sound in an archive and in a database', () => {
    const inArchive = verify(made.archive, '--json');
    expect([inArchive.status, inArchive.stderr]).toEqual([0, '']);
    expect(JSON.parse(inArchive.stdout)).toMatchObject({ jobs: 2, entries: 10, sound: true, faults: [] });
    const inDatabase = verify('--database', made.app.databaseUrl);
    expect(inDatabase.stdout).toMatch(/entries: all as they were stored/);
    expect(inDatabase.status).toBe(0);
  });

  it('names the line of an entry that was altered, and the entry that was altered in a database', async () => {
    await made.changed((files) => {
      const text = textOf(files, tableFile('entry'));
      files.set(tableFile('entry'), Buffer.from(text.replace('One fill', 'Two fills')));
    }, 'altered.zip');
    const { status, stdout } = verify(join(made.folder, 'altered.zip'));
    expect(status).toBe(1);
    expect(stdout).toMatch(/faults?\nline \d+: entry \S+ of job \S+ \(number 5\) is not what was stored/);
    const own = await startTestApp();
    try {
      const there = await makeWorkshop(own, 'Fourthwick');
      for (const text of ['a', 'b'])
        await there.technician.post(`/api/jobs/${there.ids.job}/entries`, entry({ kind: 'note', text }));
      // As somebody would who has the database itself.
      await own.db.query('ALTER TABLE entry DISABLE TRIGGER entry_append_only');
      await own.db.query(`UPDATE entry SET body = jsonb_set(body, '{text}', '"c"') WHERE seq = 1`);
      const altered = verify('--database', own.databaseUrl);
      expect([altered.status, altered.stdout]).toEqual([
        1,
        expect.stringMatching(/\(number 1\) is not what/),
      ]);
    } finally {
      await own.close();
    }
  });

  it('says in one line what is no archive and no database', () => {
    writeFileSync(join(made.folder, 'no.zip'), LOG);
    for (const args of [[join(made.folder, 'no.zip')], ['--database', 'postgres://127.0.0.1:1/x'], []]) {
      const { status, stdout, stderr } = verify(...args);
      expect([status, stdout]).toEqual([2, '']);
      expect(stderr.trim().split('\n')).toHaveLength(1);
    }
  });
});

describe('whoever leaves off', () => {
  it('does not keep the database waiting: as often as one likes', async () => {
    for (let i = 0; i < 25; i++) {
      const stop = new AbortController();
      const answer = await fetch(`${made.mine.lead.address}/api/workshop/archive`, {
        headers: { cookie: made.mine.lead.cookie },
        signal: stop.signal,
      });
      expect(answer.status).toBe(200);
      stop.abort();
    }
    expect((await made.mine.lead.get('/api/jobs')).status).toBe(200);
    await expect
      .poll(async () => {
        const [open] = await made.app.db.query<{ n: number }[]>(
          `SELECT count(*)::int AS n FROM pg_stat_activity WHERE datname = current_database() AND state LIKE 'idle in%'`,
        );
        return open?.n;
      })
      .toBe(0);
  });
});

describe('readings as a table', () => {
  it('has a row for each sample that counts, units in its headings, and nothing that runs as a formula', async () => {
    const formula = entry({ ...madeReading('before', { sootG: 30 }), note: '=SUM(A1:A9)' });
    await made.mine.technician.post(`/api/jobs/${made.mine.ids.job}/entries`, formula);
    const text = (await fetched(made.mine.viewer, '/api/readings.csv')).toString();
    const [head, ...lines] = text.trim().split('\n');
    expect(head).toMatch(/^plate,model,family,job,.*rpm,dp_mbar,/);
    const job = (await made.mine.viewer.get<Job>(`/api/jobs/${made.mine.ids.job}`)).body;
    const samples = job.entries.flatMap(({ body }) => (body.kind === 'reading' ? body.samples : []));
    expect(lines).toHaveLength(samples.length);
    const at = (head ?? '').split(',').indexOf('dp_mbar');
    expect(lines.map((line) => Number(line.split(',')[at]))).toEqual(samples.map(({ dpMbar }) => dpMbar));
    expect(text).toContain(`'=SUM(A1:A9)`);
    await made.mine.technician.post(
      `/api/jobs/${made.mine.ids.job}/entries`,
      entry({ kind: 'withdrawn', why: 'x' }, { supersedes: formula.id }),
    );
    const fewer = (
      await fetched(made.mine.viewer, `/api/readings.csv?vehicleId=${made.mine.ids.vehicle}`)
    ).toString();
    expect(fewer).not.toContain('SUM');
    expect(fewer.trim().split('\n').length).toBeLessThan(lines.length + 1);
  });
});

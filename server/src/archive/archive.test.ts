import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createWriteStream } from 'node:fs';
import { finished } from 'node:stream/promises';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { ZipFile } from 'yazl';
import { openZip } from '@white-ember/bounded';
import type { Job, Log, Member, Photo, Problem, TakenIn } from '@white-ember/core/contract';
import type { VehicleOutlook } from '@white-ember/core/outlook';
import type { Share } from '@white-ember/core/report';
import { madeReading } from '@white-ember/core/testing';
import type { TestClient } from '../testing/TestClient.ts';
import { madePhoto } from '../testing/madePhoto.ts';
import {
  entry,
  madeFluid,
  makeWorkshop,
  PASSWORD,
  startTestApp,
  type TestApp,
  type TestWorkshop,
} from '../testing/testApp.ts';
import { MANIFEST_NAME, tableFile, TABLE_NAMES } from './archiveFormat.ts';

const folder = mkdtempSync(join(tmpdir(), 'white-ember-archive-'));
const outbox = join(folder, 'outbox');
const LOG = new TextEncoder().encode(
  `time;rpm;dp\ns;rpm;mbar\n${Array.from({ length: 40 }, (_, i) => `${i};${800 + i};${5 + i / 10}`).join('\n')}\n`,
);
const PNG = await madePhoto();

let app: TestApp;
let mine: TestWorkshop;
let archive: string;
const ids = { log: '', photo: '' };

async function fetched(client: TestClient, path: string): Promise<Buffer> {
  const answer = await fetch(`${client.address}${path}`, { headers: { cookie: client.cookie } });
  expect(answer.status).toBe(200);
  return Buffer.from(await answer.arrayBuffer());
}
async function saved(client: TestClient, name: string): Promise<string> {
  const path = join(folder, name);
  writeFileSync(path, await fetched(client, '/api/workshop/archive'));
  return path;
}

/** What is in an archive, by file; the manifest without the moment at which it was made. */
async function contentOf(path: string): Promise<Map<string, string>> {
  const zip = await openZip(path);
  const content = new Map<string, string>();
  for (const name of zip.names) {
    const pieces: Buffer[] = [];
    for await (const piece of await zip.read(name)) pieces.push(piece as Buffer);
    const bytes = Buffer.concat(pieces);
    content.set(
      name,
      name === MANIFEST_NAME
        ? JSON.stringify({ ...(JSON.parse(bytes.toString()) as object), madeAt: '' })
        : bytes.toString(name.startsWith('files/') ? 'base64' : 'utf8'),
    );
  }
  zip.close();
  return content;
}

/** The archive again, with some of its files changed or left out. */
async function changed(change: (files: Map<string, Buffer>) => void, name: string): Promise<Buffer> {
  const files = new Map<string, Buffer>();
  for (const [file, text] of await contentOf(archive))
    files.set(file, Buffer.from(text, file.startsWith('files/') ? 'base64' : 'utf8'));
  const manifest = JSON.parse(files.get(MANIFEST_NAME)?.toString() ?? '') as object;
  files.set(MANIFEST_NAME, Buffer.from(JSON.stringify({ ...manifest, madeAt: '2026-05-11T08:00:00.000Z' })));
  change(files);
  const zip = new ZipFile();
  for (const [file, bytes] of files) zip.addBuffer(bytes, file);
  zip.end();
  const path = join(folder, name);
  const out = createWriteStream(path);
  zip.outputStream.pipe(out);
  await finished(out);
  const { readFileSync } = await import('node:fs');
  return readFileSync(path);
}
const textOf = (files: Map<string, Buffer>, name: string): string => files.get(name)?.toString() ?? '';

const take = (client: TestClient, bytes: Uint8Array) =>
  client.upload<TakenIn & Problem>('/api/workshop/archive', { name: 'archive.zip', bytes }, {});

/** Another installation with a workshop that is still empty. */
async function emptyInstallation(name: string): Promise<{ other: TestApp; lead: TestClient }> {
  const other = await startTestApp();
  const lead = other.client();
  await lead.get('/api/session');
  await lead.post('/api/first-run', {
    workshopId: uuidv7(),
    memberId: uuidv7(),
    workshopName: name,
    name: 'Lead',
    signInName: 'new-lead',
    password: PASSWORD,
  });
  return { other, lead };
}

beforeAll(async () => {
  app = await startTestApp({ outboxFolder: outbox, publicUrl: 'https://reports.reedmere.invalid' });
  mine = await makeWorkshop(app, 'Reedmere');
  const other = await makeWorkshop(app, 'Otherford');
  await other.technician.post(
    `/api/jobs/${other.ids.job}/entries`,
    entry({ kind: 'note', text: 'Not theirs' }),
  );
  const { technician, lead } = mine;
  const path = `/api/jobs/${mine.ids.job}`;
  ids.log = (await technician.upload<Log>(`${path}/logs`, { name: 'a log.csv', bytes: LOG })).body.id;
  ids.photo = (await technician.upload<Photo>(`${path}/photos`, { name: 'a.png', bytes: PNG })).body.id;
  const note = entry({ kind: 'note', text: 'Läuft “rund”, ΔP steht\n=HYPERLINK("x")' });
  for (const one of [
    entry({ kind: 'complaint', text: 'Lamp on', distanceKm: 142_300.5 }),
    entry(madeReading('before', { sootG: 30 })),
    note,
    entry({ kind: 'note', text: 'Corrected' }, { supersedes: note.id }),
    entry({ kind: 'work', work: 'chemical-clean', what: 'One fill' }),
    entry(madeReading('after', { sootG: 2 })),
    entry({ kind: 'photo', photo: ids.photo, caption: 'Inlet' }),
    entry({ kind: 'follow-up', what: 'Ring', due: '2026-06-01' }),
  ])
    expect((await technician.post(`${path}/entries`, one)).status).toBe(201);
  const second = uuidv7();
  await technician.post('/api/jobs', {
    id: second,
    vehicleId: mine.ids.vehicle,
    openedAt: new Date(Date.now() + 1000).toISOString(),
  });
  await technician.post(
    `/api/jobs/${second}/entries`,
    entry({ kind: 'complaint', text: 'Again', distanceKm: 151_000 }),
  );
  expect((await lead.post(`/api/jobs/${second}/entries`, entry({ kind: 'sign-off' }))).status).toBe(201);
  await technician.post('/api/fluids', madeFluid(uuidv7(), 'Fenwash'));
  await lead.post('/api/limits', {
    id: uuidv7(),
    family: 'Tarn 2.0',
    overrides: { dueRestrictionRatio: { value: 3.1, source: 'Seen' } },
  });
  await technician.put('/api/channel-corrections', { heading: 'Kanal 7', role: 'dpfDeltaP' });
  const share = { id: uuidv7(), version: 'plain', pressure: 'kPa', days: 30 };
  expect((await technician.post<Share>(`${path}/shares`, share)).status).toBe(201);
  expect(
    (await technician.post(`${path}/mails`, { ...share, id: uuidv7(), to: 'wren@reed.invalid' })).status,
  ).toBe(201);
  archive = await saved(lead, 'mine.zip');
});
afterAll(async () => {
  await app.close();
  rmSync(folder, { recursive: true });
});

describe('an archive', () => {
  it('holds every table of the workshop and its raw files byte for byte, and nothing of another or of passwords', async () => {
    const content = await contentOf(archive);
    for (const table of TABLE_NAMES) expect(content.get(tableFile(table)), table).toBeTruthy();
    const raw = [...content].filter(([name]) => name.startsWith('files/')).map(([, text]) => text);
    const photo = await fetched(mine.lead, `/api/photos/${ids.photo}`);
    expect(raw.sort()).toEqual([Buffer.from(LOG), photo].map((b) => b.toString('base64')).sort());
    const all = [...content.values()].join('\n');
    expect(all).not.toMatch(/Not theirs|Otherford|argon2|password/);
  });

  it('taken into another installation gives the same archive again, and the same judgements', async () => {
    const { other, lead } = await emptyInstallation('Reedmere');
    try {
      const { status, body } = await take(lead, await fetched(mine.lead, '/api/workshop/archive'));
      expect(status).toBe(200);
      expect(body).toMatchObject({ vehicles: 1, jobs: 2, files: 2, people: 3, renamed: [], known: 0 });
      const [before, after] = [await contentOf(archive), await contentOf(await saved(lead, 'again.zip'))];
      // Of the new installation its own first lead is in it, too.
      const own = after
        .get(tableFile('member'))
        ?.split('\n')
        .filter((line) => !line.includes('new-lead'));
      after.set(tableFile('member'), own?.join('\n') ?? '');
      after.set(MANIFEST_NAME, (after.get(MANIFEST_NAME) ?? '').replace('"member":4', '"member":3'));
      expect([...after.keys()].sort()).toEqual([...before.keys()].sort());
      for (const [name, text] of before) expect(after.get(name), name).toBe(text);

      const path = `/api/jobs/${mine.ids.job}`;
      const [here, there] = [await mine.lead.get<Job>(path), await lead.get<Job>(path)];
      expect(there.body.entries.every(({ imported }) => imported)).toBe(true);
      const unmarked = JSON.parse(JSON.stringify(there.body).replaceAll('"imported":true,', '')) as Job;
      expect(unmarked).toEqual(here.body);
      const outlook = `/api/vehicles/${mine.ids.vehicle}/outlook`;
      expect((await lead.get<VehicleOutlook>(outlook)).body).toEqual(
        (await mine.lead.get<VehicleOutlook>(outlook)).body,
      );
      const list = '/api/jobs?show=all';
      expect((await lead.get(list)).body).toEqual((await mine.lead.get(list)).body);
      expect(await fetched(lead, `/api/logs/${ids.log}/raw`)).toEqual(Buffer.from(LOG));
      // A photo that came from outside is made anew before it is shown.
      expect((await fetched(lead, `/api/photos/${ids.photo}`)).length).toBeGreaterThan(50);
      // The next job gets the number that it would have got there.
      const next = await lead.post<Job>('/api/jobs', {
        id: uuidv7(),
        vehicleId: mine.ids.vehicle,
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
      await take(lead, await fetched(mine.lead, '/api/workshop/archive'));
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
    const bytes = await fetched(mine.lead, '/api/workshop/archive');
    const before = await contentOf(await saved(mine.lead, 'before.zip'));
    const { status, body } = await take(mine.lead, bytes);
    expect(status).toBe(200);
    expect(body.added).toBe(0);
    expect(await contentOf(await saved(mine.lead, 'same.zip'))).toEqual(before);
    await app.db.query('DELETE FROM channel_correction WHERE heading = $1', ['Kanal 7']);
    expect((await take(mine.lead, bytes)).body.added).toBe(1);
    expect(await contentOf(await saved(mine.lead, 'back.zip'))).toEqual(before);
  });
});

describe('the ledger, checked by the command line', () => {
  const verify = (...args: string[]): { status: number | null; stdout: string; stderr: string } =>
    spawnSync(join(import.meta.dirname, '../../../bin/white-ember'), ['verify-ledger', ...args], {
      encoding: 'utf8',
    });

  it('is sound in an archive and in a database', () => {
    const inArchive = verify(archive, '--json');
    expect([inArchive.status, inArchive.stderr]).toEqual([0, '']);
    expect(JSON.parse(inArchive.stdout)).toMatchObject({ jobs: 2, entries: 10, sound: true, faults: [] });
    const inDatabase = verify('--database', app.databaseUrl);
    expect(inDatabase.stdout).toMatch(/entries: all as they were stored/);
    expect(inDatabase.status).toBe(0);
  });

  it('names the line of an entry that was altered, and the entry that was altered in a database', async () => {
    await changed((files) => {
      const text = textOf(files, tableFile('entry'));
      files.set(tableFile('entry'), Buffer.from(text.replace('One fill', 'Two fills')));
    }, 'altered.zip');
    const { status, stdout } = verify(join(folder, 'altered.zip'));
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
    writeFileSync(join(folder, 'no.zip'), LOG);
    for (const args of [[join(folder, 'no.zip')], ['--database', 'postgres://127.0.0.1:1/x'], []]) {
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
      const answer = await fetch(`${mine.lead.address}/api/workshop/archive`, {
        headers: { cookie: mine.lead.cookie },
        signal: stop.signal,
      });
      expect(answer.status).toBe(200);
      stop.abort();
    }
    expect((await mine.lead.get('/api/jobs')).status).toBe(200);
    await expect
      .poll(async () => {
        const [open] = await app.db.query<{ n: number }[]>(
          `SELECT count(*)::int AS n FROM pg_stat_activity WHERE datname = current_database() AND state LIKE 'idle in%'`,
        );
        return open?.n;
      })
      .toBe(0);
  });
});

describe('what is no archive, or not a whole one', () => {
  const refused = async (bytes: Uint8Array, words: RegExp): Promise<void> => {
    const { other, lead } = await emptyInstallation('Empty');
    try {
      const { status, body } = await take(lead, bytes);
      expect(status, JSON.stringify(body)).toBe(422);
      expect(`${body.title} ${body.detail ?? ''}`).toMatch(words);
      expect(JSON.stringify(body)).not.toMatch(/at .*\.ts|node_modules/);
      for (const table of ['vehicle', 'job', 'entry', 'blob', 'blob_chunk', 'customer'])
        expect(await other.db.query(`SELECT 1 FROM ${table}`), table).toEqual([]);
    } finally {
      await other.close();
    }
  };
  const swap = (name: string, from: string | RegExp, to: string) => (files: Map<string, Buffer>) => {
    const text = textOf(files, name);
    expect(text).toMatch(from);
    files.set(name, Buffer.from(text.replace(from, to)));
  };

  it.each<[string, (files: Map<string, Buffer>) => void, RegExp]>([
    [
      'a manifest of something else',
      swap(MANIFEST_NAME, /white-ember-workshop/, 'another'),
      /no archive of a workshop/,
    ],
    [
      'a manifest of a later version',
      swap(MANIFEST_NAME, '"version":2', '"version":3'),
      /Archives of versions 1 and 2/,
    ],
    ['a table that is missing', (files) => files.delete(tableFile('job')), /tables\/job\.jsonl is missing/],
    ['rows that were cut off', swap(tableFile('entry'), /[^\n]*\n$/, ''), /instead of \d+: it was cut short/],
    ['a line that is no JSON', swap(tableFile('vehicle'), /^\{/, ''), /vehicle\.jsonl, line 1: is no JSON/],
    ['a column that nobody knows', swap(tableFile('vehicle'), /^\{/, '{"secret": 1, '), /line 1: .*secret/],
    [
      'an entry that was altered',
      swap(tableFile('entry'), 'One fill', 'Two fills'),
      /entry\.jsonl, line \d+: entry .* is not what was stored/,
    ],
    [
      'an entry that was put in',
      (files) => {
        const text = textOf(files, tableFile('entry'));
        const [line = ''] = text.split('\n');
        const { job_id, seq } = JSON.parse(line) as { job_id: string; seq: number };
        const more = text.replace(
          line,
          `${line}\n${line.replace(/"id": "[^"]+"/, `"id": "${uuidv7()}"`).replace(/"seq": \d+/, `"seq": ${seq + 1}`)}`,
        );
        files.set(tableFile('entry'), Buffer.from(more));
        expect(job_id).toBeTruthy();
      },
      /entry\.jsonl, line 2: entry .* is not what was stored/,
    ],
    [
      'a job whose last entry was cut off, and the count with it',
      (files) => {
        const lines = textOf(files, tableFile('entry')).trim().split('\n');
        files.set(tableFile('entry'), Buffer.from(`${lines.slice(0, -1).join('\n')}\n`));
        const manifest = textOf(files, MANIFEST_NAME);
        files.set(
          MANIFEST_NAME,
          Buffer.from(manifest.replace(`"entry":${lines.length}`, `"entry":${lines.length - 1}`)),
        );
      },
      /job\.jsonl, line \d+: job .* has \d+ entries instead of \d+/,
    ],
    [
      'an entry of no kind',
      swap(tableFile('entry'), /"kind": "complaint"/, '"kind": "rumour"'),
      /entry\.jsonl, line \d+: body/,
    ],
    [
      'a raw file that was changed',
      (files) => {
        const name = [...files.keys()].find((one) => one.startsWith('files/')) ?? '';
        files.set(name, Buffer.concat([files.get(name) ?? Buffer.of(), Buffer.of(1)]));
      },
      /is not what was put into the archive/,
    ],
    [
      'a raw file that is missing',
      (files) => {
        files.delete([...files.keys()].find((one) => one.startsWith('files/')) ?? '');
      },
      /files\/.* is missing/,
    ],
    [
      'a job of a vehicle that is not in it',
      swap(tableFile('job'), /"vehicle_id": "[^"]+"/, `"vehicle_id": "${uuidv7()}"`),
      /names another that is not in the archive/,
    ],
  ])('%s is refused by its place, and nothing is kept', async (what, change, words) => {
    await refused(await changed(change, `${what}.zip`), words);
  });

  it('a file that is no zip, a half of one, and an empty one', async () => {
    const bytes = await fetched(mine.lead, '/api/workshop/archive');
    await refused(LOG, /no zip, or it was cut short/);
    await refused(bytes.subarray(0, Math.floor(bytes.length / 2)), /no zip, or it was cut short/);
    await refused(new Uint8Array(0), /no zip, or it was cut short/);
  });

  it('rows of another workshop of the installation are not taken over, nor named by what is brought in', async () => {
    const other = await makeWorkshop(app, 'Thirdham');
    const whole = await take(other.lead, await fetched(mine.lead, '/api/workshop/archive'));
    expect(whole.status).toBe(409);
    expect(whole.body.detail).toMatch(/is here already, in another workshop or with other content/);
    const fresh = (text: string): string =>
      text.replaceAll(/01[0-9a-f]{6}-[0-9a-f]{4}-7[0-9a-f-]{18,}/g, (id) =>
        id === mine.ids.vehicle ? id : `${id.slice(0, -1)}${id.endsWith('0') ? '1' : '0'}`,
      );
    const stolen = await changed((files) => {
      for (const [name, bytes] of [...files]) {
        files.delete(name);
        const text = fresh(bytes.toString()).replaceAll(/"number": (\d)/g, '"number": 10$1');
        files.set(fresh(name), name.startsWith('files/') ? bytes : Buffer.from(text));
      }
      // Without its ledger, whose links would tell first. Its vehicle is left out, and its job names the one of the other workshop.
      for (const table of ['vehicle', 'entry', 'job_seal'] as const) files.set(tableFile(table), Buffer.of());
      files.set(
        tableFile('job'),
        Buffer.from(textOf(files, tableFile('job')).replaceAll(/"entry_count": \d+/g, '"entry_count": 0')),
      );
      files.set(
        MANIFEST_NAME,
        Buffer.from(
          textOf(files, MANIFEST_NAME).replaceAll(
            /"(vehicle|entry|job_seal)":\d+/g,
            (_all, table) => `"${String(table)}":0`,
          ),
        ),
      );
      files.set(
        tableFile('member'),
        Buffer.from(textOf(files, tableFile('member')).replaceAll('reedmere', 'thirdham-2')),
      );
    }, 'stolen.zip');
    const answer = await take(other.lead, stolen);
    expect(answer.status, JSON.stringify(answer.body)).toBe(422);
    expect(answer.body.detail).toMatch(/names a vehicle that is not in the archive/);
  });

  it('people whose sign-in name somebody else has get another one, and it is said', async () => {
    const other = await startTestApp();
    try {
      const lead = other.client();
      await lead.get('/api/session');
      await lead.post('/api/first-run', {
        workshopId: uuidv7(),
        memberId: uuidv7(),
        workshopName: 'Again',
        name: 'Lead',
        signInName: 'Reedmere-Lead',
        password: PASSWORD,
      });
      const { body } = await take(lead, await fetched(mine.lead, '/api/workshop/archive'));
      expect(body.renamed).toEqual([
        {
          name: 'Lead of Reedmere',
          signInName: expect.stringMatching(/^reedmere-lead-[0-9a-f]{6}$/) as string,
        },
      ]);
    } finally {
      await other.close();
    }
  });
});

describe('readings as a table', () => {
  it('has a row for each sample that counts, units in its headings, and nothing that runs as a formula', async () => {
    const formula = entry({ ...madeReading('before', { sootG: 30 }), note: '=SUM(A1:A9)' });
    await mine.technician.post(`/api/jobs/${mine.ids.job}/entries`, formula);
    const text = (await fetched(mine.viewer, '/api/readings.csv')).toString();
    const [head, ...lines] = text.trim().split('\n');
    expect(head).toMatch(/^plate,model,family,job,.*rpm,dp_mbar,/);
    const job = (await mine.viewer.get<Job>(`/api/jobs/${mine.ids.job}`)).body;
    const samples = job.entries.flatMap(({ body }) => (body.kind === 'reading' ? body.samples : []));
    expect(lines).toHaveLength(samples.length);
    const at = (head ?? '').split(',').indexOf('dp_mbar');
    expect(lines.map((line) => Number(line.split(',')[at]))).toEqual(samples.map(({ dpMbar }) => dpMbar));
    expect(text).toContain(`'=SUM(A1:A9)`);
    await mine.technician.post(
      `/api/jobs/${mine.ids.job}/entries`,
      entry({ kind: 'withdrawn', why: 'x' }, { supersedes: formula.id }),
    );
    const fewer = (await fetched(mine.viewer, `/api/readings.csv?vehicleId=${mine.ids.vehicle}`)).toString();
    expect(fewer).not.toContain('SUM');
    expect(fewer.trim().split('\n').length).toBeLessThan(lines.length + 1);
  });
});

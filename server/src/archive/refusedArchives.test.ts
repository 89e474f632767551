import { v7 as uuidv7 } from 'uuid';
import { describe, expect, it } from 'vitest';
import { makeWorkshop, PASSWORD, startTestApp } from '../testing/testApp.ts';
import { MANIFEST_NAME, tableFile } from './archiveFormat.ts';
import {
  emptyInstallation,
  fetched,
  LOG,
  take,
  textOf,
  useArchivedWorkshop,
} from './testing/archivedWorkshop.ts';

const made = useArchivedWorkshop();

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
    await refused(await made.changed(change, `${what}.zip`), words);
  });

  it('a file that is no zip, a half of one, and an empty one', async () => {
    const bytes = await fetched(made.mine.lead, '/api/workshop/archive');
    await refused(LOG, /no zip, or it was cut short/);
    await refused(bytes.subarray(0, Math.floor(bytes.length / 2)), /no zip, or it was cut short/);
    await refused(new Uint8Array(0), /no zip, or it was cut short/);
  });

  it('rows of another workshop of the installation are not taken over, nor named by what is brought in', async () => {
    const other = await makeWorkshop(made.app, 'Thirdham');
    const whole = await take(other.lead, await fetched(made.mine.lead, '/api/workshop/archive'));
    expect(whole.status).toBe(409);
    expect(whole.body.detail).toMatch(/is here already, in another workshop or with other content/);
    const fresh = (text: string): string =>
      text.replaceAll(/01[0-9a-f]{6}-[0-9a-f]{4}-7[0-9a-f-]{18,}/g, (id) =>
        id === made.mine.ids.vehicle ? id : `${id.slice(0, -1)}${id.endsWith('0') ? '1' : '0'}`,
      );
    const stolen = await made.changed((files) => {
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
      const { body } = await take(lead, await fetched(made.mine.lead, '/api/workshop/archive'));
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

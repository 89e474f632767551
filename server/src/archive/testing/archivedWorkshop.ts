import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { createWriteStream } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { finished } from 'node:stream/promises';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, expect } from 'vitest';
import { ZipFile } from 'yazl';
import { openZip } from '@white-ember/bounded';
import type { Log, Photo, Problem, TakenIn } from '@white-ember/core/contract';
import type { Share } from '@white-ember/core/report';
import { madeReading } from '@white-ember/core/testing';
import type { TestClient } from '../../testing/TestClient.ts';
import { madePhoto } from '../../testing/madePhoto.ts';
import {
  entry,
  madeFluid,
  makeWorkshop,
  PASSWORD,
  startTestApp,
  type TestApp,
  type TestWorkshop,
} from '../../testing/testApp.ts';
import { MANIFEST_NAME } from '../archiveFormat.ts';

export const LOG = new TextEncoder().encode(
  `time;rpm;dp\ns;rpm;mbar\n${Array.from({ length: 40 }, (_, i) => `${i};${800 + i};${5 + i / 10}`).join('\n')}\n`,
);

export async function fetched(client: TestClient, path: string): Promise<Buffer> {
  const answer = await fetch(`${client.address}${path}`, { headers: { cookie: client.cookie } });
  expect(answer.status).toBe(200);
  return Buffer.from(await answer.arrayBuffer());
}

/** What is in an archive, by file; the manifest without the moment at which it was made. */
export async function contentOf(path: string): Promise<Map<string, string>> {
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

export const textOf = (files: Map<string, Buffer>, name: string): string => files.get(name)?.toString() ?? '';

export const take = (client: TestClient, bytes: Uint8Array) =>
  client.upload<TakenIn & Problem>('/api/workshop/archive', { name: 'archive.zip', bytes }, {});

/** Another installation with a workshop that is still empty. */
export async function emptyInstallation(name: string): Promise<{ other: TestApp; lead: TestClient }> {
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

/** A workshop with one of everything, beside another one, and its archive in a folder that goes when the tests of the file are over. */
export function useArchivedWorkshop() {
  const folder = mkdtempSync(join(tmpdir(), 'white-ember-archive-'));
  const made = {
    folder,
    app: {} as TestApp,
    mine: {} as TestWorkshop,
    archive: '',
    ids: { log: '', photo: '' },
    saved: async (client: TestClient, name: string): Promise<string> => {
      const path = join(folder, name);
      writeFileSync(path, await fetched(client, '/api/workshop/archive'));
      return path;
    },
    /** The archive again, with some of its files changed or left out. */
    changed: async (change: (files: Map<string, Buffer>) => void, name: string): Promise<Buffer> => {
      const files = new Map<string, Buffer>();
      for (const [file, text] of await contentOf(made.archive))
        files.set(file, Buffer.from(text, file.startsWith('files/') ? 'base64' : 'utf8'));
      const manifest = JSON.parse(files.get(MANIFEST_NAME)?.toString() ?? '') as object;
      files.set(
        MANIFEST_NAME,
        Buffer.from(JSON.stringify({ ...manifest, madeAt: '2026-05-11T08:00:00.000Z' })),
      );
      change(files);
      const zip = new ZipFile();
      for (const [file, bytes] of files) zip.addBuffer(bytes, file);
      zip.end();
      const path = join(folder, name);
      const out = createWriteStream(path);
      zip.outputStream.pipe(out);
      await finished(out);
      return readFile(path);
    },
  };

  beforeAll(async () => {
    made.app = await startTestApp({
      outboxFolder: join(folder, 'outbox'),
      publicUrl: 'https://reports.reedmere.invalid',
    });
    made.mine = await makeWorkshop(made.app, 'Reedmere');
    const { app, mine, ids } = made;
    const other = await makeWorkshop(app, 'Otherford');
    await other.technician.post(
      `/api/jobs/${other.ids.job}/entries`,
      entry({ kind: 'note', text: 'Not theirs' }),
    );
    const { technician, lead } = mine;
    const path = `/api/jobs/${mine.ids.job}`;
    ids.log = (await technician.upload<Log>(`${path}/logs`, { name: 'a log.csv', bytes: LOG })).body.id;
    ids.photo = (
      await technician.upload<Photo>(`${path}/photos`, { name: 'a.png', bytes: await madePhoto() })
    ).body.id;
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
    made.archive = await made.saved(lead, 'mine.zip');
  });
  afterAll(async () => {
    await made.app.close();
    rmSync(folder, { recursive: true });
  });
  return made;
}

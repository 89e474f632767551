import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { request } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Log, Problem } from '@white-ember/core/contract';
import { sampleBytes } from '@white-ember/core/testing';
import { makeWorkshop, startTestApp, type TestApp, type TestWorkshop } from '../testing/testApp.ts';
import type { Answer, TestClient } from '../testing/TestClient.ts';

const BYTES = Buffer.from(sampleBytes('sample1-healthy.csv'));
const TUS = { 'tus-resumable': '1.0.0' };
const folder = mkdtempSync(join(tmpdir(), 'white-ember-kept-'));

let app: TestApp;
let workshop: TestWorkshop;
beforeAll(async () => {
  app = await startTestApp({ uploadFolder: folder });
  workshop = await makeWorkshop(app, 'Reedmere');
});
afterAll(async () => {
  await app.close();
  rmSync(folder, { recursive: true });
});

async function begin(client: TestClient, bytes = BYTES.length): Promise<string> {
  const { status, headers } = await client.send('POST', '/api/uploads', undefined, {
    ...TUS,
    'upload-length': String(bytes),
  });
  expect(status).toBe(201);
  return headers.get('location') ?? '';
}

const arrived = async (client: TestClient, address: string): Promise<number> =>
  Number((await client.send('HEAD', address, undefined, TUS)).headers.get('upload-offset'));

const pieceHeaders = (offset: number): Record<string, string> => ({
  ...TUS,
  'upload-offset': String(offset),
  'content-type': 'application/offset+octet-stream',
});

const send = (client: TestClient, address: string, offset: number, piece: Buffer): Promise<Answer> =>
  client.send('PATCH', address, new Blob([new Uint8Array(piece)]), pieceHeaders(offset));

const keep = (client: TestClient, address: string, id = uuidv7()): Promise<Answer<Log & Problem>> =>
  client.post(`/api/jobs/${workshop.ids.job}/logs`, {
    upload: { id: address.split('/').at(-1), name: 'größer.csv' },
    fields: { id },
  });

/** A connection that breaks after some bytes, as a van drives into a tunnel. */
const sendAndBreak = ({ address, cookie, token }: TestClient, path: string, bytes: number): Promise<void> =>
  new Promise((resolve) => {
    const req = request(`${address}${path}`, {
      method: 'PATCH',
      headers: { ...pieceHeaders(0), cookie, 'x-csrf-token': token, 'content-length': BYTES.length },
    });
    req.on('error', () => resolve());
    req.write(BYTES.subarray(0, bytes), () => setTimeout(() => req.destroy(), 200));
  });

describe('a file that comes in pieces', () => {
  it('goes on where the connection broke, is stored byte for byte under its name, and leaves nothing', async () => {
    const { technician } = workshop;
    const address = await begin(technician);
    await sendAndBreak(technician, address, 20_000);
    await expect.poll(() => arrived(technician, address)).toBe(20_000);
    expect((await send(technician, address, 20_000, BYTES.subarray(20_000))).status).toBe(204);
    const id = uuidv7();
    const { status, body } = await keep(technician, address, id);
    expect([status, body.fileName]).toEqual([201, 'größer.csv']);
    const raw = await fetch(`${app.address}/api/logs/${id}/raw`, { headers: { cookie: technician.cookie } });
    expect(Buffer.compare(Buffer.from(await raw.arrayBuffer()), BYTES)).toBe(0);
    expect(readdirSync(folder).filter((name) => address.includes(name.replace('.json', '')))).toEqual([]);
  });

  it('keeps what has arrived when it is asked for too early', async () => {
    const { technician } = workshop;
    const address = await begin(technician);
    await send(technician, address, 0, BYTES.subarray(0, 20_000));
    const early = await keep(technician, address);
    expect(early.status).toBe(409);
    expect(early.body.detail).toBe(`20000 of ${BYTES.length} bytes are here.`);
    expect((await send(technician, address, 20_000, BYTES.subarray(20_000))).status).toBe(204);
    expect((await keep(technician, address)).status).toBe(201);
  });

  it('is nobody else’s, not even a lead’s of the same workshop', async () => {
    const address = await begin(workshop.technician);
    expect((await workshop.lead.send('HEAD', address, undefined, TUS)).status).toBe(404);
    expect((await send(workshop.lead, address, 0, BYTES)).status).toBe(404);
    expect((await keep(workshop.lead, address)).status).toBe(404);
    expect((await workshop.lead.send('DELETE', address, undefined, TUS)).status).toBe(404);
    expect(await arrived(workshop.technician, address)).toBe(0);
  });

  it('is refused when it begins, where it is too large or there is no room', async () => {
    const ofSize = (client: TestClient, bytes: number): Promise<Answer> =>
      client.send('POST', '/api/uploads', undefined, { ...TUS, 'upload-length': String(bytes) });
    expect((await ofSize(workshop.technician, 6 * 1024 * 1024)).status).toBe(413);
    expect((await ofSize(workshop.lead, 6 * 1024 * 1024)).status).toBe(201);
    const roomy = await startTestApp({ maxUploadBytes: 1e15, uploadFolder: folder }, app.databaseUrl);
    try {
      const client = roomy.client();
      await client.signIn('reedmere-technician', 'a long enough word');
      const refused = await ofSize(client, 9e14);
      expect(refused.status).toBe(507);
      expect((JSON.parse(String(refused.body)) as Problem).detail).toMatch(/\d+ MB are missing/);
    } finally {
      await roomy.close();
    }
  });

  it.each([
    ['an address outside the folder', '..%2f..%2fetc%2fpasswd'],
    ['an address of no upload', `${uuidv7()}.${'0'.repeat(32)}`],
  ])('answers %s without a look at the disk', async (_what, id) => {
    const { status } = await workshop.technician.send('HEAD', `/api/uploads/${id}`, undefined, TUS);
    expect([400, 404]).toContain(status);
  });
});

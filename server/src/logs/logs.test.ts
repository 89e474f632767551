import { readdirSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Log, Problem } from '@white-ember/core/contract';
import { sampleBytes } from '@white-ember/core/testing';
import { makeWorkshop, startTestApp, type TestApp, type TestWorkshop } from '../testing/testApp.ts';

let app: TestApp;
let workshop: TestWorkshop;
const MEGABYTE = 1024 * 1024;
beforeAll(async () => {
  app = await startTestApp({ maxUploadBytes: 3 * MEGABYTE });
  workshop = await makeWorkshop(app, 'Reedmere');
});
afterAll(() => app.close());

const path = (): string => `/api/jobs/${workshop.ids.job}/logs`;
const stored = async (): Promise<string> =>
  JSON.stringify(
    await app.db.query(
      'SELECT (SELECT count(*) FROM log) l, (SELECT count(*) FROM blob) b, (SELECT count(*) FROM blob_chunk) c',
    ),
  );
const inTemp = (): number => readdirSync(tmpdir()).filter((name) => /^[0-9a-f]{32}$/.test(name)).length;

const rawBytes = async (id: string): Promise<Uint8Array> => {
  const answer = await fetch(`${app.address}/api/logs/${id}/raw`, {
    headers: { cookie: workshop.viewer.cookie },
  });
  return new Uint8Array(await answer.arrayBuffer());
};

describe('a recorded file', () => {
  it.each(['sample2-soot-blocked.csv', 'sample7-regeneration-drive.log'])(
    'is kept byte for byte: %s',
    async (name) => {
      const bytes = sampleBytes(name);
      const { status, body } = await workshop.technician.upload<Log>(path(), { name, bytes });
      expect(status).toBe(201);
      expect(body).toMatchObject({ fileName: name, sizeBytes: bytes.length });
      expect(Buffer.compare(await rawBytes(body.id), bytes)).toBe(0);
    },
  );

  it('of several chunks comes back whole', async () => {
    const bytes = new TextEncoder().encode('Time (s),RPM (rpm)\n' + '1.0,820\n'.repeat(330_000));
    expect(bytes.length).toBeGreaterThan(2 * MEGABYTE);
    const { body } = await workshop.technician.upload<Log>(path(), { name: 'long.csv', bytes });
    expect(Buffer.compare(await rawBytes(body.id), bytes)).toBe(0);
  });

  it('is stored once when it is sent twice, and refused as another under the same id', async () => {
    const id = uuidv7();
    const bytes = sampleBytes('sample1-healthy.csv');
    const first = await workshop.technician.upload<Log>(path(), { name: 'a.csv', bytes }, { id });
    const before = await stored();
    const second = await workshop.technician.upload<Log>(path(), { name: 'a.csv', bytes }, { id });
    expect(second.body).toEqual(first.body);
    const other = await workshop.technician.upload(
      path(),
      { name: 'a.csv', bytes: sampleBytes('sample3-intake-leak.tsv') },
      { id },
    );
    expect(other.status).toBe(409);
    expect(await stored()).toBe(before);
  });

  it('is downloaded as a file, never opened as a page', async () => {
    const { body } = await workshop.technician.upload<Log>(path(), {
      name: '<b>x</b>"; evil.csv',
      bytes: sampleBytes('sample1-healthy.csv'),
    });
    expect(body.fileName).not.toMatch(/[<>]/);
    const answer = await fetch(`${app.address}/api/logs/${body.id}/raw`, {
      headers: { cookie: workshop.viewer.cookie },
    });
    await answer.arrayBuffer();
    expect(answer.headers.get('content-type')).toBe('application/octet-stream');
    expect(answer.headers.get('content-disposition')).toMatch(/^attachment/);
    expect(answer.headers.get('x-content-type-options')).toBe('nosniff');
  });
});

describe('a wrong file is refused clearly and leaves nothing', () => {
  const PICTURE = Uint8Array.from([0x89, 0x50, 0x4e, 0x47, 13, 10, 26, 10, 0, 0]);
  it.each([
    [
      'a picture that calls itself .csv',
      { name: 'log.csv', bytes: PICTURE },
      422,
      /a picture, not a recorded log/,
    ],
    ['an empty file', { name: 'log.csv', bytes: new Uint8Array() }, 422, /is empty/],
    [
      'one over the limit',
      { name: 'big.csv', bytes: new Uint8Array(4 * MEGABYTE).fill(49) },
      413,
      /over the limit/,
    ],
  ])('%s', async (_name, file, status, detail) => {
    const before = await stored();
    const tempBefore = inTemp();
    const answer = await workshop.technician.upload<Problem>(path(), file);
    expect(answer.status).toBe(status);
    expect(answer.body.detail).toMatch(detail);
    expect(await stored()).toBe(before);
    expect(inTemp()).toBe(tempBefore);
  });

  it('no file, no id, or a job that is not there', async () => {
    const before = await stored();
    const noFile = await workshop.technician.post<Problem>(path(), {});
    expect(noFile.status).toBe(400);
    const noId = await workshop.technician.upload(
      path(),
      { name: 'a.csv', bytes: sampleBytes('sample1-healthy.csv') },
      {},
    );
    expect(noId.status).toBe(400);
    const noJob = await workshop.technician.upload(`/api/jobs/${uuidv7()}/logs`, {
      name: 'a.csv',
      bytes: sampleBytes('sample1-healthy.csv'),
    });
    expect(noJob.status).toBe(404);
    expect(await stored()).toBe(before);
  });
});

import { inflateSync } from 'node:zlib';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { ChannelCorrection, Log, Problem } from '@white-ember/core/contract';
import { valueOf } from '@white-ember/core/quantities';
import {
  analyseLog,
  analyseRaw,
  fromPlanes,
  PART_NUMBERS,
  packedHeaderSchema,
  readLog,
  unpackLog,
  type RawLog,
} from '@white-ember/core/readings';
import { EXPECTED_LOGS, sampleBytes } from '@white-ember/core/testing';
import { makeWorkshop, startTestApp, type TestApp, type TestWorkshop } from '../testing/testApp.ts';

let app: TestApp;
let workshop: TestWorkshop;
beforeAll(async () => {
  app = await startTestApp({ maxUploadBytes: 30 * 1024 * 1024 });
  workshop = await makeWorkshop(app, 'Reedmere');
});
afterAll(() => app.close());

async function upload(bytes: Uint8Array, name = 'a.csv'): Promise<string> {
  const { body } = await workshop.technician.upload<Log>(`/api/jobs/${workshop.ids.job}/logs`, {
    name,
    bytes,
  });
  return body.id;
}

/** What another device makes of the columns that the server sends. */
async function columnsOf(id: string): Promise<{ log: RawLog; sentBytes: number }> {
  const answer = await fetch(`${app.address}/api/logs/${id}/columns`, {
    headers: { cookie: workshop.viewer.cookie },
  });
  expect(answer.status).toBe(200);
  const bytes = Buffer.from(await answer.arrayBuffer());
  let at = 0;
  const next = (): Buffer => {
    const size = bytes.readUInt32LE(at);
    at += 4 + size;
    return bytes.subarray(at - size, at);
  };
  const header = packedHeaderSchema.parse(JSON.parse(next().toString()));
  const arrays = header.lengths.map((length) => {
    const array = new Float64Array(length);
    for (let offset = 0; offset < length; offset += PART_NUMBERS)
      fromPlanes(inflateSync(next()), array, offset);
    return array;
  });
  expect(at).toBe(bytes.length);
  return { log: unpackLog(header, arrays), sentBytes: bytes.length };
}

describe('the columns of a stored log', () => {
  it('may fail to be made after the file was kept: nobody is the worse for it, and they are made when asked for', async () => {
    await app.db.query('ALTER TABLE log_column_part RENAME TO log_column_part_away');
    const id = await upload(sampleBytes('sample1-healthy.csv'));
    // A fault in the background that nobody caught would end the process, and this test with it.
    await new Promise((later) => setTimeout(later, 1500));
    await app.db.query('ALTER TABLE log_column_part_away RENAME TO log_column_part');
    expect((await columnsOf(id)).log.columns.length).toBeGreaterThan(5);
  });

  it.each(EXPECTED_LOGS.map(({ file }) => file))(
    'are those that the reader makes of the raw file: %s',
    async (file) => {
      const { log, sentBytes } = await columnsOf(await upload(sampleBytes(file), file));
      expect(log).toEqual(valueOf(await readLog(sampleBytes(file))));
      expect(sentBytes).toBeLessThan(0.7 * sampleBytes(file).length);
      const again = analyseRaw(log, { displacementL: 2 });
      expect(again.analysis).toEqual(
        valueOf(await analyseLog(sampleBytes(file), { displacementL: 2 })).analysis,
      );
    },
  );

  it('of a long log lie in parts, and come back whole', async () => {
    const lines = Array.from({ length: 150_000 }, (_, i) => `${i / 10},${800 + (i % 40)}`);
    const { log } = await columnsOf(
      await upload(new TextEncoder().encode(`Time (s),RPM (rpm)\n${lines.join('\n')}\n`)),
    );
    expect(log.columns[0]?.values).toHaveLength(150_000);
    expect(log.columns[0]?.values[149_999]).toBe(800 + (149_999 % 40));
  });

  it('are made once, also where several ask at the same time, and anew by a newer reader', async () => {
    const id = await upload(sampleBytes('sample1-healthy.csv'));
    await Promise.all([columnsOf(id), columnsOf(id), columnsOf(id)]);
    const [made] = await app.db.query<{ n: string; made: Date }[]>(
      'SELECT count(*) AS n, max(made_at) AS made FROM log_columns WHERE log_id = $1',
      [id],
    );
    expect(made?.n).toBe('1');
    await app.db.query('UPDATE log_columns SET reader_version = 0, header = $2 WHERE log_id = $1', [
      id,
      'of an old reader',
    ]);
    expect((await columnsOf(id)).log.columns.length).toBeGreaterThan(10);
  });

  it('are refused with the reason where the file is no log, and the file stays', async () => {
    const id = await upload(
      new TextEncoder().encode('The filter is blocked\nI think it is the sensor\n'),
      'note.txt',
    );
    const answer = await workshop.viewer.get<Problem>(`/api/logs/${id}/columns`);
    expect(answer.status).toBe(422);
    expect(answer.body.detail).toMatch(/not a table.*The file itself is kept/);
    expect((await workshop.viewer.get(`/api/logs/${id}/raw`)).status).toBe(200);
    expect((await workshop.viewer.get(`/api/logs/${uuidv7()}/columns`)).status).toBe(404);
  });
});

describe('what a workshop said of a heading', () => {
  const all = async (): Promise<ChannelCorrection[]> =>
    (await workshop.viewer.get<ChannelCorrection[]>('/api/channel-corrections')).body;
  it('is remembered, changed and forgotten', async () => {
    const put = (body: unknown) => workshop.technician.put<Problem>('/api/channel-corrections', body);
    expect((await put({ heading: 'Kanal 7', role: 'dpfDeltaP' })).status).toBe(200);
    expect((await put({ heading: '__proto__', role: '' })).status).toBe(200);
    expect((await put({ heading: 'Kanal 7', role: 'egt3' })).status).toBe(200);
    expect(await all()).toEqual([
      { heading: 'Kanal 7', role: 'egt3' },
      { heading: '__proto__', role: '' },
    ]);
    expect((await put({ heading: 'Kanal 7' })).status).toBe(200);
    expect((await all()).map(({ heading }) => heading)).toEqual(['__proto__']);
    const unknown = await put({ heading: 'Kanal 8', role: 'flux' });
    expect([unknown.status, unknown.body.detail ?? JSON.stringify(unknown.body)]).toEqual([
      400,
      expect.stringMatching(/not one that is known/),
    ]);
    expect((await put({ heading: '', role: 'egt3' })).status).toBe(400);
  });

  it('is taken over from a file, all or none, the last word on a heading counting', async () => {
    const before = await all();
    const post = (corrections: unknown) =>
      workshop.technician.post<Problem & { taken?: number }>('/api/channel-corrections', { corrections });
    const many = Array.from({ length: 1200 }, (_, i) => ({ heading: `Signal ${i}`, role: 'egt1' }));
    for (const wrong of [
      [],
      'all',
      [...many, { heading: 'Signal 9', role: 'flux' }],
      [...many, ...many, ...many, ...many, ...many],
    ])
      expect((await post(wrong)).status).toBe(400);
    expect(await all()).toEqual(before);
    const taken = await post([...many, { heading: 'Signal 9', role: 'egt2' }]);
    expect([taken.status, taken.body.taken]).toEqual([200, 1200]);
    const after = new Map((await all()).map(({ heading, role }) => [heading, role]));
    expect([after.get('Signal 9'), after.get('Signal 8'), after.get('__proto__')]).toEqual([
      'egt2',
      'egt1',
      '',
    ]);
  });
});

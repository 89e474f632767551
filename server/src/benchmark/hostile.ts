import { setTimeout as sleep } from 'node:timers/promises';
import { v7 as uuidv7 } from 'uuid';
import { valueOf } from '@white-ember/core/quantities';
import { readLog, toRecording, writeLog } from '@white-ember/core/readings';
import { hostileFiles, mutatedFiles, sampleBytes, type HostileFile } from '@white-ember/core/testing';
import type { Log } from '@white-ember/core/contract';
import type { Row } from './bench.ts';
import { withBenchServer, type BenchServer } from './benchServer.ts';

/** HOSTILE_FILES=3000 for all of them: some twenty minutes. */
const FILES = Number(process.env['HOSTILE_FILES'] ?? 200);
const OTHERS_MS = 1000;
const ANSWER_MS = 10_000;

async function soundFiles(): Promise<HostileFile[]> {
  const rewritten = async (file: string, to: 'parquet' | 'json'): Promise<Uint8Array> => {
    const pieces: Uint8Array[] = [];
    for await (const piece of writeLog(toRecording(valueOf(await readLog(sampleBytes(file)))), to))
      pieces.push(piece);
    return new Uint8Array(Buffer.concat(pieces));
  };
  return [
    { name: 'a.parquet', bytes: await rewritten('sample1-healthy.csv', 'parquet') },
    { name: 'b.json', bytes: await rewritten('sample3-intake-leak.tsv', 'json') },
    ...['sample1-healthy.csv', 'sample3-intake-leak.tsv', 'sample7-regeneration-drive.log'].map((name) => ({
      name,
      bytes: sampleBytes(name).subarray(0, 60_000),
    })),
  ];
}

/** A job to which files are uploaded. */
async function makeJob({ client }: BenchServer): Promise<string> {
  const [vehicleId, id] = [uuidv7(), uuidv7()];
  await client.post('/api/vehicles', {
    id: vehicleId,
    plate: 'QF 1',
    model: 'van',
    family: 'Tarn 2.0',
    fitted: ['engine'],
  });
  await client.post('/api/jobs', { id, vehicleId, openedAt: new Date().toISOString() });
  return id;
}

/** A connection that lay idle may be closed just as it is used again: that is no answer, and asked once more. */
async function onceMore<T>(ask: () => Promise<T>): Promise<T> {
  try {
    return await ask();
  } catch (error) {
    const code = (error as { cause?: { code?: string } }).cause?.code ?? '';
    if (!['UND_ERR_SOCKET', 'ECONNRESET'].includes(code)) throw error;
    return ask();
  }
}

/** Files made to harm, through upload and page, while others work on. */
export async function measureHostile(root: string): Promise<Row[]> {
  const sound = await soundFiles();
  const [first] = sound as [HostileFile, ...HostileFile[]];
  // Made before anybody waits: thousands take seconds, in which this process would serve no connection.
  const files = [...hostileFiles(first.bytes), ...mutatedFiles(sound, FILES, 29)];
  return withBenchServer(root, 'hostile', async (server) => {
    const { client, child } = server;
    let [going, others, answers, refused] = [true, 0, 0, 0];
    const beside = (async () => {
      while (going) {
        const began = performance.now();
        const { status } = await onceMore(() => client.get('/api/jobs'));
        if (status !== 200) throw new Error(`Somebody else was answered ${status}`);
        others = Math.max(others, performance.now() - began);
        await sleep(50);
      }
    })();
    const job = await makeJob(server);
    let count = 0;
    for (const file of files) {
      count++;
      const began = performance.now();
      const kept = await onceMore(() => client.upload<Log>(`/api/jobs/${job}/logs`, file));
      const seen =
        kept.status === 201 ? await onceMore(() => client.get(`/api/logs/${kept.body.id}/columns`)) : kept;
      if (![200, 422].includes(seen.status)) throw new Error(`${file.name}: answered ${seen.status}`);
      if (seen.status === 422) refused++;
      answers = Math.max(answers, performance.now() - began);
    }
    going = false;
    await beside;
    const deaths = child.exitCode === null && child.signalCode === null ? 0 : 1;
    const row = (what: string, measured: string, against: string, ratio: number): Row => ({
      what,
      measured,
      against,
      ratio,
    });
    return [
      row(
        `${count} files made to harm or damaged, uploaded and looked at: deaths of the server`,
        `${deaths}, ${refused} files answered by why they cannot be read`,
        'none',
        deaths,
      ),
      row(
        'Of these, the longest answer, upload and look together',
        `${answers.toFixed(0)} ms`,
        `at most ${ANSWER_MS} ms`,
        answers / ANSWER_MS,
      ),
      row(
        'Beside them, the longest request of somebody else',
        `${others.toFixed(0)} ms`,
        `at most ${OTHERS_MS} ms`,
        others / OTHERS_MS,
      ),
    ];
  });
}

import { describeFailure, inEnglish } from '../words/index.ts';
import { beforeAll, describe, expect, it } from 'vitest';
import { valueOf } from '../quantities/index.ts';
import { hostileFiles, mutatedFiles, type HostileFile } from '../testing/hostileFiles.ts';
import { sampleBytes } from '../testing/samples.ts';
import { someRuns } from '../testing/seeds.ts';
import { analyseLog, readLog, toRecording, writeLog, type LogOutput } from './index.ts';

/** A hang ends here, on a machine that runs other tests beside: how long it takes is measured by the benchmark. */
const LONGEST_MS = 40_000;

async function rewritten(file: string, to: LogOutput): Promise<Uint8Array> {
  const pieces: Uint8Array[] = [];
  for await (const piece of writeLog(toRecording(valueOf(await readLog(sampleBytes(file)))), to))
    pieces.push(Buffer.from(piece));
  return new Uint8Array(Buffer.concat(pieces));
}

let sound: HostileFile[];
beforeAll(async () => {
  sound = [
    { name: 'a.parquet', bytes: await rewritten('sample1-healthy.csv', 'parquet') },
    { name: 'b.json', bytes: await rewritten('sample3-intake-leak.tsv', 'json') },
    ...['sample1-healthy.csv', 'sample3-intake-leak.tsv', 'sample7-regeneration-drive.log'].map((name) => ({
      name,
      bytes: sampleBytes(name).subarray(0, 60_000),
    })),
  ];
});

/** Answered in time, with a sentence or a log; an exception or a rejection would end the test. */
async function answered({ name, bytes }: HostileFile): Promise<string> {
  const began = performance.now();
  const read = await analyseLog(bytes, {});
  expect(performance.now() - began, name).toBeLessThan(LONGEST_MS);
  const said = read.ok ? 'read' : inEnglish(describeFailure(read.failure));
  expect(said, name).not.toMatch(/undefined|NaN|\[object/);
  return said;
}

describe('files made to harm', () => {
  it('are answered soon, with their fault or as far as they are sound', async () => {
    const said = new Map<string, string>();
    for (const file of hostileFiles((sound[0] as HostileFile).bytes))
      said.set(file.name, await answered(file));
    expect(said.get('two bytes changed.parquet')).toMatch(/Parquet file that cannot be read/);
    expect(said.get('many rows in few bytes.parquet')).toMatch(/claims 1,000,000 rows of 3 columns in/);
    expect(said.get('8 MB of brackets.json')).toMatch(/more than 16 deep/);
    expect(said.get('many keys.json')).toMatch(/up to 2000 are read/);
    expect(said.get('100 000 columns.csv')).toMatch(/up to 2000 are read/);
    expect(said.get('control units without end.log')).toBe('read');
    expect(said.get('keys of every object.json')).toBe('read');
  });

  it('are answered soon when they are sound ones with bytes changed', async () => {
    for (const file of mutatedFiles(sound, Number(process.env['HOSTILE_FILES'] ?? someRuns(600)), 11))
      await answered(file);
  }, 600_000);
});

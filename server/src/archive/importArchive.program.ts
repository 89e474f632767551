import type { Said } from '@white-ember/core/words';
import 'reflect-metadata';
import { pino } from 'pino';
import { giveFrames } from '@white-ember/bounded';
import { Refusal } from '../http/problem.ts';
import { createDataSource } from '../database/dataSource.ts';
import { readArchive, type TakenIn } from './readArchive.ts';

/** What came of an archive: what was taken in, or why nothing was. */
export type ImportAnswer =
  | { readonly ok: true; readonly takenIn: TakenIn }
  | {
      readonly ok: false;
      readonly status: number;
      readonly title: Said;
      readonly detail?: Said | undefined;
    };

/** Takes an archive into a workshop on a connection of its own: nobody waits for it, and what it breaks is itself. */
async function* importArchive(): AsyncGenerator<Uint8Array> {
  const [path, sizeBytes, workshopId] = process.argv.slice(2) as [string, string, string];
  const db = await createDataSource(process.env['DATABASE_URL'] ?? '', pino({ level: 'silent' }), {
    poolSize: 2,
    statementTimeoutMs: 0,
  }).initialize();
  let answer: ImportAnswer;
  try {
    answer = { ok: true, takenIn: await readArchive(db, workshopId, { path, sizeBytes: Number(sizeBytes) }) };
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    const { status, title, detail } = error;
    answer = { ok: false, status, title, detail };
  } finally {
    await db.destroy();
  }
  yield Buffer.from(JSON.stringify(answer));
}

giveFrames(importArchive);

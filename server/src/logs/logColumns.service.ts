import { setImmediate as nextTurn } from 'node:timers/promises';
import { promisify } from 'node:util';
import { deflate } from 'node:zlib';
import type { DataSource, EntityManager } from 'typeorm';
import { describeFailure } from '@white-ember/core/quantities';
import {
  openLog,
  packLog,
  PART_NUMBERS,
  READER_VERSION,
  toPlanes,
  type RawLog,
} from '@white-ember/core/readings';
import { notFound, Refusal } from '../app/problem.ts';
import { LogEntity } from './log.entity.ts';
import { readLogBytes } from './log.service.ts';
import { LogColumnPartEntity, LogColumnsEntity, type LogColumnsRow } from './logColumns.entity.ts';

const compress = promisify(deflate);

/** So much is read at a time before other requests get their turn: some 5 ms of work. */
const TURN_BYTES = 65_536;

async function readStored(db: DataSource, workshopId: string, logId: string): Promise<RawLog> {
  const reader = openLog();
  for await (const chunk of readLogBytes(db, workshopId, logId)) {
    for (let at = 0; at < chunk.length; at += TURN_BYTES) {
      reader.push(chunk.subarray(at, at + TURN_BYTES));
      await nextTurn();
    }
  }
  const read = await reader.finish();
  if (read.ok) return read.value;
  throw new Refusal(
    422,
    'This file cannot be read as a log',
    `${describeFailure(read.failure)}. The file itself is kept.`,
  );
}

async function storeColumns(
  manager: EntityManager,
  row: LogColumnsRow,
  arrays: readonly Float64Array[],
): Promise<void> {
  // Two who ask at once make the same columns: the second waits for the first, and finds them made.
  await manager.query('SELECT pg_advisory_xact_lock(hashtext($1))', [`columns ${row.logId}`]);
  const known = await manager.findOneBy(LogColumnsEntity, { logId: row.logId });
  if (known && known.readerVersion >= row.readerVersion) return;
  await manager.delete(LogColumnsEntity, { logId: row.logId });
  await manager.insert(LogColumnsEntity, row);
  for (const [arrayPosition, array] of arrays.entries()) {
    for (let part = 0; part * PART_NUMBERS < array.length; part++) {
      const piece = array.subarray(part * PART_NUMBERS, (part + 1) * PART_NUMBERS);
      const bytes = await compress(toPlanes(piece));
      await manager.insert(LogColumnPartEntity, { logId: row.logId, arrayPosition, part, bytes });
    }
  }
}

/** The columns of a stored log, read from its raw file the first time or when the reader has become a newer one. */
export async function ensureColumns(
  db: DataSource,
  workshopId: string,
  logId: string,
): Promise<LogColumnsRow> {
  if (!(await db.manager.existsBy(LogEntity, { id: logId, workshopId }))) throw notFound('The log');
  const current = (): Promise<LogColumnsRow | null> =>
    db.manager.findOneBy(LogColumnsEntity, { logId, workshopId, readerVersion: READER_VERSION });
  const known = await current();
  if (known) return known;
  const { header, arrays } = packLog(await readStored(db, workshopId, logId));
  const row = {
    logId,
    workshopId,
    readerVersion: READER_VERSION,
    header: JSON.stringify(header),
    madeAt: new Date(),
  };
  await db.transaction((manager) => storeColumns(manager, row, arrays));
  return row;
}

const sized = (bytes: Uint8Array): Buffer => {
  const size = Buffer.alloc(4);
  size.writeUInt32LE(bytes.length);
  return Buffer.concat([size, bytes]);
};

/** Header and compressed parts in their order, each with its length before it; one part in memory at a time. */
export async function* columnStream(db: DataSource, row: LogColumnsRow): AsyncGenerator<Buffer> {
  yield sized(Buffer.from(row.header));
  const { lengths } = JSON.parse(row.header) as { lengths: number[] };
  for (const [arrayPosition, length] of lengths.entries()) {
    for (let part = 0; part * PART_NUMBERS < length; part++) {
      const found = await db.manager.findOneByOrFail(LogColumnPartEntity, {
        logId: row.logId,
        arrayPosition,
        part,
      });
      yield sized(found.bytes);
    }
  }
}

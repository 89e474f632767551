import { plainly, say } from '@white-ember/core/words';
import { printable } from '@white-ember/core/text';
import type { DataSource, EntityManager } from 'typeorm';
import { frame } from '@white-ember/bounded';
import {
  packedHeaderSchema,
  PART_NUMBERS,
  READER_VERSION,
  readMemoryLimitBytes,
  readTimeLimitMs,
} from '@white-ember/core/readings';
import { notFound, Refusal } from '../http/problem.ts';
import { readBlob } from '../blobs/blob.service.ts';
import { FileNotReadable, type FileReaders } from '../reading/fileReaders.ts';
import type { ReadLogAnswer } from '../reading/readLog.program.ts';
import { LogFailureEntity } from '../database/entities/logFailure.entity.ts';
import {
  LogColumnPartEntity,
  LogColumnsEntity,
  type LogColumnsRow,
} from '../database/entities/logColumns.entity.ts';

/** A log of a workshop, and who asks for it. */
export interface WantedLog {
  readonly workshopId: string;
  readonly logId: string;
  readonly memberId: string;
}

const notReadable = (why: string): Refusal =>
  new Refusal(
    422,
    say('refusals.this-file-cannot-be-read-as-2'),
    say('refusals.the-file-itself-is-kept', { why }),
  );

async function storeColumns(
  manager: EntityManager,
  row: LogColumnsRow,
  parts: AsyncGenerator<Buffer>,
): Promise<void> {
  const { lengths } = packedHeaderSchema.parse(JSON.parse(row.header));
  // Two processes that are asked at once make the same columns: the second waits for the first.
  await manager.query('SELECT pg_advisory_xact_lock(hashtext($1))', [`columns ${row.logId}`]);
  await manager.delete(LogColumnsEntity, { logId: row.logId });
  await manager.insert(LogColumnsEntity, row);
  for (const [arrayPosition, length] of lengths.entries()) {
    for (let part = 0; part * PART_NUMBERS < length; part++) {
      const next = await parts.next();
      // It was ended while it answered: the transaction goes back, and why is known by now.
      if (next.done) throw new FileNotReadable(plainly(say('faults.reading-stopped')));
      await manager.insert(LogColumnPartEntity, { logId: row.logId, arrayPosition, part, bytes: next.value });
    }
  }
}

/** Reads the raw file in a process of its own, and keeps its columns, or why there are none. */
async function readColumns(
  db: DataSource,
  readers: FileReaders,
  { workshopId, logId, memberId }: WantedLog,
  stored: { readonly blobId: string; readonly sizeBytes: number },
): Promise<LogColumnsRow> {
  const limits = {
    timeMs: readTimeLimitMs(stored.sizeBytes),
    memoryBytes: readMemoryLimitBytes(stored.sizeBytes),
  };
  try {
    return await readers.run(
      memberId,
      'readLog',
      limits,
      () => readBlob(db, stored.blobId),
      async (frames) => {
        const first = await frames.next();
        if (first.done) throw new FileNotReadable(plainly(say('faults.reading-stopped')));
        const said = JSON.parse(first.value.toString()) as ReadLogAnswer;
        if (!said.ok) throw new FileNotReadable(said.why);
        const row = {
          logId,
          workshopId,
          readerVersion: READER_VERSION,
          header: said.header,
          madeAt: new Date(),
        };
        await db.transaction((manager) => storeColumns(manager, row, frames));
        return row;
      },
    );
  } catch (error) {
    if (!(error instanceof FileNotReadable)) throw error;
    // It may quote the file, which may hold anything.
    const why = printable(error.message);
    await db.manager.upsert(LogFailureEntity, { logId, workshopId, why, failedAt: new Date() }, ['logId']);
    throw notReadable(why);
  }
}

/** Logs that are being read in this process: who asks meanwhile waits for the same. */
const underWay = new Map<string, Promise<LogColumnsRow>>();

/** The columns of a stored log, read from its raw file the first time or when the reader has become a newer one. */
export async function ensureColumns(
  db: DataSource,
  readers: FileReaders,
  wanted: WantedLog,
): Promise<LogColumnsRow> {
  const { workshopId, logId } = wanted;
  const [stored] = await db.query<{ blobId: string; sizeBytes: number; why: string | null }[]>(
    `SELECT l.blob_id AS "blobId", b.size_bytes AS "sizeBytes", f.why
       FROM log l JOIN blob b ON b.id = l.blob_id LEFT JOIN log_failure f ON f.log_id = l.id
      WHERE l.id = $1 AND l.workshop_id = $2`,
    [logId, workshopId],
  );
  if (!stored) throw notFound(say('refusals.the-log'));
  if (stored.why !== null) throw notReadable(stored.why);
  const known = await db.manager.findOneBy(LogColumnsEntity, {
    logId,
    workshopId,
    readerVersion: READER_VERSION,
  });
  if (known) return known;
  const begun = underWay.get(logId);
  if (begun) return begun;
  const made = readColumns(db, readers, wanted, stored).finally(() => underWay.delete(logId));
  underWay.set(logId, made);
  return made;
}

/** Forgets that a file could not be read, because somebody wants it tried again. */
export async function readAgain(db: DataSource, readers: FileReaders, wanted: WantedLog): Promise<void> {
  const { workshopId, logId } = wanted;
  await db.manager.delete(LogFailureEntity, { logId, workshopId });
  await ensureColumns(db, readers, wanted);
}

/** Header and compressed parts in their order, each with its length before it; one part in memory at a time. */
export async function* columnStream(db: DataSource, row: LogColumnsRow): AsyncGenerator<Buffer> {
  yield frame(Buffer.from(row.header));
  const { lengths } = JSON.parse(row.header) as { lengths: number[] };
  for (const [arrayPosition, length] of lengths.entries()) {
    for (let part = 0; part * PART_NUMBERS < length; part++) {
      const found = await db.manager.findOneByOrFail(LogColumnPartEntity, {
        logId: row.logId,
        arrayPosition,
        part,
      });
      yield frame(found.bytes);
    }
  }
}

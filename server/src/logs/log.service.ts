import { describeFailure, say } from '@white-ember/core/words';
import type { DataSource, EntityManager } from 'typeorm';
import { v7 as uuidv7 } from 'uuid';
import type { Log } from '@white-ember/core/contract';
import { checkLogBytes } from '@white-ember/core/readings';
import { notFound, Refusal } from '../http/problem.ts';
import type { UploadedFile } from '../uploads/uploadTaker.ts';
import type { BlobRow } from '../database/entities/blob.entity.ts';
import { headOf, readBlob, sha256Of, storeBlob } from '../blobs/blob.service.ts';
import { contentHash, insertOnce } from '../http/once.ts';
import { JobEntity } from '../database/entities/job.entity.ts';
import { LogEntity, type LogRow } from '../database/entities/log.entity.ts';

const HEAD_BYTES = 65_536;

const toLog = (row: LogRow, blob: BlobRow): Log => ({
  id: row.id,
  jobId: row.jobId,
  fileName: row.fileName,
  sizeBytes: blob.sizeBytes,
  sha256: blob.sha256,
  uploadedAt: row.uploadedAt.toISOString(),
});

export async function listLogs(manager: EntityManager, workshopId: string, jobId: string): Promise<Log[]> {
  const records = await manager.query<
    (Omit<Log, 'jobId' | 'uploadedAt' | 'unreadable'> & { uploadedAt: Date; why: string | null })[]
  >(
    `SELECT l.id, l.file_name AS "fileName", b.size_bytes AS "sizeBytes", b.sha256, l.uploaded_at AS "uploadedAt", f.why
       FROM log l JOIN blob b ON b.id = l.blob_id LEFT JOIN log_failure f ON f.log_id = l.id WHERE l.workshop_id = $1 AND l.job_id = $2 ORDER BY l.uploaded_at`,
    [workshopId, jobId],
  );
  return records.map(({ why, ...record }) => ({
    ...record,
    jobId,
    uploadedAt: record.uploadedAt.toISOString(),
    ...(why === null ? {} : { unreadable: why }),
  }));
}

/** By content: the same test as the reader's, so that a picture named .csv is refused before anything is stored. */
async function checkContent(file: UploadedFile): Promise<void> {
  const checked = checkLogBytes(await headOf(file, HEAD_BYTES));
  if (!checked.ok) {
    throw new Refusal(
      422,
      say('refusals.this-file-cannot-be-read-as-2'),
      say('refusals.why-nothing-was-kept', { why: describeFailure(checked.failure) }),
    );
  }
}

/** Keeps a recorded file byte for byte, in one transaction: all of it or nothing. */
export async function storeLog(
  db: DataSource,
  target: { workshopId: string; jobId: string; id: string },
  file: UploadedFile,
): Promise<Log> {
  await checkContent(file);
  const sha256 = await sha256Of(file);
  const { workshopId, jobId, id } = target;
  // oxlint-disable-next-line no-control-regex -- the control characters are the subject here
  const fileName = file.name.replace(/[\u0000-\u001f<>]/g, '').slice(0, 300) || 'log';
  return db.transaction(async (manager) => {
    if (!(await manager.existsBy(JobEntity, { id: jobId, workshopId })))
      throw notFound(say('refusals.the-job'));
    const hash = contentHash({ jobId, sha256, fileName });
    const known = await manager.findOneBy(LogEntity, { id });
    const blob: BlobRow = { id: known?.blobId ?? uuidv7(), workshopId, sizeBytes: file.sizeBytes, sha256 };
    if (!known) await storeBlob(manager, blob, file);
    const { row } = await insertOnce(manager, LogEntity, {
      id,
      workshopId,
      jobId,
      blobId: blob.id,
      fileName,
      uploadedAt: new Date(),
      contentHash: hash,
    });
    return toLog(row, blob);
  });
}

/** The chunks of a stored file in order, one in memory at a time. */
export async function* readLogBytes(
  db: DataSource,
  workshopId: string,
  logId: string,
): AsyncGenerator<Buffer> {
  const row = await db.manager.findOneBy(LogEntity, { id: logId, workshopId });
  if (!row) throw notFound(say('refusals.the-log'));
  yield* readBlob(db, row.blobId);
}

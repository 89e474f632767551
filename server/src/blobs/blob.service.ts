import { createHash } from 'node:crypto';
import { open } from 'node:fs/promises';
import type { DataSource, EntityManager } from 'typeorm';
import { fileStream, type UploadedFile } from '../uploads/uploadTaker.ts';
import { BlobChunkEntity, BlobEntity, type BlobRow } from '../database/entities/blob.entity.ts';

const CHUNK_BYTES = 1024 * 1024;

export async function sha256Of(file: UploadedFile): Promise<string> {
  const hash = createHash('sha256');
  for await (const chunk of fileStream(file, CHUNK_BYTES)) hash.update(chunk as Buffer);
  return hash.digest('hex');
}

/** The first bytes of an upload, by which its content is known: its name says nothing. */
export async function headOf(file: UploadedFile, bytes: number): Promise<Buffer> {
  const handle = await open(file.path);
  try {
    const { buffer, bytesRead } = await handle.read(Buffer.alloc(bytes), 0, bytes, 0);
    return buffer.subarray(0, bytesRead);
  } finally {
    await handle.close();
  }
}

/** Keeps a file byte for byte, a chunk in memory at a time; part of the caller's transaction. */
export async function storeBlob(manager: EntityManager, blob: BlobRow, file: UploadedFile): Promise<void> {
  await manager.insert(BlobEntity, blob);
  let position = 0;
  for await (const bytes of fileStream(file, CHUNK_BYTES)) {
    await manager.insert(BlobChunkEntity, { blobId: blob.id, position, bytes: bytes as Buffer });
    position++;
  }
}

/** Keeps bytes that are at hand whole, in the same way. */
export async function storeBlobBytes(
  manager: EntityManager,
  { id, workshopId }: Pick<BlobRow, 'id' | 'workshopId'>,
  bytes: Buffer,
): Promise<void> {
  const sha256 = createHash('sha256').update(bytes).digest('hex');
  await manager.insert(BlobEntity, { id, workshopId, sizeBytes: bytes.length, sha256 });
  for (let position = 0; position * CHUNK_BYTES < bytes.length; position++)
    await manager.insert(BlobChunkEntity, {
      blobId: id,
      position,
      bytes: bytes.subarray(position * CHUNK_BYTES, (position + 1) * CHUNK_BYTES),
    });
}

/** The chunks of a stored file in order, one in memory at a time. */
export async function* readBlob(db: DataSource, blobId: string): AsyncGenerator<Buffer> {
  for (let position = 0; ; position++) {
    const chunk = await db.manager.findOneBy(BlobChunkEntity, { blobId, position });
    if (!chunk) return;
    yield chunk.bytes;
  }
}

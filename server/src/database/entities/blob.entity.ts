import { EntitySchema } from 'typeorm';

/** A raw file, byte for byte, in chunks so that neither writing nor reading holds it whole. */
export interface BlobRow {
  id: string;
  workshopId: string;
  sizeBytes: number;
  sha256: string;
}

export const BlobEntity = new EntitySchema<BlobRow>({
  name: 'Blob',
  tableName: 'blob',
  columns: {
    id: { type: 'uuid', primary: true },
    workshopId: { type: 'uuid', name: 'workshop_id' },
    sizeBytes: { type: 'integer', name: 'size_bytes' },
    sha256: { type: 'text' },
  },
});

export interface BlobChunkRow {
  blobId: string;
  position: number;
  bytes: Buffer;
}

export const BlobChunkEntity = new EntitySchema<BlobChunkRow>({
  name: 'BlobChunk',
  tableName: 'blob_chunk',
  columns: {
    blobId: { type: 'uuid', name: 'blob_id', primary: true },
    position: { type: 'integer', primary: true },
    bytes: { type: 'bytea' },
  },
});

import { pipeline } from 'node:stream/promises';
import { Readable } from 'node:stream';
import type { Response } from 'express';
import type { DataSource } from 'typeorm';
import { notFound } from '../app/problem.ts';
import { readBlob } from '../blobs/blob.service.ts';
import { PhotoEntity } from './photo.entity.ts';

/** Sends a photo byte for byte. */
export async function sendPhoto(
  db: DataSource,
  place: { readonly id: string; readonly workshopId: string },
  res: Response,
): Promise<void> {
  const row = await db.manager.findOneBy(PhotoEntity, place);
  if (!row) throw notFound('The photo');
  res.type(row.mediaType);
  res.set('cache-control', 'private, max-age=31536000, immutable');
  await pipeline(Readable.from(readBlob(db, row.blobId)), res);
}

import { plainly, say } from '@white-ember/core/words';
import { pipeline } from 'node:stream/promises';
import { Readable } from 'node:stream';
import type { Response } from 'express';
import type { DataSource } from 'typeorm';
import { notFound, Refusal } from '../http/problem.ts';
import { readBlob } from '../blobs/blob.service.ts';
import { FileNotReadable, type FileReaders } from '../reading/fileReaders.ts';
import { PhotoEntity, type PhotoRow } from '../database/entities/photo.entity.ts';
import { PhotoCopyEntity, type PhotoCopyRow, type PhotoSize } from '../database/entities/photoCopy.entity.ts';
import type { ReadPhotoAnswer } from './readPhoto.program.ts';

const MEGABYTE = 1024 * 1024;
/** Points of a large photo, three bytes each and a few times over. */
const LIMITS = { memoryBytes: 1200 * MEGABYTE, timeMs: 20_000 };

type MadeCopy = Omit<PhotoCopyRow, 'photoId'>;

/** A photo made anew in a process of its own, in the sizes in which it is shown. */
export const makeCopies = (
  readers: FileReaders,
  person: string,
  file: () => AsyncIterable<Uint8Array>,
): Promise<MadeCopy[]> =>
  readers.run(person, 'readPhoto', LIMITS, file, async (frames) => {
    const first = await frames.next();
    if (first.done) throw new FileNotReadable(plainly(say('faults.reading-stopped')));
    const said = JSON.parse(first.value.toString()) as ReadPhotoAnswer;
    if (!said.ok) throw new FileNotReadable(said.why);
    const made: MadeCopy[] = [];
    for (const copy of said.copies) {
      const next = await frames.next();
      if (next.done) throw new FileNotReadable(plainly(say('faults.reading-stopped')));
      made.push({ ...copy, bytes: next.value });
    }
    return made;
  });

const notShown = (why: string): Refusal =>
  new Refusal(
    422,
    say('refusals.this-photo-cannot-be-shown'),
    say('refusals.the-file-itself-is-kept', { why }),
  );

/** Copies of a photo that was kept as it came: by an earlier version, or by an archive. */
async function ensureCopies(db: DataSource, readers: FileReaders, photo: PhotoRow): Promise<void> {
  if (photo.cleaned) return;
  if (photo.unreadable !== null) throw notShown(photo.unreadable);
  try {
    const copies = await makeCopies(readers, photo.workshopId, () => readBlob(db, photo.blobId));
    await db.transaction(async (manager) => {
      await manager.upsert(
        PhotoCopyEntity,
        copies.map((copy) => ({ ...copy, photoId: photo.id })),
        ['photoId', 'size'],
      );
      await manager.update(PhotoEntity, { id: photo.id }, { cleaned: true });
    });
  } catch (error) {
    if (!(error instanceof FileNotReadable)) throw error;
    await db.manager.update(PhotoEntity, { id: photo.id }, { unreadable: error.message });
    throw notShown(error.message);
  }
}

/** A photo as it is shown: always made anew of its points, whenever it was kept and wherever it came from. */
export async function photoCopy(
  db: DataSource,
  readers: FileReaders,
  place: { readonly id: string; readonly workshopId: string },
  size: PhotoSize,
): Promise<{ readonly mediaType: string; readonly bytes: AsyncIterable<Buffer> | readonly Buffer[] }> {
  const photo = await db.manager.findOneBy(PhotoEntity, place);
  if (!photo) throw notFound(say('refusals.the-photo'));
  await ensureCopies(db, readers, photo);
  const copy = await db.manager.findOneBy(PhotoCopyEntity, { photoId: photo.id, size });
  if (copy) return { mediaType: copy.mediaType, bytes: [copy.bytes] };
  // Of a photo that was made anew when it came, the kept file is the full one.
  return { mediaType: photo.mediaType, bytes: readBlob(db, photo.blobId) };
}

export async function sendPhoto(
  db: DataSource,
  readers: FileReaders,
  place: { readonly id: string; readonly workshopId: string },
  size: PhotoSize,
  res: Response,
): Promise<void> {
  const { mediaType, bytes } = await photoCopy(db, readers, place, size);
  res.type(mediaType);
  res.set('cache-control', 'private, max-age=31536000, immutable');
  await pipeline(Readable.from(bytes), res);
}

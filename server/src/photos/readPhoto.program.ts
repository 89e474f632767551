import { plainly, say } from '@white-ember/core/words';
import sharp, { type Sharp } from 'sharp';
import { giveFrames } from '@white-ember/bounded';
import type { PhotoSize } from '../database/entities/photoCopy.entity.ts';

/** What is made of a photo; its bytes follow, one piece for each. */
export type ReadPhotoAnswer =
  | {
      readonly ok: true;
      readonly copies: readonly { readonly size: PhotoSize; readonly mediaType: string }[];
    }
  | { readonly ok: false; readonly why: string };

/** More points than any camera of a phone takes, and no more than fit into the memory that there is. */
const MOST_POINTS = 64_000_000;
const FULL_POINTS = 3200;
const PRINT_POINTS = 1500;
const THUMB_POINTS = 360;

sharp.cache(false);
sharp.concurrency(1);

const within = (image: Sharp, points: number): Sharp =>
  image.clone().resize(points, points, { fit: 'inside', withoutEnlargement: true });

interface Copy {
  readonly size: PhotoSize;
  readonly mediaType: string;
  readonly bytes: Buffer;
}

/** Turned upright by what the camera said, and made anew of its points: place, device and time of the camera are gone. */
async function copiesOf(file: Buffer): Promise<Copy[]> {
  const upright = sharp(file, { limitInputPixels: MOST_POINTS, failOn: 'error' }).rotate();
  // Decoded once.
  const { data, info } = await within(upright, FULL_POINTS).toBuffer({ resolveWithObject: true });
  const image = sharp(data);
  const [webp, jpeg] = [
    await image.clone().webp({ quality: 82 }).toBuffer(),
    await image.clone().flatten({ background: '#fff' }).jpeg({ quality: 84, mozjpeg: true }).toBuffer(),
  ];
  const smaller = webp.length < jpeg.length || info.channels === 4;
  return [
    { size: 'full', mediaType: smaller ? 'image/webp' : 'image/jpeg', bytes: smaller ? webp : jpeg },
    {
      size: 'thumb',
      mediaType: 'image/webp',
      bytes: await within(image, THUMB_POINTS).webp({ quality: 74 }).toBuffer(),
    },
    {
      size: 'print',
      mediaType: 'image/jpeg',
      bytes: await within(image, PRINT_POINTS)
        .flatten({ background: '#fff' })
        .jpeg({ quality: 80 })
        .toBuffer(),
    },
  ];
}

async function* readPhoto(): AsyncGenerator<Uint8Array> {
  const pieces: Buffer[] = [];
  for await (const piece of process.stdin) pieces.push(piece as Buffer);
  const answer = (said: ReadPhotoAnswer): Buffer => Buffer.from(JSON.stringify(said));
  let copies: Copy[];
  try {
    copies = await copiesOf(Buffer.concat(pieces));
  } catch (error) {
    const { message } = error as Error;
    const why = /pixel limit/.test(message)
      ? plainly(say('faults.photo-too-large', { millions: MOST_POINTS / 1e6 }))
      : plainly(say('faults.photo-damaged'));
    yield answer({ ok: false, why });
    return;
  }
  yield answer({ ok: true, copies: copies.map(({ size, mediaType }) => ({ size, mediaType })) });
  for (const { bytes } of copies) yield bytes;
}

giveFrames(readPhoto);

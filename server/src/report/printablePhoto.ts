import { promisify } from 'node:util';
import { inflate } from 'node:zlib';

const inflated = promisify(inflate);

/** A PNG is unpacked point by point for a PDF: beyond so many the report would keep its reader waiting. */
const MOST_PNG_POINTS = 2_000_000;
const MOST_PNG_BYTES = 8 * MOST_PNG_POINTS;

/**
 * Whether the PDF library can take a photo. It unpacks pictures behind our back, where a broken one would end the whole process: so they
 * are looked at here first. WebP it does not know.
 */
export async function isPrintable(bytes: Buffer, mediaType: string): Promise<boolean> {
  if (mediaType === 'image/jpeg') return hasJpegFrame(bytes);
  return mediaType === 'image/png' && (await isWholePng(bytes));
}

/** Walks the segments of a JPEG to its frame header, which tells its size (ITU-T T.81, B.1.1 and B.2.2). */
function hasJpegFrame(bytes: Buffer): boolean {
  let at = 2;
  while (at + 9 < bytes.length) {
    if (bytes[at] !== 0xff) return false;
    const marker = bytes[at + 1] as number;
    const isFrame = marker >= 0xc0 && marker <= 0xcf && ![0xc4, 0xc8, 0xcc].includes(marker);
    if (isFrame) return bytes.readUInt16BE(at + 5) > 0 && bytes.readUInt16BE(at + 7) > 0;
    at += 2 + bytes.readUInt16BE(at + 2);
  }
  return false;
}

/** Reads the chunks of a PNG and unpacks its picture (ISO/IEC 15948, 5 and 10). */
async function isWholePng(bytes: Buffer): Promise<boolean> {
  const pieces: Buffer[] = [];
  let points = 0;
  let ended = false;
  for (let at = 8; at + 12 <= bytes.length;) {
    const length = bytes.readUInt32BE(at);
    const kind = bytes.toString('latin1', at + 4, at + 8);
    const data = bytes.subarray(at + 8, at + 8 + length);
    if (data.length < length) return false;
    if (kind === 'IHDR' && length >= 8) points = data.readUInt32BE(0) * data.readUInt32BE(4);
    if (kind === 'IDAT') pieces.push(data);
    ended = kind === 'IEND';
    at += 12 + length;
  }
  if (!ended || points === 0 || points > MOST_PNG_POINTS || pieces.length === 0) return false;
  try {
    await inflated(Buffer.concat(pieces), { maxOutputLength: MOST_PNG_BYTES });
    return true;
  } catch {
    return false;
  }
}

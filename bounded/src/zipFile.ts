import { createInterface } from 'node:readline';
import type { Readable } from 'node:stream';
import yauzl, { type Entry, type ZipFile } from 'yauzl';

/** Why a file cannot be read as a zip, as a sentence without its full stop. */
export class ZipNotReadable extends Error {}

const notReadable = (why: string): ZipNotReadable => new ZipNotReadable(why);

/** The files of a zip on disk, each read as a stream when it is wanted. */
export interface OpenZip {
  readonly names: readonly string[];
  readonly has: (name: string) => boolean;
  /** Size of a file when unpacked, as the zip says it. */
  readonly sizeOf: (name: string) => number;
  readonly read: (name: string) => Promise<Readable>;
  readonly close: () => void;
}

const openFile = (path: string): Promise<ZipFile> =>
  new Promise((resolve, reject) => {
    yauzl.open(path, { lazyEntries: true, autoClose: false }, (error, zip) =>
      error ? reject(notReadable('It is no zip, or it was cut short')) : resolve(zip),
    );
  });

const entriesOf = (zip: ZipFile): Promise<Map<string, Entry>> =>
  new Promise((resolve, reject) => {
    const entries = new Map<string, Entry>();
    zip.on('entry', (entry: Entry) => {
      entries.set(entry.fileName, entry);
      zip.readEntry();
    });
    zip.once('end', () => resolve(entries));
    zip.once('error', (error: Error) => reject(notReadable(error.message)));
    zip.readEntry();
  });

export async function openZip(path: string): Promise<OpenZip> {
  const zip = await openFile(path);
  const entries = await entriesOf(zip);
  const entry = (name: string): Entry => {
    const found = entries.get(name);
    if (!found) throw notReadable(`The file ${name} is missing in it`);
    return found;
  };
  return {
    names: [...entries.keys()],
    has: (name) => entries.has(name),
    sizeOf: (name) => entry(name).uncompressedSize,
    read: (name) =>
      new Promise((resolve, reject) => {
        zip.openReadStream(entry(name), (error, stream) =>
          error ? reject(notReadable(`${name}: ${error.message}`)) : resolve(stream),
        );
      }),
    close: () => zip.close(),
  };
}

/** A longer line is none of ours. */
const LONGEST_LINE = 8 * 1024 * 1024;

/** The lines of a text file of the zip, one in memory at a time, with their numbers from 1. */
export async function* linesIn(zip: OpenZip, name: string): AsyncGenerator<[line: string, number: number]> {
  const stream = await zip.read(name);
  let [unbroken, broken] = [0, false];
  // A line without an end would be gathered whole: it is stopped at the source.
  stream.on('data', (piece: Buffer) => {
    const end = piece.lastIndexOf(10);
    unbroken = end === -1 ? unbroken + piece.length : piece.length - end - 1;
    if (unbroken > LONGEST_LINE && !broken) {
      broken = true;
      stream.destroy(new Error('a line is too long'));
    }
  });
  const lines = createInterface({ input: stream, crlfDelay: Infinity });
  let fault: Error | undefined;
  stream.once('error', (error) => {
    fault = error;
    lines.close();
  });
  let number = 0;
  for await (const line of lines) {
    number++;
    if (line !== '') yield [line, number];
  }
  if (fault) throw notReadable(`${name}: ${fault.message}`);
}

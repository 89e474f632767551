import { parquetWriteBuffer } from 'hyparquet-writer';
import { seededRandom } from './drills.ts';

/** A file made to harm whoever reads it. */
export interface HostileFile {
  readonly name: string;
  readonly bytes: Uint8Array;
}

const encode = (text: string): Uint8Array => new TextEncoder().encode(text);
const HEAD = 'Time (s);RPM (rpm);DPF dP (mbar)';
const rows = (count: number): string =>
  Array.from({ length: count }, (_, i) => `${i};${800 + (i % 7)};${4 + (i % 3)}`).join('\n');

/** Few bytes that stand for many rows: columns that never change, packed. */
function parquetOfManyRows(count: number): Uint8Array {
  const constant = (value: number): Int32Array => new Int32Array(count).fill(value);
  return new Uint8Array(
    parquetWriteBuffer({
      columnData: [
        { name: 'Time (s)', data: constant(1), type: 'INT32' },
        { name: 'RPM (rpm)', data: constant(800), type: 'INT32' },
        { name: 'DPF dP (mbar)', data: constant(4), type: 'INT32' },
      ],
    }),
  );
}

function withBytes(bytes: Uint8Array, changes: Readonly<Record<number, number>>): Uint8Array {
  const changed = bytes.slice();
  for (const [at, byte] of Object.entries(changes))
    if (Number(at) < changed.length) changed[Number(at)] = byte;
  return changed;
}

/**
 * Files that once stopped or froze a reader, and their kin.
 * @param parquet a sound log as Parquet
 */
export const hostileFiles = (parquet: Uint8Array): HostileFile[] => [
  { name: 'two bytes changed.parquet', bytes: withBytes(parquet, { 24131: 0x4c, 36192: 0x43 }) },
  { name: 'cut in half.parquet', bytes: parquet.slice(0, parquet.length / 2) },
  { name: 'its own footer only.parquet', bytes: parquet.slice(-2000) },
  { name: 'many rows in few bytes.parquet', bytes: parquetOfManyRows(1_000_000) },
  { name: 'brackets in a heading.csv', bytes: encode(`Time ${'('.repeat(20_000)};b\n1;2\n2;3\n`) },
  {
    name: 'brackets and closed.csv',
    bytes: encode(`Time ${'( '.repeat(20_000)})${' '.repeat(20_000)};b\n1;2\n2;3\n`),
  },
  {
    name: 'one name of 900 KB.csv',
    bytes: encode(`Time (s);${'rail press '.repeat(80_000)}\n1;2\n2;3\n3;4\n`),
  },
  { name: 'lines of nothing.csv', bytes: encode(`${'\n'.repeat(200_000)}${HEAD}\n${rows(9)}`) },
  { name: 'quotes.csv', bytes: encode(`${HEAD}\n${rows(9)}\n${'"'.repeat(400_000)}`) },
  { name: 'vehicle of tabs.csv', bytes: encode(`${'# \t'.repeat(100_000)}\n${HEAD}\n${rows(9)}`) },
  {
    name: '1999 columns.csv',
    bytes: encode(`${'Abgastemperatur Bank (°C);'.repeat(1999)}\n${`${'1;'.repeat(1999)}\n`.repeat(30)}`),
  },
  {
    name: '100 000 columns.csv',
    bytes: encode(`${'a;'.repeat(100_000)}\n${`${'1;'.repeat(100_000)}\n`.repeat(3)}`),
  },
  {
    name: 'empty cells.csv',
    bytes: encode(`Time (s)${';b'.repeat(1500)}\n${`1${';'.repeat(1500)}\n`.repeat(2000)}`),
  },
  { name: 'cells of digits.csv', bytes: encode(`${HEAD}\n${`${'1,234 '.repeat(9000)};2;3\n`.repeat(40)}`) },
  { name: '8 MB of brackets.json', bytes: encode('['.repeat(8_000_000)) },
  { name: '3 MB of empty lists.json', bytes: encode(`[[1,2],${'[],'.repeat(1_000_000)}[1]]`) },
  {
    name: 'many keys.json',
    bytes: encode(
      `[${Array.from({ length: 300 }, (_, i) => `{${Array.from({ length: 200 }, (__, k) => `"k${i * 200 + k}":1`).join(',')}}`).join(',')}]`,
    ),
  },
  {
    name: 'keys of every object.json',
    bytes: encode(`[${'{"time":1,"constructor":2,"__proto__":3,"toString":4},'.repeat(50)}{"time":2}]`),
  },
  {
    name: 'control units without end.log',
    bytes: encode(
      Array.from(
        { length: 60_000 },
        (_, i) =>
          `(${i}.0) can0 18DAF1${(i & 255).toString(16).padStart(2, '0')}#0341${((i >> 8) & 255).toString(16).padStart(2, '0')}00`,
      ).join('\n'),
    ),
  },
  {
    name: 'messages begun and never ended.log',
    bytes: encode(
      Array.from(
        { length: 60_000 },
        (_, i) => `(${i}.0) can0 18DAF1${(i & 255).toString(16).padStart(2, '0')}#1FFF410C`,
      ).join('\n'),
    ),
  },
  {
    name: 'bytes of a heading in UTF-16.csv',
    bytes: new Uint8Array([0xff, 0xfe, ...encode(HEAD.repeat(2000))]),
  },
];

/**
 * Sound files with bytes changed, cut out, doubled or put in the place of others; the same for the same seed.
 * @param wholes sound files
 * @param count how many
 */
export function* mutatedFiles(
  wholes: readonly HostileFile[],
  count: number,
  seed: number,
): Generator<HostileFile> {
  const random = seededRandom(seed);
  const below = (limit: number): number => Math.floor(random() * limit);
  for (let i = 0; i < count; i++) {
    const whole = wholes[i % wholes.length] as HostileFile;
    const bytes = whole.bytes.slice();
    const at = below(bytes.length);
    const length = 1 + below(Math.min(4000, bytes.length - at));
    const kind = below(6);
    let made = bytes;
    if (kind <= 2) for (let k = 0; k < 40 ** (kind / 2); k++) made[below(bytes.length)] = below(256);
    else if (kind === 3) made = Uint8Array.from([...bytes.subarray(0, at), ...bytes.subarray(at + length)]);
    else if (kind === 4)
      made = Uint8Array.from([
        ...bytes.subarray(0, at + length),
        ...bytes.subarray(at, at + length),
        ...bytes.subarray(at + length),
      ]);
    // Ends carry what a file says of itself.
    else for (let k = 0; k < 6; k++) made[bytes.length - 1 - below(Math.min(900, bytes.length))] = below(256);
    yield { name: `${i} of ${whole.name}`, bytes: made };
  }
}

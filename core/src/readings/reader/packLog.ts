import { saidSchema } from '../../words/index.ts';
import { z } from 'zod';
import { isChannelRole } from '../channelRoles.ts';
import type { RawLog } from './rawLog.ts';

/**
 * A read log as a header and plain arrays of numbers, as it is kept beside its raw file and sent to other devices: times
 * that columns share are one array. Raise the version when the reader reads more or otherwise, so that kept columns of an
 * older one are made anew.
 */
export const READER_VERSION = 2;

const packedColumnSchema = z.object({
  name: z.string(),
  source: z.string(),
  unitText: z.string().optional(),
  role: z.string().optional(),
  times: z.number().int().nonnegative(),
  values: z.number().int().nonnegative(),
});

export const packedHeaderSchema = z.object({
  version: z.number().int(),
  format: saidSchema,
  durationS: z.number(),
  facts: z.object({
    vehicle: z.string().optional(),
    displacementL: z.number().optional(),
    sampleHz: z.number().optional(),
  }),
  warnings: z.array(z.object({ code: z.string(), text: saidSchema, row: z.number().optional() })),
  columns: z.array(packedColumnSchema),
  /** Count of numbers in each array. */
  lengths: z.array(z.number().int().nonnegative()),
});
export type PackedHeader = z.infer<typeof packedHeaderSchema>;

export function packLog(log: RawLog): { header: PackedHeader; arrays: Float64Array[] } {
  const arrays: Float64Array[] = [];
  const places = new Map<Float64Array, number>();
  const place = (array: Float64Array): number => {
    const known = places.get(array);
    if (known !== undefined) return known;
    places.set(array, arrays.length);
    return arrays.push(array) - 1;
  };
  const columns = log.columns.map(({ name, source, unitText, role, timeS, values }) => ({
    name,
    source,
    ...(unitText === undefined ? {} : { unitText }),
    ...(role === undefined ? {} : { role }),
    times: place(timeS),
    values: place(values),
  }));
  const { format, durationS, facts, warnings } = log;
  return {
    header: {
      version: READER_VERSION,
      format,
      durationS,
      facts,
      warnings: [...warnings],
      columns,
      lengths: arrays.map((array) => array.length),
    },
    arrays,
  };
}

/** The inverse of `packLog`. Fails loudly on a header whose arrays are not there: that is a fault of the program. */
export function unpackLog(header: PackedHeader, arrays: readonly Float64Array[]): RawLog {
  const at = (place: number): Float64Array => {
    const array = arrays[place];
    if (!array)
      throw new RangeError(`unpackLog: the header names array ${place}, and there are ${arrays.length}`);
    return array;
  };
  const { format, durationS, warnings } = header;
  const { vehicle, displacementL, sampleHz } = header.facts;
  return {
    format,
    durationS,
    columns: header.columns.map(({ name, source, unitText, role, times, values }) => ({
      name,
      source,
      ...(unitText === undefined ? {} : { unitText }),
      ...(role !== undefined && isChannelRole(role) ? { role } : {}),
      timeS: at(times),
      values: at(values),
    })),
    facts: {
      ...(vehicle === undefined ? {} : { vehicle }),
      ...(displacementL === undefined ? {} : { displacementL }),
      ...(sampleHz === undefined ? {} : { sampleHz }),
    },
    warnings: warnings.map(({ code, text, row }) => ({ code, text, ...(row === undefined ? {} : { row }) })),
  };
}

/** Numbers kept in one compressed piece. */
export const PART_NUMBERS = 65_536;

/**
 * The bytes of numbers plane by plane: all first bytes, then all second ones. Neighbouring readings differ in their last
 * bytes only, so a compressor finds long runs in the others.
 */
export function toPlanes(values: Float64Array): Uint8Array {
  const bytes = new Uint8Array(values.buffer, values.byteOffset, values.byteLength);
  const planes = new Uint8Array(bytes.length);
  const count = values.length;
  for (let i = 0; i < count; i++)
    for (let b = 0; b < 8; b++) planes[b * count + i] = bytes[8 * i + b] as number;
  return planes;
}

export function fromPlanes(planes: Uint8Array, into: Float64Array, offset: number): void {
  const count = planes.length / 8;
  const bytes = new Uint8Array(into.buffer, into.byteOffset + 8 * offset, planes.length);
  for (let i = 0; i < count; i++)
    for (let b = 0; b < 8; b++) bytes[8 * i + b] = planes[b * count + i] as number;
}

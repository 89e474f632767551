import * as wording from '@white-ember/core/words/screens/workers';
import { describeFailure, inEnglish } from '@white-ember/core/words';
import { expose, transfer } from 'comlink';
import type { FilterGeometry } from '@white-ember/core/filter';
import type { Limits } from '@white-ember/core/limits';
import { warmUpOf, warmUpPoints, type WarmUp } from '@white-ember/core/treatment';
import {
  analyseRaw,
  CHANNEL_ROLES,
  fromPlanes,
  heldAt,
  loggedFacts,
  openLog,
  PART_NUMBERS,
  packedHeaderSchema,
  toRecording,
  traceOf,
  unpackLog,
  writeLog,
  type AnalyseOptions,
  type AnalysedLog,
  type ChannelRole,
  type LogOutput,
  type LogReadingParts,
  type RawLog,
  type Series,
  type Trace,
} from '@white-ember/core/readings';

/** A column as a person picks it: a channel by its role, any other by its heading. */
export interface LogColumn {
  readonly name: string;
  readonly role?: ChannelRole;
  /** Unit in which its traces come: the base unit of its role, or as the file has it. */
  readonly unit: string;
  readonly readings: number;
}

export type LogAnswer =
  | ({ readonly ok: true; readonly columns: readonly LogColumn[] } & LogReadingParts)
  | { readonly ok: false; readonly text: string };

export type OpenAnswer = LogAnswer;

const PIECE_BYTES = 1024 * 1024;
/** Told no more often than this, so that a page has nothing to do but show it. */
const TELL_EVERY_MS = 120;

let raw: RawLog | undefined;
let analysed: AnalysedLog | undefined;

function analyse(options: AnalyseOptions): LogAnswer {
  if (!raw) return { ok: false, text: wording.noLogIsOpen };
  analysed = analyseRaw(raw, options);
  const { analysis, samples, recording } = analysed;
  const roleOf = new Map(recording.mapping.channels.map((channel) => [channel.column, channel.role]));
  const columns = recording.columns.map(({ name, unitText, values }): LogColumn => {
    const role = roleOf.get(name);
    return {
      name,
      ...(role === undefined ? {} : { role }),
      unit:
        role === undefined
          ? (unitText ?? '')
          : CHANNEL_ROLES[role].quantity === 'fraction'
            ? ''
            : CHANNEL_ROLES[role].unit,
      readings: values.length,
    };
  });
  return { ok: true, analysis, samples, columns, ...loggedFacts(recording) };
}

const seriesOf = (name: string): Series | undefined => {
  const channel = analysed?.recording.mapping.channels.find((one) => one.column === name);
  return (
    (channel && analysed?.recording.channels.get(channel.role)) ??
    analysed?.recording.columns.find((one) => one.name === name)
  );
};

async function inflated(bytes: Uint8Array): Promise<Uint8Array> {
  const stream = new Blob([bytes as BlobPart]).stream().pipeThrough(new DecompressionStream('deflate'));
  return new Uint8Array(await new Response(stream).arrayBuffer());
}

/** One log, read and kept away from the main thread, by the same core as server and command line. */
const worker = {
  async open(file: Blob, options: AnalyseOptions, tell: (share: number) => void): Promise<LogAnswer> {
    const reader = openLog();
    let told = 0;
    for (let at = 0; at < file.size; at += PIECE_BYTES) {
      reader.push(new Uint8Array(await file.slice(at, at + PIECE_BYTES).arrayBuffer()));
      if (performance.now() - told < TELL_EVERY_MS) continue;
      told = performance.now();
      tell(Math.min(1, (at + PIECE_BYTES) / file.size));
    }
    const read = await reader.finish();
    if (!read.ok) return { ok: false, text: inEnglish(describeFailure(read.failure)) };
    raw = read.value;
    return analyse(options);
  },

  /** The same from the columns that the server keeps: a header and compressed arrays, each with its length before it. */
  async openColumns(packed: ArrayBuffer, options: AnalyseOptions): Promise<LogAnswer> {
    const bytes = new Uint8Array(packed);
    const view = new DataView(packed);
    let at = 0;
    const next = (): Uint8Array => {
      const size = view.getUint32(at, true);
      at += 4 + size;
      return bytes.subarray(at - size, at);
    };
    const header = packedHeaderSchema.parse(JSON.parse(new TextDecoder().decode(next())));
    const arrays: Float64Array[] = [];
    for (const length of header.lengths) {
      const array = new Float64Array(length);
      for (let offset = 0; offset < length; offset += PART_NUMBERS)
        fromPlanes(await inflated(next()), array, offset);
      arrays.push(array);
    }
    raw = unpackLog(header, arrays);
    return analyse(options);
  },

  analyse,

  traces(names: readonly string[], fromS: number, toS: number, points: number): Trace[] {
    const made = names.map((name) =>
      traceOf(
        seriesOf(name) ?? { timeS: new Float64Array(), values: new Float64Array() },
        fromS,
        toS,
        points,
      ),
    );
    return transfer(
      made,
      made.flatMap(({ timeS, values }) => [timeS.buffer, values.buffer]),
    );
  },

  valuesAt(names: readonly string[], atS: number): (number | undefined)[] {
    return names.map((name) => {
      const series = seriesOf(name);
      return series && heldAt(series, atS);
    });
  },

  /** Where the filter stood in its warm-up at the end of what was held in this log. */
  warmUp(geometry: FilterGeometry, limits: Limits): WarmUp | undefined {
    const channels = analysed?.recording.channels;
    const time = channels?.get('engineSpeed')?.timeS;
    const [fromS, toS] = [time?.[0], time?.[time.length - 1]];
    if (!channels || fromS === undefined || toS === undefined) return undefined;
    const read = (role: ChannelRole, atS: number): number | undefined => {
      const series = channels.get(role);
      return series && heldAt(series, atS);
    };
    const points = warmUpPoints(read, { fromS, toS }, geometry, limits);
    return points.length === 0 ? undefined : warmUpOf(points, limits);
  },

  async rewrite(to: LogOutput): Promise<Blob> {
    if (!raw || !analysed) throw new Error('No log is open');
    const pieces: BlobPart[] = [];
    for await (const piece of writeLog(analysed.recording ?? toRecording(raw), to))
      pieces.push(piece as BlobPart);
    return new Blob(pieces);
  },
};

export type LogWorker = typeof worker;
// What a library rejects beside the call that asked for it ends this reading with a word, not in silence.
self.addEventListener('unhandledrejection', ({ reason }: PromiseRejectionEvent) => {
  throw reason;
});
expose(worker);

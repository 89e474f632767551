import type { Said } from '../../words/index.ts';
import type { ChannelRole } from '../channelRoles.ts';
import type { Result } from '../../quantities/index.ts';

export interface LogWarning {
  readonly code: string;
  readonly text: Said;
  /** Line of the file, counted from 1. */
  readonly row?: number;
}

/**
 * One column of a log: its readings and their times, both without gaps. Columns whose rows are full share one array of
 * times; in asynchronous logs each has its own.
 */
export interface RawColumn {
  /** Unlike any other in the log. */
  readonly name: string;
  /** Where it stands in the file: the heading, or the parameter's number. */
  readonly source: string;
  readonly unitText?: string;
  /** Known from the format itself, as in answers by parameter number. */
  readonly role?: ChannelRole;
  /** Seconds since the first row; never falls. */
  readonly timeS: Float64Array;
  readonly values: Float64Array;
}

/** Facts that the file states about its vehicle, apart from its columns. */
export interface StatedFacts {
  readonly vehicle?: string;
  readonly displacementL?: number;
  readonly sampleHz?: number;
}

/** A log as read, before anything is known of what its columns mean. All formats end here. */
export interface RawLog {
  readonly format: Said;
  readonly durationS: number;
  readonly columns: readonly RawColumn[];
  readonly facts: StatedFacts;
  readonly warnings: readonly LogWarning[];
}

/** Takes the text of a log piece by piece, in order. */
export interface LogSink {
  readonly push: (text: string) => void;
  readonly finish: () => Result<RawLog> | Promise<Result<RawLog>>;
}

/** The seam for formats of text: each says how surely it recognises a beginning, and reads on from it. */
export interface LogFormat {
  readonly id: string;
  /** 0 = certainly not, 1 = certainly. */
  readonly recognise: (head: string) => number;
  /** The head is pushed again, as the first piece. A failure says why the file cannot be read. */
  readonly open: (head: string) => Result<LogSink>;
}

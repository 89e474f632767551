import type { Result } from '../quantities/index.ts';

export interface LogWarning {
  readonly code: string;
  readonly text: string;
  /** Line of the file, counted from 1. */
  readonly row?: number;
}

export interface RawColumn {
  readonly name: string;
  readonly unitText?: string;
  /** One number a row, NaN where the row has none. Inside core only: NaN never leaves it. */
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
  readonly format: string;
  readonly timeS: Float64Array;
  readonly columns: readonly RawColumn[];
  readonly facts: StatedFacts;
  readonly warnings: readonly LogWarning[];
}

/** The seam for formats: each says how surely it recognises a text, and reads it. A new one is a file and a line. */
export interface LogFormat {
  readonly id: string;
  /** 0 = certainly not, 1 = certainly. */
  readonly recognise: (head: string) => number;
  readonly read: (text: string) => Result<RawLog>;
}

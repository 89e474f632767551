import { expose } from 'comlink';
import { describeFailure } from '@white-ember/core/quantities';
import { analyseLog, type AnalyseOptions, type LogAnalysis } from '@white-ember/core/readings';
import type { SteadySample } from '@white-ember/core/ledger';

export type LogAnswer =
  | { readonly ok: true; readonly analysis: LogAnalysis; readonly samples: readonly SteadySample[]; readonly barometerMbar?: number; readonly sootG?: number }
  | { readonly ok: false; readonly text: string };

/** Reads a file away from the main thread, with the same core as server and command line. */
const worker = {
  async read(file: Blob, options: AnalyseOptions): Promise<LogAnswer> {
    const bytes = new Uint8Array(await file.arrayBuffer());
    const read = analyseLog(bytes, options);
    if (!read.ok) return { ok: false, text: describeFailure(read.failure) };
    const { analysis, samples, recording } = read.value;
    const middle = (role: 'barometricPressure' | 'sootMass'): number | undefined => {
      const values = recording.channels.get(role)?.filter(Number.isFinite).sort();
      return values && values.length > 0 ? values[values.length >> 1] : undefined;
    };
    const barometerMbar = middle('barometricPressure');
    const sootG = middle('sootMass');
    return {
      ok: true,
      analysis,
      samples,
      ...(barometerMbar === undefined ? {} : { barometerMbar }),
      ...(sootG === undefined ? {} : { sootG }),
    };
  },
};

export type LogWorker = typeof worker;
expose(worker);

import { median } from '../quantities/index.ts';
import type { Id, ReadingBody, SteadySample } from '../ledger/index.ts';
import type { LogAnalysis } from './analyseLog.ts';
import { seriesOf, type Recording } from './recording.ts';

/** What of an analysed log makes a reading; small enough to leave a web worker, unlike the recording itself. */
export interface LogReadingParts {
  readonly analysis: LogAnalysis;
  readonly samples: readonly SteadySample[];
  /** As logged, mbar and g; the middle of all readings. */
  readonly barometerMbar?: number;
  readonly sootCounterG?: number;
}

/** Barometer and soot counter of a recording, where it holds them and they are fit for a reading. */
export function loggedFacts(recording: Recording): Pick<LogReadingParts, 'barometerMbar' | 'sootCounterG'> {
  const middle = (role: 'barometricPressure' | 'sootMass', low: number, high: number): number | undefined => {
    const value = median(seriesOf(recording, role).values);
    return value !== undefined && value >= low && value <= high ? value : undefined;
  };
  const barometerMbar = middle('barometricPressure', 500, 1100);
  const sootCounterG = middle('sootMass', 0, 2000);
  return {
    ...(barometerMbar === undefined ? {} : { barometerMbar }),
    ...(sootCounterG === undefined ? {} : { sootCounterG }),
  };
}

type LogOrigin = Extract<ReadingBody['origin'], { type: 'log' }>;

/** How ΔP followed the flow, as far as the log shows it. */
function followsOf({ features }: LogAnalysis): Pick<LogOrigin, 'follows'> {
  const dp = features.responses.find(({ channel }) => channel === 'dpfDeltaP');
  if (!dp) return {};
  const { correlation, lagS, resolutionS } = dp;
  return {
    follows: {
      correlation,
      ...(lagS === undefined ? {} : { lagS: Math.max(0, lagS) }),
      ...(resolutionS === undefined ? {} : { resolutionS }),
    },
  };
}

/** A log as a reading of the ledger: its steady windows less those left out, its columns and what they showed. */
export function readingFromLog(
  { analysis, samples, barometerMbar, sootCounterG }: LogReadingParts,
  about: { purpose: ReadingBody['purpose']; logId: Id; fileName: string; leftOut?: ReadonlySet<number> },
): ReadingBody {
  return {
    kind: 'reading',
    purpose: about.purpose,
    origin: {
      type: 'log',
      logId: about.logId,
      fileName: about.fileName.slice(0, 300),
      mapping: Object.fromEntries(analysis.channels.map((channel) => [channel.role, channel.column])),
      findings: [...new Set(analysis.findings.map((finding) => finding.id))],
      ...followsOf(analysis),
    },
    samples: samples.filter((_, i) => !about.leftOut?.has(i)),
    ...(barometerMbar === undefined ? {} : { barometerMbar }),
    ...(sootCounterG === undefined ? {} : { sootCounterG }),
  };
}
